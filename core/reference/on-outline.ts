import { boxOf, distance, flatten, runningLengths, type Box, type Path, type Point } from '../geometry/index.js';
import type { PanelName } from '../method/index.js';
import { pathOfShape, type LaidShape, type Reference, type Stretch } from './reference.js';

/** A place on a laid outline. */
export interface OutlinePlace {
  /** The number of the shape among those of the reference. */
  readonly index: number;
  /** How far along the shape, in mm from its start. */
  readonly length: number;
  readonly at: Point;
  /** How far the point that was asked for lies from it, in mm. */
  readonly distance: number;
}

const FLAT = 0.05;

/** The place on a laid outline nearest to a point; nothing where there is no outline. */
export function nearestOnOutline(outline: readonly LaidShape[], p: Point): OutlinePlace | undefined {
  let best: OutlinePlace | undefined;
  for (const { index, path, length } of outline) {
    const points = flatten(path, FLAT);
    const runs = runningLengths(points);
    const drawn = runs[runs.length - 1] as number;
    for (let i = 1; i < points.length; i++) {
      const [a, b] = [points[i - 1] as Point, points[i] as Point];
      const long = distance(a, b);
      const t =
        long === 0
          ? 0
          : Math.min(1, Math.max(0, ((p.x - a.x) * (b.x - a.x) + (p.y - a.y) * (b.y - a.y)) / (long * long)));
      const at = { x: a.x + t * (b.x - a.x), y: a.y + t * (b.y - a.y) };
      const away = distance(at, p);
      if (!best || away < best.distance) {
        // Lengths along the straight lines are brought to those of the real curve.
        best = { index, length: (((runs[i - 1] as number) + t * long) * length) / drawn, at, distance: away };
      }
    }
  }
  return best;
}

/**
 * The length along an outline between two of its places, the shorter way round where it is closed; nothing for two
 * shapes.
 */
export function alongOutline(outline: readonly LaidShape[], a: OutlinePlace, b: OutlinePlace): number | undefined {
  const shape = outline.find((s) => s.index === a.index);
  if (!shape || a.index !== b.index) return undefined;
  const between = Math.abs(a.length - b.length);
  return shape.closed ? Math.min(between, shape.length - between) : between;
}

/** The number of the stretch of a shape that a length along it lies on. */
export function stretchAt({ stretches }: Pick<LaidShape, 'stretches'>, length: number): number {
  const inside = ({ from, to }: Stretch): boolean =>
    from < to ? length >= from && length < to : length >= from || length < to;
  const found = stretches.findIndex(inside);
  return found < 0 ? stretches.length - 1 : found;
}

const boxAbout = (path: Path): Box => boxOf(path.flatMap((c) => [c.p0, c.p1, c.p2, c.p3]));

/**
 * The lines of a file that lie within the outline of a piece, or close about it, by their numbers: grain, darts, cut
 * line.
 */
export function linesBeside({ shapes }: Reference, panel: PanelName): number[] {
  const own = shapes.filter((s) => s.piece === panel).map((s) => boxAbout(pathOfShape(s)));
  if (own.length === 0) return [];
  const box = boxOf(
    own.flatMap((b) => [
      { x: b.minX, y: b.minY },
      { x: b.maxX, y: b.maxY },
    ]),
  );
  const room = 0.06 * Math.max(box.maxX - box.minX, box.maxY - box.minY);
  return shapes.flatMap((shape, i) => {
    if (shape.piece !== 'none') return [];
    const b = boxAbout(pathOfShape(shape));
    const within =
      b.minX > box.minX - room && b.maxX < box.maxX + room && b.minY > box.minY - room && b.maxY < box.maxY + room;
    return within ? [i] : [];
  });
}
