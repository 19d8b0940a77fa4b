import { describe, expect, it } from 'vitest';
import { BODIES, METHODS, wornBy } from '../../bench/worn.js';
import { contourAt } from '../body/index.js';
import { distance, type Point } from '../geometry/index.js';
import { arrangeRound } from './arrange.js';
import { particlesOf, sewUp } from './assembly.js';
import { finderIn } from './finder.js';
import { meshParts } from './mesh.js';
import { sampleOutlines } from './outline.js';
import { refine } from './refine.js';

const worn = BODIES.flatMap((body) => METHODS.map((method) => wornBy(body, method)));
const [first] = worn;
if (!first) throw new Error('a draft');

describe('the outlines of parts', () => {
  it('go once round, each edge from corner to corner, with steps near what was asked', () => {
    for (const { drafts } of worn) {
      for (const outline of sampleOutlines(drafts.good, drafts.good.parts, 20)) {
        const { places, edges, part, waist, darts } = outline;
        const used = new Set([...edges.values()].flat());
        for (const run of [...waist, ...darts.flat()]) for (const i of run) used.add(i);
        expect(used.size).toBe(places.length);
        for (const { id, path } of part.edges) {
          const run = edges.get(id) ?? [];
          const [from, to] = [places[run[0] ?? -1], places[run[run.length - 1] ?? -1]] as [Point, Point];
          expect(distance(from, path[0]?.p0 ?? { x: NaN, y: NaN })).toBeLessThan(0.01);
          expect(distance(to, path[path.length - 1]?.p3 ?? { x: NaN, y: NaN })).toBeLessThan(0.01);
        }
        for (const [i, p] of places.entries()) {
          const step = distance(p, places[(i + 1) % places.length] as Point);
          expect([part.id, step > 2 && step < 45]).toEqual([part.id, true]);
        }
      }
    }
  });

  it('have both legs of a dart as long in steps, from the waist to one apex', () => {
    for (const { drafts } of worn) {
      for (const { darts, places } of sampleOutlines(drafts.good, drafts.good.parts, 13)) {
        for (const [a, b] of darts) {
          expect(a.length).toBe(b.length);
          expect(a[a.length - 1]).toBe(b[b.length - 1]);
          expect(distance(places[a[0] ?? 0] as Point, places[b[0] ?? 0] as Point)).toBeGreaterThan(2);
        }
      }
    }
  });
});

describe('a garment that is laid round its body', () => {
  it('lies outside it at every level, its rises in the middle, its waist at the waist', () => {
    for (const { drafts, body } of worn.slice(0, METHODS.length)) {
      const assembly = sewUp(drafts.good, meshParts(drafts.good, 26));
      const at = arrangeRound(assembly, body);
      expect(at.every((v) => Number.isFinite(v))).toBe(true);
      for (const p of particlesOf(assembly, 'rise')) expect(at[3 * p]).toBe(0);
      for (let p = 0; p < assembly.count; p++) expect(at[3 * p]).toBeGreaterThanOrEqual(0);
      for (const p of assembly.waist) {
        expect(Math.abs(1000 * (at[3 * p + 1] as number) - body.heights.waist)).toBeLessThan(70);
      }
      // The side lies farther out than the body does there.
      for (const p of particlesOf(assembly, 'side')) {
        const y = 1000 * (at[3 * p + 1] as number);
        if (y < 60 || y > body.heights.hip) continue;
        const wide = Math.max(...contourAt(body, y).places.map(([x]) => x));
        const off = Math.hypot(1000 * (at[3 * p] as number), 0);
        expect(off).toBeGreaterThan(0.7 * wide);
      }
    }
  });

  it('is laid finer where the coarse one lies', () => {
    const coarse = sewUp(first.drafts.good, meshParts(first.drafts.good, 30));
    const fine = sewUp(first.drafts.good, meshParts(first.drafts.good, 15));
    const finer = refine(coarse, arrangeRound(coarse, first.body), fine);
    const own = arrangeRound(fine, first.body);
    const off = Array.from({ length: fine.count }, (_, p) =>
      Math.hypot(...[0, 1, 2].map((k) => (finer[3 * p + k] as number) - (own[3 * p + k] as number))),
    ).sort((a, b) => a - b);
    // In metres; between the legs a coarse triangle spans what the finer one goes round.
    expect(off[Math.floor(0.9 * off.length)]).toBeLessThan(0.02);
    expect(off[off.length - 1]).toBeLessThan(0.15);
  });
});

describe('a place of a mesh', () => {
  const places: Point[] = [
    { x: 0, y: 0 },
    { x: 30, y: 0 },
    { x: 0, y: 30 },
    { x: 30, y: 30 },
  ];
  const find = finderIn(places, [
    [0, 1, 2],
    [1, 3, 2],
  ]);
  const back = (p: Point): Point => {
    const { corners, shares } = find(p);
    return corners.reduce(
      (sum, c, k) => ({
        x: sum.x + (shares[k] as number) * (places[c] as Point).x,
        y: sum.y + (shares[k] as number) * (places[c] as Point).y,
      }),
      { x: 0, y: 0 },
    );
  };
  it('is found in the triangle that it lies in, its shares giving it back', () => {
    for (const p of [
      { x: 5, y: 5 },
      { x: 25, y: 20 },
      { x: 15, y: 15 },
      { x: 0, y: 30 },
    ]) {
      expect(distance(back(p), p)).toBeLessThan(1e-9);
    }
  });
  it('is held to the nearest triangle where it lies outside all of them', () => {
    const { shares } = find({ x: -6, y: 10 });
    expect(Math.min(...shares)).toBeGreaterThanOrEqual(0);
    expect(shares.reduce((sum, s) => sum + s, 0)).toBeCloseTo(1, 9);
    expect(back({ x: -6, y: 10 }).x).toBeCloseTo(0, 9);
  });
});
