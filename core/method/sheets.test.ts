import { describe, expect, it } from 'vitest';
import { AVERAGE_BUILD, completeBody, type Measured } from '../measure/index.js';
import { checkSheet, fitClassOf, formulaFor, SHEETS_OWN_FIT, workOut, type Worked } from './index.js';
import { sheetById, SHEETS } from '../shipped/index.js';

const IN = 25.4;
const middle = { waist: 780, hip: 1000, crotchDepth: 272, inseam: 780, hipDepth: 200, thigh: 580 };

function work(method: string, choices: Record<string, string> = {}, measured: Measured = middle): Worked {
  const sheet = sheetById(method);
  if (!sheet) throw new Error(`No sheet ${method}`);
  const body = completeBody(measured, 'unknown', sheet.estimates);
  const outcome = workOut(sheet, {
    body,
    figure: 'unknown',
    build: AVERAGE_BUILD,
    fit: SHEETS_OWN_FIT,
    settings: {},
    choices,
    set: {},
  });
  if (!outcome.ok) throw new Error(JSON.stringify(outcome.refusals));
  return outcome.value;
}

describe('every sheet', () => {
  it('says what it suits, where it comes from and where it falls short', () => {
    for (const sheet of SHEETS) {
      for (const words of [sheet.suits, sheet.origin, sheet.weak]) expect(words).toMatch(/^[A-Z].{20,}\.$/);
    }
  });

  it('says which line is without a formula under two choices that rest on one another', () => {
    const sheet = sheetById('close');
    if (!sheet) throw new Error('No close');
    const by = { contoured: '1 cm', relaxed: { choice: 'variant', by: { 'by-thigh': '2 cm' } } };
    const broken = {
      ...sheet,
      lines: sheet.lines.map((l) => (l.name === 'back.centreLift' ? { ...l, formula: { choice: 'fit', by } } : l)),
    };
    expect(checkSheet(broken as typeof sheet).map((f) => f.sentence)).toEqual([
      '“back.centreLift” (relaxed, by-hip) has no formula.',
    ]);
    expect(formulaFor({ choice: 'fit', by }, { fit: 'relaxed', variant: 'by-thigh' })).toBe('2 cm');
  });
});

describe('close', () => {
  it('takes the back extension from the thigh that the front leaves', () => {
    const { front, back, fitClass } = work('close');
    expect(front.hipWidth).toBeCloseTo(250 - IN / 4, 9);
    expect(front.sideInset).toBeCloseTo(IN / 2, 9);
    expect(front.extension).toBeCloseTo(2 * IN, 9);
    const frontCrotch = front.hipWidth - front.sideInset + front.extension;
    const backCrotch = back.hipWidth - back.sideInset + back.extension;
    expect(frontCrotch + backCrotch).toBeCloseTo(580 + 1.125 * IN, 6);
    expect(back.centreLift).toBeCloseTo(IN, 9);
    expect([front.kneeWidth, back.kneeWidth]).toEqual([250 - IN / 2, 250 + IN / 2]);
    expect(front.hemWidth - front.kneeWidth).toBeCloseTo(IN, 9);
    expect(fitClass.id).toBe('close-contoured');
    expect(work('close', { fit: 'relaxed' }).fitClass.id).toBe('close-relaxed');
  });
  it('goes by the hip in its other way', () => {
    const { front, back, levels } = work('close', { variant: 'by-hip' });
    expect(levels.hipLevel).toBeCloseTo((272 * 2) / 3, 9);
    expect(back.hipWidth - front.hipWidth).toBeCloseTo(IN, 9);
    expect(back.extension).toBeCloseTo(back.hipWidth / 4, 9);
    expect(front.dartCount).toBe(0);
    expect(front.kneeWidth - front.hemWidth).toBeCloseTo(IN, 9);
  });
});

describe('sixteenths', () => {
  it('lays the back over the front', () => {
    const { front, back } = work('sixteenths');
    expect(front.extension).toBe(62.5);
    expect(back.extension).toBeCloseTo(62.5 + 2 * IN, 9);
    expect(back.centreLift).toBe(62.5);
    expect(back.centreIn).toBeCloseTo((250 - 312.5 / 2) / 2, 9);
    expect(back.crotchDrop).toBeCloseTo(IN / 2, 9);
    expect(back.kneeWidth - front.kneeWidth).toBeCloseTo(2 * IN, 9);
  });
  it('pivots two inches, or goes wide', () => {
    const pivot = work('sixteenths', { variant: 'pivot' });
    expect(pivot.back).toMatchObject({ centreIn: 2 * IN, sideOut: 0, tiltFrom: 272 - 200 });
    expect(fitClassOf(pivot.sheet, pivot.choices).id).toBe('close-relaxed');
    const taught = work('sixteenths', { variant: 'pivot', pivotHip: 'taught' });
    expect(taught.back.sideOut).toBe(2 * IN);
    expect(fitClassOf(taught.sheet, taught.choices).id).toBe('loose');
    const wide = work('sixteenths', { variant: 'wide-leg' });
    expect(wide.front.extension).toBeCloseTo(62.5 - IN / 2, 9);
    expect(wide.back.extension).toBeCloseTo(62.5 + 0.75 * IN, 9);
    expect([wide.front.kneeWidth, wide.back.hemWidth]).toEqual([250 - IN, 250 + IN]);
    expect(fitClassOf(wide.sheet, wide.choices).id).toBe('close-relaxed');
  });
});

describe('thirds', () => {
  it('lets all surplus of the back leave at the centre', () => {
    const { front, back } = work('thirds');
    expect(back.hipWidth).toBeCloseTo(250 + IN / 2, 9);
    // Two thirds beyond the point where the leaning line meets the crotch line.
    expect(back.extension).toBeCloseTo(1000 / 12 + (back.centreIn * (272 - 200)) / 200, 9);
    expect(back.centreIn).toBeCloseTo(back.hipWidth - back.waistWidth - IN, 9);
    expect(back.sideInset).toBeCloseTo(-IN / 4, 9);
    expect(front.extension).toBeCloseTo(1000 / 24 + IN / 2, 9);
    expect(front.dartCount).toBe(0);
  });
});

describe('front first', () => {
  it('takes the widths at the crotch from the thigh, the back cut from the front', () => {
    const crotch = (p: Worked['front']): number => p.hipWidth + p.extension;
    const shifted = work('front-first');
    expect(shifted.front.hipWidth).toBeCloseTo(250 - IN, 9);
    expect(crotch(shifted.front)).toBeCloseTo(290 - IN, 9);
    expect(crotch(shifted.back)).toBeCloseTo(290 + 2 * IN, 9);
    expect([shifted.front.creaseShift, shifted.back.creaseShift]).toEqual([IN / 2, IN]);
    expect(shifted.back.kneeWidth - shifted.front.kneeWidth).toBeCloseTo(2 * IN, 9);
    const half = work('front-first', { variant: 'thigh-and-half' });
    expect(crotch(half.front)).toBeCloseTo(290 - IN / 2, 9);
    expect(crotch(half.back) - crotch(half.front)).toBeCloseTo(2.5 * IN, 9);
    const quarter = work('front-first', { variant: 'quarter-and-two' });
    expect(crotch(quarter.front)).toBeCloseTo(250 + IN, 9);
    expect(crotch(quarter.back) - crotch(quarter.front)).toBeCloseTo(2 * IN, 9);
  });
});

describe('skirt leg', () => {
  it('falls straight from long extensions', () => {
    const { front, back } = work('skirt-leg');
    const wide = 250 + 5;
    expect(front.extension).toBeCloseTo((wide - IN / 4) / 2 - 0.75 * IN, 9);
    expect(back.extension).toBeCloseTo((wide + IN / 4) / 2 + 0.75 * IN, 9);
    for (const panel of [front, back]) expect(panel.kneeWidth).toBeCloseTo(panel.hipWidth + panel.extension, 6);
    expect(back.centreIn).toBe(0);
  });
});
