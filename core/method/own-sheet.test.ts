import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { computeDraft, EMPTY_INPUT } from '../chain/index.js';
import { sheetById, SHEETS } from '../shipped/index.js';
import { readSheet, writeSheet } from '../workbook/index.js';
import {
  checkSheet,
  DEFAULT_SHEET,
  differences,
  loadSheet,
  mendedBy,
  namesBefore,
  ownCopy,
  SHEET_LIST,
  withFormula,
  withReason,
  withSlider,
} from './index.js';
import { readerIn } from '../units/index.js';
import { fileRefusalsSentence, refusalsSentence } from '../refusal/index.js';

const own = ownCopy(DEFAULT_SHEET, 'own-1', 'Mine');
const measured = { waist: 780, hip: 1000, crotchDepth: 272, inseam: 780 };

describe('a maker’s own sheet', () => {
  it('is a copy that drafts as the shipped one, until a formula is changed', () => {
    expect(own).toMatchObject({ id: 'own-1', name: 'Mine', basedOn: 'quarter-and-half' });
    expect(differences(own, DEFAULT_SHEET, {})).toEqual([]);
    const changed = withFormula(own, 'back.extension', {}, 'back.hipWidth * 0.45');
    expect(differences(changed, DEFAULT_SHEET, {})).toEqual([
      { name: 'back.extension', was: '(hip/4 + split) / 2', is: 'back.hipWidth * 0.45' },
    ]);
    const outcome = computeDraft({ ...EMPTY_INPUT, sheet: changed, measured });
    expect(outcome.ok && outcome.value.worked.back.extension).toBeCloseTo(0.45 * (250 + 12.7), 6);
    expect(ownCopy(changed, 'own-2', 'Mine too').basedOn).toBe('quarter-and-half');
  });

  it('changes a formula for the way that is chosen and leaves the others alone', () => {
    const choices = { variant: 'surplus-shared' };
    const changed = withFormula(own, 'back.centreIn', choices, '1 in');
    expect(differences(changed, DEFAULT_SHEET, choices)).toMatchObject([{ name: 'back.centreIn', is: '1 in' }]);
    const even = computeDraft({ ...EMPTY_INPUT, sheet: changed, measured });
    expect(even.ok && even.value.worked.back.centreIn).toBeCloseTo(19.05, 9);
    const shared = computeDraft({ ...EMPTY_INPUT, sheet: changed, measured, choices });
    expect(shared.ok && shared.value.worked.back.centreIn).toBeCloseTo(25.4, 9);
    expect(withSlider(own, 'hipEase', true).settings.find((s) => s.name === 'hipEase')?.slider).toBe(true);
    expect(withReason(own, 'back.depth', 'Mine.').lines.find((l) => l.name === 'back.depth')?.reason).toBe('Mine.');
  });

  it.each([
    ['hip /', 'missing at the end'],
    ['front.hipWidht', 'not known'],
    ['back.centreLift', 'worked out later'],
    ['4', 'a length'],
    ['', 'missing at the end'],
  ])('with the mistake “%s” is refused by its line, in a sentence', (formula, part) => {
    const outcome = computeDraft({ ...EMPTY_INPUT, sheet: withFormula(own, 'back.extension', {}, formula), measured });
    expect(outcome.ok).toBe(false);
    if (!outcome.ok) {
      expect(outcome.refusals[0]?.field).toBe('back.extension');
      expect(refusalsSentence(outcome.refusals, readerIn('cm'))).toContain(part);
    }
  });

  it('is drafted with the original’s formula in the place of a wrong one', () => {
    const broken = withFormula(withFormula(own, 'back.extension', {}, 'hip /'), 'front.extension', {}, '7 cm');
    const mended = mendedBy(broken, DEFAULT_SHEET);
    expect(checkSheet(mended)).toEqual([]);
    const outcome = computeDraft({ ...EMPTY_INPUT, sheet: mended, measured });
    expect(outcome.ok && outcome.value.worked.front.extension).toBe(70);
    expect(outcome.ok && outcome.value.worked.back.extension).toBeCloseTo((250 + 6.35) / 2, 6);
    expect(mendedBy(own, DEFAULT_SHEET)).toBe(own);
    const short = { ...own, lines: own.lines.slice(1) };
    expect(mendedBy(short, DEFAULT_SHEET)).toBe(DEFAULT_SHEET);
  });

  it('says which names a line may use: those before it', () => {
    const names = namesBefore(own, 'back.extension');
    expect(names).toEqual(
      expect.arrayContaining(['hip', 'thigh', 'hipEase', 'front.extension', 'back.hipWidth', 'reduction']),
    );
    for (const later of ['back.extension', 'back.centreLift', 'front.dartAt']) expect(names).not.toContain(later);
    expect(namesBefore(own, 'hemGirth')).toContain('kneeGirth');
    expect(namesBefore(own, 'kneeGirth')).not.toContain('hemGirth');
  });

  it('goes out as a file and comes back as it was, mistakes and all', () => {
    for (const sheet of SHEETS) expect(readSheet(writeSheet(sheet))).toEqual({ ok: true, value: sheet });
    const broken = withFormula(own, 'back.extension', {}, 'hip /');
    expect(readSheet(writeSheet(broken))).toMatchObject({ ok: true, value: { basedOn: 'quarter-and-half' } });
    for (const text of [
      '',
      '{',
      '[]',
      'null',
      '{"format":"upstride-method"}',
      '{"format":"upstride-method","sheet":{"id":1}}',
    ]) {
      const read = readSheet(text);
      expect(read.ok).toBe(false);
      if (!read.ok) expect(fileRefusalsSentence(read.refusals, readerIn('cm')).length).toBeGreaterThan(20);
    }
  });

  it('never throws, whatever is written into a formula', () => {
    const piece = fc.constantFrom(
      ...namesBefore(own, 'back.extension'),
      'back.centreLift',
      '(',
      ')',
      '+',
      '-',
      '*',
      '/',
      '1/4 in',
      '3',
      '%',
      'min(',
      ',',
      ' ',
    );
    fc.assert(
      fc.property(fc.array(piece, { maxLength: 12 }), (parts) => {
        const sheet = withFormula(own, 'back.extension', {}, parts.join(''));
        const outcome = computeDraft({ ...EMPTY_INPUT, sheet, measured });
        if (outcome.ok) expect(checkSheet(sheet)).toEqual([]);
        else expect(refusalsSentence(outcome.refusals, readerIn('cm')).length).toBeGreaterThan(5);
      }),
      { numRuns: 400 },
    );
  });
});

describe('the shipped sheets', () => {
  it('are each fetched by their own id, as the whole list has them', async () => {
    expect(SHEET_LIST.map(([id]) => id)).toEqual(SHEETS.map((s) => s.id));
    for (const [id, name] of SHEET_LIST) {
      expect(await loadSheet(id)).toEqual(sheetById(id));
      expect(sheetById(id)?.name).toBe(name);
    }
    expect(await loadSheet('toString')).toBeUndefined();
  });
});
