import { create } from 'zustand';

/** What a hand on the piece does at True. */
export type TrueTool = 'cut' | 'seam' | 'scoop' | 'tilt' | 'dart';

/** The tools with their names and how each is used. */
export const TOOLS: readonly (readonly [TrueTool, string, string])[] = [
  ['cut', 'Slash', 'Draw the cut on the piece from a seam to the hinge on another, then pull the wedge open.'],
  ['seam', 'Seam', 'Take hold of a seam and move it out or in there; it runs out above and below.'],
  ['scoop', 'Scoop', 'Take hold of the crotch curve and push it deeper, or fill it.'],
  ['tilt', 'Seat line', 'Take hold of the centre seam near the waist and turn it in or out.'],
  [
    'dart',
    'Dart',
    'Take hold of a dart: at its mouth to move it, at its point to turn or lengthen it; up out of the waist to split it; onto side, centre or hem to turn it into that.',
  ],
];

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
