import type { KeptDraft, Run } from '../../core/kept/index.js';
import { changeDraft, type Change } from './work-changes.js';

const changeRuns = (make: (runs: readonly Run[]) => readonly Run[]): Change =>
  changeDraft((draft): KeptDraft => ({ ...draft, runs: [...make(draft.runs ?? [])] }));

/** Applies the open draft to many bodies: a run that is kept with it. */
export const beginRun = (id: string, facts: Pick<Run, 'name' | 'of' | 'by'>, now: Date): Change =>
  changeRuns((runs) => [...runs, { id, made: now.toISOString(), own: {}, sewn: [], ...facts }]);

/** Changes what is said of a run, whom it is for, or the grade rule that it wrote or is made by; what bodies had by hand stays for when they come back. */
export const changeRun = (id: string, facts: Partial<Pick<Run, 'name' | 'of' | 'rule' | 'by'>>): Change =>
  changeRuns((runs) => runs.map((run) => (run.id === id ? { ...run, ...facts } : run)));

/** Forgets a run; drafts that were made of it stay. */
export const forgetRun = (id: string): Change => changeRuns((runs) => runs.filter((run) => run.id !== id));

/** Sets what bodies of a run have by hand: one act. A body without any is the garment's again. */
export const setOwn = (
  id: string,
  own: readonly (readonly [body: string, has: Run['own'][string] | undefined])[],
): Change =>
  changeRuns((runs) =>
    runs.map((run) => {
      if (run.id !== id) return run;
      const changed = new Map(own);
      const kept = Object.entries(run.own).filter(([body]) => !changed.has(body));
      const put = own.flatMap(([body, has]) => (has ? [[body, has] as const] : []));
      return { ...run, own: Object.fromEntries([...kept, ...put]) };
    }),
  );

/** Notes what a sewn garment measured, changes it, or takes it out where nothing is said of it. */
export const noteSewn = (id: string, sewnId: string, facts: Omit<Run['sewn'][number], 'id'> | undefined): Change =>
  changeRuns((runs) =>
    runs.map((run) => {
      if (run.id !== id) return run;
      const known = run.sewn.some((s) => s.id === sewnId);
      const next = facts && { id: sewnId, ...facts };
      if (!known) return next ? { ...run, sewn: [...run.sewn, next] } : run;
      return { ...run, sewn: run.sewn.flatMap((s) => (s.id !== sewnId ? [s] : next ? [next] : [])) };
    }),
  );
