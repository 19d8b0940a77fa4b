import type { Point } from '../../core/geometry/index.js';

/** An affine map: (x, y) goes to (a·x + c·y + e, b·x + d·y + f). */
export interface Affine {
  readonly a: number;
  readonly b: number;
  readonly c: number;
  readonly d: number;
  readonly e: number;
  readonly f: number;
}

/** The map that leaves everything where it is. */
export const SAME: Affine = { a: 1, b: 0, c: 0, d: 1, e: 0, f: 0 };

/** Where a map carries a point. */
export const apply = (m: Affine, p: Point): Point => ({
  x: m.a * p.x + m.c * p.y + m.e,
  y: m.b * p.x + m.d * p.y + m.f,
});

/** The map that does `inner` first and then `outer`. */
export function after(outer: Affine, inner: Affine): Affine {
  const o = apply(outer, { x: inner.e, y: inner.f });
  return {
    a: outer.a * inner.a + outer.c * inner.b,
    b: outer.b * inner.a + outer.d * inner.b,
    c: outer.a * inner.c + outer.c * inner.d,
    d: outer.b * inner.c + outer.d * inner.d,
    e: o.x,
    f: o.y,
  };
}

/** A shift. */
export const shift = (x: number, y: number): Affine => ({ ...SAME, e: x, f: y });

/** Stretched by `x` and `y` about the origin. */
export const stretch = (x: number, y: number): Affine => ({ ...SAME, a: x, d: y });

/** Turned by an angle in radians about the origin, from x toward y. */
export const turned = (angle: number): Affine => {
  const [cos, sin] = [Math.cos(angle), Math.sin(angle)];
  return { a: cos, b: sin, c: -sin, d: cos, e: 0, f: 0 };
};
