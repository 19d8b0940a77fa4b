import { describe, expect, it } from 'vitest';
import { EMPTY_INPUT, type DraftInput } from '../chain/index.js';
import type { Measured } from '../measure/index.js';
import { SHEETS } from '../shipped/index.js';
import { advise, CLOTHS, USES, type Wish } from './index.js';
import table from './uses.json' with { type: 'json' };

const middle: Measured = { waist: 780, hip: 1000, crotchDepth: 272, inseam: 780, thigh: 580, knee: 370, ankle: 230 };
const inputs = (measured: Measured): DraftInput[] => SHEETS.map((sheet) => ({ ...EMPTY_INPUT, sheet, measured }));
const nothing: Wish = { use: undefined, cloth: undefined, fit: undefined, fromPair: false };
const best = (wish: Partial<Wish>, measured = middle): string | undefined =>
  advise(inputs(measured), { ...nothing, ...wish }, 'cm')[0]?.sheet.id;

describe('the advisor', () => {
  it('puts first what a maker would take', () => {
    expect(best({ use: 'jeans', cloth: 'firm', fit: 'close-contoured' })).toBe('close');
    expect(best({ use: 'tailored', cloth: 'suiting' })).toBe('front-first');
    expect(best({ use: 'culotte', cloth: 'falling' })).toBe('skirt-leg');
    expect(best({ use: 'dance', cloth: 'knit', fit: 'knit' })).toBe('knit-leg');
    expect(best({ use: 'pullon', cloth: 'light' })).toBe('crease-centred');
    expect(best({ use: 'copy', fromPair: true })).toBe('finished-pair');
    expect(best({ use: 'everyday', fit: 'loose' })).toBe('quarter-and-half');
  });

  it('drafts every method on the body and says what it gives', () => {
    for (const advice of advise(inputs(middle), nothing, 'cm')) {
      const { gives, draft, sheet } = advice;
      expect([sheet.id, gives?.frontExtension]).toEqual([sheet.id, draft?.worked.front.extension]);
      expect(gives?.thighEase).toBeCloseTo(
        (draft?.block.front.crotchWidth ?? 0) + (draft?.block.back.crotchWidth ?? 0) - 580,
        9,
      );
    }
  });

  it('holds the rises against those measured, and says what rests on an estimate', () => {
    const [first] = advise(inputs(middle), nothing, 'cm').filter((a) => a.sheet.id === 'quarter-and-half');
    const measured = {
      ...middle,
      frontRise: (first?.gives?.frontRise ?? 0) + 2,
      backRise: (first?.gives?.backRise ?? 0) + 50,
    };
    const [again] = advise(inputs(measured), nothing, 'cm').filter((a) => a.sheet.id === 'quarter-and-half');
    expect(again?.gives?.frontRiseOver).toBeCloseTo(-2, 6);
    expect(again?.speaksFor.join(' ')).toContain('front rise is within');
    expect(again?.speaksAgainst.join(' ')).toContain('back rise is 5.0 cm short');
    const four = { waist: 780, hip: 1000, crotchDepth: 272, inseam: 780 };
    const [close] = advise(inputs(four), nothing, 'cm').filter((a) => a.sheet.id === 'close');
    expect(close?.speaksAgainst.join(' ')).toContain('thigh, which is estimated');
  });

  it('puts last what cannot be drafted, with the reason', () => {
    const ranked = advise(
      inputs({ ...middle, hip: 560, waist: 540, crotchDepth: 165, inseam: 360, thigh: 300 }),
      nothing,
      'cm',
    );
    for (const { draft, speaksAgainst } of ranked) if (!draft) expect(speaksAgainst.length).toBeGreaterThan(0);
  });

  it('knows every method that it names', () => {
    const ids = new Set(SHEETS.map((s) => s.id));
    for (const { methods } of [...Object.values(table.uses), ...Object.values(table.cloths)]) {
      for (const id of Object.keys(methods)) expect(ids.has(id)).toBe(true);
    }
    expect(USES.length + CLOTHS.length).toBe(15);
  });
});
