import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  angleBetween,
  contains,
  cubic,
  cubicLength,
  directionAt,
  distance,
  enclosedArea,
  flatten,
  isClosed,
  line,
  meetCubics,
  meetPaths,
  nearestPlace,
  offsetPath,
  parameterAtLength,
  partOf,
  pathLength,
  placeAtLength,
  point,
  pointAt,
  reversePath,
  selfCrossing,
  splitAt,
  splitPath,
  type Cubic,
  type Point,
} from './index.js';

const K = 0.5522847498307936;
const quarterArc = (r: number): Cubic => cubic(point(r, 0), point(r, K * r), point(K * r, r), point(0, r));

const anyPoint = fc.record({
  x: fc.double({ min: -300, max: 300, noNaN: true }),
  y: fc.double({ min: -300, max: 300, noNaN: true }),
});
const anyCubic = fc.tuple(anyPoint, anyPoint, anyPoint, anyPoint).map(([a, b, c, d]) => cubic(a, b, c, d));

/** A length by brute force, for comparison. */
function chordLength(c: Cubic, steps = 20000): number {
  let sum = 0;
  let last = c.p0;
  for (let i = 1; i <= steps; i++) {
    const p = pointAt(c, i / steps);
    sum += distance(last, p);
    last = p;
  }
  return sum;
}

describe('length of a curve', () => {
  it('is exact for lines and a parabola, and right for a quarter arc', () => {
    expect(cubicLength(line(point(0, 0), point(30, 40)))).toBeCloseTo(50, 9);
    // y = x² from 0 to 1 as a cubic: length = √5/2 + asinh(2)/4.
    const parabola = cubic(point(0, 0), point(1 / 3, 0), point(2 / 3, 1 / 3), point(1, 1));
    expect(cubicLength(parabola)).toBeCloseTo(Math.sqrt(5) / 2 + Math.asinh(2) / 4, 9);
    expect(cubicLength(quarterArc(100))).toBeCloseTo((Math.PI / 2) * 100, 1);
  });

  it('agrees with a fine polygon for any curve, loops and cusps included', () => {
    fc.assert(
      fc.property(anyCubic, (c) => {
        expect(Math.abs(cubicLength(c) - chordLength(c))).toBeLessThan(0.01);
      }),
      { numRuns: 60 },
    );
  });

  it('is the sum of its parts, and a length along the curve finds its place', () => {
    fc.assert(
      fc.property(anyCubic, fc.double({ min: 0.05, max: 0.95, noNaN: true }), (c, t) => {
        const [head, tail] = splitAt(c, t);
        expect(Math.abs(cubicLength(head) + cubicLength(tail) - cubicLength(c))).toBeLessThan(0.01);
        const wanted = cubicLength(c) * t;
        expect(Math.abs(cubicLength(c, 0, parameterAtLength(c, wanted)) - wanted)).toBeLessThan(0.01);
      }),
      { numRuns: 200 },
    );
  });
});

describe('paths', () => {
  const path = [quarterArc(100), line(point(0, 100), point(-50, 100))];

  it('finds places by length, splits there, and runs both ways', () => {
    const place = placeAtLength(path, pathLength(path) - 20);
    expect(place.at.x).toBeCloseTo(-30, 4);
    const [before, after] = splitPath(path, place);
    expect(pathLength(before) + pathLength(after)).toBeCloseTo(pathLength(path), 6);
    expect(pathLength(reversePath(path))).toBeCloseTo(pathLength(path), 9);
    expect(pathLength([partOf(quarterArc(100), 0.2, 0.7)])).toBeCloseTo(cubicLength(quarterArc(100), 0.2, 0.7), 6);
  });

  it('finds the nearest place: no sampled point of the curve is nearer', () => {
    fc.assert(
      fc.property(anyCubic, anyPoint, (c, p) => {
        const near = nearestPlace([c], p);
        for (let i = 0; i <= 400; i++)
          expect(near.distance).toBeLessThanOrEqual(distance(pointAt(c, i / 400), p) + 0.005);
      }),
      { numRuns: 100 },
    );
  });

  it('flattens so that the curve nowhere leaves the chords by more than the tolerance', () => {
    const points = flatten([quarterArc(100)], 0.05);
    for (const [i, a] of points.slice(0, -1).entries()) {
      const b = points[i + 1] ?? a;
      const middle = point((a.x + b.x) / 2, (a.y + b.y) / 2);
      expect(nearestPlace([quarterArc(100)], middle).distance).toBeLessThan(0.05);
    }
  });
});

describe('meetings', () => {
  it('finds both crossings of an arc and a line, at the right places', () => {
    const chord = line(point(110, 5), point(5, 110));
    const hits = meetCubics(quarterArc(100), chord);
    expect(hits).toHaveLength(2);
    for (const hit of hits) {
      expect(distance(hit.at, pointAt(chord, hit.u))).toBeLessThan(1e-6);
      expect(Math.hypot(hit.at.x, hit.at.y)).toBeCloseTo(100, 1);
    }
    expect(meetPaths([line(point(0, 0), point(10, 0))], [line(point(0, 1), point(10, 1))])).toHaveLength(0);
  });

  it('finds every crossing that a fine polygon shows', () => {
    fc.assert(
      fc.property(anyCubic, anyCubic, (a, b) => {
        const hits = meetCubics(a, b);
        const p = flatten([a], 0.2);
        const q = flatten([b], 0.2);
        for (const [i, s] of p.slice(0, -1).entries()) {
          for (const [j, r] of q.slice(0, -1).entries()) {
            const e = p[i + 1] ?? s;
            const f = q[j + 1] ?? r;
            const side = (u: Point, v: Point, w: Point): number =>
              (v.x - u.x) * (w.y - u.y) - (v.y - u.y) * (w.x - u.x);
            // Clear crossings only: polygons of grazing curves cross where the curves do not.
            const clear = Math.min(
              Math.abs(side(s, e, r)),
              Math.abs(side(s, e, f)),
              Math.abs(side(r, f, s)),
              Math.abs(side(r, f, e)),
            );
            if (clear < 60 || side(s, e, r) * side(s, e, f) >= 0 || side(r, f, s) * side(r, f, e) >= 0) continue;
            expect(hits.some((h) => distance(h.at, s) < distance(s, e) + 1)).toBe(true);
          }
        }
      }),
      { numRuns: 40 },
    );
  });
});

describe('outlines', () => {
  const square = [point(0, 0), point(10, 0), point(10, 10), point(0, 10)];
  const sides = square.map((p, i) => line(p, square[(i + 1) % 4] ?? p));

  it('measures area exactly, also under curves', () => {
    expect(enclosedArea(sides)).toBeCloseTo(100, 9);
    const slice = [quarterArc(100), line(point(0, 100), point(0, 0)), line(point(0, 0), point(100, 0))];
    expect(Math.abs(enclosedArea(slice))).toBeCloseTo((Math.PI / 4) * 10000, -1);
    expect(isClosed(slice)).toBe(true);
    expect(isClosed(sides.slice(0, 3))).toBe(false);
  });

  it('tells a crossing outline from a sound one, and inside from outside', () => {
    expect(selfCrossing(square)).toBeUndefined();
    const bow = [point(0, 0), point(10, 10), point(10, 0), point(0, 10)];
    expect(selfCrossing(bow)).toEqual({ x: 5, y: 5 });
    // One stretch ends just before the line of another.
    const gap = [point(0, 0), point(4, 4), point(0, 8), point(2, 8.2), point(3.6, 4.6), point(5.1, 3.1), point(3, -1)];
    expect(selfCrossing(gap)).toBeUndefined();
    const throughVertex = [point(0, 0), point(10, 0), point(10, 10), point(5, 0), point(0, 10)];
    expect(selfCrossing(throughVertex)).toEqual({ x: 5, y: 0 });
    const onItself = [
      point(0, 0),
      point(10, 0),
      point(10, 10),
      point(4, 10),
      point(4, 0),
      point(2, 0),
      point(2, 10),
      point(0, 10),
    ];
    expect(selfCrossing(onItself)).toBeDefined();
    const spike = [point(0, 0), point(10, 0), point(10, 10), point(10, 14), point(10, 8), point(0, 8)];
    expect(selfCrossing(spike)).toBeDefined();
    const corner = [
      [10, 10.02],
      [9.98, 10.02],
      [9.98, 10.01],
      [10.02, 10.01],
      [10.02, 10],
    ].map(([x = 0, y = 0]) => point(x, y));
    const loopAtCorner = [point(0, 0), point(10, 0), ...corner, point(0, 10)];
    expect(selfCrossing(loopAtCorner)).toBeDefined();
    expect(contains(square, point(5, 5))).toBe(true);
    expect(contains(square, point(15, 5))).toBe(false);
  });
});

describe('offset', () => {
  it('keeps its distance everywhere to 0.01 mm and its tangents at the joins', () => {
    const curve = [cubic(point(0, 0), point(5, 90), point(40, 120), point(130, 125))];
    for (const by of [10, -15, 25.4]) {
      const offset = offsetPath(curve, by);
      for (const p of flatten(offset, 0.01)) {
        expect(Math.abs(nearestPlace(curve, p).distance - Math.abs(by))).toBeLessThan(0.02);
      }
      for (const [i, c] of offset.slice(0, -1).entries()) {
        const next = offset[i + 1];
        if (next) expect(angleBetween(directionAt(c, 1), directionAt(next, 0))).toBeLessThan(1e-6);
      }
    }
    expect(offsetPath(curve, 0)).toBe(curve);
  });
});
