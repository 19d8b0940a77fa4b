import { runJob, type Job } from '../shared/job.js';
import type { PhotoKeeper, SmallPhoto } from '../workers/photo.worker.js';

/** Files larger than this are refused unread. */
export const MOST_BYTES = 60_000_000;

/** Makes a photo small in a worker of its own. */
export const startPhoto = (file: File): Job<SmallPhoto> =>
  runJob<PhotoKeeper, SmallPhoto>(
    () => new Worker(new URL('../workers/photo.worker.ts', import.meta.url), { type: 'module' }),
    'The photo could not be read',
    (keeper) => keeper.small(file),
  );
