import { monotoneSlopes } from '../geometry/index.js';

/** A smooth line through values at rising places that never goes beyond two neighbours; flat outside all of them. */
export type Run = (y: number) => number;

/** A monotone cubic through places in rising order, level at both ends. */
export function monotoneThrough(places: readonly (readonly [y: number, value: number])[]): Run {
  const ys = places.map(([y]) => y);
  const vs = places.map(([, v]) => v);
  const at = (list: readonly number[], i: number): number => list[i] as number;
  const last = places.length - 1;
  const gaps = ys.slice(1).map((y, i) => y - at(ys, i));
  const slopes = monotoneSlopes(gaps, vs, 0, 0);
  return (y) => {
    if (!(y > at(ys, 0))) return at(vs, 0);
    if (y >= at(ys, last)) return at(vs, last);
    let i = 0;
    while (y > at(ys, i + 1)) i++;
    const long = at(ys, i + 1) - at(ys, i);
    const t = (y - at(ys, i)) / long;
    const [a, b] = [at(vs, i), at(vs, i + 1)];
    const back = 1 - t;
    return (
      a * (1 + 2 * t) * back * back +
      b * t * t * (3 - 2 * t) +
      long * (at(slopes, i) * t * back * back - at(slopes, i + 1) * t * t * back)
    );
  };
}
