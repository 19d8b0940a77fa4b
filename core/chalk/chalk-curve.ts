import {
  along,
  angleBetween,
  directionAtPlace,
  distance,
  flatten,
  line,
  pathLength,
  placeAtLength,
  point,
  scale,
  splineThrough,
  subtract,
  type Path,
  type Point,
} from '../geometry/index.js';

/** The marks of a tape laid along and across: where they begin, and how far apart they are, in mm. */
export interface Grid {
  readonly x0: number;
  readonly y0: number;
  readonly step: number;
}

/** The mark nearest to a point, both ways. */
export const onMarks = ({ x, y }: Point, { x0, y0, step }: Grid): Point =>
  point(x0 + Math.round((x - x0) / step) * step, y0 + Math.round((y - y0) / step) * step);

/** The slope with which a parabola through three points leaves the first of them. */
function slopeAt(a: Point, b: Point, c: Point): Point {
  const [h, k] = [Math.max(1e-6, distance(a, b)), Math.max(1e-6, distance(b, c))];
  const first = scale(subtract(b, a), 1 / h);
  const second = scale(subtract(c, b), 1 / k);
  return along(first, subtract(first, second), h / (h + k));
}

/** The smooth line that a hand draws through points: a spline whose ends go on as parabolas; two points give a straight. */
export function lineThrough(points: readonly Point[]): Path {
  const [a, b, c] = points;
  const [z, y, x] = points.slice(-3).reverse();
  if (!a || !b) return [];
  if (!c || !x || !y || !z) return [line(a, b)];
  const arriving = scale(slopeAt(z, y, x), -1);
  return splineThrough(points, slopeAt(a, b, c), arriving);
}

/** How far a point lies off a run of short straights, in mm. */
function awayFrom(run: readonly Point[], p: Point): number {
  let best = Infinity;
  for (let i = 1; i < run.length; i++) {
    const [a, b] = [run[i - 1] as Point, run[i] as Point];
    const [dx, dy] = [b.x - a.x, b.y - a.y];
    const long = dx * dx + dy * dy;
    const t = long === 0 ? 0 : Math.min(1, Math.max(0, ((p.x - a.x) * dx + (p.y - a.y) * dy) / long));
    best = Math.min(best, Math.hypot(p.x - a.x - t * dx, p.y - a.y - t * dy));
  }
  return best;
}

/** The largest distance of a path from another that is drawn in its place, in mm. */
export function furthestApart(path: Path, other: Path): number {
  const run = flatten(other, 0.05);
  return Math.max(...flatten(path, 0.05).map((p) => awayFrom(run, p)));
}

/** A line drawn through exact points comes within this share of a step of the curve. */
const NEAR_ENOUGH = 0.25;
/** As many points as are chalked on one curve. */
const MOST_POINTS = 11;
/** A point may be put off its even place by this share of the way to the next. */
const OFF_EVEN = 0.3;
const TRIES = 24;

/** Between two points a curve turns by no more than this, in radians, so that any hand draws it alike. */
const MOST_TURN = 0.6;

/** How many points between its ends a curve needs so that a hand draws it. */
function pointsNeeded(path: Path, step: number): number {
  const length = pathLength(path);
  for (let count = 1; count < MOST_POINTS; count++) {
    const places = Array.from({ length: count + 2 }, (_, i) => placeAtLength(path, (i * length) / (count + 1)));
    const directions = places.map((place) => directionAtPlace(path, place));
    if (directions.some((d, i) => angleBetween(d, directions[i - 1] ?? d) > MOST_TURN)) continue;
    if (furthestApart(path, lineThrough(places.map(({ at }) => at))) < NEAR_ENOUGH * step) return count;
  }
  return MOST_POINTS;
}

/**
 * The points between its ends through which a curve is drawn, put where it passes nearest to marks of the tape
 * (docs/trade/chalk.md). `from` and `to` are where its ends were chalked: the curve goes with them.
 */
export function throughPoints(path: Path, from: Point, to: Point, grid: Grid): readonly Point[] {
  const length = pathLength(path);
  const [start, end] = [placeAtLength(path, 0).at, placeAtLength(path, length).at];
  const [first, last] = [subtract(from, start), subtract(to, end)];
  const count = pointsNeeded(path, grid.step);
  return Array.from({ length: count }, (_, i): Point => {
    const even = (i + 1) / (count + 1);
    let best: { at: Point; cost: number } | undefined;
    for (let k = -TRIES; k <= TRIES; k++) {
      const share = even + ((k / TRIES) * OFF_EVEN) / (count + 1);
      const { at } = placeAtLength(path, share * length);
      const moved = point(at.x + first.x * (1 - share) + last.x * share, at.y + first.y * (1 - share) + last.y * share);
      const mark = onMarks(moved, grid);
      const cost = distance(mark, moved) / grid.step + (0.1 * Math.abs(k)) / TRIES;
      if (!best || cost < best.cost) best = { at: mark, cost };
    }
    return best?.at ?? start;
  });
}
