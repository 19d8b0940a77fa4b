import { flatten, boxOf, type Box, type Path, type Point } from '../../core/geometry/index.js';
import { outlineOf, type Block, type Panel } from '../../core/draft/index.js';
import type { Arrangement } from '../store/preferences.js';

/** Where a panel lies on the board: turned over or not, and how far along. Levels stay level: y is the panel's own. */
export interface Placement {
  readonly mirrored: boolean;
  readonly dx: number;
}

/** Both placements on one board. */
export interface Arranged {
  readonly front: Placement;
  readonly back: Placement;
}

/** Distance between the pieces at their nearest, in mm. */
const TOGETHER = 70;
const APART = 260;

const panelBox = (panel: Panel): Box => boxOf(flatten(outlineOf(panel), 1));

/** Lays the pieces out: side seams toward one another, crease on crease, or well apart. */
export function arrange(block: Block, arrangement: Arrangement): Arranged {
  if (arrangement === 'creases') {
    return { front: { mirrored: false, dx: -block.front.crease }, back: { mirrored: false, dx: -block.back.crease } };
  }
  const gap = arrangement === 'apart' ? APART : TOGETHER;
  return {
    front: { mirrored: true, dx: panelBox(block.front).minX - gap / 2 },
    back: { mirrored: false, dx: gap / 2 - panelBox(block.back).minX },
  };
}

/** A panel's point on the board. */
export const toBoard = (p: Point, place: Placement): Point => ({ x: place.dx + (place.mirrored ? -p.x : p.x), y: p.y });

/** A point of the board in a panel's own coordinates. */
export const toPanel = (p: Point, place: Placement): Point => ({
  x: place.mirrored ? place.dx - p.x : p.x - place.dx,
  y: p.y,
});

/** A panel's path on the board. */
export const pathToBoard = (path: Path, place: Placement): Path =>
  path.map((c) => ({
    p0: toBoard(c.p0, place),
    p1: toBoard(c.p1, place),
    p2: toBoard(c.p2, place),
    p3: toBoard(c.p3, place),
  }));

/** The box about both pieces on the board, in mm. */
export function boardBox(block: Block, arranged: Arranged): Box {
  const points = (['front', 'back'] as const).flatMap((name) =>
    flatten(outlineOf(block[name]), 1).map((p) => toBoard(p, arranged[name])),
  );
  return boxOf(points);
}
