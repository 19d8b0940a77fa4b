import { create } from 'zustand';
import type { Unit } from '../../core/units/index.js';
import type { MeasurementId } from '../../core/measure/index.js';

interface Measuring {
  /** The measurement in hand: its tape is drawn. */
  readonly inHand: MeasurementId;
  /** True while what a newer set would change is shown in the place of the body or the pieces. */
  readonly comparing: boolean;
  /** The unit in which a first figure was typed, where it is another than the one that is shown. */
  readonly typedIn: Unit | undefined;
  readonly set: (change: Partial<Pick<Measuring, 'inHand' | 'comparing' | 'typedIn'>>) => void;
}

/** What is in hand at Measure, for as long as the program runs. */
export const useMeasuring = create<Measuring>()((set) => ({
  inHand: 'waist',
  comparing: false,
  typedIn: undefined,
  set,
}));
