import { along, dot, meetLines, point, subtract, unit, type Point } from '../geometry/index.js';
import type { Levels, PanelParameters } from '../method/index.js';

/** The centre line of a panel: straight from the waist to where the crotch curve begins. */
export interface SeatLine {
  readonly waistEnd: Point;
  readonly tiltPoint: Point;
  readonly curveStart: Point;
  /** Unit direction from the waist down. */
  readonly down: Point;
  /** Angle from the vertical in radians; positive leans in at the waist. */
  readonly angle: number;
}

/** What is added to a sheet's centre line, in mm at the waist. */
export interface CentreMoved {
  /** Further in (+) or out (-). Leaned out beyond the plumb, it hinges at the corner. */
  readonly in: number;
  readonly lift: number;
}

/**
 * The centre line from its parameters (docs/trade/parameters.md): through the tilt point on the centre frame line
 * and the waist end; the curve starts on it at `curveRise` above the crotch line, beyond the frame where that
 * lies lower than the tilt point.
 */
export function seatLine(p: PanelParameters, levels: Levels, moved: CentreMoved): SeatLine {
  const tiltPoint = point(p.hipWidth, levels.crotchLevel - (p.centreIn + moved.in < 0 ? 0 : p.tiltFrom));
  const waistEnd = point(p.hipWidth - p.centreIn - moved.in, -p.centreLift - moved.lift);
  const down = unit(subtract(tiltPoint, waistEnd));
  const startLevel = point(0, levels.crotchLevel - p.curveRise);
  const meeting = meetLines(waistEnd, down, startLevel, point(1, 0));
  const angle = Math.atan((tiltPoint.x - waistEnd.x) / (tiltPoint.y - waistEnd.y));
  return { waistEnd, tiltPoint, down, angle, curveStart: meeting?.at ?? waistEnd };
}

/**
 * The x at which a point on level `y` lies `width` mm square off the centre line, on the side's side of it:
 * where the hip point goes so that tilting takes nothing from the hip girth (`hipKept`).
 */
export function squareOffCentre(line: SeatLine, width: number, y: number): number {
  const onLine = along(line.waistEnd, line.down, (y - line.waistEnd.y) / line.down.y);
  return onLine.x - width / line.down.y;
}

/** The foot on the centre line, extended where the crotch curve has begun, of the perpendicular from `p`. */
export const footOnCentre = ({ waistEnd, down }: SeatLine, p: Point): Point =>
  along(waistEnd, down, dot(subtract(p, waistEnd), down));
