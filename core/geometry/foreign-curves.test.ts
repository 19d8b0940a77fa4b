import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  bSplineCubics,
  bulgeArc,
  distance,
  ellipseArc,
  endOf,
  flatten,
  isClosed,
  joinChains,
  line,
  norm,
  pathBetween,
  pathLength,
  point,
  pointAt,
  reversePath,
  runningLengths,
  startOf,
  type Path,
} from './index.js';

const coordinate = fc.double({ min: -1000, max: 1000, noNaN: true });
const anyPoint = fc.record({ x: coordinate, y: coordinate });

describe('arcs of other programs', () => {
  it('are as long as a circle’s, and stay on it', () => {
    const quarter = ellipseArc(point(10, 20), point(300, 0), point(0, 300), 0, Math.PI / 2);
    expect(pathLength(quarter)).toBeCloseTo((300 * Math.PI) / 2, 3);
    for (const p of flatten(quarter, 0.01)) expect(distance(p, point(10, 20))).toBeCloseTo(300, 2);
    const back = ellipseArc(point(0, 0), point(50, 0), point(0, 50), Math.PI, 0);
    expect(startOf(back).x).toBeCloseTo(-50, 9);
    expect(endOf(back).x).toBeCloseTo(50, 9);
    expect(ellipseArc(point(0, 0), point(1, 0), point(0, 1), 2, 2)).toEqual([]);
  });

  it('bulge as their sweep says: one is a half circle, and the sign tells the side', () => {
    const half = bulgeArc(point(0, 0), point(100, 0), 1);
    expect(pathLength(half)).toBeCloseTo(50 * Math.PI, 4);
    expect(Math.min(...flatten(half, 0.01).map((p) => p.y))).toBeCloseTo(-50, 1);
    expect(Math.max(...flatten(bulgeArc(point(0, 0), point(100, 0), -1), 0.01).map((p) => p.y))).toBeCloseTo(50, 1);
    expect(pathLength(bulgeArc(point(0, 0), point(100, 0), 0))).toBe(100);
  });

  it('run from end to end exactly, with the radius that chord and bulge ask for', () => {
    fc.assert(
      fc.property(anyPoint, anyPoint, fc.double({ min: -3, max: 3, noNaN: true }), (a, b, bulge) => {
        const arc = bulgeArc(a, b, bulge);
        expect(startOf(arc)).toEqual(a);
        expect(endOf(arc)).toEqual(b);
        if (Math.abs(bulge) < 0.01 || distance(a, b) < 1) return;
        const radius = (distance(a, b) * (1 + bulge * bulge)) / (4 * Math.abs(bulge));
        expect(pathLength(arc) / (radius * 4 * Math.atan(Math.abs(bulge)))).toBeCloseTo(1, 5);
      }),
    );
  });
});

describe('splines of other programs', () => {
  const points = [point(0, 0), point(10, 40), point(60, 40), point(70, 0)];

  it('are exact for one span: a Bézier curve comes back as it is', () => {
    const [only, ...more] = bSplineCubics({ degree: 3, knots: [0, 0, 0, 0, 1, 1, 1, 1], points }) ?? [];
    expect(more).toEqual([]);
    expect(only && distance(only.p1, point(10, 40))).toBeLessThan(1e-9);
    expect(only && distance(only.p2, point(60, 40))).toBeLessThan(1e-9);
  });

  it('run on smoothly over inner knots, and pass where the knots say', () => {
    const five = [...points, point(90, 30)];
    const cubics = bSplineCubics({ degree: 3, knots: [0, 0, 0, 0, 0.5, 1, 1, 1, 1], points: five }) ?? [];
    expect(cubics).toHaveLength(2);
    expect(endOf(cubics)).toEqual(point(90, 30));
    // By hand, de Boor at 0.5: half of (10,40)–(60,40) and (60,40)–(70,0), halved again.
    expect(distance(endOf(cubics.slice(0, 1)), point(50, 30))).toBeLessThan(1e-9);
  });

  it('with weights follow a circle', () => {
    const w = Math.SQRT1_2;
    const quarter = bSplineCubics({
      degree: 2,
      knots: [0, 0, 0, 1, 1, 1],
      points: [point(100, 0), point(100, 100), point(0, 100)],
      weights: [1, w, 1],
    });
    for (const c of quarter ?? []) expect(norm(pointAt(c, 0.37))).toBeCloseTo(100, 3);
    expect(pathLength(quarter ?? [])).toBeCloseTo(50 * Math.PI, 3);
  });

  it('give nothing where knots, points or weights do not belong together', () => {
    expect(bSplineCubics({ degree: 3, knots: [0, 0, 1, 1], points })).toBeUndefined();
    expect(bSplineCubics({ degree: 3, knots: [0, 0, 0, 1, 0, 1, 1, 1], points })).toBeUndefined();
    expect(bSplineCubics({ degree: 3, knots: [0, 0, 0, NaN, 1, 1, 1, 1], points })).toBeUndefined();
    expect(
      bSplineCubics({ degree: 3, knots: [0, 0, 0, 0, 1, 1, 1, 1], points, weights: [1, 0, 1, 1] }),
    ).toBeUndefined();
  });
});

describe('lines joined into chains', () => {
  const corners = [point(0, 0), point(300, 0), point(300, 900), point(120, 1000), point(0, 900)];
  const sides = corners.map((p, i): Path => [line(p, corners[(i + 1) % corners.length] ?? p)]);

  it('come to one closed outline in whatever order and direction they were drawn, with gaps that nobody sees', () => {
    fc.assert(
      fc.property(
        fc.shuffledSubarray([0, 1, 2, 3, 4], { minLength: 5 }),
        fc.array(fc.boolean(), { minLength: 5, maxLength: 5 }),
        fc.double({ min: -0.03, max: 0.03, noNaN: true }),
        (order, turned, gap) => {
          const drawn = order.map((i): Path => {
            const [side] = sides[i] ?? [];
            if (!side) return [];
            const run = [line(point(side.p0.x + gap, side.p0.y), side.p3)];
            return turned[i] ? reversePath(run) : run;
          });
          const [chain, ...more] = joinChains(drawn, 0.1);
          expect(more).toEqual([]);
          expect(chain?.closed).toBe(true);
          expect(isClosed(chain?.path ?? [])).toBe(true);
          expect(pathLength(chain?.path ?? [])).toBeCloseTo(
            300 + 900 + Math.hypot(180, 100) + Math.hypot(120, 100) + 900,
            0,
          );
        },
      ),
    );
  });

  it('keep an outline closed where other lines touch it, and leave what lies apart apart', () => {
    const dart: Path[] = [[line(point(300, 0), point(350, 60))], [line(point(350, 60), point(420, 70))]];
    const chains = joinChains([...dart, ...sides], 0.1);
    expect(chains.map((c) => [c.closed, c.path.length])).toEqual([
      [false, 2],
      [true, 5],
    ]);
    const [first, second] = joinChains([[line(point(0, 0), point(1, 0))], [line(point(2, 0), point(3, 0))]], 0.1);
    expect([first?.path.length, second?.path.length]).toEqual([1, 1]);
  });

  it('give the part between two lengths, over the start where it must be', () => {
    const [round] = joinChains(sides, 0.1);
    const path = round?.path ?? [];
    const whole = pathLength(path);
    expect(pathLength(pathBetween(path, 100, 400))).toBeCloseTo(300, 6);
    expect(pathLength(pathBetween(path, whole - 50, 70))).toBeCloseTo(120, 6);
    expect(pathLength(pathBetween(path, 0, whole))).toBeCloseTo(whole, 6);
  });
});

describe('a row of points', () => {
  it('is as long as the straight lines between them', () => {
    expect(runningLengths([point(0, 0), point(3, 4), point(3, 10), point(3, 10)])).toEqual([0, 5, 11, 11]);
    expect(runningLengths([])).toEqual([]);
  });
});
