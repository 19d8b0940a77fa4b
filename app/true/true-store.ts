import { create } from 'zustand';

/** What a hand on the piece does at True. */
export type TrueTool = 'cut' | 'seam' | 'scoop' | 'tilt' | 'dart';

interface TrueState {
  /** The tool in hand; nothing while the board is only looked at. */
  readonly tool: TrueTool | undefined;
  readonly set: (change: Partial<Omit<TrueState, 'set'>>) => void;
}

/** What bench and board share at True. */
export const useTrue = create<TrueState>()((set) => ({
  tool: undefined,
  set: (change) => {
    set(change);
  },
}));
