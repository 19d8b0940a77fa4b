import { angleBetween, distance, mapPath, subtract, unit, type Path, type Point } from '../geometry/index.js';
import type { Block, Dart, Panel } from '../draft/index.js';
import type { Levels } from '../method/index.js';

/** How much a cloth shrinks, as shares of its length (along the grain line) and its width. */
export interface Shrinkage {
  readonly length: number;
  readonly width: number;
}

/** A cloth that does not shrink. */
export const NO_SHRINKAGE: Shrinkage = { length: 0, width: 0 };

function grownPanel(panel: Panel, move: (p: Point) => Point, grown: (levels: Levels) => Levels): Panel {
  const path = (p: Path): Path => mapPath(p, move);
  const paths = <K extends string>(all: Readonly<Record<K, Path>>): Record<K, Path> =>
    Object.fromEntries(Object.entries<Path>(all).map(([name, p]) => [name, path(p)])) as Record<K, Path>;
  const points = Object.fromEntries(
    Object.entries(panel.points as unknown as Record<string, Point>).map(([name, p]) => [name, move(p)]),
  ) as unknown as Panel['points'];
  const darts = panel.darts.map((d): Dart => {
    const [apex, centreLeg, sideLeg] = [move(d.apex), move(d.centreLeg), move(d.sideLeg)];
    return {
      apex,
      centreLeg,
      sideLeg,
      peak: move(d.peak),
      intake: distance(centreLeg, sideLeg),
      length: distance(apex, centreLeg),
    };
  });
  // Directions are carried by the cloth as well.
  const turned = (d: Point): Point => unit(subtract(move(d), move({ x: 0, y: 0 })));
  const centreDown = turned(panel.centreDown);
  return {
    ...panel,
    levels: grown(panel.levels),
    edges: paths(panel.edges),
    points,
    darts,
    waistSections: panel.waistSections.map(path),
    closedWaist: path(panel.closedWaist),
    closedSideUp: turned(panel.closedSideUp),
    crease: move({ x: panel.crease, y: 0 }).x,
    centreDown,
    seatAngle: Math.sign(centreDown.x) * angleBetween(centreDown, { x: 0, y: 1 }),
    crotchWidth: points.crotchPoint.x - points.sideCrotch.x,
    hollow: distance(points.hollow, points.corner),
  };
}

/**
 * A block grown by what the cloth will shrink, so that the washed pieces come back to their net size
 * (docs/trade/pieces.md). Allowances are laid on afterwards and do not grow.
 */
export function grownBlock(block: Block, { length, width }: Shrinkage): Block {
  if (length === 0 && width === 0) return block;
  const move = (p: Point): Point => ({ x: p.x / (1 - width), y: p.y / (1 - length) });
  const grown = (levels: Levels): Levels =>
    Object.fromEntries(
      Object.entries(levels as unknown as Record<string, number>).map(([name, y]) => [name, y / (1 - length)]),
    ) as unknown as Levels;
  return {
    levels: grown(block.levels),
    front: grownPanel(block.front, move, grown),
    back: grownPanel(block.back, move, grown),
  };
}
