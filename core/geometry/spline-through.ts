import type { Path } from './path.js';
import { splineSlopes } from './numeric/spline-slopes.js';
import { distance, point, type Point } from './point.js';

/**
 * The smooth line through points: a cubic spline over chord length, with the directions given at its ends; without one it
 * bends evenly there.
 */
export function splineThrough(points: readonly Point[], leaving?: Point, arriving?: Point): Path {
  const gaps = points.slice(1).map((p, i) => Math.max(1e-6, distance(p, points[i] ?? p)));
  const slopes = (of: (p: Point) => number): number[] =>
    splineSlopes(gaps, points.map(of), leaving && of(leaving), arriving && of(arriving));
  const xs = slopes((p) => p.x);
  const ys = slopes((p) => p.y);
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
