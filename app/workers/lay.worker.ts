import { expose } from 'comlink';
import { LayJob, layOf, type FoundLay, type LayCloth, type LayShape } from '../../core/lay/index.js';

/** No more lays are told in a second than this: each is drawn. */
const TOLD_EVERY_MS = 120;

const layer = {
  /**
   * Searches for a short lay for so many milliseconds, or until the worker is ended; each that is told is shorter than the
   * one before, and the last is the best that was found.
   */
  lay(
    shapes: readonly LayShape[],
    cloth: LayCloth,
    seed: number,
    forMs: number,
    onFound: (lay: FoundLay) => void,
  ): FoundLay {
    const begun = performance.now();
    let told = -Infinity;
    let best: FoundLay | undefined;
    for (const found of layOf(new LayJob(shapes, cloth), seed, () => performance.now() - begun > forMs)) {
      best = found;
      if (performance.now() - told < TOLD_EVERY_MS) continue;
      told = performance.now();
      onFound(found);
    }
    if (!best) throw new Error('A search gives a first lay at once');
    return best;
  },
};

/** What the lay worker does. */
export type Layer = typeof layer;

expose(layer);
