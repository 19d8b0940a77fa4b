import { describe, expect, it } from 'vitest';
import { computeDraft, EMPTY_INPUT } from '../chain/index.js';
import { outlineOf } from '../draft/index.js';
import { contains, distance, flatten, nearestPlace, type Point } from '../geometry/index.js';
import { SHEETS } from '../shipped/index.js';
import { KNOWLEDGE, pinPlaces } from './index.js';

const measured = { waist: 780, hip: 1000, crotchDepth: 272, inseam: 780 };

/** Pins of what is too tight, a seam unpicked that gapes or an edge that does not reach; and of the band above the piece. */
const BESIDE = new Set(['openedSide', 'openedThigh', 'waistGap', 'droppedFront', 'pinchedBandTop']);

describe('where a pin lies', () => {
  it.each(SHEETS.map((sheet) => [sheet.id, sheet] as const))('is on the piece that it takes up, by %s', (_, sheet) => {
    const outcome = computeDraft({ ...EMPTY_INPUT, sheet, measured });
    if (!outcome.ok) throw new Error('must draft');
    const { block } = outcome.value;
    for (const { id } of KNOWLEDGE.pins) {
      const places = pinPlaces(id, 20, block);
      expect(places.length, id).toBeGreaterThan(0);
      for (const { panel, corners } of places) {
        const outline = outlineOf(block[panel]);
        const cloth = flatten(outline, 0.5);
        const onIt = (p: Point): boolean => contains(cloth, p) || nearestPlace(outline, p).distance < 42;
        expect(corners.every(onIt), `${id} ${panel}`).toBe(true);
        // What is taken in lies on the piece; what gapes, or is missing above it, beside it.
        const beside = BESIDE.has(id);
        if (!id.startsWith('pinched') && !beside) continue;
        const off = corners.filter((p) => nearestPlace(outline, p).distance > 1);
        expect(off.length, `${id} ${panel}`).toBeGreaterThan(0);
        expect(
          off.every((p) => contains(cloth, p) !== beside),
          `${id} ${panel}`,
        ).toBe(true);
      }
    }
  });

  it('is as wide at its top as is pinned there: half of it on each half, all of it across a seat', () => {
    const outcome = computeDraft({ ...EMPTY_INPUT, measured });
    if (!outcome.ok) throw new Error('must draft');
    const { block } = outcome.value;
    const [pinch] = pinPlaces('pinchedCentreBack', 20, block);
    const first = pinch?.corners[0];
    const last = pinch?.corners.at(-1);
    expect(first && last && distance(first, last)).toBeCloseTo(10, 6);
    const [fold] = pinPlaces('foldedSeat', 20, block);
    const [a, hinge, b] = fold?.corners ?? [];
    expect(a && b && distance(a, b)).toBeCloseTo(20, 6);
    expect(hinge && nearestPlace(block.back.edges.side, hinge).distance).toBeLessThan(0.01);
    const ends = (kind: string): number[] =>
      pinPlaces(kind, 20, block).map(({ corners }) => {
        const [a, b] = [corners[0], corners.at(-1)];
        return a && b ? distance(a, b) : NaN;
      });
    // A gap is parted between the pieces beside it; an opening and an edge that does not reach are one piece's.
    for (const kind of ['openedSide', 'openedThigh']) expect(ends(kind).map(Math.round)).toEqual([10, 10]);
    expect(ends('waistGap').map(Math.round)).toEqual([10]);
    expect(ends('droppedFront').map(Math.round)).toEqual([20]);
    expect(ends('pinchedBandTop').map(Math.round)).toEqual([10]);
    expect(pinPlaces('no such pin', 20, block)).toEqual([]);
  });
});
