import { cubic, directionAt, isStraight, pointAt, shiftCubic, splitAt, velocityAt, type Cubic } from './cubic.js';
import type { Path } from './path.js';
import { along, distance, dot, point, quarterTurn, scale, subtract, type Point } from './point.js';

const SAMPLES = 12;

/** The point `by` mm to the right of travel at `t` (to the left where negative). */
const besideAt = (c: Cubic, t: number, by: number): Point => along(pointAt(c, t), quarterTurn(directionAt(c, t)), by);

function fitBeside(c: Cubic, by: number, ts: readonly number[], targets: readonly Point[]): Cubic {
  const a = besideAt(c, 0, by);
  const b = besideAt(c, 1, by);
  const u = directionAt(c, 0);
  const v = directionAt(c, 1);
  let uu = 0;
  let uv = 0;
  let vv = 0;
  let ur = 0;
  let vr = 0;
  for (const [i, t] of ts.entries()) {
    const s = 1 - t;
    const b1 = 3 * s * s * t;
    const b2 = 3 * s * t * t;
    const base = point(
      a.x * (s * s * s + b1) + b.x * (b2 + t * t * t),
      a.y * (s * s * s + b1) + b.y * (b2 + t * t * t),
    );
    const rest = subtract(targets[i] ?? base, base);
    const du = scale(u, b1);
    const dv = scale(v, -b2);
    uu += dot(du, du);
    uv += dot(du, dv);
    vv += dot(dv, dv);
    ur += dot(du, rest);
    vr += dot(dv, rest);
  }
  const det = uu * vv - uv * uv;
  const chord = distance(a, b) / 3;
  const near = (x: number): number => (Number.isFinite(x) && x > chord * 0.02 && x < chord * 6 ? x : chord);
  const alpha = near(Math.abs(det) < 1e-14 ? chord : (ur * vv - uv * vr) / det);
  const beta = near(Math.abs(det) < 1e-14 ? chord : (uu * vr - uv * ur) / det);
  return cubic(a, along(a, u, alpha), along(b, v, -beta), b);
}

function nearestParameter(c: Cubic, p: Point, guess: number): number {
  let t = guess;
  for (let i = 0; i < 4; i++) {
    const v = velocityAt(c, t);
    const step = dot(subtract(p, pointAt(c, t)), v) / (dot(v, v) || 1);
    t = Math.min(1, Math.max(0, t + step));
  }
  return t;
}

function offsetCubic(c: Cubic, by: number, tolerance: number, depth: number): Path {
  if (isStraight(c)) return [shiftCubic(c, scale(quarterTurn(directionAt(c, 0.5)), by))];
  const at = Array.from({ length: SAMPLES }, (_, i) => (i + 1) / (SAMPLES + 1));
  const targets = at.map((t) => besideAt(c, t, by));
  let fit = fitBeside(c, by, at, targets);
  for (let round = 0; round < 3; round++) {
    const settled = fit;
    fit = fitBeside(
      c,
      by,
      targets.map((p, i) => nearestParameter(settled, p, at[i] ?? 0.5)),
      targets,
    );
  }
  const settled = fit;
  const worst = Math.max(
    ...targets.map((p, i) => distance(p, pointAt(settled, nearestParameter(settled, p, at[i] ?? 0.5)))),
  );
  if (worst <= tolerance || depth === 0) return [fit];
  const [head, tail] = splitAt(c, 0.5);
  return [...offsetCubic(head, by, tolerance, depth - 1), ...offsetCubic(tail, by, tolerance, depth - 1)];
}

/**
 * The path `by` mm beside `path`: to the right of travel as seen with y down, to the left where negative.
 * Tangent-continuous least squares fit with adaptive splitting (handbook 5, section 3), within `tolerance` mm.
 * Corners of the path stay open: the caller joins them (see the piece stage).
 */
export function offsetPath(path: Path, by: number, tolerance = 0.01): Path {
  return by === 0 ? path : path.flatMap((c) => offsetCubic(c, by, tolerance, 7));
}
