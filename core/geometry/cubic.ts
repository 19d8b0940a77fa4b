import { add, between, cross, distance, dot, norm, point, subtract, unit, type Point } from './point.js';

/** A cubic Bézier curve by its four control points, in mm. Straight lines are cubics too (see `line`). */
export interface Cubic {
  readonly p0: Point;
  readonly p1: Point;
  readonly p2: Point;
  readonly p3: Point;
}

/** The curve with the given control points. */
export const cubic = (p0: Point, p1: Point, p2: Point, p3: Point): Cubic => ({ p0, p1, p2, p3 });

/** The straight line from `a` to `b` as a cubic run at even speed. */
export const line = (a: Point, b: Point): Cubic => cubic(a, between(a, b, 1 / 3), between(a, b, 2 / 3), b);

/** True where all control points lie on the chord to within `tolerance` mm. */
export function isStraight(c: Cubic, tolerance = 1e-6): boolean {
  const chord = subtract(c.p3, c.p0);
  const length = norm(chord) || 1;
  return (
    Math.abs(cross(chord, subtract(c.p1, c.p0))) / length <= tolerance &&
    Math.abs(cross(chord, subtract(c.p2, c.p0))) / length <= tolerance
  );
}

/** The point at parameter `t` (0 to 1). */
export function pointAt(c: Cubic, t: number): Point {
  const s = 1 - t;
  const a = s * s * s;
  const b = 3 * s * s * t;
  const d = 3 * s * t * t;
  const e = t * t * t;
  return point(a * c.p0.x + b * c.p1.x + d * c.p2.x + e * c.p3.x, a * c.p0.y + b * c.p1.y + d * c.p2.y + e * c.p3.y);
}

/** The first derivative at parameter `t`, in mm per unit of `t`. */
export function velocityAt(c: Cubic, t: number): Point {
  const s = 1 - t;
  const a = 3 * s * s;
  const b = 6 * s * t;
  const d = 3 * t * t;
  return point(
    a * (c.p1.x - c.p0.x) + b * (c.p2.x - c.p1.x) + d * (c.p3.x - c.p2.x),
    a * (c.p1.y - c.p0.y) + b * (c.p2.y - c.p1.y) + d * (c.p3.y - c.p2.y),
  );
}

/** The second derivative at parameter `t`, in mm per unit of `t` squared. */
export function accelerationAt(c: Cubic, t: number): Point {
  const s = 1 - t;
  return point(
    6 * s * (c.p2.x - 2 * c.p1.x + c.p0.x) + 6 * t * (c.p3.x - 2 * c.p2.x + c.p1.x),
    6 * s * (c.p2.y - 2 * c.p1.y + c.p0.y) + 6 * t * (c.p3.y - 2 * c.p2.y + c.p1.y),
  );
}

/** The unit direction of travel at `t`; where a handle has no length, that of the nearest control point apart. */
export function directionAt(c: Cubic, t: number): Point {
  const v = velocityAt(c, t);
  if (norm(v) > 1e-9) return unit(v);
  if (t < 0.5) return unit(subtract(distance(c.p0, c.p2) > 1e-9 ? c.p2 : c.p3, c.p0));
  return unit(subtract(c.p3, distance(c.p3, c.p1) > 1e-9 ? c.p1 : c.p0));
}

/** Signed curvature at `t`, in 1/mm; positive where the curve bends clockwise as seen with y down. */
export function curvatureAt(c: Cubic, t: number): number {
  const v = velocityAt(c, t);
  const speed = norm(v);
  return speed < 1e-12 ? 0 : cross(v, accelerationAt(c, t)) / (speed * speed * speed);
}

/** The curve cut at parameter `t` into its two halves (de Casteljau). */
export function splitAt(c: Cubic, t: number): readonly [Cubic, Cubic] {
  const a = between(c.p0, c.p1, t);
  const b = between(c.p1, c.p2, t);
  const d = between(c.p2, c.p3, t);
  const ab = between(a, b, t);
  const bd = between(b, d, t);
  const m = between(ab, bd, t);
  return [cubic(c.p0, a, ab, m), cubic(m, bd, d, c.p3)];
}

/** The part of the curve from parameter `from` to parameter `to`. */
export function partOf(c: Cubic, from: number, to: number): Cubic {
  const [, tail] = splitAt(c, from);
  return from >= 1 ? tail : splitAt(tail, (to - from) / (1 - from))[0];
}

/** The same curve run the other way. */
export const reverse = (c: Cubic): Cubic => cubic(c.p3, c.p2, c.p1, c.p0);

/** The curve with every control point carried by `move`, which must be affine. */
export const mapCubic = (c: Cubic, move: (p: Point) => Point): Cubic =>
  cubic(move(c.p0), move(c.p1), move(c.p2), move(c.p3));

/** The curve moved by a vector in mm. */
export const shiftCubic = (c: Cubic, by: Point): Cubic => mapCubic(c, (p) => add(p, by));

const GAUSS: readonly (readonly [number, number])[] = [
  [0.1834346424956498, 0.362683783378362],
  [0.525532409916329, 0.3137066458778873],
  [0.7966664774136267, 0.2223810344533745],
  [0.9602898564975363, 0.1012285362903763],
];

/** Gauss-Legendre quadrature of the speed, written out in plain numbers: lengths are asked for everywhere. */
function gaussLength({ p0, p1, p2, p3 }: Cubic, from: number, to: number): number {
  const ax = p1.x - p0.x;
  const ay = p1.y - p0.y;
  const bx = 2 * (p2.x - p1.x - ax);
  const by = 2 * (p2.y - p1.y - ay);
  const cx = p3.x - 2 * p2.x + p1.x - bx / 2;
  const cy = p3.y - 2 * p2.y + p1.y - by / 2;
  const middle = (from + to) / 2;
  const half = (to - from) / 2;
  let sum = 0;
  for (const [at, weight] of GAUSS) {
    const low = middle - half * at;
    const high = middle + half * at;
    const lx = ax + low * (bx + low * cx);
    const ly = ay + low * (by + low * cy);
    const hx = ax + high * (bx + high * cx);
    const hy = ay + high * (by + high * cy);
    sum += weight * (Math.sqrt(lx * lx + ly * ly) + Math.sqrt(hx * hx + hy * hy));
  }
  return 3 * sum * half;
}

/** Halves are always taken down to `forced` levels, then until they agree with the whole. */
function adaptiveLength(c: Cubic, from: number, to: number, whole: number, level: number, forced: number): number {
  const middle = (from + to) / 2;
  const left = gaussLength(c, from, middle);
  const right = gaussLength(c, middle, to);
  if (level >= DEEPEST || (level >= forced && Math.abs(left + right - whole) < 1e-7)) return left + right;
  return (
    adaptiveLength(c, from, middle, left, level + 1, forced) + adaptiveLength(c, middle, to, right, level + 1, forced)
  );
}

const DEEPEST = 16;

/** True where a curve may come nearly to a stop and turn round on itself: its control legs do not all run forward. */
function mayTurnRound({ p0, p1, p2, p3 }: Cubic): boolean {
  const [a, b, c] = [subtract(p1, p0), subtract(p2, p1), subtract(p3, p2)];
  return dot(a, b) <= 0 || dot(b, c) <= 0 || dot(a, c) <= 0;
}

/**
 * Length in mm of the curve between two parameters, to 1e-6 mm; to 0.01 mm where it has a cusp (adaptive
 * Gauss-Legendre quadrature).
 */
export function cubicLength(c: Cubic, from = 0, to = 1): number {
  if (isEvenLine(c)) return distance(c.p0, c.p3) * (to - from);
  return adaptiveLength(c, from, to, gaussLength(c, from, to), 0, mayTurnRound(c) ? 5 : 0);
}

/** True for a straight line run at even speed, as `line` gives it. */
function isEvenLine({ p0, p1, p2, p3 }: Cubic): boolean {
  const x = (p3.x - p0.x) / 3;
  const y = (p3.y - p0.y) / 3;
  const off = (a: Point, b: Point): number => Math.abs(b.x - a.x - x) + Math.abs(b.y - a.y - y);
  return off(p0, p1) < 1e-9 && off(p1, p2) < 1e-9;
}

/** The parameter at which the curve has run `length` mm; held to 0..1 beyond the ends. */
export function parameterAtLength(c: Cubic, length: number): number {
  const total = cubicLength(c);
  if (length <= 0 || total === 0) return 0;
  if (length >= total) return 1;
  let low = 0;
  let high = 1;
  let t = length / total;
  for (let i = 0; i < 40; i++) {
    const error = cubicLength(c, 0, t) - length;
    if (Math.abs(error) < 1e-7) break;
    if (error > 0) high = t;
    else low = t;
    const v = velocityAt(c, t);
    const next = t - error / norm(v);
    t = next > low && next < high ? next : (low + high) / 2;
  }
  return t;
}

/** The box about the control points: holds the whole curve. */
export function controlBox(c: Cubic): { minX: number; minY: number; maxX: number; maxY: number } {
  return {
    minX: Math.min(c.p0.x, c.p1.x, c.p2.x, c.p3.x),
    minY: Math.min(c.p0.y, c.p1.y, c.p2.y, c.p3.y),
    maxX: Math.max(c.p0.x, c.p1.x, c.p2.x, c.p3.x),
    maxY: Math.max(c.p0.y, c.p1.y, c.p2.y, c.p3.y),
  };
}
