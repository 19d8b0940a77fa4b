import { turnOf, type Corner, type Polygon } from './polygon.js';

/** A turn this small counts as straight, in mm². */
const FLAT = 1e-7;

const within = (p: Corner, a: Corner, b: Corner, c: Corner): boolean =>
  turnOf(a, b, p) >= -FLAT && turnOf(b, c, p) >= -FLAT && turnOf(c, a, p) >= -FLAT;

/** A polygon cut into triangles, as places of its corners (ear clipping). */
function triangles(polygon: Polygon): number[][] {
  const left = polygon.map((_, i) => i);
  const found: number[][] = [];
  const at = (i: number): Corner => polygon[i] as Corner;
  while (left.length > 3) {
    let cut = -1;
    let worst = -Infinity;
    for (let k = 0; k < left.length; k++) {
      const [i, j, l] = [left[(k + left.length - 1) % left.length], left[k], left[(k + 1) % left.length]] as [
        number,
        number,
        number,
      ];
      const turn = turnOf(at(i), at(j), at(l));
      if (turn <= FLAT) continue;
      const ear = left.every((m) => m === i || m === j || m === l || !within(at(m), at(i), at(j), at(l)));
      // Of the ears the fattest first: slivers make poor parts.
      const fat = turn / (1 + Math.hypot(at(l)[0] - at(i)[0], at(l)[1] - at(i)[1]) ** 2);
      if (ear && fat > worst) [worst, cut] = [fat, k];
    }
    // An outline that touches itself may have no ear by these figures: the corner that turns least is left out.
    if (cut < 0)
      cut = left.findIndex(
        (_, k) =>
          Math.abs(
            turnOf(
              at(left[(k + left.length - 1) % left.length] as number),
              at(left[k] as number),
              at(left[(k + 1) % left.length] as number),
            ),
          ) <= FLAT,
      );
    if (cut < 0) cut = 0;
    found.push([left[(cut + left.length - 1) % left.length], left[cut], left[(cut + 1) % left.length]] as number[]);
    left.splice(cut, 1);
  }
  found.push(left);
  return found;
}

/** Two parts that share an edge as one, where that is convex; nothing otherwise. */
function merged(polygon: Polygon, a: readonly number[], b: readonly number[]): number[] | undefined {
  for (let i = 0; i < a.length; i++) {
    const [from, to] = [a[i] as number, a[(i + 1) % a.length] as number];
    const k = b.indexOf(to);
    if (k < 0 || b[(k + 1) % b.length] !== from) continue;
    const joined = [
      ...Array.from({ length: a.length - 1 }, (_, s) => a[(i + 1 + s) % a.length] as number),
      ...Array.from({ length: b.length - 1 }, (_, s) => b[(k + 1 + s) % b.length] as number),
    ];
    const convex = joined.every((m, s) => {
      const [p, q, r] = [
        polygon[m],
        polygon[joined[(s + 1) % joined.length] as number],
        polygon[joined[(s + 2) % joined.length] as number],
      ] as [Corner, Corner, Corner];
      return turnOf(p, q, r) >= -FLAT;
    });
    return convex ? joined : undefined;
  }
  return undefined;
}

/** A polygon cut into convex parts: triangles, joined again as long as what they make is convex (Hertel and Mehlhorn). */
export function convexParts(polygon: Polygon): readonly Polygon[] {
  const parts = triangles(polygon);
  for (let i = 0; i < parts.length; i++) {
    for (let j = i + 1; j < parts.length; j++) {
      const one = merged(polygon, parts[i] as number[], parts[j] as number[]);
      if (!one) continue;
      parts[i] = one;
      parts.splice(j, 1);
      j = i;
    }
  }
  return parts.map((part) => part.map((i) => polygon[i] as Corner));
}
