import { distance, nearestPlace, type Point } from '../../core/geometry/index.js';
import { EDGE_NAMES, type Block } from '../../core/draft/index.js';
import { PANEL_NAMES } from '../../core/method/index.js';
import { toBoard, toPanel, type Arranged } from './arrange.js';
import type { TakenPoint } from './board-store.js';
import type { Drawn } from './drawn-board.js';
import { fromScreen } from './view.js';

/** How near, in pixels, the measuring tool is drawn to a seam. */
const REACH = 12;

/** What two taken points measure, in mm. */
export interface Reading {
  readonly straight: number;
  readonly across: number;
  readonly down: number;
  /** Along the seam, where both lie on the same one. */
  readonly alongSeam: number | undefined;
}

/** Takes a board point, drawn to the nearest seam within `reach` mm. */
export function takePoint(block: Block, arranged: Arranged, at: Point, reach: number): TakenPoint {
  let best: { taken: TakenPoint; away: number } | undefined;
  for (const panel of PANEL_NAMES) {
    for (const edge of EDGE_NAMES) {
      const place = nearestPlace(block[panel].edges[edge], toPanel(at, arranged[panel]));
      if (place.distance <= reach && place.distance < (best?.away ?? Infinity)) {
        const taken = { at: toBoard(place.at, arranged[panel]), on: { panel, edge, length: place.length } };
        best = { taken, away: place.distance };
      }
    }
  }
  return best?.taken ?? { at, on: undefined };
}

/** Takes what lies under a place on the screen, in pixels. */
export const takeAt = ({ draft, arranged, view }: Drawn, at: Point): TakenPoint =>
  takePoint(draft.block, arranged, fromScreen(at, view), REACH / view.scale);

/** Reads the distance between two taken points, and the length of the seam between them. */
export function readBetween(a: TakenPoint, b: TakenPoint): Reading {
  const sameSeam = a.on && b.on && a.on.panel === b.on.panel && a.on.edge === b.on.edge;
  return {
    straight: distance(a.at, b.at),
    across: Math.abs(a.at.x - b.at.x),
    down: Math.abs(a.at.y - b.at.y),
    alongSeam: sameSeam && a.on && b.on ? Math.abs(a.on.length - b.on.length) : undefined,
  };
}
