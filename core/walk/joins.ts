import { angleBetween, endDirection, quarterTurn, scale, startDirection } from '../geometry/index.js';
import type { Block, Panel } from '../draft/index.js';

const DEGREES = 180 / Math.PI;

/**
 * The greatest angle, in degrees, by which the waist is out of square at centres and sides and broken at closed darts.
 */
export function waistRun(block: Block): number {
  const off = (panel: Panel): { atCentre: number; atSide: number; atDarts: number } => {
    const atCentre = angleBetween(startDirection(panel.closedWaist), quarterTurn(panel.centreDown)) * DEGREES;
    const atSide = angleBetween(endDirection(panel.closedWaist), panel.closedSideUp) * DEGREES;
    let atDarts = 0;
    for (const [i, dart] of panel.darts.entries()) {
      const before = panel.waistSections[i];
      const after = panel.waistSections[i + 1];
      if (!before || !after) continue;
      const legTurn = angleBetween(
        { x: dart.centreLeg.x - dart.apex.x, y: dart.centreLeg.y - dart.apex.y },
        { x: dart.sideLeg.x - dart.apex.x, y: dart.sideLeg.y - dart.apex.y },
      );
      const jump = angleBetween(endDirection(before), startDirection(after)) - legTurn;
      atDarts = Math.max(atDarts, Math.abs(jump) * DEGREES);
    }
    return { atCentre, atSide, atDarts };
  };
  const front = off(block.front);
  const back = off(block.back);
  return Math.max(
    front.atCentre,
    back.atCentre,
    Math.abs(front.atSide + back.atSide - 180),
    front.atDarts,
    back.atDarts,
  );
}

/** How far, in degrees, the joined rises are from running straight on at the inseam. */
export function crotchJoin(block: Block): number {
  const angle = (panel: Panel): number =>
    angleBetween(startDirection(panel.edges.rise), scale(endDirection(panel.edges.inseam), -1)) * DEGREES;
  return angle(block.front) + angle(block.back) - 180;
}

/** How far, in degrees, the waists, darts closed and sides laid together, are from running straight on at the side. */
export function waistJoin(block: Block): number {
  const across = (panel: Panel): number => angleBetween(endDirection(panel.closedWaist), panel.closedSideUp) * DEGREES;
  return across(block.front) + across(block.back) - 180;
}
