import { directionAtPlace, pathLength, placeAtLength, quarterTurn, type Path, type Point } from '../geometry/index.js';
import type { Block, EdgeName, Panel } from '../draft/index.js';

/** A notch: where on the stitching line, which way is out, and how many cuts (one in front, two behind). */
export interface Notch {
  readonly edge: EdgeName;
  readonly label: 'hip' | 'crotch level' | 'knee';
  readonly at: Point;
  readonly outward: Point;
  readonly count: 1 | 2;
}

function notchAt(panel: Panel, edge: EdgeName, label: Notch['label'], length: number): Notch {
  const path = panel.edges[edge];
  const place = placeAtLength(path, length);
  const outward = quarterTurn(directionAtPlace(path, place));
  return { edge, label, at: place.at, outward, count: panel.name === 'front' ? 1 : 2 };
}

const lengthOf = (path: Path, from: number, to?: number): number => pathLength(path.slice(from, to));

/**
 * The notches of a panel (docs/trade/pieces.md): hip, crotch level and knee on the side, knee on the inseam. The
 * crotch level on the back is laid off from the knee at the front's length, so that the notches meet when sewn.
 */
export function notchesOf(block: Block, panel: Panel): Notch[] {
  const { side, inseam } = panel.edges;
  const { joints } = panel;
  const hip = lengthOf(side, 0, joints.sideHip);
  const knee = lengthOf(side, 0, joints.sideKnee);
  const front = block.front;
  const crotchToKnee = lengthOf(front.edges.side, front.joints.sideCrotch, front.joints.sideKnee);
  const notches = [notchAt(panel, 'side', 'hip', hip), notchAt(panel, 'side', 'crotch level', knee - crotchToKnee)];
  if (panel.kneeOnPiece) {
    notches.push(
      notchAt(panel, 'side', 'knee', knee),
      notchAt(panel, 'inseam', 'knee', lengthOf(inseam, 0, joints.inseamKnee)),
    );
  }
  return notches;
}
