import { describe, expect, it } from 'vitest';
import { AVERAGE_BUILD, completeBody } from '../measure/index.js';
import { readerIn, type Unit } from '../units/index.js';
import {
  DEFAULT_SHEET,
  SHEETS_OWN_FIT,
  showSum,
  warningSentence,
  workOut,
  type MethodInput,
  type Worked,
} from './index.js';

const sheet = DEFAULT_SHEET;

const IN = 25.4;
const work = (
  waist: number,
  hip: number,
  crotchDepth: number,
  inseam: number,
  more: Partial<MethodInput> = {},
): Worked => {
  const input: MethodInput = {
    body: completeBody({ waist, hip, crotchDepth, inseam }, 'unknown'),
    figure: 'unknown',
    build: AVERAGE_BUILD,
    fit: SHEETS_OWN_FIT,
    settings: {},
    choices: {},
    set: {},
    ...more,
  };
  const outcome = workOut(sheet, input);
  if (!outcome.ok) throw new Error(JSON.stringify(outcome.refusals));
  return outcome.value;
};

describe('quarter and half', () => {
  it.each([
    [780, 1000, 272, 780],
    [640, 900, 250, 760],
    [1200, 1300, 300, 760],
  ])('gives waist %d, hip %d the figures that the method states', (waist, hip, crotchDepth, inseam) => {
    const { front, back, levels } = work(waist, hip, crotchDepth, inseam);
    // Split 1/4 in, hip ease 1 in: plain sums. The hip measure is divided before the ease.
    const frontHip = hip / 4 - IN / 4 + IN / 4;
    const backHip = hip / 4 + IN / 4 + IN / 4;
    expect(front.hipWidth).toBeCloseTo(frontHip, 9);
    expect(back.hipWidth).toBeCloseTo(backHip, 9);
    expect(front.extension).toBeCloseTo((hip / 4 - IN / 4) / 4, 9);
    expect(back.extension).toBeCloseTo((hip / 4 + IN / 4) / 2, 9);
    expect(front.waistWidth).toBeCloseTo(waist / 4 + IN / 4, 9);
    expect(back.waistWidth).toBeCloseTo(waist / 4 - IN / 4, 9);
    expect(front.centreIn).toBe(0);
    expect(front.centreLift).toBeCloseTo(-IN / 4, 9);
    expect(back.centreIn).toBeCloseTo(0.75 * IN, 9);
    expect(back.centreLift).toBeCloseTo(IN / 4, 9);
    expect(back.tiltFrom).toBeCloseTo((crotchDepth + IN / 4) / 2, 9);
    expect(front.dartLength).toBeCloseTo(Math.min(4 * IN, 0.7 * 0.75 * crotchDepth), 9);
    expect(front.kneeWidth).toBeCloseTo(0.23 * hip - IN / 2, 9);
    expect(back.hemWidth).toBeCloseTo(0.23 * hip + IN / 2, 9);
    expect(levels).toEqual({
      hipLevel: 0.75 * crotchDepth,
      crotchLevel: crotchDepth + IN / 4,
      thighLevel: crotchDepth + IN / 4 + 75,
      kneeLevel: crotchDepth + inseam / 2 - 50,
      hemLevel: crotchDepth + inseam,
    });
  });

  it('shares the surplus half to the side and half to the centre in its other variant', () => {
    const { front, back } = work(780, 1000, 272, 780, { choices: { variant: 'surplus-shared' } });
    expect(front.hipWidth).toBe(250);
    expect(back.hipWidth).toBe(250);
    expect(front.waistWidth).toBeCloseTo(195, 9);
    expect(front.centreIn).toBeCloseTo((250 - 195 - IN / 2) / 2, 9);
    expect(back.centreIn).toBeCloseTo((250 - 195 - IN) / 2, 9);
    // Both centre lines hinge at the hip line.
    for (const p of [front, back]) expect(p.tiltFrom).toBeCloseTo(272 - 0.75 * 272, 9);
    expect(front.centreLift).toBeCloseTo(-IN / 2, 9);
    expect(front.dartLength).toBeCloseTo(3 * IN, 9);
  });

  it('lets a value set by hand stand for its formula and flow on into later lines', () => {
    const worked = work(780, 1000, 272, 780, { set: { 'back.extension': 120, 'front.hipWidth': 260 } });
    expect(worked.back.extension).toBe(120);
    expect(worked.ledger.get('back.tiltFrom')?.source).toBe('sheet');
    expect(worked.ledger.get('back.extension')).toMatchObject({ source: 'hand', value: 120 });
    expect(worked.ledger.get('back.extension')?.sheetValue).toBeCloseTo((250 + IN / 4) / 2, 9);
    const crotch = work(780, 1000, 272, 780, { set: { crotchLevel: 290 } });
    expect(crotch.back.tiltFrom).toBe(145);
  });

  it('shows the sum with its numbers, and knows what rests on an estimate', () => {
    const worked = work(780, 1000, 272, 780);
    expect(showSum(worked, 'front.extension', 'cm')).toEqual({
      formula: '(hip ÷ 4 − split) ÷ 4',
      with: '(100 ÷ 4 − 0.64) ÷ 4',
      told: '(hip 100 ÷ 4 − split 0.64) ÷ 4',
    });
    expect(showSum(worked, 'front.waistWidth', 'in').with).toBe('30 11/16 ÷ 4 + 1/4 + 0 ÷ 4');
    expect(showSum(worked, 'back.crotchDrop', 'in').told).toBe('0');
    // Said to a reader, limits stand in words and the method’s inches in the reader’s unit.
    expect(showSum(worked, 'back.dartLength', 'cm').told).toMatch(/^0\.75 × hip line [\d.]+, at most 13\.97$/);
    expect(showSum(worked, 'back.dartLength', 'in').told).toMatch(/, at most 5 1\/2$/);
    expect(showSum(worked, 'back.centreIn', 'cm').told).toMatch(/^[\d.]+ cm$/);
    expect(showSum(worked, 'kneeDepth', 'cm').with).toBe('27.2 + 78 ÷ 2 − 5');
    expect(worked.ledger.get('kneeLevel')?.restsOnEstimate).toBe(true);
    expect(worked.ledger.get('front.extension')?.restsOnEstimate).toBe(false);
    const measured = work(780, 1000, 272, 780, {
      body: completeBody({ waist: 780, hip: 1000, crotchDepth: 272, inseam: 780, kneeDepth: 600 }, 'unknown'),
    });
    expect(measured.ledger.get('kneeLevel')).toMatchObject({ value: 600, restsOnEstimate: false });
    expect(measured.ledger.has('kneeDepth')).toBe(false);
  });

  it.each([
    [{ settings: { hipEase: 9000 } }, 'hipEase'],
    [{ settings: { colour: 3 } }, 'colour'],
    [{ set: { 'back.colour': 3 } }, 'back.colour'],
    [{ set: { 'back.extension': NaN } }, 'back.extension'],
    [{ set: { 'back.dartCount': 1.5 } }, 'back.dartCount'],
    [{ set: { 'front.depth': 2 } }, 'front.depth'],
    [{ choices: { variant: 'odd' } }, 'variant'],
  ])('refuses %j by the name of its field', (more, field) => {
    const input: MethodInput = {
      body: completeBody({ waist: 780, hip: 1000, crotchDepth: 272, inseam: 780 }, 'unknown'),
      figure: 'unknown',
      build: AVERAGE_BUILD,
      fit: SHEETS_OWN_FIT,
      settings: {},
      choices: {},
      set: {},
      ...(more as Partial<MethodInput>),
    };
    const outcome = workOut(sheet, input);
    expect(outcome.ok).toBe(false);
    if (!outcome.ok) expect(outcome.refusals[0]?.field).toBe(field);
  });

  it('warns of a body that the sheet is not meant for, and still drafts', () => {
    const said = (unit: Unit): string =>
      work(400, 540, 180, 400)
        .warnings.map((w) => warningSentence(w, readerIn(unit)))
        .join(' ');
    expect(said('cm')).toContain('Hip 54.0 cm lies outside');
    expect(said('in')).toMatch(/Hip 21 1\/4 in lies outside what “[^”]+” is meant for \(\d+[^)]* in\)/);
    expect(work(780, 1000, 272, 780).warnings).toEqual([]);
  });
});
