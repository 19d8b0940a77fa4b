import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  EMPTY_PAIR,
  findDoubts,
  measuredOfPair,
  PAIR_FIGURE_IDS,
  pairGives,
  SHIPPED_CHARTS,
  type FinishedPair,
  type Measured,
  type MeasurementId,
} from './index.js';

const sizes = SHIPPED_CHARTS.flatMap((chart) => chart.sizes.map((size) => size.values));
const size = fc.constantFrom(...sizes);
const ids = Object.keys(sizes[0] ?? {}) as MeasurementId[];

const body: Measured = { waist: 780, hip: 1000, crotchDepth: 272, inseam: 780 };

describe('how a set was taken', () => {
  it('puts depths and rises that one took by oneself in doubt, and no girth', () => {
    const [doubt, ...others] = findDoubts({ ...body, backRise: 380 }, 'cm', { byOneself: true });
    expect(others).toEqual([]);
    expect(doubt?.fields).toEqual(['crotchDepth', 'inseam', 'backRise']);
    expect(doubt?.sentence).toMatch(/^Crotch depth, inseam and back rise: taken by oneself, and so in doubt/);
    expect(findDoubts({ waist: 780, hip: 1000 }, 'cm', { byOneself: true })).toEqual([]);
    expect(findDoubts({ ...body, backRise: 380 }, 'cm', { byOneself: false })).toEqual([]);
  });

  it('asks a longer outseam of an inseam that ends at the ankle', () => {
    const fields = (outseam: number, inseamTo: 'floor' | 'ankle'): MeasurementId[] =>
      findDoubts({ ...body, outseam }, 'cm', { inseamTo }).map((d) => d.field);
    // Depth and inseam come to 1052; an ankle bone lies 3 to 14 cm above the floor.
    expect(fields(1052, 'floor')).toEqual([]);
    expect(fields(1052, 'ankle')).toEqual(['outseam']);
    expect(fields(1130, 'ankle')).toEqual([]);
    expect(fields(1130, 'floor')).toEqual(['crotchDepth']);
  });

  it('doubts a front that is no half of the body, and a thigh by where it was taken', () => {
    expect(findDoubts({ ...body, frontHip: 500, frontWaist: 410, seatHeight: 280 }, 'cm')).toEqual([]);
    expect(findDoubts({ ...body, frontHip: 390 }, 'cm').map((d) => d.field)).toEqual(['frontHip']);
    expect(findDoubts({ ...body, frontWaist: 300 }, 'cm').map((d) => d.field)).toEqual(['frontWaist']);
    expect(findDoubts({ ...body, seatHeight: 220 }, 'cm').map((d) => d.field)).toEqual(['seatHeight']);
    expect(findDoubts({ ...body, thigh: 450 }, 'cm').map((d) => d.field)).toEqual(['thigh']);
    expect(findDoubts({ ...body, thigh: 450, thighTakenAt: 76 }, 'cm')).toEqual([]);
  });
});

describe('bodies near the charts', () => {
  it('are not doubted for being a little larger or smaller all over', () => {
    fc.assert(
      fc.property(size, fc.double({ min: 0.97, max: 1.03, noNaN: true }), (values, by) => {
        const body = Object.fromEntries(Object.entries(values).map(([id, mm]) => [id, mm * by])) as Measured;
        expect(findDoubts(body, 'cm')).toEqual([]);
      }),
      { numRuns: 300 },
    );
  });

  it('are not doubted for a tape read to half a centimetre', () => {
    fc.assert(
      fc.property(size, fc.constantFrom(...ids), fc.double({ min: -4, max: 4, noNaN: true }), (values, id, by) => {
        // The rises and the whole are taken with one tape: they may differ by a centimetre, not by two readings.
        fc.pre(!['frontRise', 'backRise', 'crotchLength', 'ankle', 'calf'].includes(id));
        expect(findDoubts({ ...values, [id]: (values[id] ?? 0) + by }, 'cm')).toEqual([]);
      }),
      { numRuns: 300 },
    );
  });
});

describe('a correction that is offered', () => {
  it('clears the doubt it comes with and makes no new one of that figure', () => {
    const factor = fc.constantFrom(1 / 2.54, 2.54, 10, 0.1, 0.7, 1.4, 1.9);
    fc.assert(
      fc.property(size, fc.constantFrom(...ids), factor, (values, id, by) => {
        const wrong = { ...values, [id]: (values[id] ?? 0) * by };
        for (const doubt of findDoubts(wrong, 'cm')) {
          if (!doubt.correction) continue;
          const mended = findDoubts({ ...wrong, [doubt.field]: doubt.correction.mm }, 'cm');
          expect(mended.some((d) => d.fields.includes(doubt.field))).toBe(false);
        }
      }),
      { numRuns: 400 },
    );
  });

  it('is told with the figure it stands for, and every doubt with what disagrees', () => {
    fc.assert(
      fc.property(size, fc.constantFrom(...ids), fc.constantFrom(0.1, 0.6, 1.6, 10), (values, id, by) => {
        for (const doubt of findDoubts({ ...values, [id]: (values[id] ?? 0) * by }, 'cm')) {
          expect(doubt.fields).toContain(doubt.field);
          expect(doubt.sentence).toMatch(/measure|Measure/);
          expect(doubt.sentence).toMatch(/\d cm/);
          if (doubt.correction) expect(doubt.sentence).toContain(doubt.correction.label.replace('Change to ', ''));
        }
      }),
      { numRuns: 300 },
    );
  });

  it('is in inches for those who measure in inches', () => {
    const inches: Measured = { waist: 30 * 25.4, hip: 39 * 25.4, crotchDepth: 10.75 * 25.4, inseam: 13 * 25.4 };
    const [doubt] = findDoubts(inches, 'in');
    expect(doubt).toMatchObject({ field: 'inseam', correction: { mm: 31 * 25.4 } });
    expect(doubt?.sentence).toContain('Inseam 13 in looks like 31 in (two digits swapped)');
  });
});

describe('any finished pair', () => {
  const figure = fc.double({ min: 50, max: 1200, noNaN: true });
  const pair: fc.Arbitrary<FinishedPair> = fc.record({
    across: fc.constantFrom('seams' as const, 'edges' as const),
    edge: fc.double({ min: 0, max: 10, noNaN: true }),
    from: fc.constantFrom('top' as const, 'seam' as const),
    widths: fc.constantFrom('single' as const, 'doubled' as const),
    figures: fc.record(Object.fromEntries(PAIR_FIGURE_IDS.map((id) => [id, figure])), { requiredKeys: [] }),
  });

  it('gives the same girths whether doubled by the maker or by the program', () => {
    fc.assert(
      fc.property(pair, (p) => {
        const single = measuredOfPair({ ...p, widths: 'single' });
        const twice = Object.fromEntries(
          Object.entries(p.figures).map(([id, mm]) => [
            id,
            ['halfWaist', 'halfHip', 'wholeThigh'].includes(id) ? 2 * mm : mm,
          ]),
        );
        const doubled = measuredOfPair({ ...p, widths: 'doubled', figures: twice });
        for (const id of ['waist', 'hip', 'pairThigh'] as const) {
          if (single[id] === undefined) expect(doubled[id]).toBeUndefined();
          else expect(doubled[id]).toBeCloseTo(single[id], 6);
        }
      }),
      { numRuns: 200 },
    );
  });

  it('gives figures whose sums can be told, and a crotch depth that with the inseam makes the outseam', () => {
    fc.assert(
      fc.property(pair, (p) => {
        const show = (mm: number): string => mm.toFixed(1);
        for (const g of pairGives(p)) {
          expect(Number.isFinite(g.mm)).toBe(true);
          expect(g.sum(show)).toMatch(/\d/);
        }
        const m = measuredOfPair(p);
        if (m.crotchDepth !== undefined) expect(m.crotchDepth + (m.inseam ?? 0)).toBeCloseTo(m.outseam ?? NaN, 6);
        if (m.crotchLength !== undefined) {
          expect(m.crotchLength).toBeCloseTo((m.frontRise ?? 0) + (m.backRise ?? 0), 6);
        }
      }),
      { numRuns: 200 },
    );
    expect(pairGives(EMPTY_PAIR)).toEqual([]);
  });
});
