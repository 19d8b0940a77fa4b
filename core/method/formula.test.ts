import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  checkFormula,
  evaluate,
  namesIn,
  parseFormula,
  callInWords,
  typeset,
  checkSheet,
  type Sheet,
} from './index.js';
import { sheetById, SHEETS } from '../shipped/index.js';

const names: Record<string, number> = { hip: 1000, waist: 780, 'front.hipWidth': 250 };

function value(text: string): number | string {
  const parsed = parseFormula(text);
  if (!parsed.ok) return parsed.error.sentence;
  const checked = checkFormula(parsed.node, (n) => (Object.hasOwn(names, n) ? 'length' : undefined));
  return checked.ok
    ? evaluate(parsed.node, (n) => (Object.hasOwn(names, n) ? names[n] : undefined))
    : checked.error.sentence;
}

describe('the formula language', () => {
  it.each([
    ['hip/4', 250],
    ['hip/4 - 1/4 in + 1 in/4', 250],
    ['1 3/8 in', 34.925],
    ['3 cm', 30],
    ['8mm', 8],
    ['-(hip - waist) / 2', -110],
    ['hip * 5%', 50],
    ['5 % * hip', 50],
    ['min(hip/4, 20 cm)', 200],
    ['max(hip/4, 20 cm, 1 in)', 250],
    ['clamp(front.hipWidth/4, 2.5 cm, 5 cm)', 50],
    ['round(hip/7, 1 cm)', 140],
    ['2 + 3 * 4 - 6 / 3', 12],
    ['8 / 4 / 2', 1],
    ['hip / 25.4 mm', 1000 / 25.4],
    ['hip * hip / hip', 1000],
    ['-2 * 3', -6],
  ])('works “%s” out', (text, expected) => {
    expect(value(text)).toBeCloseTo(expected, 9);
  });

  it.each([
    ['', 'missing at the end'],
    ['hip +', 'missing at the end'],
    ['hip 4', 'one too many'],
    ['(hip', '“)” is missing'],
    ['hip + 3', 'a unit'],
    ['seat / 4', '“seat” is not known'],
    ['min(hip)', 'takes 2 to 8'],
    ['clamp(hip, 3, 4 cm)', 'mixes'],
    ['hip * waist', 'neither a length'],
    ['hip & 3', 'no meaning'],
    ['1/0 in', 'divides by nothing'],
    ['__proto__', 'no meaning'],
    ['constructor', 'not known'],
  ])('says what is wrong with “%s”', (text, part) => {
    expect(value(text)).toContain(part);
  });

  it('answers any text with a figure or a sentence, never with an exception', () => {
    const words = fc.constantFrom(
      'hip',
      'waist',
      'min(',
      'max(',
      '(',
      ')',
      '+',
      '-',
      '*',
      '/',
      '%',
      ',',
      '1/4 in',
      '3',
      ' ',
      'cm',
      'in',
      '.',
      'toString',
    );
    fc.assert(
      fc.property(
        fc.oneof(
          fc.string({ maxLength: 60 }),
          fc.array(words, { maxLength: 40 }).map((w) => w.join('')),
        ),
        (text) => {
          const result = value(text);
          expect(typeof result === 'number' || result.length > 0).toBe(true);
        },
      ),
      { numRuns: 40_000 },
    );
    expect(value('('.repeat(400))).toContain('nested too deep');
    expect(value('1+'.repeat(600))).toContain('longer than');
  });

  it('sets a formula in type with its names or its numbers', () => {
    const parsed = parseFormula('hip/4 - 1/4 in * 2');
    if (!parsed.ok) throw new Error(parsed.error.sentence);
    expect(namesIn(parsed.node)).toEqual(['hip']);
    expect(typeset(parsed.node, (leaf) => (leaf.type === 'name' ? '100' : leaf.text))).toBe('100 ÷ 4 − 1/4 in × 2');
  });

  it.each([
    ['min(5 1/2 in, 0.75*hip)', '(0.75 × hip, at most 5 1/2 in)'],
    ['max(hip/16, 5 cm)', '(hip ÷ 16, at least 5 cm)'],
    ['max(hip/4, waist/4)', '(the larger of hip ÷ 4 and waist ÷ 4)'],
    ['min(hip/4, waist/4, 20 cm)', '(the smaller of hip ÷ 4, waist ÷ 4 and 20 cm)'],
    ['clamp(hip/4, 20 cm, 30 cm)', '(hip ÷ 4, at least 20 cm, at most 30 cm)'],
    ['round(hip, 1 cm)', '(hip, to the nearest 1 cm)'],
  ])('says the limits of %s in words', (formula, words) => {
    const parsed = parseFormula(formula);
    if (!parsed.ok) throw new Error(parsed.error.sentence);
    const told = typeset(parsed.node, (leaf) => (leaf.type === 'name' ? leaf.name : leaf.text), callInWords);
    expect(told).toBe(words);
  });
});

describe('checking a sheet', () => {
  const good = sheetById('quarter-and-half');
  if (!good) throw new Error('The default sheet is missing');
  const withLine = (name: string, formula: string): Sheet => ({
    ...good,
    lines: good.lines.map((l) => (l.name === name ? { ...l, formula } : l)),
  });

  it('finds nothing wrong with the shipped sheets, and every line has a reason', () => {
    for (const sheet of SHEETS) {
      expect(checkSheet(sheet)).toEqual([]);
      for (const line of sheet.lines) expect(line.reason.length).toBeGreaterThan(5);
    }
  });

  it.each([
    ['front.extension', 'front.hipWidht / 4', 'not known'],
    ['front.extension', 'back.hipWidth / 4', 'worked out later'],
    ['front.extension', 'front.extension / 4', 'this very line'],
    ['front.extension', '4', 'a length'],
    ['front.depth', '3 cm', 'plain number'],
    ['front.dartAt', 'left', 'must be crease'],
    ['front.extension', 'hip /', 'missing at the end'],
  ])('names the line %s and what is wrong with “%s”', (name, formula, part) => {
    const faults = checkSheet(withLine(name, formula));
    expect(faults[0]?.line).toBe(name);
    expect(faults[0]?.sentence).toContain(part);
  });

  it('misses a line that is not there, and a formula that a choice needs', () => {
    const short: Sheet = { ...good, lines: good.lines.filter((l) => l.name !== 'back.depth') };
    expect(checkSheet(short).map((f) => f.line)).toEqual(['back.depth']);
    const half: Sheet = {
      ...good,
      lines: good.lines.map((l) =>
        l.name === 'back.centreIn' ? { ...l, formula: { choice: 'variant', by: { even: '3/4 in' } } } : l,
      ),
    };
    expect(checkSheet(half)[0]?.sentence).toContain('(surplus-shared) has no formula');
  });
});
