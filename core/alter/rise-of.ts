import { pathLength, placeAtLength, startOf, subtract, type Path, type Point } from '../geometry/index.js';

/** How far apart, in mm, the points of a lent rise lie. */
const APART = 8;

/** A rise as it is lent, run from the crotch point up: points in mm from the crotch point, panel coordinates. */
export function riseOf(rise: Path): Point[] {
  const total = pathLength(rise);
  const count = Math.min(MOST - 1, Math.max(8, Math.round(total / APART)));
  const from = startOf(rise);
  return Array.from({ length: count + 1 }, (_, i) => subtract(placeAtLength(rise, (total * i) / count).at, from));
}

/** As many points as a lent rise may have. */
const MOST = 400;
