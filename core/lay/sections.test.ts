import { describe, expect, it } from 'vitest';
import { box } from '../../bench/box-shape.js';
import {
  LayJob,
  layCloth,
  layOf,
  placedOutline,
  sectionsJoined,
  sectionsOf,
  sectionsPaired,
  layAt,
  type FoundLay,
  type LayShape,
} from './index.js';

const leg = (id: string, long: number, wide: number): LayShape => box(id, long, wide, 2, { mirrored: true });
const garments = [900, 1100, 1000, 800, 1050].map((long, i) => ({
  key: `body ${i}`,
  shapes: [leg('front', long, 240), leg('back', long, 300)],
}));
const cloth = layCloth(undefined, 'shell', 'cm');
const laid = (shapes: readonly LayShape[]): FoundLay => {
  const [first] = layOf(new LayJob(shapes, cloth), 1, () => true, []);
  if (!first) throw new Error('no lay');
  return first;
};

describe('many garments on one cloth', () => {
  it('are parted into sections, each garment in one, the like beside the like', () => {
    const sections = sectionsOf([...garments, { key: 'none', shapes: [] }], 2);
    expect(sections.map((s) => s.keys)).toEqual([['body 1', 'body 4'], ['body 2', 'body 0'], ['body 3']]);
    expect(sections[0]?.shapes.map((s) => s.id)).toEqual([
      'body 1/front',
      'body 1/back',
      'body 4/front',
      'body 4/back',
    ]);
    expect(sectionsOf([], 2)).toEqual([]);
  });

  it('lie one section after the other: every copy once, none over a cut between two sections', () => {
    const sections = sectionsOf(garments, 2).map((section) => ({ section, lay: laid(section.shapes) }));
    const all = sectionsJoined(sections, cloth.gap);
    expect(all.length).toBeCloseTo(
      sections.reduce((sum, s) => sum + s.lay.length, cloth.gap * (sections.length - 1)),
      9,
    );
    expect(all.placed).toHaveLength(garments.length * 4);
    expect(new Set(all.placed.map((p) => `${p.id} ${p.copy}`)).size).toBe(all.placed.length);
    let cut = 0;
    for (const { section, lay } of sections) {
      const names = new Set(section.shapes.map((s) => s.id));
      for (const p of all.placed.filter((q) => names.has(q.id))) {
        const shape = all.shapes.find((s) => s.id === p.id);
        const xs = shape ? placedOutline(shape, p).map(([x]) => x) : [];
        expect(Math.min(...xs)).toBeGreaterThanOrEqual(cut - 1e-6);
        expect(Math.max(...xs)).toBeLessThanOrEqual(cut + lay.length + 1e-6);
      }
      cut += lay.length + cloth.gap;
    }
  });

  it('are paired as they were laid, so that a search can go on from it and is never longer', () => {
    const alone = sectionsOf(garments, 1).map((section) => ({ section, lay: laid(section.shapes) }));
    const pairs = sectionsPaired(alone, cloth.gap);
    expect(pairs.map((p) => p.section.keys.length)).toEqual([2, 2, 1]);
    expect(pairs[2]).toBe(alone[4]);
    for (const [i, pair] of pairs.slice(0, 2).entries()) {
      const [a, b] = [alone[2 * i]?.lay, alone[2 * i + 1]?.lay];
      expect(pair.lay.length).toBeCloseTo((a?.length ?? 0) + cloth.gap + (b?.length ?? 0), 9);
      const held = layAt(new LayJob(pair.section.shapes, cloth), pair.lay.placed);
      expect(held?.length).toBeCloseTo(pair.lay.length, 6);
      expect(held?.use).toBeCloseTo(pair.lay.use, 6);
    }
  });
});
