import { create } from 'zustand';
import type { MeasurementId } from '../../core/measure/index.js';

/** What fills the middle of the room while measuring. */
export type Middle = 'body' | 'pieces' | 'changes';

interface Measuring {
  /** The measurement in hand: its tape is drawn. */
  readonly inHand: MeasurementId;
  readonly middle: Middle;
  readonly set: (change: Partial<Pick<Measuring, 'inHand' | 'middle'>>) => void;
}

/** What is in hand at Measure, for as long as the program runs. */
export const useMeasuring = create<Measuring>()((set) => ({
  inHand: 'waist',
  middle: 'body',
  set,
}));
