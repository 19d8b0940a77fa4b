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

/**
 * The centre line from its parameters (handbook 2, section 5): through the tilt point on the centre frame line
 * and the waist end; the curve starts on it at `curveRise` above the crotch line, beyond the frame where that
 * lies lower than the tilt point. `furtherIn` mm are added to centreIn by the waist plan.
 */
export function seatLine(p: PanelParameters, levels: Levels, furtherIn: number): SeatLine {
  const tiltPoint = point(p.hipWidth, levels.crotchLevel - p.tiltFrom);
  const waistEnd = point(p.hipWidth - p.centreIn - furtherIn, -p.centreLift);
  const down = unit(subtract(tiltPoint, waistEnd));
  const startLevel = point(0, levels.crotchLevel - p.curveRise);
  const meeting = meetLines(waistEnd, down, startLevel, point(1, 0));
  const angle = Math.atan((p.centreIn + furtherIn) / (levels.crotchLevel - p.tiltFrom + p.centreLift));
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
