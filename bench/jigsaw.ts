import { areaOf, boundsOf, tidied, type Corner, type Polygon } from '../core/lay/polygon.js';
import type { LayShape } from '../core/lay/index.js';
import { seeded } from './random-body.js';

/** A jigsaw is cut from cloth of this size, in mm. */
const WIDTH = 1500;
const LENGTH = 1200;
/** Every edge is shaved by an uneven amount between these, in mm. */
const LEAST_SHAVED = 0.5;
const MOST_SHAVED = 2;

/** The part of a convex polygon on the left of a line through two places. */
function leftOf(polygon: Polygon, [ax, ay]: Corner, [bx, by]: Corner): Corner[] {
  const side = ([x, y]: Corner): number => (bx - ax) * (y - ay) - (by - ay) * (x - ax);
  return polygon.flatMap((c, i): Corner[] => {
    const next = polygon[(i + 1) % polygon.length] as Corner;
    const [s, t] = [side(c), side(next)];
    const kept: Corner[] = s >= 0 ? [c] : [];
    if (s * t < 0) kept.push([c[0] + ((next[0] - c[0]) * s) / (s - t), c[1] + ((next[1] - c[1]) * s) / (s - t)]);
    return kept;
  });
}

/** A convex polygon with each of its edges moved inward by an amount of its own. */
const shaved = (polygon: Polygon, random: () => number): Polygon =>
  polygon.reduce<Corner[]>(
    (left, a, i) => {
      const b = polygon[(i + 1) % polygon.length] as Corner;
      const long = Math.hypot(b[0] - a[0], b[1] - a[1]);
      const by = LEAST_SHAVED + (MOST_SHAVED - LEAST_SHAVED) * random();
      const [nx, ny] = [(-(b[1] - a[1]) / long) * by, ((b[0] - a[0]) / long) * by];
      return leftOf(left, [a[0] + nx, a[1] + ny], [b[0] + nx, b[1] + ny]);
    },
    [...polygon],
  );

/** A rectangle of cloth cut at random into so many shapes, the largest first, and each shaved: what a lay can come near to. */
export function jigsaw(count: number, seed: number): { readonly shapes: readonly LayShape[]; readonly width: number } {
  const random = seeded(seed);
  let parts: Polygon[] = [
    [
      [0, 0],
      [LENGTH, 0],
      [LENGTH, WIDTH],
      [0, WIDTH],
    ],
  ];
  while (parts.length < count) {
    parts.sort((a, b) => areaOf(b) - areaOf(a));
    const [largest, ...rest] = parts as [Polygon, ...Polygon[]];
    const { left, right, low, high } = boundsOf(largest);
    const angle = random() * Math.PI;
    const at: Corner = [left + (right - left) * (0.35 + 0.3 * random()), low + (high - low) * (0.35 + 0.3 * random())];
    const to: Corner = [at[0] + Math.cos(angle), at[1] + Math.sin(angle)];
    const [one, other] = [tidied(leftOf(largest, at, to)), tidied(leftOf(largest, to, at))];
    if (one.length >= 3 && other.length >= 3) parts = [...rest, one, other];
  }
  return {
    width: WIDTH,
    shapes: parts.map((part, i): LayShape => {
      const { left, low } = boundsOf(part);
      return {
        id: `piece${i}`,
        outline: tidied(shaved(part, random)).map(([x, y]): Corner => [x - left, y - low]),
        count: 1,
        turns: [0, 180],
        mirrored: false,
      };
    }),
  };
}
