import { useEffect, useMemo, useState } from 'react';
import { nestOf, type NestAlignment, type NestBody, type NestPart } from '../../core/nest/index.js';
import type { Job } from '../shared/job.js';
import type { BatchTask } from '../workers/batch.worker.js';
import { startPieces } from './batch-job.js';

/** More sizes than these over one another cannot be told apart. */
export const MOST_NESTED = 24;

/** The nest of the first bodies of a run: undefined while its pieces are being made. */
export function useNest(
  tasks: readonly BatchTask[],
  by: NestAlignment,
): { readonly parts: readonly NestPart[] | undefined; readonly failed: boolean } {
  const [made, setMade] = useState<{ readonly of: readonly BatchTask[]; readonly bodies: readonly NestBody[] }>();
  const [failed, setFailed] = useState(false);
  useEffect(() => {
    if (tasks.length === 0) return undefined;
    let on = true;
    const job: Job<readonly NestBody[]> = startPieces(tasks.slice(0, MOST_NESTED));
    job.answer
      .then((bodies) => {
        if (!on) return;
        setMade({ of: tasks, bodies });
        setFailed(false);
      })
      .catch(() => {
        if (on) setFailed(true);
      });
    return () => {
      on = false;
      job.stop();
    };
  }, [tasks]);
  const parts = useMemo(() => made && nestOf(made.bodies, by), [made, by]);
  return { parts, failed };
}
