import {
  angleBetween,
  directionAt,
  distance,
  isStraight,
  line,
  splineThrough,
  type Cubic,
  type Path,
  type Point,
} from '../geometry/index.js';

/** A row of straight lines that turns by more than this at a point has a corner there, in radians. */
const CORNER = 0.21;
/** A line so many times as long as its neighbour, and this long at least, in mm, is straight in the pattern itself. */
const STRAIGHT = { times: 4, least: 25 };
/** A curve that stands off its chord by less than this, in mm, is a straight line of a row. */
const FLAT = 0.005;

/** Points nearer to one another than this, in mm, only roughen the curve through them: some are passed over. */
const DENSE = 8;

const turns = (a: Cubic, b: Cubic): number => angleBetween(directionAt(a, 1), directionAt(b, 0));
const lengthOf = ({ p0, p3 }: Cubic): number => distance(p0, p3);

/** The first and the last of a row of points, and of those between only such as lie apart. */
function spread(points: readonly Point[]): Point[] {
  const taken: Point[] = [];
  const last = points[points.length - 1];
  for (const p of points) {
    const before = taken[taken.length - 1];
    if (!before || distance(before, p) >= DENSE) taken.push(p);
  }
  if (!last || taken[taken.length - 1] === last) return taken;
  return [...(taken.length > 1 ? taken.slice(0, -1) : taken), last];
}

/** A run of short straight lines as the curve through its points, leaving and arriving as what lies beside it does. */
function drawnThrough(row: Path, before: Cubic | undefined, after: Cubic | undefined): Path {
  const [first] = row;
  const last = row[row.length - 1];
  if (!first || !last || row.length < 3) return row;
  const points = spread([first.p0, ...row.map(({ p3 }) => p3)]);
  if (points.length < 3) return [line(first.p0, last.p3)];
  const smooth = (a: Cubic | undefined, b: Cubic | undefined): boolean => !!a && !!b && turns(a, b) < CORNER;
  const leaving = before && smooth(before, first) ? directionAt(before, 1) : endSlope(points);
  const back = endSlope([...points].reverse());
  const arriving = after && smooth(last, after) ? directionAt(after, 0) : { x: -back.x, y: -back.y };
  return splineThrough(points, leaving, arriving);
}

/** The direction in which the circle through the first three points leaves the first. */
function endSlope([a, b, c]: readonly Point[]): Point {
  if (!a || !b || !c) return { x: 0, y: 0 };
  const [h, k] = [distance(a, b), distance(b, c)];
  const mix = (p: 'x' | 'y'): number => {
    const [u, v] = [(b[p] - a[p]) / h, (c[p] - b[p]) / k];
    return u + ((u - v) * h) / (h + k);
  };
  const [x, y] = [mix('x'), mix('y')];
  const long = Math.hypot(x, y);
  return { x: x / long, y: y / long };
}

/**
 * A line that a file gives as a row of short straight ones, as the curve that they were taken from: drawn through
 * those of its points that it takes, with corners kept and what is straight in the pattern left straight. Curves stay as they are.
 */
export function fairRow(path: Path): Path {
  const drawn: Cubic[] = [];
  let row: Cubic[] = [];
  const close = (after: Cubic | undefined): void => {
    for (const c of drawnThrough(row, drawn[drawn.length - 1], after)) drawn.push(c);
    row = [];
  };
  for (const [i, c] of path.entries()) {
    const [before, after] = [path[i - 1], path[i + 1]];
    const near = [before, after].flatMap((other) => (other ? [lengthOf(other)] : []));
    const long = lengthOf(c) > STRAIGHT.least && lengthOf(c) > STRAIGHT.times * Math.min(...near, Infinity);
    if (!isStraight(c, FLAT) || long || near.length === 0) {
      close(c);
      drawn.push(isStraight(c, FLAT) ? line(c.p0, c.p3) : c);
      continue;
    }
    const last = row[row.length - 1];
    if (last && turns(last, c) > CORNER) close(c);
    row.push(c);
  }
  close(undefined);
  return drawn;
}
