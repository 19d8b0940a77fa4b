import { curvatureAt, directionAt, isStraight } from './cubic.js';
import type { Path } from './path.js';
import { angleBetween } from './point.js';

const DEGREES = 180 / Math.PI;

/** The sharpest corner, in degrees, between the curves of a path that should run smoothly. */
export function sharpestCorner(path: Path): number {
  let worst = 0;
  for (const [i, c] of path.entries()) {
    const next = path[i + 1];
    if (next) worst = Math.max(worst, angleBetween(directionAt(c, 1), directionAt(next, 0)) * DEGREES);
  }
  return worst;
}

/** Places along a curve at which its bend is looked at. */
const SAMPLES = 48;

/**
 * Least radius in mm of a path, and whether its curvature changes sign; bends gentler than `gentle` mm in radius have
 * none.
 */
export function bendOf(rise: Path, gentle = 1e6): { leastRadius: number; changesSign: boolean } {
  let sharpest = 0;
  let bendsLeft = false;
  let bendsRight = false;
  for (const c of rise) {
    if (isStraight(c)) continue;
    for (let i = 0; i <= SAMPLES; i++) {
      const k = curvatureAt(c, i / SAMPLES);
      sharpest = Math.max(sharpest, Math.abs(k));
      if (k > 1 / gentle) bendsLeft = true;
      if (k < -1 / gentle) bendsRight = true;
    }
  }
  return { leastRadius: sharpest === 0 ? Infinity : 1 / sharpest, changesSign: bendsLeft && bendsRight };
}
