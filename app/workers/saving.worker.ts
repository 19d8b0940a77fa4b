import { expose } from 'comlink';
import {
  LayJob,
  layOf,
  orderLaid,
  savingsFor,
  withSaving,
  type LaidBeside,
  type LayOrder,
  type Placed,
  type SavingFigures,
} from '../../core/lay/index.js';
import type { Cloth } from '../../core/garment/index.js';

/** What a way to save cloth comes to: how long the lay is then, and the figures of the garment before and after. */
export interface SavingFound {
  readonly id: string;
  readonly length: number;
  readonly before: SavingFigures;
  readonly after: SavingFigures;
}

const saver = {
  /**
   * Lays a garment, beside what lies with it, with each change that would save cloth, from the lay that there is, each for
   * so many milliseconds; tells what each comes to. What cannot be made is left out.
   */
  savings(
    order: LayOrder,
    kind: Cloth,
    beside: LaidBeside,
    from: readonly Placed[],
    eachMs: number,
    onFound: (found: SavingFound) => void,
  ): void {
    const now = orderLaid(order, kind, beside);
    if (!now) return;
    for (const { id, change } of savingsFor(order, kind)) {
      const then = orderLaid(withSaving(order, change), kind, beside);
      if (!then || then.shapes.length === 0) continue;
      const begun = performance.now();
      const over = (): boolean => performance.now() - begun > eachMs;
      let length = Infinity;
      for (const found of layOf(new LayJob(then.shapes, then.cloth), 1, over, from)) length = found.length;
      onFound({ id, length, before: now.figures, after: then.figures });
    }
  },
};

/** What the worker for saving cloth does. */
export type Saver = typeof saver;

expose(saver);
