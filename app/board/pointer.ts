import { create } from 'zustand';
import type { Point } from '../../core/geometry/index.js';

interface PointerState {
  /** Where the pointer is on the board, in screen pixels; nothing while it is elsewhere, or moves the board. */
  readonly at: Point | undefined;
  readonly set: (at: Point | undefined) => void;
}

/** The pointer on the board, kept apart so that only what follows it is drawn anew as it moves. */
export const usePointer = create<PointerState>()((set) => ({
  at: undefined,
  set: (at) => {
    set({ at });
  },
}));
