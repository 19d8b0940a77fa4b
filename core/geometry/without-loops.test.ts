import { describe, expect, it } from 'vitest';
import {
  cubic,
  distance,
  enclosedArea,
  flatten,
  isClosed,
  line,
  point,
  selfCrossing,
  withoutLoops,
  type Path,
} from './index.js';

const run = (...corners: readonly (readonly [number, number])[]): Path =>
  corners.map(([x, y], i) => {
    const [nextX, nextY] = corners[(i + 1) % corners.length] ?? [x, y];
    return line(point(x, y), point(nextX, nextY));
  });

describe('a closed path without its loops', () => {
  it('stays itself where it crosses nowhere', () => {
    const square = run([0, 0], [100, 0], [100, 100], [0, 100]);
    expect(withoutLoops(square)).toBe(square);
  });

  it('is cut off where it crosses, and keeps the larger part', () => {
    // At the right end two edges run past one another by 10.
    const bow = run([0, 0], [100, 0], [110, 60], [110, 50], [100, 110], [0, 110]);
    expect(selfCrossing(flatten(bow))).toBeDefined();
    const clean = withoutLoops(bow);
    expect(selfCrossing(flatten(clean))).toBeUndefined();
    expect(isClosed(clean, 1e-9)).toBe(true);
    // The edges from (100, 0) and to (100, 110) meet at x = 109 1/6, y = 55.
    expect(clean.some((c) => distance(c.p0, point(109 + 1 / 6, 55)) < 1e-6)).toBe(true);
    expect(Math.abs(enclosedArea(clean))).toBeCloseTo(100 * 110 + (110 * (9 + 1 / 6)) / 2, 6);
  });

  it('loses every loop, one of a single curve as well', () => {
    const looped: Path = [
      line(point(0, 0), point(100, 0)),
      // Runs beyond its own end and back: a loop in one curve.
      cubic(point(100, 0), point(200, 150), point(0, 150), point(100, 1)),
      ...run([100, 1], [100, 80], [60, 80], [50, 95], [55, 95], [40, 80], [0, 80]).slice(0, -1),
      line(point(0, 80), point(0, 0)),
    ];
    const clean = withoutLoops(looped);
    expect(selfCrossing(flatten(clean, 0.05))).toBeUndefined();
    expect(isClosed(clean, 1e-6)).toBe(true);
    expect(Math.sign(enclosedArea(clean))).toBe(Math.sign(enclosedArea(run([0, 0], [100, 0], [100, 80], [0, 80]))));
  });
});
