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
export const evenAlong = (run: Runner, count: number): Point[] =>
  Array.from({ length: count }, (_, i) => run.at((run.length * i) / (count - 1)));

/** The same for a path that is asked once. */
export const evenPoints = (path: Path, count: number): Point[] => evenAlong(runnerOf(path), count);

/** The nearest place found so far: where, and the square of how far it is. */
interface Nearest {
  readonly x: number;
  readonly y: number;
  readonly square: number;
}

/** Looks along the pieces of a line from one index to another for a place nearer to `p`. */
function nearer(points: readonly Point[], from: number, to: number, p: Point, known: Nearest): Nearest {
  let { x, y, square } = known;
  for (let i = from; i < to; i++) {
    const [a, b] = [points[i - 1] as Point, points[i] as Point];
    const [dx, dy] = [b.x - a.x, b.y - a.y];
    const long = dx * dx + dy * dy;
    const t = long === 0 ? 0 : Math.min(1, Math.max(0, ((p.x - a.x) * dx + (p.y - a.y) * dy) / long));
    const [fx, fy] = [a.x + dx * t, a.y + dy * t];
    const away = (p.x - fx) * (p.x - fx) + (p.y - fy) * (p.y - fy);
    if (away < square) [x, y, square] = [fx, fy, away];
  }
  return square === known.square ? known : { x, y, square };
}

/** The point of a run of straight lines that is nearest to `p`, and how far it is, in mm. */
export function nearestOnLine(line: readonly Point[], p: Point): { readonly at: Point; readonly distance: number } {
  const { x, y, square } = nearer(line, 1, line.length, p, { ...(line[0] ?? p), square: Infinity });
  return { at: { x, y }, distance: Math.sqrt(square) };
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

/** So many pieces of a line share one box. */
const IN_BOX = 12;

interface Box {
  readonly from: number;
  readonly to: number;
  readonly minX: number;
  readonly minY: number;
  readonly maxX: number;
  readonly maxY: number;
}

/** A run of straight lines that is asked often for its nearest point. */
export interface NearLine {
  readonly points: readonly Point[];
  readonly boxes: readonly Box[];
}

/** Boxes a line, so that most of it need not be looked at. */
export function nearLine(points: readonly Point[]): NearLine {
  const boxes: Box[] = [];
  for (let from = 1; from < points.length; from += IN_BOX) {
    const to = Math.min(points.length, from + IN_BOX);
    const run = points.slice(from - 1, to);
    const [xs, ys] = [run.map((p) => p.x), run.map((p) => p.y)];
    boxes.push({
      from,
      to,
      minX: Math.min(...xs),
      minY: Math.min(...ys),
      maxX: Math.max(...xs),
      maxY: Math.max(...ys),
    });
  }
  return { points, boxes };
}

/**
 * The point of a boxed line that is nearest to `p`, how far it is in mm, and in which box: where to look first for its
 * neighbour.
 */
export interface Near {
  readonly at: Point;
  readonly distance: number;
  readonly box: number;
}

/** The same as `nearestOnLine`, looking first into the box `first`. */
export function nearestIn({ points, boxes }: NearLine, p: Point, first: number): Near {
  let found: Nearest = { x: p.x, y: p.y, square: Infinity };
  let box = first;
  for (let k = -1; k < boxes.length; k++) {
    const which = k < 0 ? first : k;
    const b = boxes[which];
    if (!b || (k >= 0 && which === first)) continue;
    const outX = Math.max(b.minX - p.x, 0, p.x - b.maxX);
    const outY = Math.max(b.minY - p.y, 0, p.y - b.maxY);
    if (outX * outX + outY * outY >= found.square) continue;
    const here = nearer(points, b.from, b.to, p, found);
    if (here !== found) [found, box] = [here, which];
  }
  return { at: { x: found.x, y: found.y }, distance: Math.sqrt(found.square), box };
}
