import { cubic, pointAt, velocityAt, type Cubic } from './cubic.js';
import { along, distance, dot, point, subtract, type Point } from './point.js';

/** The ends of a curve to be fitted, with its unit tangents there. */
export interface FitEnds {
  readonly start: Point;
  readonly leaving: Point;
  readonly end: Point;
  readonly arriving: Point;
}

/**
 * The lengths of the two handles, in mm, for which the cubic between the ends lies nearest to `points` at the
 * parameters `ts` (least squares); a length that the points do not settle, or that `held` refuses, is a third of the
 * chord.
 */
export function fitCubic(
  { start, leaving, end, arriving }: FitEnds,
  ts: readonly number[],
  points: readonly Point[],
  held: (length: number, chord: number) => boolean,
): Cubic {
  let uu = 0;
  let uv = 0;
  let vv = 0;
  let ur = 0;
  let vr = 0;
  const across = dot(leaving, arriving);
  for (let i = 0; i < points.length; i++) {
    const t = ts[i] as number;
    const s = 1 - t;
    const b1 = 3 * s * s * t;
    const b2 = 3 * s * t * t;
    const [a, b] = [s * s * s + b1, b2 + t * t * t];
    const rest = subtract(points[i] as Point, point(start.x * a + end.x * b, start.y * a + end.y * b));
    uu += b1 * b1;
    uv -= b1 * b2 * across;
    vv += b2 * b2;
    ur += b1 * dot(leaving, rest);
    vr -= b2 * dot(arriving, rest);
  }
  const det = uu * vv - uv * uv;
  const chord = distance(start, end);
  const settled = (x: number): number => (Math.abs(det) > 1e-14 && held(x, chord) ? x : chord / 3);
  const alpha = settled((ur * vv - uv * vr) / det);
  const beta = settled((uu * vr - uv * ur) / det);
  return cubic(start, along(start, leaving, alpha), along(end, arriving, -beta), end);
}

/** The parameter of the place on a cubic nearest to a point, by Newton's steps from a guess. */
export function nearestParameter(c: Cubic, p: Point, guess: number): number {
  let t = guess;
  for (let i = 0; i < 4; i++) {
    const v = velocityAt(c, t);
    const step = dot(subtract(p, pointAt(c, t)), v) / (dot(v, v) || 1);
    t = Math.min(1, Math.max(0, t + step));
  }
  return t;
}

const ROUNDS = 3;

/**
 * The cubic fitted to points with the parameters set anew on what was fitted, round by round, and how far the farthest
 * point lies from it, in mm (Schneider 1990).
 */
export function settledCubic(
  ends: FitEnds,
  first: readonly number[],
  points: readonly Point[],
  held: (length: number, chord: number) => boolean,
): { readonly curve: Cubic; readonly worst: number } {
  let ts = first;
  let curve = fitCubic(ends, ts, points, held);
  for (let round = 0; round < ROUNDS; round++) {
    ts = points.map((p, i) => nearestParameter(curve, p, first[i] as number));
    curve = fitCubic(ends, ts, points, held);
  }
  const worst = points.reduce(
    (most, p, i) => Math.max(most, distance(p, pointAt(curve, nearestParameter(curve, p, first[i] as number)))),
    0,
  );
  return { curve, worst };
}
