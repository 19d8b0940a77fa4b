import { cubic } from './cubic.js';
import type { Path } from './path.js';
import { point, type Point } from './point.js';

/**
 * The smooth line down through the given points (y strictly growing): a cubic spline of x over y with
 * continuous curvature at the inner points, free (straight) at the top and arriving at the last point
 * with slope `endSlope` (dx/dy). Natural/clamped cubic spline; the slopes come from a tridiagonal system.
 */
export function splineDown(points: readonly Point[], endSlope: number): Path {
  const n = points.length - 1;
  const gaps: number[] = [];
  const chords: number[] = [];
  for (let i = 0; i < n; i++) {
    const a = points[i];
    const b = points[i + 1];
    if (!a || !b) continue;
    gaps.push(b.y - a.y);
    chords.push((b.x - a.x) / (b.y - a.y));
  }
  // Thomas algorithm on the slopes m[0..n-1]; m[n] is given.
  const upper: number[] = [];
  const right: number[] = [];
  for (let i = 0; i < n; i++) {
    const here = 1 / (gaps[i] ?? NaN);
    const before = i === 0 ? 0 : 1 / (gaps[i - 1] ?? NaN);
    let rhs = 3 * (chords[i] ?? NaN) * here + (i === 0 ? 0 : 3 * (chords[i - 1] ?? NaN) * before);
    if (i === n - 1) rhs -= here * endSlope;
    const pivot = 2 * (before + here) - before * (upper[i - 1] ?? 0);
    upper.push(i === n - 1 ? 0 : here / pivot);
    right.push((rhs - before * (right[i - 1] ?? 0)) / pivot);
  }
  const slopes: number[] = [];
  slopes[n] = endSlope;
  for (let i = n - 1; i >= 0; i--) slopes[i] = (right[i] ?? 0) - (upper[i] ?? 0) * (slopes[i + 1] ?? 0);
  return splineWithSlopes(points, slopes);
}

/** The line down through the points with the given slope (dx/dy) at each, one cubic a gap. */
export function splineWithSlopes(points: readonly Point[], slopes: readonly number[]): Path {
  return points.slice(0, -1).map((a, i) => {
    const b = points[i + 1] ?? a;
    const third = (b.y - a.y) / 3;
    return cubic(
      a,
      point(a.x + (slopes[i] ?? 0) * third, a.y + third),
      point(b.x - (slopes[i + 1] ?? 0) * third, b.y - third),
      b,
    );
  });
}
