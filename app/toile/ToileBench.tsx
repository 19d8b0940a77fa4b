import Button from '@mui/material/Button';
import { Link } from 'react-router';
import { useWork } from '../store/work-context.js';
import { BenchSections } from '../shared/BenchSections.js';
import { CauseLines } from './CauseLines.js';
import { FittingLines } from './FittingLines.js';
import { VersionLines } from './VersionLines.js';
import './toile.css';

/** Toile: what was seen and pinned, what may be behind it, and the versions from the first toile to what was sewn. */
export function ToileBench() {
  const draft = useWork(({ work }) => work.draft);
  return (
    <BenchSections
      bench="toile"
      told={false}
      sections={[
        {
          id: 'fitting',
          label: 'Fitting',
          marked: (draft.fittings ?? []).some((f) => f.closed === undefined),
          content: () => <FittingLines />,
        },
        { id: 'causes', label: 'Causes', content: () => <CauseLines /> },
        {
          id: 'body',
          label: 'On the body',
          content: () => (
            <>
              <p className="quiet">
                The pieces sewn in cloth and hung on a body made from the measurements: where this draft pulls otherwise
                than a version of it, before a toile is cut.
              </p>
              <Button component={Link} to="virtual" variant="outlined">
                Virtual toile
              </Button>
            </>
          ),
        },
        {
          id: 'versions',
          label: 'Versions',
          marked: (draft.versions ?? []).length > 0,
          content: () => <VersionLines />,
        },
      ]}
    />
  );
}
