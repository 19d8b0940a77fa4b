import { dayOf } from '../../../core/kept/index.js';
import type { AdoptedPattern, Block } from '../../../core/draft/index.js';
import type { OutlineSize, Reference } from '../../../core/reference/index.js';
import type { FileRefusal, Outcome } from '../../../core/refusal/index.js';
import { tooLarge } from '../../../formats/outline/index.js';
import { runJob, type Job } from '../../shared/job.js';
import type { Outliner } from '../../workers/outline.worker.js';

const newWorker = (): Worker =>
  new Worker(new URL('../../workers/outline.worker.ts', import.meta.url), { type: 'module' });

/** Reads a file in a worker of its own and lays it under a draft; too large a file is refused unread. */
export function startOutline(file: File, block: Block, now: Date): Job<Outcome<Reference, FileRefusal>> {
  const large = tooLarge(file.name, file.size);
  if (large) return { answer: Promise.resolve(large), stop: () => undefined };
  return runJob<Outliner, Outcome<Reference, FileRefusal>>(
    newWorker,
    'The outline could not be read',
    async (outliner) => outliner.lay(file.name, await file.text(), block, dayOf(now)),
  );
}

/** Tells the sizes of an outline's file apart, in a worker of its own. */
export const startSizes = (reference: Reference, block: Block): Job<readonly OutlineSize[]> =>
  runJob<Outliner, readonly OutlineSize[]>(newWorker, 'The sizes could not be told apart', (outliner) =>
    outliner.sizes(reference, block),
  );

/** Takes a front and a back of a file with sizes over as the block, in a worker of its own. */
export const startAdopting = (
  reference: Reference,
  block: Block,
  sizes: { readonly front: OutlineSize; readonly back: OutlineSize },
  now: Date,
): Job<Outcome<AdoptedPattern>> =>
  runJob<Outliner, Outcome<AdoptedPattern>>(newWorker, 'The pieces could not be taken over', (outliner) =>
    outliner.adopt(reference, block, sizes, dayOf(now)),
  );
