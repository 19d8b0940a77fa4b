import { proxy } from 'comlink';
import type { FoundLay, LayCloth, LayShape, LeftOver, Placed } from '../../core/lay/index.js';
import { runJob, takeHand, type Hand, type Job } from './job.js';
import type { Layer, LayTask } from '../workers/lay.worker.js';

const worker = (): Worker => new Worker(new URL('../workers/lay.worker.ts', import.meta.url), { type: 'module' });

/** Two searches go on at once where the machine has room for two. */
export const SEARCHES = navigator.hardwareConcurrency >= 2 ? 2 : 1;

const shorter = (a: FoundLay, b: FoundLay): FoundLay => (b.length < a.length ? b : a);

/** Searches for a short lay in workers, each by a seed of its own; `onFound` hears of ever shorter ones. */
export function startLay(task: LayTask, seed: number, forMs: number, onFound: (lay: FoundLay) => void): Job<FoundLay> {
  let best: FoundLay | undefined;
  const jobs = Array.from({ length: SEARCHES }, (_, i) =>
    runJob<Layer, FoundLay>(worker, 'The lay could not be searched', (layer) =>
      layer.lay(
        task,
        seed * SEARCHES + i,
        forMs,
        proxy((found) => {
          if (best && found.length >= best.length) return;
          best = found;
          onFound(found);
        }),
      ),
    ),
  );
  return {
    answer: Promise.all(jobs.map((job) => job.answer)).then((all) => all.reduce(shorter)),
    stop: () => {
      for (const job of jobs) job.stop();
    },
  };
}

/** Searches for a short lay in one worker: of many that are laid at once. */
export const startOneLay = (task: LayTask, seed: number, forMs: number): Job<FoundLay> =>
  runJob<Layer, FoundLay>(worker, 'The lay could not be searched', (layer) =>
    layer.lay(
      task,
      seed,
      forMs,
      proxy(() => undefined),
    ),
  );

/** What is left of cloth of a length and width about a lay. */
export const startLeftOvers = (
  shapes: readonly LayShape[],
  placed: readonly Placed[],
  bought: { readonly length: number; readonly width: number },
  flaws: LayCloth['flaws'],
): Job<readonly LeftOver[]> =>
  runJob<Layer, readonly LeftOver[]>(worker, 'What is left could not be looked for', (layer) =>
    layer.leftOvers(shapes, placed, bought, flaws),
  );

/** Tells how long a lay will be before it is searched for, in mm. */
export const startEstimate = (shapes: readonly LayShape[], cloth: LayCloth): Job<number> =>
  runJob<Layer, number>(worker, 'The cloth could not be estimated', (layer) => layer.estimate(shapes, cloth));

/** Looks whether a lay that was kept can still lie so. */
export const layHolds = (task: LayTask): Job<FoundLay | undefined> =>
  runJob<Layer, FoundLay | undefined>(worker, 'The lay could not be looked at', (layer) => layer.holds(task));

/** A worker that lays by hand. */
export const layHand = (): Hand<Layer> => takeHand<Layer>(worker, 'The lay could not be changed by hand');
