/** A place or a direction in the plane: x to the right, y down, in millimetres. */
export interface Point {
  readonly x: number;
  readonly y: number;
}

/** The point (x, y), both in mm. */
export const point = (x: number, y: number): Point => ({ x, y });

/** The vector sum of two points, in mm. */
export const add = (a: Point, b: Point): Point => ({ x: a.x + b.x, y: a.y + b.y });

/** The vector from `b` to `a`, in mm. */
export const subtract = (a: Point, b: Point): Point => ({ x: a.x - b.x, y: a.y - b.y });

/** A vector stretched by a plain factor. */
export const scale = (a: Point, factor: number): Point => ({ x: a.x * factor, y: a.y * factor });

/** The point reached from `a` by going `distance` mm along the unit direction `d`. */
export const along = (a: Point, d: Point, distance: number): Point => ({
  x: a.x + d.x * distance,
  y: a.y + d.y * distance,
});

/** The point at share `t` of the way from `a` to `b` (0: at `a`, 1: at `b`). */
export const between = (a: Point, b: Point, t: number): Point => ({
  x: a.x + (b.x - a.x) * t,
  y: a.y + (b.y - a.y) * t,
});

/** Scalar product, in mm². */
export const dot = (a: Point, b: Point): number => a.x * b.x + a.y * b.y;

/** Cross product (z part), in mm²; positive where `b` lies clockwise of `a` as seen with y down. */
export const cross = (a: Point, b: Point): number => a.x * b.y - a.y * b.x;

/**
 * The length of a vector, in mm. Math.hypot guards against overflow that lengths of cloth never reach, at ten times the
 * cost.
 */
export const norm = (a: Point): number => Math.sqrt(a.x * a.x + a.y * a.y);

/** Distance between two points, in mm. */
export function distance(a: Point, b: Point): number {
  const dx = a.x - b.x;
  const dy = a.y - b.y;
  return Math.sqrt(dx * dx + dy * dy);
}

/** The direction of a vector as a vector of length 1; a vector of no length gives (0, 0). */
export function unit(a: Point): Point {
  const length = norm(a);
  return length === 0 ? { x: 0, y: 0 } : { x: a.x / length, y: a.y / length };
}

/** A vector turned by a quarter, clockwise as seen with y down. */
export const quarterTurn = (a: Point): Point => ({ x: -a.y, y: a.x });

/** `a` turned by `angle` radians about `centre`, clockwise as seen with y down. */
export function turn(a: Point, angle: number, centre: Point = { x: 0, y: 0 }): Point {
  const cos = Math.cos(angle);
  const sin = Math.sin(angle);
  const dx = a.x - centre.x;
  const dy = a.y - centre.y;
  return { x: centre.x + dx * cos - dy * sin, y: centre.y + dx * sin + dy * cos };
}

/** The mirror image of `a` in the line through `on` with unit direction `d`. */
export function mirror(a: Point, on: Point, d: Point): Point {
  const v = subtract(a, on);
  return along(along(on, d, 2 * dot(v, d)), v, -1);
}

/** The angle between two directions, 0 to π radians. */
export const angleBetween = (a: Point, b: Point): number => Math.atan2(Math.abs(cross(a, b)), dot(a, b));

/** True where both coordinates are finite numbers. */
export const isFinitePoint = (a: Point): boolean => Number.isFinite(a.x) && Number.isFinite(a.y);

/**
 * Where the line through `a` along `u` meets the line through `b` along `v`.
 * Gives the distances along both (in units of `u` and `v`) and the place; nothing for parallel lines.
 */
export function meetLines(
  a: Point,
  u: Point,
  b: Point,
  v: Point,
): { readonly alongFirst: number; readonly alongSecond: number; readonly at: Point } | undefined {
  const det = cross(u, v);
  if (Math.abs(det) < 1e-12) return undefined;
  const w = subtract(b, a);
  const alongFirst = cross(w, v) / det;
  return { alongFirst, alongSecond: cross(w, u) / det, at: along(a, u, alongFirst) };
}
