import { expose } from 'comlink';
import {
  estimatedLength,
  LayJob,
  LOOKS,
  layAt,
  layOf,
  leftOvers,
  putByHand,
  type FoundLay,
  type HandPlace,
  type LayCloth,
  type LayShape,
  type LeftOver,
  type Placed,
} from '../../core/lay/index.js';

/** No more lays are told in a second than this: each is drawn. */
const TOLD_EVERY_MS = 120;

/** What is laid: shapes on a cloth, begun from a lay or the best of those that are known, some copies locked. */
export interface LayTask {
  readonly shapes: readonly LayShape[];
  readonly cloth: LayCloth;
  readonly from: readonly Placed[];
  readonly locked: readonly Placed[];
  readonly known?: readonly (readonly Placed[])[];
}

let inHand: LayJob | undefined;

const layer = {
  /** The lay that a task is begun from, where it can still lie so; else nothing. */
  holds({ shapes, cloth, from }: LayTask): FoundLay | undefined {
    return layAt(new LayJob(shapes, cloth), from);
  },

  /**
   * Searches for a short lay for so many milliseconds, or until the worker is ended; each that is told is shorter than the
   * one before, and the last is the best that was found.
   */
  lay(
    { shapes, cloth, from, locked, known }: LayTask,
    seed: number,
    forMs: number,
    onFound: (lay: FoundLay) => void,
  ): FoundLay {
    const begun = performance.now();
    let told = -Infinity;
    let best: FoundLay | undefined;
    const over = (): boolean => performance.now() - begun > forMs;
    for (const found of layOf(new LayJob(shapes, cloth, locked), seed, over, from, known)) {
      best = found;
      if (performance.now() - told < TOLD_EVERY_MS) continue;
      told = performance.now();
      onFound(found);
    }
    if (!best) throw new Error('A search gives a first lay at once');
    return best;
  },

  /** How long a lay will be, closely, before any is searched for; in mm. */
  estimate: (shapes: readonly LayShape[], cloth: LayCloth): number => estimatedLength(shapes, cloth, LOOKS.closely),

  /** What is left of the cloth about a lay. */
  leftOvers: (
    shapes: readonly LayShape[],
    placed: readonly Placed[],
    bought: { readonly length: number; readonly width: number },
    flaws: LayCloth['flaws'],
  ): readonly LeftOver[] => leftOvers(shapes, placed, bought, flaws),

  /** Makes shapes on a cloth ready to be moved by hand. */
  ready(shapes: readonly LayShape[], cloth: LayCloth): void {
    inHand = new LayJob(shapes, cloth);
  },

  /** Where a copy comes to lie among the others that is put somewhere by hand. */
  put(lay: readonly Placed[], moved: Placed, how: 'let go' | 'exactly'): HandPlace | undefined {
    return inHand && putByHand(inHand, lay, moved, how);
  },
};

/** What the lay worker does. */
export type Layer = typeof layer;

expose(layer);
