import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  angleBetween,
  breaksOf,
  crossLine,
  cubic,
  cubicLength,
  directionAt,
  displacePath,
  distance,
  endOf,
  fairPath,
  jointedAt,
  line,
  nearestPlace,
  pathLength,
  placeAtLength,
  point,
  pointAt,
  smoothStep,
  type Cubic,
  type Path,
} from './index.js';

const anyNumber = (most: number) => fc.integer({ min: -most * 1000, max: most * 1000 }).map((n) => n / 1000);
const anyPoint = fc.record({ x: anyNumber(500), y: anyNumber(500) });
const anyCubic = fc.tuple(anyPoint, anyPoint, anyPoint, anyPoint).map(([a, b, c, d]): Cubic => cubic(a, b, c, d));

describe('the length of a curve', () => {
  it('is that of its chord for a straight line, in whole or in part', () => {
    const c = line(point(10, 20), point(40, 60));
    expect(cubicLength(c)).toBe(50);
    expect(cubicLength(c, 0.2, 0.7)).toBeCloseTo(25, 12);
  });
  it('is the sum of its parts, and between its chord and its control legs', () => {
    fc.assert(
      fc.property(anyCubic, fc.double({ min: 0.05, max: 0.95, noNaN: true }), (c, t) => {
        const whole = cubicLength(c);
        expect(cubicLength(c, 0, t) + cubicLength(c, t, 1)).toBeCloseTo(whole, 1);
        expect(whole).toBeGreaterThan(distance(c.p0, c.p3) - 0.02);
        expect(whole).toBeLessThan(distance(c.p0, c.p1) + distance(c.p1, c.p2) + distance(c.p2, c.p3) + 0.02);
      }),
      { numRuns: 300 },
    );
  });
});

describe('where a path crosses a line', () => {
  it('finds every crossing, in order, on the line', () => {
    const wave: Path = [
      cubic(point(0, 0), point(40, 120), point(60, -120), point(100, 0)),
      line(point(100, 0), point(100, 50)),
    ];
    const hits = crossLine(wave, point(-20, 10), point(1, 0));
    expect(hits).toHaveLength(3);
    for (const hit of hits) expect(hit.at.y).toBeCloseTo(10, 9);
    expect(hits.map((h) => h.index)).toEqual([0, 0, 1]);
    expect(hits[2]?.along).toBeCloseTo(120, 9);
    expect(crossLine(wave, point(0, 300), point(1, 0))).toEqual([]);
  });
  it('misses none that a fine polygon would show, on any curve', () => {
    fc.assert(
      fc.property(anyCubic, anyNumber(400), (c, y) => {
        let changes = 0;
        let last = c.p0.y - y;
        for (let i = 1; i <= 2000; i++) {
          const now = pointAt(c, i / 2000).y - y;
          if (last * now < 0) changes++;
          if (now !== 0) last = now;
        }
        const hits = crossLine([c], point(0, y), point(1, 0));
        expect(hits.length).toBeGreaterThanOrEqual(changes);
        for (const hit of hits) expect(Math.abs(pointAt(c, hit.t).y - y)).toBeLessThan(1e-6);
      }),
      { numRuns: 300 },
    );
  });
  it('counts a joint once', () => {
    const corner: Path = [line(point(0, 0), point(0, 10)), line(point(0, 10), point(0, 20))];
    expect(crossLine(corner, point(-5, 10), point(1, 0))).toHaveLength(1);
  });
});

describe('a seam moved along its length', () => {
  const seam: Path = [
    line(point(0, 0), point(0, 100)),
    cubic(point(0, 100), point(0, 140), point(20, 180), point(30, 220)),
  ];
  const total = pathLength(seam);
  it('moves each place by what was told, stays smooth, and keeps what is not moved', () => {
    const by = (s: number) => point(8 * (1 - smoothStep(Math.abs(s - 100) / 60)), 0);
    const { path, joints } = displacePath(seam, by, [1]);
    expect(nearestPlace(path, point(8, 100)).distance).toBeLessThan(0.01);
    expect(joints[0]).toBeGreaterThan(1);
    expect(path[joints[0] ?? 0]?.p0).toEqual(point(8, 100));
    for (const [i, c] of path.entries()) {
      const next = path[i + 1];
      if (next) expect(angleBetween(directionAt(c, 1), directionAt(next, 0))).toBeLessThan(0.004);
    }
    expect(path[0]?.p0).toEqual(seam[0]?.p0);
    expect(distance(placeAtLength(path, Infinity).at, placeAtLength(seam, total).at)).toBeLessThan(1e-9);
  });
  it('is the very same where nothing moves, and the same shape where all moves alike', () => {
    expect(displacePath(seam, () => point(0, 0)).path).toEqual(seam);
    const { path } = displacePath(seam, () => point(3, -4));
    expect(path).toHaveLength(seam.length);
    expect(pathLength(path)).toBeCloseTo(total, 9);
  });
  it('steps from nothing to all with no slope at either end', () => {
    expect([smoothStep(-1), smoothStep(0), smoothStep(0.5), smoothStep(1), smoothStep(7)]).toEqual([0, 0, 0.5, 1, 1]);
    expect(smoothStep(0.01)).toBeLessThan(1e-4);
    expect(1 - smoothStep(0.99)).toBeLessThan(1e-4);
  });
});

describe('a seam redrawn', () => {
  const bent = (degrees: number): Path => {
    const a = (degrees * Math.PI) / 180;
    return [line(point(0, 0), point(0, 200)), line(point(0, 200), point(200 * Math.sin(a), 200 + 200 * Math.cos(a)))];
  };
  it('has no corner left, keeps its ends, and stays near what it was', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.5, max: 25, noNaN: true }), (degrees) => {
        const path = bent(degrees);
        const faired = fairPath(path, [1]);
        expect(breaksOf(faired.path)).toEqual([]);
        expect(faired.path[0]?.p0).toEqual(point(0, 0));
        expect(distance(placeAtLength(faired.path, Infinity).at, path[1]?.p3 ?? point(0, 0))).toBeLessThan(1e-9);
        expect(nearestPlace(faired.path, point(0, 200)).distance).toBeLessThan(0.01 + degrees * 0.5);
        expect(faired.joints[0]).toBeGreaterThan(0);
      }),
    );
  });
  it('keeps the length of a gap that was bridged, unless a fold has left a jog', () => {
    // Spread by 12 mm on a seam that slants by 5 degrees: the bridge is plumb, the seam is not.
    const slant = Math.tan((5 * Math.PI) / 180);
    const spread: Path = [
      line(point(0, 0), point(150 * slant, 150)),
      line(point(150 * slant, 150), point(150 * slant, 162)),
      line(point(150 * slant, 162), point(300 * slant, 312)),
    ];
    expect(pathLength(fairPath(spread).path)).toBeCloseTo(pathLength(spread), 3);
    expect(pathLength(fairPath(spread, [], false).path)).toBeLessThan(pathLength(spread) - 0.02);
  });
  it('leaves a smooth seam alone', () => {
    const smooth: Path = [cubic(point(0, 0), point(0, 40), point(20, 90), point(60, 120))];
    expect(fairPath(smooth).path).toBe(smooth);
  });
  it('cuts a path at lengths and says how many curves lie before each', () => {
    const { path, joints } = jointedAt(bent(10), [300, 50]);
    expect(joints).toEqual([3, 1]);
    expect(pathLength(path.slice(0, 1))).toBeCloseTo(50, 6);
    expect(pathLength(path.slice(0, 3))).toBeCloseTo(300, 6);
    expect(jointedAt(bent(10), [200]).path).toHaveLength(2);
  });
});

describe('a path that is moved again and again', () => {
  it('keeps few curves: straight lines are cut only where they are long', () => {
    const bumped = (path: Path): Path => {
      const total = pathLength(path);
      return displacePath(path, (s) => point(2 * smoothStep(s / total), 0)).path;
    };
    let short: Path = [line(point(0, 0), point(0, 20))];
    let long: Path = [line(point(0, 0), point(0, 200))];
    for (let i = 0; i < 12; i++) [short, long] = [bumped(short), bumped(long)];
    expect(short).toHaveLength(1);
    expect(long.length).toBeLessThan(12);
    expect(endOf(long).x).toBeCloseTo(24, 6);
  });
});
