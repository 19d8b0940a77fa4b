import {
  cubicLength,
  distance,
  dot,
  flatten,
  parameterAtLength,
  pointAt,
  subtract,
  type Path,
  type Point,
} from '../geometry/index.js';

/** A path that can be asked for the place at any length, quickly however many curves it has. */
export interface Runner {
  readonly length: number;
  readonly at: (length: number) => Point;
}

/** Lays the lengths of a path's curves out once; lengths beyond the ends are held to them. */
export function runnerOf(path: Path): Runner {
  const starts = [0];
  for (const c of path) starts.push((starts[starts.length - 1] as number) + cubicLength(c));
  const length = starts[path.length] as number;
  return {
    length,
    at: (asked) => {
      const held = Math.min(length, Math.max(0, asked));
      let [low, high] = [0, path.length - 1];
      while (low < high) {
        const middle = (low + high) >> 1;
        if ((starts[middle + 1] as number) < held) low = middle + 1;
        else high = middle;
      }
      const c = path[low];
      if (!c) throw new Error('An empty path has no places');
      return pointAt(c, parameterAtLength(c, held - (starts[low] as number)));
    },
  };
}

/** `count` points spread evenly along a path, both ends among them. */
export function evenPoints(path: Path, count: number): Point[] {
  const run = runnerOf(path);
  return Array.from({ length: count }, (_, i) => run.at((run.length * i) / (count - 1)));
}

/** The point of a run of straight lines that is nearest to `p`, and how far it is, in mm. */
export function nearestOnLine(line: readonly Point[], p: Point): { readonly at: Point; readonly distance: number } {
  let [best, at] = [Infinity, line[0] ?? p];
  for (let i = 1; i < line.length; i++) {
    const [a, b] = [line[i - 1] as Point, line[i] as Point];
    const [dx, dy] = [b.x - a.x, b.y - a.y];
    const square = dx * dx + dy * dy;
    const t = square === 0 ? 0 : Math.min(1, Math.max(0, ((p.x - a.x) * dx + (p.y - a.y) * dy) / square));
    const [x, y] = [a.x + dx * t, a.y + dy * t];
    const away = (p.x - x) * (p.x - x) + (p.y - y) * (p.y - y);
    if (away < best) {
      best = away;
      at = { x, y };
    }
  }
  return { at, distance: Math.sqrt(best) };
}

/** How near, in mm, the straight lines stay to a curve that is measured against. */
const FLAT = 0.1;
/** How many places along a seam are measured. */
const PLACES = 80;

/** Where a path stands farthest from another, and how far, in mm (measured at eighty places along it). */
export function farthestFrom(path: Path, other: Path): { readonly at: Point; readonly distance: number } {
  const line = flatten(other, FLAT);
  return evenPoints(path, PLACES).reduce(
    (worst, p) => {
      const away = nearestOnLine(line, p).distance;
      return away > worst.distance ? { at: p, distance: away } : worst;
    },
    { at: path[0]?.p0 ?? { x: 0, y: 0 }, distance: 0 },
  );
}

/** Directions are compared over this length on each side, in mm: a coarse line of points is no row of corners. */
const LEG = 6;
/** What counts as a corner, as the cosine of the turn: more than 35 degrees. */
const TURN = Math.cos((35 * Math.PI) / 180);
/** Corners nearer than this, in mm, are one. */
const ONE = 12;

/** The corners of a path, as lengths from its start in mm: places at which it turns by more than 35 degrees at once. */
export function cornersOf(path: Path, closed: boolean): number[] {
  const run = runnerOf(path);
  if (run.length < 4 * LEG) return [];
  const wrap = (length: number): number => (closed ? (length + run.length) % run.length : length);
  const found: { length: number; cosine: number }[] = [];
  let length = 0;
  for (const c of path) {
    if (closed || (length > LEG && length < run.length - LEG)) {
      const [before, here, after] = [run.at(wrap(length - LEG)), run.at(length), run.at(wrap(length + LEG))];
      const [into, out] = [distance(before, here), distance(here, after)];
      const cosine = dot(subtract(here, before), subtract(after, here)) / (into * out || 1);
      const last = found[found.length - 1];
      if (cosine < TURN) {
        if (!last || length - last.length > ONE) found.push({ length, cosine });
        else if (cosine < last.cosine) found[found.length - 1] = { length, cosine };
      }
    }
    length += cubicLength(c);
  }
  const [first, last] = [found[0], found[found.length - 1]];
  // On a closed path the first and the last may be one corner, on either side of the start.
  if (closed && first && last && first !== last && first.length + run.length - last.length <= ONE) {
    found.splice(first.cosine <= last.cosine ? found.length - 1 : 0, 1);
  }
  return found.map((corner) => corner.length);
}
