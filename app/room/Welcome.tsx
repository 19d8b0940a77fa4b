import Button from '@mui/material/Button';
import NativeSelect from '@mui/material/NativeSelect';
import { lazy, Suspense, useEffect, useId, useState } from 'react';
import { Link, useNavigate } from 'react-router';
import type { Unit } from '../../core/units/index.js';
import { OpenWorkbook } from '../shared/OpenWorkbook.js';
import { contentOf, readShelf } from '../store/database.js';
import { doOnShelf } from '../store/place-acts.js';
import { proposedUnit, usePreferences, withUnit, type Preferences } from '../store/preferences.js';
import './welcome.css';

const Starts = lazy(() => import('../start/Starts.js').then((m) => ({ default: m.Starts })));

/** Unit and paper, asked for once and proposed by the browser's region. */
function Asked() {
  const id = useId();
  const preferences = usePreferences();
  const { unit, paper, asked, set } = preferences;
  useEffect(() => {
    if (!asked) set({ ...withUnit(preferences, proposedUnit(navigator.language)), asked: true });
  }, [asked, preferences, set]);
  return (
    <p className="asked">
      <label htmlFor={`${id}-unit`}>I work in</label>{' '}
      <NativeSelect
        inputProps={{ id: `${id}-unit` }}
        value={unit === 'in' ? 'in' : 'cm'}
        onChange={(event) => {
          set(withUnit(preferences, event.target.value as Unit));
        }}
      >
        <option value="cm">centimetres</option>
        <option value="in">inches</option>
      </NativeSelect>{' '}
      <label htmlFor={`${id}-paper`}>and print on</label>{' '}
      <NativeSelect
        inputProps={{ id: `${id}-paper` }}
        value={paper}
        onChange={(event) => {
          set({ paper: event.target.value as Preferences['paper'] });
        }}
      >
        <option value="a4">A4</option>
        <option value="letter">Letter</option>
        <option value="roll">a roll</option>
      </NativeSelect>
    </p>
  );
}

/** The first minutes: unit and paper, the ways to start, the demo, a workbook. */
export function Welcome() {
  const go = useNavigate();
  const [problem, setProblem] = useState<string>();
  return (
    <main className="page welcome">
      <title>Upstride</title>
      <h1>Upstride</h1>
      <p className="lead">
        A drafting room for trousers. Put in waist, hip, crotch depth and inseam; the front and the back piece are
        drawn, checked and printed at full size. Every line can be taken in hand, and every figure shows its sum.
      </p>
      <Asked />
      {problem !== undefined && (
        <p className="problem" role="alert">
          {problem}
        </p>
      )}
      {/* All of it comes at once, so that nothing moves under the hand. */}
      <Suspense fallback={<div className="starts-coming" />}>
        <Starts room="own" onRefuse={setProblem} />
        <div className="ways">
          <Button variant="outlined" component={Link} to="/demo">
            Look round the demo workroom
          </Button>
          <OpenWorkbook
            room="own"
            label="Open a workbook file"
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
          <Button component={Link} to="/own/practise">
            Learn to draft
          </Button>
        </div>
        <p className="quiet">Everything stays in this browser and in files that you save. Nothing is sent anywhere.</p>
      </Suspense>
    </main>
  );
}
