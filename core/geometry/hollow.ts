import { pointAt, type Cubic } from './cubic.js';
import { cross, dot, subtract, type Point } from './point.js';

const DIAGONAL: Point = { x: Math.SQRT1_2, y: -Math.SQRT1_2 };

/** Where a curve crosses the 45° diagonal from a corner: the hollow in mm, or nothing where it does not. */
export function hollowOf(c: Cubic, corner: Point): number | undefined {
  const off = (t: number): number => cross(DIAGONAL, subtract(pointAt(c, t), corner));
  let low = 0;
  let high = 1;
  if (off(low) * off(high) > 0) return undefined;
  for (let i = 0; i < 60; i++) {
    const middle = (low + high) / 2;
    if (off(low) * off(middle) <= 0) high = middle;
    else low = middle;
  }
  return dot(subtract(pointAt(c, low), corner), DIAGONAL);
}
