import { lazy, Suspense } from 'react';
import { useWork } from '../store/work-context.js';

const AdoptedBlock = lazy(() => import('./AdoptedBlock.js').then((m) => ({ default: m.AdoptedBlock })));

/** Where a pattern was adopted as the block: which, with its levels; fetched only then. */
export function AdoptedNotice() {
  const adopted = useWork(({ work }) => work.draft.pattern !== undefined);
  return adopted ? (
    <Suspense fallback={undefined}>
      <AdoptedBlock />
    </Suspense>
  ) : null;
}
