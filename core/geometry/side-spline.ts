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
  const h = (i: number): number => (points[i + 1]?.y ?? 0) - (points[i]?.y ?? 0);
  const chord = (i: number): number => ((points[i + 1]?.x ?? 0) - (points[i]?.x ?? 0)) / h(i);
  // Thomas algorithm on the slopes m[0..n-1]; m[n] is given.
  const upper: number[] = [];
  const right: number[] = [];
  for (let i = 0; i < n; i++) {
    const lower = i === 0 ? 0 : 1 / h(i - 1);
    const middle = i === 0 ? 2 / h(0) : 2 / h(i - 1) + 2 / h(i);
    const above = 1 / h(i);
    let rhs = i === 0 ? (3 * chord(0)) / h(0) : (3 * chord(i - 1)) / h(i - 1) + (3 * chord(i)) / h(i);
    if (i === n - 1) rhs -= above * endSlope;
    const pivot = middle - lower * (upper[i - 1] ?? 0);
    upper.push(i === n - 1 ? 0 : above / pivot);
    right.push((rhs - lower * (right[i - 1] ?? 0)) / pivot);
  }
  const slopes: number[] = Array.from({ length: n + 1 }, () => endSlope);
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
