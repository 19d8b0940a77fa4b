import { create } from 'zustand';
import type { Point } from '../../core/geometry/index.js';

interface LensState {
  /** Where on its drawing a finger drags something now, in pixels from the drawing's corner. */
  readonly at: Point | undefined;
  readonly show: (at: Point | undefined) => void;
}

/** A finger hides what it drags: where it is, for the lens above it. */
export const useLens = create<LensState>()((set) => ({
  at: undefined,
  show: (at) => {
    set({ at });
  },
}));
