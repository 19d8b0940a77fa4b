import Button from '@mui/material/Button';
import { lazy, Suspense, useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { newDraft, newPerson } from '../../core/kept/index.js';
import { OpenWorkbook } from '../shared/OpenWorkbook.js';
import { contentOf, readShelf } from '../store/database.js';
import { usePreferences } from '../store/preferences.js';
import { doOnShelf } from '../store/place-acts.js';

const newId = (): string => crypto.randomUUID();

const SamplePicture = lazy(() => import('./SamplePicture.js').then((m) => ({ default: m.SamplePicture })));

/** The first minutes: start from four measurements, look round the demo, or open a workbook. */
export function Welcome() {
  const go = useNavigate();
  const unit = usePreferences((p) => p.unit);
  const [problem, setProblem] = useState<string>();

  const refused = (fault: unknown): void => {
    const reason = fault instanceof Error ? fault.message : String(fault);
    setProblem(
      `This browser does not let Upstride store anything: ${reason}. Allow storage for this address and try again.`,
    );
  };
  const start = async (): Promise<void> => {
    const now = new Date();
    const person = newPerson(newId, 'New person', unit, now);
    const draft = newDraft(newId, person, 'Trousers', now);
    await doOnShelf('own', `New draft for ${person.name}`, { put: { people: [person], drafts: [draft] } });
    await go(`/own/draft/${draft.id}/measure`);
  };
  return (
    <main className="page welcome">
      <div>
        <h1>Upstride</h1>
        <p>
          A drafting room for trousers. Put in waist, hip, crotch depth and inseam; the front and the back piece are
          drawn, checked and printed at full size. Every line can be taken in hand, and every figure shows its sum.
        </p>
        <div className="ways">
          <Button
            variant="contained"
            size="large"
            onClick={() => {
              start().catch(refused);
            }}
          >
            Start from four measurements
          </Button>
          <Button variant="outlined" size="large" component={Link} to="/demo">
            Look round the demo workroom
          </Button>
          <OpenWorkbook
            label="Open a workbook file"
            size="large"
            here={async () => contentOf(await readShelf('own'))}
            onMerged={async (put, told) => {
              await doOnShelf('own', told, { put });
              await go('/own');
            }}
            onRefuse={setProblem}
          />
          <Button component={Link} to="/own">
            My workroom
          </Button>
        </div>
        {problem !== undefined && (
          <p className="problem" role="alert">
            {problem}
          </p>
        )}
        <p className="quiet">Everything stays in this browser and in files that you save. Nothing is sent anywhere.</p>
      </div>
      <Suspense fallback={<div />}>
        <SamplePicture />
      </Suspense>
    </main>
  );
}
