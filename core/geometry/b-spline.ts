import { cubic, type Cubic } from './cubic.js';
import { point, type Point } from './point.js';

/** A B-spline by degree, knots, control points and, where it is rational, a weight for each point. */
export interface BSpline {
  readonly degree: number;
  readonly knots: readonly number[];
  readonly points: readonly Point[];
  readonly weights?: readonly number[] | undefined;
}

type Weighted = readonly [number, number, number];

/** The point at parameter `u` by the polynomial of knot span `span` (de Boor's algorithm). */
function atSpan(knots: readonly number[], points: readonly Weighted[], degree: number, span: number, u: number): Point {
  const d = Array.from({ length: degree + 1 }, (_, j): Weighted => points[span - degree + j] ?? [0, 0, 0]);
  for (let r = 1; r <= degree; r++) {
    for (let j = degree; j >= r; j--) {
      const low = knots[span - degree + j] ?? NaN;
      const high = knots[span + 1 + j - r] ?? NaN;
      const t = high === low ? 0 : (u - low) / (high - low);
      const [a, b] = [d[j - 1] ?? [0, 0, 0], d[j] ?? [0, 0, 0]];
      d[j] = [a[0] + (b[0] - a[0]) * t, a[1] + (b[1] - a[1]) * t, a[2] + (b[2] - a[2]) * t];
    }
  }
  const [x, y, w] = d[degree] ?? [0, 0, 1];
  return point(x / w, y / w);
}

/** The cubic that runs through four points at parameters 0, 1/3, 2/3 and 1. */
const throughFour = (a: Point, b: Point, c: Point, d: Point): Cubic => {
  const first = (k: 'x' | 'y'): number => (-5 * a[k] + 18 * b[k] - 9 * c[k] + 2 * d[k]) / 6;
  const second = (k: 'x' | 'y'): number => (2 * a[k] - 9 * b[k] + 18 * c[k] - 5 * d[k]) / 6;
  return cubic(a, point(first('x'), first('y')), point(second('x'), second('y')), d);
};

/** Into how many cubics a span is taken that no single cubic gives exactly. */
const PIECES = 6;
const HIGHEST_DEGREE = 9;

/**
 * A B-spline as cubics: exact up to the third degree without weights, closely followed otherwise. Nothing where knots,
 * points and weights do not belong together.
 */
export function bSplineCubics({ degree, knots, points, weights }: BSpline): Cubic[] | undefined {
  const n = points.length;
  if (!Number.isInteger(degree) || degree < 1 || degree > HIGHEST_DEGREE || n <= degree) return undefined;
  if (knots.length !== n + degree + 1 || knots.some((k, i) => !(k >= (knots[i - 1] ?? -Infinity)))) return undefined;
  if (weights && (weights.length !== n || weights.some((w) => !(w > 0)))) return undefined;
  const weighted = points.map((p, i): Weighted => {
    const w = weights?.[i] ?? 1;
    return [p.x * w, p.y * w, w];
  });
  const pieces = degree <= 3 && !weights ? 1 : PIECES;
  const found: Cubic[] = [];
  for (let span = degree; span < n; span++) {
    const [from, to] = [knots[span] ?? NaN, knots[span + 1] ?? NaN];
    if (to <= from) continue;
    for (let i = 0; i < pieces; i++) {
      const at = (share: number): Point =>
        atSpan(knots, weighted, degree, span, from + ((i + share) / pieces) * (to - from));
      found.push(throughFour(at(0), at(1 / 3), at(2 / 3), at(1)));
    }
  }
  return found.length > 0 ? found : undefined;
}
