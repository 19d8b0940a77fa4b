import { describe, expect, it } from 'vitest';
import {
  clothFault,
  clothOf,
  clothsAtHand,
  remnantOf,
  grownWords,
  houseCloth,
  laidWidth,
  shrinkageOf,
  type ClothData,
} from './index.js';

const cloth = (facts: Partial<ClothData>): ClothData => ({ ...houseCloth('shell', 'cm'), ...facts });

describe('a cloth of which nothing was said', () => {
  it('is as wide as it is mostly sold where its maker buys it', () => {
    expect(houseCloth('shell', 'cm').width).toBe(1500);
    expect(houseCloth('shell', 'in').width).toBe(60 * 25.4);
    expect(houseCloth('interfacing', 'cm').width).toBe(900);
    expect(clothOf({ shell: cloth({ width: 1100 }) }, 'shell', 'cm').width).toBe(1100);
    expect(laidWidth(cloth({ fold: 'folded' }))).toBe(750);
  });

  it('shrinks as the shell, since it is sewn or fused to it; one of which something was said by itself', () => {
    const shell = cloth({ shrinkLength: 0.04, shrinkWidth: 0.02 });
    expect(shrinkageOf({ shell }, 'interfacing')).toEqual({ length: 0.04, width: 0.02 });
    expect(shrinkageOf({ shell, lining: cloth({ shrinkLength: 0.01 }) }, 'lining')).toEqual({ length: 0.01, width: 0 });
    expect(shrinkageOf(undefined, 'shell')).toEqual({ length: 0, width: 0 });
  });
});

describe('what is left of a cloth', () => {
  const twill = { ...houseCloth('shell', 'cm'), name: 'Twill', price: 12, shrinkLength: 0.03 };
  const left = { length: 600, width: 400 };

  it('is a cloth of its own: open, as wide as it is, with what there is of it, shrinking as before, paid for', () => {
    const flawed = { ...twill, flaws: [{ id: 'a', along: 0, across: 0, length: 10, width: 10 }] };
    expect(remnantOf(flawed, left, 'Twill, small')).toEqual({
      ...twill,
      name: 'Twill, small',
      width: 400,
      inHand: 600,
      layers: undefined,
      flaws: [],
      price: undefined,
    });
  });

  it('is there in every layer it lay in, and twice of folded cloth', () => {
    expect(remnantOf({ ...twill, fold: 'folded', layers: 3 }, left, 'x')).toMatchObject({
      fold: 'open',
      layers: 6,
      inHand: 3600,
    });
  });

  it('is at hand for other garments with the named cloths', () => {
    const remnant = remnantOf(twill, left, 'Twill, small');
    const owner = { changed: '2026-11-01T10:00:00.000Z', cloths: { shell: twill }, remnants: [remnant] };
    expect(clothsAtHand([owner]).map((c) => [c.name, c.width])).toEqual([
      ['Twill', 1500],
      ['Twill, small', 400],
    ]);
  });
});

describe('the cloths at hand', () => {
  it('are the named ones of the room, each once, as they were said last', () => {
    const garments = [
      { changed: '2026-05-02', cloths: { shell: cloth({ name: 'Twill', width: 1400 }), lining: cloth({ name: '' }) } },
      { changed: '2026-05-01', cloths: { shell: cloth({ name: 'Twill', width: 900 }) } },
      { changed: '2026-05-03', cloths: { lining: cloth({ name: 'Acetate' }) } },
      { changed: '2026-05-04' },
    ];
    expect(clothsAtHand(garments).map((c) => [c.name, c.width])).toEqual([
      ['Acetate', 1500],
      ['Twill', 1400],
    ]);
  });
});

describe('what is wrong with a cloth', () => {
  const flaw = { id: 'f', along: 100, across: 0, length: 50, width: 50 };
  it.each([
    [{}, undefined],
    [{ width: 20 }, 'width'],
    [{ width: Infinity }, 'width'],
    [{ gap: -1 }, 'gap'],
    [{ gap: 51 }, 'gap'],
    [{ inHand: 0 }, 'inHand'],
    [{ inHand: 1200 }, undefined],
    [{ barRepeat: 900, inHand: 800 }, 'barRepeat'],
    [{ barRepeat: 1 }, 'barRepeat'],
    [{ barRepeat: 80 }, undefined],
    [{ stripeRepeat: 1600 }, 'stripeRepeat'],
    [{ stripeRepeat: NaN }, 'stripeRepeat'],
    [{ flaws: [flaw] }, undefined],
    [{ flaws: [{ ...flaw, width: 0 }] }, 'flaws'],
    [{ flaws: [{ ...flaw, across: 1500 }] }, 'flaws'],
    [{ flaws: [{ ...flaw, along: 0, width: 1500 }] }, 'flaws'],
    [{ flaws: [{ ...flaw, width: 1500 }] }, undefined],
    [{ shrinkLength: 0.4 }, 'shrinkage'],
  ] as const)('%o: %s', (facts, field) => {
    const fault = clothFault(cloth(facts), (mm) => `${mm} mm`);
    expect(fault?.field).toBe(field);
    if (fault) expect(fault.told).toMatch(/\. (Give|Cut|Wash) .+\.$/);
  });
});

describe('what a label says of a cloth that shrinks', () => {
  it('is both shares in per cent, and nothing where it does not shrink', () => {
    const shell = { ...houseCloth('shell', 'cm'), shrinkLength: 0.025, shrinkWidth: 0.01 };
    expect(grownWords({ shell })).toBe('; grown for shrinkage of 2.5 % × 1 %');
    expect(grownWords({ shell: houseCloth('shell', 'cm') })).toBe('');
    expect(grownWords(undefined)).toBe('');
  });
});
