import { create } from 'zustand';
import type { PairFigureId } from '../../core/measure/index.js';

/** Which figure of the finished pair is in hand: it is shown on the drawing. */
export const usePairInHand = create<{ readonly id: PairFigureId; readonly set: (id: PairFigureId) => void }>()(
  (set) => ({
    id: 'halfWaist',
    set: (id) => {
      set({ id });
    },
  }),
);
