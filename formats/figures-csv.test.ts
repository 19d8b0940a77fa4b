import Papa from 'papaparse';
import { describe, expect, it } from 'vitest';
import { computeDraft, EMPTY_INPUT } from '../core/chain/index.js';
import { edgeLengths } from '../core/draft/index.js';
import { figuresCsv } from './index.js';

const measured = { waist: 780, hip: 1000, crotchDepth: 272, inseam: 780, backRise: 380 };
const outcome = computeDraft({ ...EMPTY_INPUT, measured, set: { 'back.extension': 112 } });
if (!outcome.ok) throw new Error('must draft');
const draft = outcome.value;

interface Row {
  readonly of: string;
  readonly id: string;
  readonly name: string;
  readonly figure: string;
  readonly unit: string;
  readonly 'source or verdict': string;
  readonly from: string;
  readonly to: string;
}
const read = (unit: 'cm' | 'in' | 'mm'): Row[] =>
  Papa.parse<Row>(figuresCsv(draft, unit).trim(), { header: true }).data;

describe('figures as CSV', () => {
  it('hold measurements as they were taken, and say what was estimated', () => {
    const rows = read('cm').filter((r) => r.of === 'measurement');
    const row = (id: string): Row | undefined => rows.find((r) => r.id === id);
    expect(row('hip')).toMatchObject({ figure: '100', unit: 'cm', 'source or verdict': 'measured' });
    expect(row('thigh')?.['source or verdict']).toBe('estimate');
    expect(rows).toHaveLength(draft.worked.body.size);
  });

  it('hold every line as it is drawn, with what set it, and every check with its band and verdict', () => {
    const rows = read('mm');
    const extension = rows.find((r) => r.id === 'back.extension');
    expect(extension?.['source or verdict']).toBe('hand');
    expect(Number(extension?.figure)).toBeCloseTo(112, 0);
    const rise = rows.find((r) => r.of === 'check' && r.id === 'backRise');
    expect(Number(rise?.figure)).toBeCloseTo(edgeLengths(draft.block.back).rise, 1);
    const check = draft.checks.find((c) => c.id === 'backRise');
    expect([Number(rise?.from), Number(rise?.to)]).toEqual([
      expect.closeTo(check?.low ?? NaN, 1),
      expect.closeTo(check?.high ?? NaN, 1),
    ]);
    expect(rise?.['source or verdict']).toBe(check?.verdict);
    expect(rows.filter((r) => r.of === 'check').map((r) => r.id)).toEqual(draft.checks.map((c) => c.id));
  });

  it('come to the same in inches, and none of them is no number', () => {
    const [inches, centimetres] = [read('in'), read('cm')];
    expect(inches.map((r) => r.id)).toEqual(centimetres.map((r) => r.id));
    inches.forEach((row, i) => {
      const other = centimetres[i];
      expect(`${row.figure} ${row.from} ${row.to}`).not.toMatch(/NaN|Infinity|undefined/);
      if (row.unit === 'in') expect(Number(row.figure) * 2.54).toBeCloseTo(Number(other?.figure), 2);
    });
  });
});
