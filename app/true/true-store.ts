import { create } from 'zustand';
import type { CheckId } from '../../core/check/index.js';

/** What a hand on the piece does at True. */
export type TrueTool = 'cut' | 'seam' | 'scoop' | 'tilt' | 'dart';

interface TrueState {
  /** The tool in hand; nothing while the board is only looked at. */
  readonly tool: TrueTool | undefined;
  /** The alteration whose lines are shown on the piece. */
  readonly chosen: string | undefined;
  /** The check whose corrections are shown. */
  readonly check: CheckId | undefined;
  readonly set: (change: Partial<Omit<TrueState, 'set'>>) => void;
}

/** What bench and board share at True. */
export const useTrue = create<TrueState>()((set) => ({
  tool: undefined,
  chosen: undefined,
  check: undefined,
  set: (change) => {
    set(change);
  },
}));
