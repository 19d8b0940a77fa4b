import { useEffect } from 'react';
import { Link, useSearchParams } from 'react-router';
import { useBoard } from '../board/board-store.js';
import { usePreferences } from '../store/preferences.js';
import Button from '@mui/material/Button';
import { CheckSection } from '../checks/CheckBench.js';
import { BenchSections } from '../shared/BenchSections.js';
import { useComputed, useWork } from '../store/work-context.js';
import { AlterationList } from './AlterationList.js';
import { HandTools } from './HandTools.js';
import { TOOLS, useTrue } from './true-store.js';
import './true.css';

const VIEWS = [
  [
    'curve',
    'The body’s curve',
    'The traced rise of the body laid over the draft’s, and what to do about the difference.',
  ],
  ['outline', 'Outline from a file', 'A pattern that fits, laid under the draft: compared, measured, taken over.'],
  ['report', 'Check report', 'Every check with what it rests on, to print and to sign.'],
] as const;

function Views() {
  return (
    <ul className="view-links">
      {VIEWS.map(([to, label, about]) => (
        <li key={to}>
          <Link to={to}>{label}</Link>
          <span className="quiet">{about}</span>
        </li>
      ))}
    </ul>
  );
}

/** The bench at True: the checks that ask for something, what would correct them, and the list of alterations. */
export function TrueBench() {
  const drawn = useComputed((c) => c.draft !== undefined);
  const asked = useBoard((s) => (s.checks === undefined ? 0 : s.asked));
  useEffect(() => {
    // What is asked of a check from the tape is answered where the checks are.
    if (asked === 0) return;
    const { sections, set } = usePreferences.getState();
    set({ sections: { ...sections, true: 'checks' } });
  }, [asked]);
  // A line of the board sends here with the tool that works on it.
  const [query, setQuery] = useSearchParams();
  const sent = TOOLS.find(([id]) => id === query.get('tool'))?.[0];
  useEffect(() => {
    if (sent === undefined) return;
    const { sections, set } = usePreferences.getState();
    set({ sections: { ...sections, true: 'hand' } });
    useTrue.getState().set({ tool: sent });
    setQuery({}, { replace: true });
  }, [sent, setQuery]);
  const altered = useWork(({ work }) => work.draft.alterations.length > 0);
  if (!drawn) return <p className="quiet">Enter the four measurements first.</p>;
  return (
    <BenchSections
      bench="true"
      told={false}
      sections={[
        { id: 'checks', label: 'Checks', content: () => <CheckSection /> },
        { id: 'hand', label: 'By hand', content: () => <HandTools /> },
        { id: 'alterations', label: 'Alterations', marked: altered, content: () => <AlterationList /> },
        { id: 'views', label: 'Views', content: () => <Views /> },
      ]}
      above={
        <div className="acts">
          <Button component={Link} to="it" size="small" variant="contained">
            True it
          </Button>
          <Button component={Link} to="walk" size="small" variant="outlined">
            Walk the seams
          </Button>
        </div>
      }
    />
  );
}
