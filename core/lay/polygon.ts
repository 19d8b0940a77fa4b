/** A corner of a polygon, in mm. */
export type Corner = readonly [number, number];

/** A closed polygon without its first corner repeated, running so that its area is positive. */
export type Polygon = readonly Corner[];

/** Twice the area of the triangle a, b, c: positive where c lies to the left of a to b. */
export const turnOf = (a: Corner, b: Corner, c: Corner): number =>
  (b[0] - a[0]) * (c[1] - a[1]) - (b[1] - a[1]) * (c[0] - a[0]);

/** The area of a polygon, negative where it runs the other way round, in mm² (shoelace). */
export function areaOf(polygon: Polygon): number {
  let sum = 0;
  for (let i = 0; i < polygon.length; i++) {
    const [x0, y0] = polygon[i] as Corner;
    const [x1, y1] = polygon[(i + 1) % polygon.length] as Corner;
    sum += x0 * y1 - x1 * y0;
  }
  return sum / 2;
}

/** A box about corners. */
export interface Bounds {
  readonly left: number;
  readonly right: number;
  readonly low: number;
  readonly high: number;
}

/** The box about a polygon. */
export function boundsOf(polygon: Polygon): Bounds {
  let [left, right, low, high] = [Infinity, -Infinity, Infinity, -Infinity];
  for (const [x, y] of polygon) {
    left = Math.min(left, x);
    right = Math.max(right, x);
    low = Math.min(low, y);
    high = Math.max(high, y);
  }
  return { left, right, low, high };
}

/** Corners nearer to one another than this, in mm, are one; so are those that do not turn. */
const SAME = 1e-6;

/** A polygon that runs with positive area, without corners that lie on one another or on a straight. */
export function tidied(corners: readonly Corner[]): Polygon {
  const apart = corners.filter(([x, y], i) => {
    const [px, py] = corners[(i + corners.length - 1) % corners.length] as Corner;
    return Math.hypot(x - px, y - py) > SAME;
  });
  const turned = areaOf(apart) < 0 ? [...apart].reverse() : apart;
  return turned.filter((c, i) => {
    const before = turned[(i + turned.length - 1) % turned.length] as Corner;
    const after = turned[(i + 1) % turned.length] as Corner;
    return Math.abs(turnOf(before, c, after)) > SAME;
  });
}
