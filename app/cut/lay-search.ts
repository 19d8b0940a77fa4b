import { proxy } from 'comlink';
import type { FoundLay, LayCloth, LayShape } from '../../core/lay/index.js';
import { runJob, type Job } from '../shared/job.js';
import type { Layer } from '../workers/lay.worker.js';

/** Searches for a short lay in a worker; `onFound` hears of ever shorter ones. */
export const startLay = (
  shapes: readonly LayShape[],
  cloth: LayCloth,
  seed: number,
  forMs: number,
  onFound: (lay: FoundLay) => void,
): Job<FoundLay> =>
  runJob<Layer, FoundLay>(
    () => new Worker(new URL('../workers/lay.worker.ts', import.meta.url), { type: 'module' }),
    'The lay could not be searched',
    (layer) => layer.lay(shapes, cloth, seed, forMs, proxy(onFound)),
  );
