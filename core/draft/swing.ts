import { cross, dot, type Point } from '../geometry/index.js';

/** The directions in which a panel's two seams leave the waist. */
export interface WaistSeams {
  readonly centre: Point;
  readonly side: Point;
}

const turned = (a: Point, b: Point): number => Math.atan2(cross(a, b), dot(a, b));

/**
 * How far a cut has swung the top of a panel from how it was drafted, in radians: what centre line and side have both
 * turned by at the waist; 0 where only one of them has, or each its own way.
 */
export function swingBetween(was: WaistSeams, is: WaistSeams): number {
  const centre = turned(was.centre, is.centre);
  const side = turned(was.side, is.side);
  if (centre * side <= 0) return 0;
  return Math.abs(centre) < Math.abs(side) ? centre : side;
}
