import { describe, expect, it } from 'vitest';
import { computeDraft, EMPTY_INPUT } from '../../core/chain/index.js';
import { pinPlaces } from '../../core/toile/index.js';
import { beforeAt, outward } from './pin-heads.js';

const outcome = computeDraft({
  ...EMPTY_INPUT,
  measured: { waist: 780, hip: 1000, crotchDepth: 272, inseam: 780 },
});
if (!outcome.ok) throw new Error('must draft');
const { block } = outcome.value;

describe('the heads of pins', () => {
  it('stand outward of their piece: off the side at a side, off the centre at rise and inseam', () => {
    const ways = (kind: string): readonly number[] => pinPlaces(kind, 12, block).map((place) => outward(place, block));
    for (const kind of ['openedSide', 'pinchedSide']) expect([kind, ...ways(kind)]).toEqual([kind, -1, -1]);
    for (const kind of ['openedThigh', 'pinchedInseam']) expect([kind, ...ways(kind)]).toEqual([kind, 1, 1]);
    for (const kind of ['pinchedCentreBack', 'waistGap']) expect([kind, ...ways(kind)]).toEqual([kind, 1]);
  });

  it('stand one above the other where they begin at one place, and only there', () => {
    const kinds = ['openedThigh', 'waistGap', 'pinchedInseam', 'openedSide', 'pinchedInseam'];
    const places = kinds.flatMap((kind) => pinPlaces(kind, 12, block)).filter(({ panel }) => panel === 'front');
    expect(places.map((_, i) => beforeAt(places, i))).toEqual([0, 0, 1, 0, 2]);
    const both = pinPlaces('pinchedInseam', 12, block);
    expect(both.map((_, i) => beforeAt(both, i))).toEqual([0, 0]);
  });
});
