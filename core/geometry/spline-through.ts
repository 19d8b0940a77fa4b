import type { Path } from './path.js';
import { distance, point, type Point } from './point.js';

/** The smooth line through points with the given directions at its ends: a cubic spline over chord length (clamped). */
export function splineThrough(points: readonly Point[], leaving: Point, arriving: Point): Path {
  const n = points.length - 1;
  const gaps = points.slice(1).map((p, i) => Math.max(1e-6, distance(p, points[i] ?? p)));
  const solve = (of: (p: Point) => number, first: number, last: number): number[] => {
    const values = points.map(of);
    const slopes = new Array<number>(n + 1).fill(0);
    slopes[0] = first;
    slopes[n] = last;
    const upper: number[] = [];
    const right: number[] = [];
    for (let i = 1; i < n; i++) {
      const [h, k] = [gaps[i - 1] ?? 1, gaps[i] ?? 1];
      const [v0, v1, v2] = [values[i - 1] as number, values[i] as number, values[i + 1] as number];
      let rhs = 3 * ((v1 - v0) / (h * h) + (v2 - v1) / (k * k));
      const lower = 1 / h;
      if (i === 1) rhs -= lower * first;
      if (i === n - 1) rhs -= last / k;
      const pivot = 2 * (1 / h + 1 / k) - (i === 1 ? 0 : lower * (upper[i - 2] as number));
      upper.push(i === n - 1 ? 0 : 1 / k / pivot);
      right.push((rhs - (i === 1 ? 0 : lower * (right[i - 2] as number))) / pivot);
    }
    for (let i = n - 1; i >= 1; i--)
      slopes[i] = (right[i - 1] as number) - (upper[i - 1] as number) * (i === n - 1 ? 0 : (slopes[i + 1] as number));
    return slopes;
  };
  const xs = solve((p) => p.x, leaving.x, arriving.x);
  const ys = solve((p) => p.y, leaving.y, arriving.y);
  return gaps.map((gap, i) => {
    const a = points[i] ?? point(0, 0);
    const b = points[i + 1] ?? a;
    const third = gap / 3;
    return {
      p0: a,
      p1: point(a.x + (xs[i] as number) * third, a.y + (ys[i] as number) * third),
      p2: point(b.x - (xs[i + 1] as number) * third, b.y - (ys[i + 1] as number) * third),
      p3: b,
    };
  });
}
