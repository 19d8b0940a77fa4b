import { describe, expect, it } from 'vitest';
import { computeDraft, EMPTY_INPUT } from '../chain/index.js';
import { HOUSE_ALLOWANCES, piecesOf, type Piece } from '../piece/index.js';
import { draftGarment } from '../style/index.js';
import { houseCloth, layersOf, spread } from '../cloth/index.js';
import { garmentShapes, layAreaOf, laidUnder, shapesTogether, togetherName } from './index.js';

function piecesFor(waist: number): readonly Piece[] {
  const outcome = computeDraft({ ...EMPTY_INPUT, measured: { waist, hip: 1000, crotchDepth: 272, inseam: 780 } });
  if (!outcome.ok) throw new Error('must draft');
  const style = [
    { id: 'band', values: {} },
    { id: 'fly', values: {} },
  ] as const;
  return piecesOf(draftGarment(outcome.value, style, 'cm').garment, HOUSE_ALLOWANCES);
}

const [mine, theirs] = [piecesFor(780), piecesFor(820)];

describe('garments on one cloth', () => {
  it('keep the names of the one in hand, have the others’ before theirs, and as many copies as are cut', () => {
    const shapes = shapesTogether(
      [
        { pieces: mine, count: 2 },
        { draft: 'other', pieces: theirs, count: 1 },
      ],
      'shell',
      'one-way',
      'open',
    );
    const alone = garmentShapes(mine, 'shell', 'one-way', 'open');
    for (const { id, count } of alone) {
      expect(shapes.find((s) => s.id === id)?.count).toBe(2 * count);
      expect(shapes.find((s) => s.id === togetherName('other', id))?.count).toBe(count);
    }
    expect(new Set(shapes.map((s) => s.id)).size).toBe(shapes.length);
    const area = layAreaOf(alone) * 2 + layAreaOf(garmentShapes(theirs, 'shell', 'one-way', 'open'));
    expect(layAreaOf(shapes)).toBeCloseTo(area, 3);
  });

  it('of one garment alone are what they were, under the same terms', () => {
    const cloth = { width: 1500, gap: 2, folded: false, bar: 0, stripe: 0, flaws: [] } as unknown as Parameters<
      typeof laidUnder
    >[1];
    const alone = garmentShapes(mine, 'shell', 'two-way', 'open');
    const together = shapesTogether([{ pieces: mine, count: 1 }], 'shell', 'two-way', 'open');
    expect(together).toEqual(alone);
    expect(laidUnder(together, cloth)).toBe(laidUnder(alone, cloth));
  });

  it('in layers have each its share of what is in hand', () => {
    const cloth = { ...houseCloth('shell', 'cm'), inHand: 6000, layers: 4 };
    expect(layersOf(cloth)).toBe(4);
    expect(spread(cloth).inHand).toBe(1500);
    expect(layersOf(houseCloth('shell', 'cm'))).toBe(1);
    expect(spread(houseCloth('shell', 'cm')).inHand).toBeUndefined();
  });

  it('on folded cloth cut two single parts at once', () => {
    const single = mine.find(({ part }) => part.cloth === 'shell' && part.cut.count === 1);
    expect(single).toBeDefined();
    const counted = (count: number): number | undefined =>
      shapesTogether([{ pieces: mine, count }], 'shell', 'one-way', 'folded').find((s) => s.id === single?.part.id)
        ?.count;
    expect([counted(1), counted(2), counted(3)]).toEqual([1, 1, 2]);
  });
});
