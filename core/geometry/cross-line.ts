import { pointAt, splitAt, type Cubic } from './cubic.js';
import type { Path } from './path.js';
import { dot, subtract, type Point } from './point.js';

/** A place where a path crosses a straight line. */
export interface LineCrossing {
  /** Which curve of the path, and at which parameter. */
  readonly index: number;
  readonly t: number;
  readonly at: Point;
  /** How far along the line, in mm from the point it was given by. */
  readonly along: number;
}

const DEEPEST = 40;

/** The parameters at which a cubic with Bernstein coefficients `q` is nought (subdivision by sign changes). */
function roots(q: readonly [number, number, number, number], from: number, to: number, depth: number): number[] {
  const [a, b, c, d] = q;
  const least = Math.min(a, b, c, d);
  const most = Math.max(a, b, c, d);
  if (least > 0 || most < 0) return [];
  // A curve that begins or ends on the line and lies on one side of it else: named points lie on named levels.
  if (a === 0 && b * c > 0 && c * d > 0) return [from];
  if (d === 0 && a * b > 0 && b * c > 0) return [to];
  const changes = Number(a * b < 0) + Number(b * c < 0) + Number(c * d < 0);
  if (changes === 1 && a * d < 0) return [from + (to - from) * single(q)];
  if (depth === DEEPEST || most - least < 1e-12) return [(from + to) / 2];
  const ab = (a + b) / 2;
  const bc = (b + c) / 2;
  const cd = (c + d) / 2;
  const abc = (ab + bc) / 2;
  const bcd = (bc + cd) / 2;
  const middle = (abc + bcd) / 2;
  const half = (from + to) / 2;
  return [...roots([a, ab, abc, middle], from, half, depth + 1), ...roots([middle, bcd, cd, d], half, to, depth + 1)];
}

/** The one root of a cubic whose ends differ in sign: Newton's method held between bounds. */
function single([a, b, c, d]: readonly [number, number, number, number]): number {
  let low = 0;
  let high = 1;
  let t = a / (a - d);
  for (let i = 0; i < 60; i++) {
    const s = 1 - t;
    const value = s * s * s * a + 3 * s * s * t * b + 3 * s * t * t * c + t * t * t * d;
    if (value === 0) break;
    if (value > 0 === a > 0) low = t;
    else high = t;
    const slope = 3 * (s * s * (b - a) + 2 * s * t * (c - b) + t * t * (d - c));
    const next = t - value / slope;
    const held = next > low && next < high ? next : (low + high) / 2;
    if (Math.abs(held - t) < 1e-14) break;
    t = held;
  }
  return t;
}

/**
 * Every place where a path crosses the line through `on` with unit direction `d`, in the order of the path. Exact for
 * cubics: roots of the distance from the line by Bernstein subdivision and Newton's method.
 */
export function crossLine(path: Path, on: Point, d: Point): LineCrossing[] {
  const off = (p: Point): number => d.x * (p.y - on.y) - d.y * (p.x - on.x);
  const found: LineCrossing[] = [];
  for (let index = 0; index < path.length; index++) {
    const c = path[index] as Cubic;
    const [p, q, r, s] = [off(c.p0), off(c.p1), off(c.p2), off(c.p3)];
    // Most curves lie all on one side of the line.
    if ((p > 0 && q > 0 && r > 0 && s > 0) || (p < 0 && q < 0 && r < 0 && s < 0)) continue;
    for (const t of roots([p, q, r, s], 0, 1, 0)) {
      const at = pointAt(c, t);
      const along = dot(subtract(at, on), d);
      const last = found[found.length - 1];
      if (last && Math.hypot(last.at.x - at.x, last.at.y - at.y) < 1e-7) continue;
      found.push({ index, t, at, along });
    }
  }
  return found;
}

/** A curve cut into `count` parts of even parameter. */
export function partsOf(c: Cubic, count: number): Cubic[] {
  if (count <= 1) return [c];
  const [head, tail] = splitAt(c, 1 / count);
  return [head, ...partsOf(tail, count - 1)];
}
