import Button from '@mui/material/Button';
import { useMemo, useRef, useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { computeDraft, EMPTY_INPUT } from '../../core/chain/index.js';
import { outlineOf } from '../../core/draft/index.js';
import { boxOf, flatten } from '../../core/geometry/index.js';
import { refusalSentence } from '../../core/refusal/index.js';
import { newDraft, newPerson } from '../../core/kept/index.js';
import { usePreferences } from '../store/preferences.js';
import { useShelfChange } from '../store/queries.js';

const newId = (): string => crypto.randomUUID();

/** A pair drawn from the middle of the range, real like any other. */
function SamplePair() {
  const drawn = useMemo(() => {
    const outcome = computeDraft({
      ...EMPTY_INPUT,
      measured: { waist: 780, hip: 1000, crotchDepth: 272, inseam: 780 },
    });
    if (!outcome.ok) return undefined;
    const { front, back } = outcome.value.block;
    const left = flatten(outlineOf(front), 0.5).map((p) => ({ x: -p.x - 30, y: p.y }));
    const right = flatten(outlineOf(back), 0.5).map((p) => ({ x: p.x + 30, y: p.y }));
    return { left, right, box: boxOf([...left, ...right]) };
  }, []);
  if (!drawn) return null;
  const { box } = drawn;
  const list = (points: readonly { x: number; y: number }[]): string =>
    points.map((p) => `${p.x.toFixed(1)},${p.y.toFixed(1)}`).join(' ');
  return (
    <svg
      viewBox={`${box.minX - 10} ${box.minY - 10} ${box.maxX - box.minX + 20} ${box.maxY - box.minY + 20}`}
      role="img"
      aria-label="A front and a back piece"
    >
      <polygon
        points={list(drawn.left)}
        fill="var(--front-fill)"
        stroke="var(--front)"
        strokeWidth={2}
        vectorEffect="non-scaling-stroke"
      />
      <polygon
        points={list(drawn.right)}
        fill="var(--back-fill)"
        stroke="var(--back)"
        strokeWidth={2}
        vectorEffect="non-scaling-stroke"
      />
    </svg>
  );
}

/** The first minutes: start from four measurements, look round the demo, or open a workbook. */
export function Welcome() {
  const go = useNavigate();
  const change = useShelfChange('own');
  const unit = usePreferences((p) => p.unit);
  const file = useRef<HTMLInputElement>(null);
  const [problem, setProblem] = useState<string>();

  const start = async (): Promise<void> => {
    const now = new Date();
    const person = newPerson(newId, 'New person', unit, now);
    const draft = newDraft(newId, person, 'Trousers', now);
    await change.mutateAsync({ put: { people: [person], drafts: [draft] } });
    await go(`/own/draft/${draft.id}/measure`);
  };
  const openFile = async (chosen: File): Promise<void> => {
    const { readWorkbook } = await import('../../core/workbook/index.js');
    const read = readWorkbook(await chosen.text());
    if (!read.ok) {
      setProblem(`${read.refusals.map(refusalSentence).join(' ')} Nothing was changed.`);
      return;
    }
    await change.mutateAsync({ put: { people: read.value.people, drafts: read.value.drafts } });
    await go('/own');
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
              void start();
            }}
          >
            Start from four measurements
          </Button>
          <Button variant="outlined" size="large" component={Link} to="/demo">
            Look round the demo workroom
          </Button>
          <Button variant="outlined" size="large" onClick={() => file.current?.click()}>
            Open a workbook file
          </Button>
          <Button component={Link} to="/own">
            My workroom
          </Button>
          <input
            ref={file}
            type="file"
            accept=".json,application/json"
            hidden
            aria-label="Workbook file"
            onChange={(event) => {
              const chosen = event.target.files?.[0];
              if (chosen) void openFile(chosen);
              event.target.value = '';
            }}
          />
        </div>
        {problem !== undefined && (
          <p className="problem" role="alert">
            {problem}
          </p>
        )}
        <p className="quiet">Everything stays in this browser and in files that you save. Nothing is sent anywhere.</p>
      </div>
      <SamplePair />
    </main>
  );
}
