import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { cubic, directionAt, pointAt } from './cubic.js';
import { fitCubic, nearestParameter, settledCubic } from './fit-cubic.js';
import { distance, point } from './point.js';
import { goldenLeast, solveSymmetric } from './index.js';

const any = (): true => true;

describe('a cubic fitted between two ends', () => {
  const place = fc.record({
    x: fc.double({ min: 5, max: 60, noNaN: true }),
    y: fc.double({ min: -40, max: 40, noNaN: true }),
  });
  const curves = fc
    .tuple(place, place)
    .map(([a, b]) => cubic(point(0, 0), point(a.x, a.y), point(200 - b.x, 30 + b.y), point(200, 30)));

  it('is the very curve that its points were taken from', () => {
    fc.assert(
      fc.property(curves, (c) => {
        const ends = { start: c.p0, leaving: directionAt(c, 0), end: c.p3, arriving: directionAt(c, 1) };
        const ts = [0.1, 0.25, 0.4, 0.6, 0.8, 0.93];
        const fit = fitCubic(
          ends,
          ts,
          ts.map((t) => pointAt(c, t)),
          any,
        );
        expect(Math.max(distance(fit.p1, c.p1), distance(fit.p2, c.p2))).toBeLessThan(1e-6);
      }),
    );
  });

  it('settles near to points whose places along it are not known, and says how far the farthest lies off', () => {
    fc.assert(
      fc.property(curves, (c) => {
        const ends = { start: c.p0, leaving: directionAt(c, 0), end: c.p3, arriving: directionAt(c, 1) };
        const ts = Array.from({ length: 15 }, (_, i) => (i + 1) / 16);
        const points = ts.map((t) => pointAt(c, t));
        const { curve, worst } = settledCubic(
          ends,
          ts.map((t) => t + 0.03 * Math.sin(9 * t)),
          points,
          any,
        );
        const off = points.map((p) =>
          Math.min(...Array.from({ length: 2001 }, (_, i) => distance(p, pointAt(curve, i / 2000)))),
        );
        expect(Math.max(...off)).toBeLessThan(worst + 0.06);
        expect(worst).toBeLessThan(1);
      }),
      { numRuns: 30 },
    );
  });

  it('has handles of a third of the chord where the points settle none, or where none is allowed', () => {
    const ends = { start: point(0, 0), leaving: point(1, 0), end: point(90, 0), arriving: point(1, 0) };
    for (const fit of [
      fitCubic(ends, [], [], any),
      fitCubic(ends, [0.3, 0.6], [point(20, 0), point(70, 0)], () => false),
    ]) {
      expect([fit.p1.x, fit.p2.x]).toEqual([30, 60]);
    }
  });

  it('knows the nearest place on a curve from a guess', () => {
    const c = cubic(point(0, 0), point(30, 40), point(70, 40), point(100, 0));
    for (const t of [0.05, 0.4, 0.95]) expect(nearestParameter(c, pointAt(c, t), t + 0.04)).toBeCloseTo(t, 6);
  });
});

describe('the numbers beneath', () => {
  it('find the lowest place of a valley', () => {
    fc.assert(
      fc.property(fc.double({ min: -3, max: 5, noNaN: true }), (low) => {
        expect(goldenLeast((x) => (x - low) ** 2 + 1, -4, 6, 60)).toBeCloseTo(low, 5);
      }),
    );
  });

  it('solve a symmetric system, and tell one that is not positive', () => {
    const entry = fc.double({ min: -2, max: 2, noNaN: true });
    fc.assert(
      fc.property(fc.array(fc.array(entry, { minLength: 4, maxLength: 4 }), { minLength: 4, maxLength: 4 }), (m) => {
        const at = (i: number, j: number): number => m[i]?.[j] ?? NaN;
        const a = m.map((_, i) =>
          m.map((__, j) => m.reduce((sum, ___, k) => sum + at(k, i) * at(k, j), i === j ? 0.5 : 0)),
        );
        const x = solveSymmetric(a, [1, -2, 3, 0.5]);
        const back = a.map((row) => row.reduce((sum, v, j) => sum + v * (x?.[j] ?? NaN), 0));
        expect(back.map((v) => v.toFixed(6))).toEqual(['1.000000', '-2.000000', '3.000000', '0.500000']);
      }),
    );
    expect(
      solveSymmetric(
        [
          [1, 2],
          [2, 1],
        ],
        [1, 1],
      ),
    ).toBeUndefined();
  });
});
