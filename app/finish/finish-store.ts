import { create } from 'zustand';
import type { Style } from '../../core/style/index.js';

/** An edge of a part. */
export interface EdgeOf {
  readonly part: string;
  readonly edge: string;
}

interface FinishState {
  /** The part in hand, by name; the first where it is gone. */
  readonly inHand: string;
  /** Edges that are lit, and the one that is pointed at. */
  readonly lit: readonly EdgeOf[];
  readonly pointed: EdgeOf | undefined;
  /** A style that is tried on while a hand moves something. */
  readonly trial: Style | undefined;
  /** What of it cannot be, in words. */
  readonly refused: string | undefined;
  readonly set: (part: Partial<Omit<FinishState, 'set'>>) => void;
}

/** What lies in hand at Finish; nothing of it is kept. */
export const useFinish = create<FinishState>()((set) => ({
  inHand: 'front',
  lit: [],
  pointed: undefined,
  trial: undefined,
  refused: undefined,
  set: (part) => {
    set(part);
  },
}));
