import { describe, expect, it } from 'vitest';
import { computeDraft, EMPTY_INPUT, type Draft, type DraftInput } from '../chain/index.js';
import { sayFinding } from '../check/index.js';
import { outlineOf } from '../draft/index.js';
import { add, flatten, line, mapPath, pathLength, point, turn, type Path, type Point } from '../geometry/index.js';
import {
  nearestSize,
  outlineRises,
  outlineSizes,
  startReference,
  wantedFigures,
  type FileShape,
  type Reference,
} from './index.js';

const measured = { waist: 780, hip: 1000, crotchDepth: 272, inseam: 780 };
function draft(more: Partial<DraftInput> = {}): Draft {
  const outcome = computeDraft({ ...EMPTY_INPUT, measured, ...more });
  if (!outcome.ok) throw new Error('refused');
  return outcome.value;
}

/** A body so many centimetres larger in hip and waist, and deeper by a tenth of it. */
const larger = (cm: number): Draft =>
  draft({
    measured: { ...measured, waist: 780 + 10 * cm, hip: 1000 + 10 * cm, crotchDepth: 272 + cm },
  });

const shape = (layer: string, path: Path, angle: number, dx: number): FileShape => ({
  layer,
  closed: true,
  path: mapPath(path, (p) => add(turn(p, angle), point(dx, 40))),
});

function laid(drafts: readonly Draft[], layerOf: (i: number) => string, own: Draft): Reference {
  const shapes = drafts.flatMap(({ block }, i) => [
    shape(layerOf(i), outlineOf(block.front), 0.3, 100),
    shape(layerOf(i), outlineOf(block.back), -0.2, 900),
  ]);
  const started = startReference({ name: 'nest.svg', mmPerUnit: 1, shapes, leftOut: [] }, own.block, '2026-11-28');
  if (!started.ok) throw new Error('refused');
  return started.value;
}

describe('a file with several sizes', () => {
  const nest = [larger(8), larger(0), larger(-4), larger(4)];
  const own = larger(3);
  const reference = laid(nest, (i) => ['42', '38', '36', '40'][i] ?? '', own);
  const sizes = outlineSizes(reference, own.block);

  it('is told apart into its sizes, smallest first, by the names of their layers', () => {
    expect(sizes.map((s) => s.name)).toEqual(['36', '38', '40', '42']);
    expect(
      outlineSizes(
        laid(nest, () => 'all', own),
        own.block,
      ).map((s) => s.name),
    ).toEqual(['Size 1', 'Size 2', 'Size 3', 'Size 4']);
    expect(
      outlineSizes(
        laid([own], () => '', own),
        own.block,
      ),
    ).toHaveLength(1);
  });

  it('is laid under the draft by one front and one back of one size, the nearest', () => {
    const [front, back] = ['front', 'back'].map((piece) => reference.shapes.findIndex((s) => s.piece === piece));
    expect([reference.shapes[front ?? -1]?.layer, reference.shapes[back ?? -1]?.layer]).toEqual(['40', '40']);
  });

  it('is no file with a band, a yoke and a bag beside its one front and back', () => {
    const { front, back } = own.block;
    const box = (wide: number, high: number): Path => {
      const corners = [point(0, 0), point(wide, 0), point(wide, high), point(0, high)];
      return corners.map((p, i) => line(p, corners[(i + 1) % 4] ?? p));
    };
    const shapes = [
      shape('', box(900, 90), 0, 0),
      shape('', outlineOf(back), -0.2, 900),
      shape('', box(480, 160), 0.1, 500),
      shape('', outlineOf(front), 0.3, 100),
      shape('', box(420, 200), 0, 1500),
    ];
    const started = startReference({ name: 'one.svg', mmPerUnit: 1, shapes, leftOut: [] }, own.block, '2026-11-28');
    if (!started.ok) throw new Error('refused');
    const pieces = started.value.shapes.filter((s) => s.piece !== 'none');
    expect(pieces.map((s) => s.piece).sort()).toEqual(['back', 'front']);
    const rises = outlineRises(started.value, own).rises.map((r) => r.outline);
    expect(Math.abs((rises[0] ?? 0) - pathLength(front.edges.rise))).toBeLessThan(1);
    expect(Math.abs((rises[1] ?? 0) - pathLength(back.edges.rise))).toBeLessThan(1);
    expect(outlineSizes(started.value, own.block)).toHaveLength(1);
  });

  it('is laid by one size also where the draft’s front is nearest to one and its back to another', () => {
    const uneven = draft({
      measured: { ...measured, waist: 820, hip: 1040 },
      set: { 'back.hipWidth': 300, 'back.waistWidth': 235 },
    });
    const { shapes } = laid(nest, (i) => ['42', '38', '36', '40'][i] ?? '', uneven);
    const [front, back] = ['front', 'back'].map((piece) => shapes.find((s) => s.piece === piece)?.layer);
    expect(front).toBeDefined();
    expect(back).toBe(front);
  });

  it('has the girths and rises of each as they are on its own pieces', () => {
    for (const [i, of] of [nest[2], nest[1], nest[3], nest[0]].entries()) {
      const { front, back } = of?.block ?? {};
      const figures = sizes[i]?.figures;
      if (!front || !back || !figures) throw new Error('a size for each');
      const rise = [figures.frontRise ?? 0, figures.backRise ?? 0];
      expect(Math.abs((rise[0] ?? 0) - pathLength(front.edges.rise))).toBeLessThan(1);
      expect(Math.abs((rise[1] ?? 0) - pathLength(back.edges.rise))).toBeLessThan(1);
      const open = 2 * (pathLength(front.edges.waist) + pathLength(back.edges.waist));
      expect(Math.abs((figures.waist ?? 0) - open)).toBeLessThan(2);
      // The hip as high above the crotch point as the draft's is, from the side square to the centre line.
      const hip = [front, back].reduce((sum, panel) => {
        const mine = own.block[panel.name];
        const y = panel.points.crotchPoint.y - (mine.points.crotchPoint.y - mine.levels.hipLevel);
        const at = (edge: 'side' | 'rise'): Point =>
          flatten(panel.edges[edge], 0.001).reduce((p, q) => (Math.abs(q.y - y) < Math.abs(p.y - y) ? q : p));
        const [side, rise, top] = [at('side'), at('rise'), panel.points.centreWaist];
        const along = Math.hypot(top.x - rise.x, top.y - rise.y);
        return sum + Math.abs((side.x - rise.x) * (top.y - rise.y) - (side.y - rise.y) * (top.x - rise.x)) / along;
      }, 0);
      expect(Math.abs((figures.hip ?? 0) - 2 * hip)).toBeLessThan(1.5);
      expect(Math.abs((figures.thigh ?? 0) - front.crotchWidth - back.crotchWidth)).toBeLessThan(4);
    }
    const hips = sizes.map((s) => s.figures.hip ?? 0);
    for (const [i, hip] of hips.slice(1).entries()) expect(Math.abs(hip - (hips[i] ?? 0) - 40)).toBeLessThan(4);
  });

  it('says which comes nearest to what is wanted of each figure', () => {
    const wanted = wantedFigures(own, sizes);
    // No dart is drawn in the file: its waists are held against the draft's over open darts.
    const { front, back } = own.block;
    expect(wanted.waist).toBeCloseTo(2 * (pathLength(front.edges.waist) + pathLength(back.edges.waist)), 9);
    expect(nearestSize(sizes, 'waist', wanted.waist)?.name).toBe('40');
    expect(
      wantedFigures(own, [{ name: 'drawn', figures: {}, dartsDrawn: true, shapes: { front: 0, back: 1 } }]).waist,
    ).toBeLessThan(wanted.waist - 20);
    expect(nearestSize(sizes, 'hip', wanted.hip)?.name).toBe('40');
    expect(nearestSize(sizes, 'hip', 1)?.name).toBe('36');
    expect(nearestSize([], 'hip', 1000)).toBeUndefined();
    const tall = draft({ measured: { ...measured, frontRise: 310, backRise: 400 } });
    expect(wantedFigures(tall, sizes)).toMatchObject({ frontRise: 310, backRise: 400 });
  });
});

describe('the rises of an outline', () => {
  it('are held against the body’s, not the draft’s, and their character is told as a draft’s is', () => {
    const own = draft({ measured: { ...measured, frontRise: 305, backRise: 391 } });
    const other = draft();
    const { rises, character } = outlineRises(
      laid([other], () => '', own),
      own,
    );
    expect(rises.map((r) => [r.id, r.wanted])).toEqual([
      ['frontRise', 305],
      ['backRise', 391],
      ['wholeRise', 696],
    ]);
    const [front, back] = [other.block.front, other.block.back].map((p) => pathLength(p.edges.rise)) as [
      number,
      number,
    ];
    expect(Math.abs((rises[0]?.outline ?? 0) - front)).toBeLessThan(1);
    expect(Math.abs((rises[2]?.outline ?? 0) - front - back)).toBeLessThan(2);
    const ofDraft = other.checks.find((c) => c.id === 'riseCharacter')?.value;
    expect(character).toMatchObject({ of: 'character' });
    if (typeof ofDraft !== 'object' || !character) throw new Error('both have a character');
    expect(sayFinding(character, 'in')).toBe(sayFinding(ofDraft, 'in'));
    // What was not measured of the body is not held against the draft's in its place.
    expect(
      outlineRises(
        laid([other], () => '', other),
        other,
      ).rises.map((r) => r.wanted),
    ).toEqual([undefined, undefined, undefined]);
  });
});
