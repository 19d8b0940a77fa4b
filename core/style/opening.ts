import type { Leg } from '../draft/index.js';

/** Where a garment is opened to be put on. */
export interface Opening {
  readonly at: 'front' | 'side' | 'back';
  /** How far its end lies from the finished top edge, in mm along the seam. */
  readonly length: number;
  /** How far one end of the band laps over the other, in mm. */
  readonly overlap: number;
  /** Which end lies on top. */
  readonly over: Leg;
}
