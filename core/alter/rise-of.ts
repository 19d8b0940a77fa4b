import type { Panel } from '../draft/index.js';
import { pathLength, placeAtLength, subtract, type Point } from '../geometry/index.js';

/** How far apart, in mm, the points of a lent rise lie. */
const APART = 8;

/** The rise of a panel as it is lent: points from the crotch point up, in mm from the crotch point, panel coordinates. */
export function riseOf(panel: Panel): Point[] {
  const { rise } = panel.edges;
  const total = pathLength(rise);
  const count = Math.max(8, Math.round(total / APART));
  const { crotchPoint } = panel.points;
  return Array.from({ length: count + 1 }, (_, i) =>
    subtract(placeAtLength(rise, (total * i) / count).at, crotchPoint),
  );
}
