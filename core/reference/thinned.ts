import { isStraight, line, type Path, type Point } from '../geometry/index.js';

/** The points of a row that are needed to stay within `off` of all of them (Douglas and Peucker). */
function needed(points: readonly Point[], off: number): Point[] {
  const keep = new Set([0, points.length - 1]);
  const spans: [number, number][] = [[0, points.length - 1]];
  for (let span = spans.pop(); span; span = spans.pop()) {
    const [from, to] = span;
    const [a, b] = [points[from] as Point, points[to] as Point];
    const [dx, dy] = [b.x - a.x, b.y - a.y];
    const square = dx * dx + dy * dy;
    let [worst, at] = [off, -1];
    for (let i = from + 1; i < to; i++) {
      const p = points[i] as Point;
      const t = square === 0 ? 0 : Math.min(1, Math.max(0, ((p.x - a.x) * dx + (p.y - a.y) * dy) / square));
      const away = Math.hypot(p.x - a.x - t * dx, p.y - a.y - t * dy);
      if (away > worst) [worst, at] = [away, i];
    }
    if (at < 0) continue;
    keep.add(at);
    spans.push([from, at], [at, to]);
  }
  return [...keep].sort((i, j) => i - j).map((i) => points[i] as Point);
}

/** A path whose rows of straight lines are drawn with fewer, standing at most `off` from the row; curves stay. */
export function thinned(path: Path, off: number): Path {
  const drawn: Path[number][] = [];
  let row: Point[] = [];
  const close = (): void => {
    const points = row.length > 2 ? needed(row, off) : row;
    for (let i = 1; i < points.length; i++) drawn.push(line(points[i - 1] as Point, points[i] as Point));
    row = [];
  };
  for (const c of path) {
    if (!isStraight(c, off / 10)) {
      close();
      drawn.push(c);
      continue;
    }
    if (row.length === 0) row.push(c.p0);
    row.push(c.p3);
  }
  close();
  return drawn;
}
