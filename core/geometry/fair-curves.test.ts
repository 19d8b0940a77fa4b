import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  axisBetween,
  axisDown,
  cross,
  curvatureAt,
  directionAt,
  distance,
  evenBend,
  FixedPoint,
  flatten,
  GraphCurve,
  graphPath,
  pathLength,
  point,
  type BendWish,
  type Cubic,
} from './index.js';
import { Conditions, solveQuadratic, stepsOf } from './numeric/quadratic-programme.js';

/** The least of a small quadratic form on a box, by trying every corner, edge and the inside: plain enumeration. */
function leastOnBox(h: readonly number[], g: readonly number[], low: number, high: number): number {
  let best = Infinity;
  const value = (x: number, y: number): number =>
    0.5 * ((h[0] ?? 0) * x * x + 2 * (h[1] ?? 0) * x * y + (h[3] ?? 0) * y * y) + (g[0] ?? 0) * x + (g[1] ?? 0) * y;
  const steps = 400;
  for (let i = 0; i <= steps; i++) {
    for (let j = 0; j <= steps; j++) {
      best = Math.min(best, value(low + ((high - low) * i) / steps, low + ((high - low) * j) / steps));
    }
  }
  return best;
}

describe('a quadratic programme', () => {
  it('finds the least on a box, as trying every place does', () => {
    const figure = fc.double({ min: -2, max: 2, noNaN: true });
    fc.assert(
      fc.property(figure, figure, figure, figure, figure, (a, b, c, g0, g1) => {
        const h = [a * a + b * b + 0.2, b * c, b * c, c * c + 0.2];
        const box = new Conditions(2, 4);
        const { coefficients } = box;
        for (const [k, sign] of [
          [0, 1],
          [0, -1],
          [1, 1],
          [1, -1],
        ] as const) {
          coefficients[box.add(-1) + k] = sign;
        }
        const [x = NaN, y = NaN] = solveQuadratic(h, [g0, g1], box) ?? [];
        const found = 0.5 * ((h[0] ?? 0) * x * x + 2 * (h[1] ?? 0) * x * y + (h[3] ?? 0) * y * y) + g0 * x + g1 * y;
        expect(Math.max(Math.abs(x), Math.abs(y))).toBeLessThan(1 + 1e-7);
        expect(found).toBeLessThan(leastOnBox(h, [g0, g1], -1, 1) + 1e-6);
      }),
      { numRuns: 40 },
    );
  });

  it('keeps equalities exactly, and says where nothing meets all conditions', () => {
    const rows = new Conditions(2, 3);
    const at = rows.add(3, true);
    rows.coefficients[at] = 1;
    rows.coefficients[at + 1] = 1;
    rows.coefficients[rows.add(2)] = 1;
    const [x, y] = solveQuadratic([1, 0, 0, 1], [0, 0], rows) ?? [];
    expect([x, y]).toEqual([expect.closeTo(2, 9), expect.closeTo(1, 9)]);
    const clash = new Conditions(1, 2);
    clash.coefficients[clash.add(1)] = 1;
    clash.coefficients[clash.add(0)] = -1;
    expect(solveQuadratic([1], [0], clash)).toBeUndefined();
    expect(solveQuadratic([-1], [0], new Conditions(1, 1))).toBeUndefined();
  });
});

describe('conditions that are used again', () => {
  /** The least of x² + y² + z² on x + y + z = `sum`, with x held at `least` or more where it is told. */
  const solved = (rows: Conditions, sum: number): number[] => {
    rows.coefficients.fill(1, 0, 3);
    rows.bounds[0] = sum;
    return solveQuadratic(stepsOf([1, 0, 0, 0, 1, 0, 0, 0, 1], 3) as Float64Array, [0, 0, 0], rows) ?? [];
  };
  const fresh = (): Conditions => {
    const rows = new Conditions(3, 4);
    rows.add(0, true);
    return rows;
  };
  const atLeast = (rows: Conditions, index: number, least: number): void => {
    rows.coefficients[rows.add(2 * least) + index] = 2;
  };

  it('give what new ones would, their equality written anew and their later rows taken back', () => {
    const rows = fresh();
    atLeast(rows, 0, 2);
    const close = (found: number[], wanted: readonly number[]): void => {
      expect(found).toHaveLength(3);
      wanted.forEach((w, i) => expect(found[i]).toBeCloseTo(w, 9));
    };
    close(solved(rows, 3), [2, 0.5, 0.5]);
    close(solved(rows, 4.5), [2, 1.25, 1.25]);
    close(solved(rows, 9), [3, 3, 3]);
    rows.keep(2);
    atLeast(rows, 1, 4);
    close(solved(rows, 9), [2.5, 4, 2.5]);
    rows.keep(2);
    atLeast(rows, 2, 5);
    // Of the row that stood there before nothing is left.
    close(solved(rows, 9), [2, 2, 5]);
    rows.keep(1);
    close(solved(rows, 3), [1, 1, 1]);
  });

  it('have no steps where the form is not positive definite', () => {
    expect(stepsOf([1, 2, 2, 1], 2)).toBeUndefined();
  });
});

describe('an accelerated iteration', () => {
  it('comes to rest where the plain one would, and where that swings for ever', () => {
    const g = ([a = 0, b = 0]: readonly number[]): number[] => [2 - 0.98 * a + 0.1 * b, 1 + 0.1 * a - 0.95 * b];
    let x = [5, -7];
    const rounds = new FixedPoint();
    for (let i = 0; i < 12; i++) x = rounds.next(x, g(x));
    const [a = NaN, b = NaN] = g(x);
    expect(a).toBeCloseTo(x[0] ?? NaN, 6);
    expect(b).toBeCloseTo(x[1] ?? NaN, 6);
  });
});

describe('a graph of least variation', () => {
  it('through three places with its ends free is straight where they lie in a line, and else bends evenly', () => {
    const curve = new GraphCurve([0, 50, 100, 150, 200], 0, 10);
    curve.exactly([[curve.place(4), 1]], 30);
    const straight = curve.solve();
    for (const { u, v } of straight?.places ?? []) expect(v).toBeCloseTo(10 + u / 10, 3);
    const bent = new GraphCurve([0, 50, 100, 150, 200], 0, 0);
    bent.exactly([[bent.place(4), 1]], 0);
    bent.exactly([[bent.placeOver(100), 1]], 10);
    const found = bent.solve();
    // A parabola: v = 10 - (u - 100)² / 1000, of the same bend all along.
    for (const { u, v } of found?.places ?? []) expect(v).toBeCloseTo(10 - (u - 100) ** 2 / 1000, 2);
    expect(found?.variation).toBeCloseTo(0, 4);
  });

  it('is drawn as cubics that run into one another in place, direction and bend', () => {
    const curve = new GraphCurve([0, 40, 90, 160, 200], 2, 5);
    curve.exactly([[curve.slope(2), 1]], 0);
    curve.exactly([[curve.place(0), 1]], 25);
    curve.exactly([[curve.place(4), 1]], 22);
    const solved = curve.solve();
    if (!solved) throw new Error('no curve');
    const path = graphPath(solved, axisDown(100, 10));
    expect(path[0]?.p0).toEqual({ x: expect.closeTo(125, 6) as number, y: 10 });
    for (const [i, c] of path.slice(1).entries()) {
      const before = path[i] as Cubic;
      expect(distance(before.p3, c.p0)).toBeLessThan(1e-9);
      expect(Math.abs(cross(directionAt(before, 1), directionAt(c, 0)))).toBeLessThan(1e-9);
      expect(curvatureAt(before, 1)).toBeCloseTo(curvatureAt(c, 0), 9);
    }
    const along = axisBetween(point(0, 0), point(30, 40));
    expect(along.direction).toEqual({ x: 0.6, y: 0.8 });
  });
});

describe('an even bend', () => {
  const wish = (more: Partial<BendWish> = {}): BendWish => ({
    start: point(0, -140),
    leaving: point(0, 1),
    pivot: point(0, 0),
    end: point(64, 0),
    arriving: point(Math.cos(0.2), Math.sin(0.2)),
    outward: point(1, 0),
    corner: point(0, 0),
    diagonal: point(Math.SQRT1_2, -Math.SQRT1_2),
    hollow: 37,
    limits: {
      leastRadius: 25,
      startRadius: 60,
      mostRadius: 800,
      flatRadius: 300,
      flatStart: 0.35,
      flatEnd: 0.4,
      spread: 0.2,
      peakFrom: 0.2,
      peakTo: 0.8,
    },
    give: { through: 1, start: 0.006, startUp: 40, startDown: 60, lean: 0, end: 0 },
    ...more,
  });

  it('runs from the straight to the end in the directions asked, turning one way and nowhere too sharply', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 48, max: 140, noNaN: true }),
        fc.double({ min: 0.1, max: 0.35, noNaN: true }),
        fc.double({ min: 0.5, max: 0.68, noNaN: true }),
        (extension, slope, depth) => {
          const w = wish({
            end: point(extension, 0),
            arriving: point(Math.cos(slope), Math.sin(slope)),
            hollow: depth * Math.SQRT2 * ((140 * extension) / (140 + extension)),
          });
          const bend = evenBend(w);
          if (!bend) throw new Error('no bend');
          const [first, last] = [bend.path[0] as Cubic, bend.path[bend.path.length - 1] as Cubic];
          expect(distance(last.p3, w.end)).toBeLessThan(1e-6);
          expect(Math.abs(first.p0.x)).toBeLessThan(0.06);
          expect(Math.abs(cross(directionAt(first, 0), w.leaving))).toBeLessThan(1e-6);
          expect(Math.abs(cross(directionAt(last, 1), w.arriving))).toBeLessThan(1e-6);
          for (const c of bend.path) {
            for (let i = 0; i <= 8; i++) {
              const k = -curvatureAt(c, i / 8);
              expect(k).toBeGreaterThan(0);
              expect(k).toBeLessThan(1 / 24.8);
            }
          }
          expect(-curvatureAt(first, 0)).toBeLessThan(1 / 60);
          for (const [i, c] of bend.path.slice(1).entries()) {
            const before = bend.path[i] as Cubic;
            expect(Math.abs(cross(directionAt(before, 1), directionAt(c, 0)))).toBeLessThan(1e-9);
            expect(Math.abs(curvatureAt(before, 1) - curvatureAt(c, 0))).toBeLessThan(4e-4);
          }
        },
      ),
      { numRuns: 60 },
    );
  });

  it('crosses the diagonal where it says, and gives way in the hollow before it hooks', () => {
    const bend = evenBend(wish());
    const off = (p: { x: number; y: number }): number => Math.abs(p.x + p.y);
    const near = flatten(bend?.path ?? [], 0.001).reduce((best, p) => (off(p) < off(best) ? p : best));
    expect(Math.abs(Math.hypot(near.x, near.y) - (bend?.hollow ?? 0))).toBeLessThan(0.5);
    const deep = evenBend(wish({ hollow: 18 }));
    expect(deep?.hollow).toBeGreaterThan(20);
    const held = evenBend(wish({ give: { through: 1, start: 10, startUp: 0, startDown: 0, lean: 0, end: 0 } }));
    expect(held?.startMoved ?? 0).toBeCloseTo(0, 6);
  });

  it('is the arc of a circle where that is what the figures ask for', () => {
    const r = 80;
    const bend = evenBend(
      wish({ start: point(0, -r), end: point(r, 0), arriving: point(1, 0), hollow: r * (Math.SQRT2 - 1) }),
    );
    expect(pathLength(bend?.path ?? [])).toBeGreaterThan((Math.PI / 2) * r - 2);
    expect(pathLength(bend?.path ?? [])).toBeLessThan((Math.PI / 2) * r + 2);
    const radii = (bend?.path ?? []).map((c) => 1 / Math.abs(curvatureAt(c, 0.5)));
    expect(Math.min(...radii)).toBeGreaterThan(70);
    expect(Math.max(...radii)).toBeLessThan(92);
  });

  it('is none where its limits leave no room', () => {
    const narrow = wish({ end: point(12, 0), give: { ...wish().give, startUp: 0, startDown: 0 } });
    expect(evenBend({ ...narrow, limits: { ...narrow.limits, leastRadius: 60 } })).toBeUndefined();
  });
});
