import {
  hollowCurve,
  line,
  point,
  reversePath,
  startDirection,
  type HollowCurve,
  type Path,
  type Point,
} from '../geometry/index.js';
import type { SeatLine } from './seat-line.js';

/** No radius of a crotch curve may be smaller than this, in mm (handbook 2, section 7). */
export const LEAST_CROTCH_RADIUS = 12;

/** The rise as drawn, from the crotch point up to the waist, and the curve in it. */
export interface Rise {
  readonly edge: Path;
  readonly curve: HollowCurve;
}

/**
 * The rise (handbook 2, section 7): straight down the centre line, then one smooth curve through the hollow point to
 * the crotch point, square to the inseam there. Nothing where no curve without a turn back can join them.
 */
export function drawRise(
  seat: SeatLine,
  corner: Point,
  crotchPoint: Point,
  inseam: Path,
  depth: number,
): Rise | undefined {
  const leaving = startDirection(inseam);
  const curve = hollowCurve({
    start: seat.curveStart,
    leaving: seat.down,
    end: crotchPoint,
    arriving: point(leaving.y, -leaving.x),
    corner,
    depth,
    leastRadius: LEAST_CROTCH_RADIUS,
  });
  if (!curve) return undefined;
  const straight = Math.hypot(seat.curveStart.x - seat.waistEnd.x, seat.curveStart.y - seat.waistEnd.y) > 1e-6;
  const down: Path = straight ? [line(seat.waistEnd, seat.curveStart), curve.curve] : [curve.curve];
  return { curve, edge: reversePath(down) };
}
