import { cubic } from './cubic.js';
import type { Path } from './path.js';
import { point, type Point } from './point.js';

/** A path as numbers: x and y of its start, then of the other three control points of each cubic, to `digits` decimals. */
export function curvesOf(path: Path, digits: number): number[] {
  const round = (n: number): number => Number(n.toFixed(digits));
  const [first] = path;
  if (!first) return [];
  return [
    round(first.p0.x),
    round(first.p0.y),
    ...path.flatMap((c) => [c.p1, c.p2, c.p3].flatMap((p) => [round(p.x), round(p.y)])),
  ];
}

/** The path that such numbers stand for. */
export function pathOfCurves(curves: readonly number[]): Path {
  const at = (i: number): Point => point(curves[i] ?? NaN, curves[i + 1] ?? NaN);
  return Array.from({ length: Math.floor((curves.length - 2) / 6) }, (_, k) => {
    const i = 6 * k;
    return cubic(at(i), at(i + 2), at(i + 4), at(i + 6));
  });
}
