import type { Leg } from '../../core/draft/index.js';

/** From which side one looks, in turns about the body, and from how far above. */
export interface Look {
  readonly turn: number;
  readonly tip: number;
  readonly near: number;
}

/** From the front, a little from above, as one stands before a toile. */
export const FRONT: Look = { turn: 0, tip: 0.04, near: 1 };

/** A place of a part of a leg, by the number it has in what hangs now. */
export interface Pointed {
  readonly leg: Leg;
  readonly part: string;
  readonly place: number;
}
