import { turn, type Point } from '../geometry/index.js';

/** A dart before the waist is laid over it. */
export interface FlatDart {
  readonly apex: Point;
  /** Unit direction of its middle apex to waist. */
  readonly up: Point;
  /** Angle between the legs, radians. */
  readonly angle: number;
}

/** Carries a point sideward of the first `count` darts to where it lies once those are closed. */
export function close(p: Point, darts: readonly FlatDart[], count: number): Point {
  let q = p;
  for (let i = count - 1; i >= 0; i--) {
    const d = darts[i];
    if (d) q = turn(q, d.angle, d.apex);
  }
  return q;
}

/** The reverse of `close`. */
export function open(p: Point, darts: readonly FlatDart[], count: number): Point {
  let q = p;
  for (let i = 0; i < count; i++) {
    const d = darts[i];
    if (d) q = turn(q, -d.angle, d.apex);
  }
  return q;
}
