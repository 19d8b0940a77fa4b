import { useEffect } from 'react';
import { Link } from 'react-router';
import Button from '@mui/material/Button';
import { tryAlterations } from '../store/alteration-work.js';
import { useChange, useComputed } from '../store/work-context.js';
import { AlterationList } from './AlterationList.js';
import { CheckCorrections } from './CheckCorrections.js';
import { HandTools } from './HandTools.js';
import '../shared/views.css';
import './true.css';

/** The bench at True: the checks that ask for something, what would correct them, and the list of alterations. */
export function TrueBench() {
  const drawn = useComputed((c) => c.draft !== undefined);
  const change = useChange();
  useEffect(
    () => () => {
      change(tryAlterations(undefined));
    },
    [change],
  );
  if (!drawn) return <p className="quiet">Enter the four measurements first.</p>;
  return (
    <>
      <div className="acts">
        <Button component={Link} to="it" size="small" variant="contained">
          True it
        </Button>
        <Button component={Link} to="walk" size="small" variant="outlined">
          Walk the seams
        </Button>
        <Button component={Link} to="curve" size="small" variant="outlined">
          The body’s curve
        </Button>
        <Button component={Link} to="outline" size="small" variant="outlined">
          Outline from a file
        </Button>
        <Button component={Link} to="report" size="small" variant="outlined">
          Check report
        </Button>
      </div>
      <CheckCorrections />
      <HandTools />
      <AlterationList />
    </>
  );
}
