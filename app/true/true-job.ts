import type { DraftInput } from '../../core/chain/index.js';
import type { Outcome } from '../../core/refusal/index.js';
import type { Trued, TrueItChange, TrueItWish } from '../../core/true-it/index.js';
import type { Unit } from '../../core/units/index.js';
import { runJob, type Job } from '../shared/job.js';
import { newAlteration } from '../store/alteration-work.js';
import { changeDraft, type Change } from '../store/work-changes.js';
import type { Truer } from '../workers/true.worker.js';

/** Runs True it in a worker of its own. */
export const startTrueIt = (input: DraftInput, unit: Unit, wish: TrueItWish): Job<Outcome<Trued>> =>
  runJob<Truer, Outcome<Trued>>(
    () => new Worker(new URL('../workers/true.worker.ts', import.meta.url), { type: 'module' }),
    'True it could not be run',
    (truer) => truer.trueIt(input, unit, wish),
  );

/** The lines that changes set by hand. */
export const linesOf = (changes: readonly TrueItChange[]): Record<string, number> =>
  Object.fromEntries(changes.flatMap(({ set }) => (set ? [[set.line, set.value]] : [])));

/** The changes that are alterations, as the list keeps them. */
export const alterationsOf = (changes: readonly TrueItChange[]): ReturnType<typeof newAlteration>[] =>
  changes.flatMap(({ work }) => (work ? [newAlteration(work, 'True it')] : []));

/** Takes changes over: lines by hand and alterations at once, undone in one step. */
export const takeChanges = (changes: readonly TrueItChange[]): Change =>
  changeDraft((draft) => ({
    ...draft,
    set: { ...draft.set, ...linesOf(changes) },
    alterations: [...draft.alterations, ...alterationsOf(changes)],
  }));
