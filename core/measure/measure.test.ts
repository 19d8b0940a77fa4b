import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { refusalSentence } from '../refusal/index.js';
import { readerIn } from '../units/index.js';
import {
  BODY_IDS,
  compareSets,
  completeBody,
  EMPTY_PAIR,
  figuresOf,
  findDoubts,
  girthAt,
  girthsByHeight,
  legOfPair,
  measuredOfPair,
  neededFirst,
  nearestSizes,
  refuseMeasurement,
  ROUND_THE_BODY,
  rulesFor,
  SHIPPED_CHARTS,
  topEdge,
  whatRulesGive,
  type Doubt,
  type Measured,
  type MeasurementId,
  type SetContext,
} from './index.js';

const four = { waist: 780, hip: 1000, crotchDepth: 272, inseam: 780 };
const doubted = (m: Measured, context?: SetContext): string[] => findDoubts(m, 'cm', context).map((d) => d.field);
const first = (m: Measured, context?: SetContext): Doubt | undefined => findDoubts(m, 'cm', context)[0];
const sizes = SHIPPED_CHARTS.flatMap((chart) => chart.sizes.map((size) => ({ chart, size })));

describe('estimates', () => {
  it('fill what is missing by the house rules', () => {
    const body = completeBody(four, 'unknown');
    const mm = (id: MeasurementId): number | undefined => body.get(id)?.mm;
    expect(mm('hipDepth')).toBe(204);
    expect(mm('outseam')).toBe(1052);
    expect(mm('kneeDepth')).toBe(272 + 390 - 50);
    expect(mm('thigh')).toBe(580);
    expect(mm('knee')).toBe(370);
    expect(mm('calf')).toBe(370);
    expect(mm('ankle')).toBe(230);
    expect(mm('heel')).toBe(330);
    expect(mm('crotchLength')).toBeCloseTo(544 + 1000 / 7, 9);
    expect(body.has('frontRise')).toBe(false);
    expect(completeBody(four, 'woman').get('heel')?.mm).toBe(320);
    expect(completeBody(four, 'man').get('heel')?.mm).toBe(350);
    expect(completeBody({ ...four, hip: 680 }, 'child').get('heel')?.mm).toBeCloseTo(272.4, 9);
  });

  it('carry a thigh that was taken lower up to the crotch line', () => {
    const low = { ...four, thigh: 550, thighTakenAt: 76, knee: 370, kneeDepth: 612 };
    // From 76 mm below the crotch to the knee, 340 mm below it, the leg narrows by 180: 51.8 on the first 76.
    const carried = completeBody(low, 'unknown').get('thigh');
    expect(carried?.mm).toBeCloseTo(550 + (180 * 76) / (340 - 76), 9);
    expect(carried).toMatchObject({ source: 'estimate', taken: { mm: 550, below: 76 } });
    // A measured mid-thigh, 170 below, tells better how it narrows there.
    expect(completeBody({ ...low, midThigh: 500 }, 'unknown').get('thigh')?.mm).toBeCloseTo(550 + (50 * 76) / 94, 9);
    expect(completeBody({ ...low, thighTakenAt: 0 }, 'unknown').get('thigh')).toEqual({ source: 'measured', mm: 550 });
    // Nothing is carried from below the knee, and nothing narrower than it was taken.
    expect(completeBody({ ...low, kneeDepth: 360 }, 'unknown').get('thigh')).toEqual({ source: 'measured', mm: 550 });
    expect(completeBody({ ...low, knee: 600 }, 'unknown').get('thigh')?.mm).toBe(550);
    // The sum is that of the figure as it was taken, not as it was carried.
    expect(carried?.source === 'estimate' && carried.rule.sum(figuresOf(completeBody(low, 'unknown')), String)).toBe(
      '550 + (550 − 370) × 76 ÷ 264',
    );
  });

  it('never stand in for a measured figure', () => {
    expect(completeBody({ ...four, hipDepth: 190 }, 'unknown', { hipDepth: 'two-thirds' }).get('hipDepth')).toEqual({
      source: 'measured',
      mm: 190,
    });
  });

  it('take the rule that was adopted, and keep it marked', () => {
    const hipDepth = completeBody(four, 'unknown', { hipDepth: 'quarter-hip-less-1-in' }).get('hipDepth');
    expect(hipDepth).toMatchObject({ source: 'estimate', adopted: true });
    expect(hipDepth?.mm).toBeCloseTo(250 - 25.4, 9);
    const foot = completeBody({ ...four, footLength: 250 }, 'woman', { heel: 'of-foot' });
    expect(foot.get('heel')?.mm).toBeCloseTo(325, 9);
    expect(completeBody(four, 'woman', { heel: 'of-foot' }).get('heel')).toMatchObject({ mm: 320, adopted: false });
  });

  it('let the outseam stand in for the inseam, and a formula for the crotch depth once it is adopted', () => {
    const outseam = { waist: 780, hip: 1000, crotchDepth: 272, outseam: 1060 };
    expect(completeBody(outseam, 'unknown').get('inseam')).toMatchObject({ source: 'estimate', mm: 788 });
    expect(completeBody({ waist: 780, hip: 1000, inseam: 780 }, 'unknown').has('crotchDepth')).toBe(false);
    const adopted = completeBody({ waist: 780, hip: 1000, inseam: 780 }, 'unknown', {
      crotchDepth: 'quarter-hip-1-in',
    });
    expect(adopted.get('crotchDepth')?.mm).toBeCloseTo(275.4, 9);
    expect(adopted.get('hipDepth')?.mm).toBeCloseTo(0.75 * 275.4, 9);
  });

  it('can each be held beside the seated figure, unless they were made from it', () => {
    const given = (m: Measured): (number | undefined)[] =>
      whatRulesGive('crotchDepth', completeBody(m, 'unknown'), 'unknown').map((g) => g.mm);
    expect(given(four)).toEqual([250, 275.4, 326.2, undefined]);
    expect(given({ ...four, outseam: 1060 })).toEqual([250, 275.4, 326.2, 280]);
    const lacks = whatRulesGive('crotchDepth', completeBody(four, 'unknown'), 'unknown').map((g) => g.lacks);
    expect(lacks[3]).toEqual(['outseam']);
  });

  it('write their sums in the reader’s figures', () => {
    const show = (mm: number): string => String(mm / 10);
    const told = (id: MeasurementId, ruleId: string): string | undefined =>
      rulesFor(id)
        .find((rule) => rule.ruleId === ruleId)
        ?.sum({ ...four, outseam: 1060 }, show);
    expect(told('kneeDepth', 'raised-5-cm')).toBe('27.2 + 78 ÷ 2 − 5');
    expect(told('inseam', 'outseam-less-depth')).toBe('106 − 27.2');
    expect(told('thigh', 'of-hip')).toBe('0.62 × 100 − 4');
  });

  it('lie within what is plausible for every size of every chart, whichever rule the house takes', () => {
    for (const { chart, size } of sizes) {
      const { waist, hip, crotchDepth, inseam } = size.values as typeof four;
      const estimated = figuresOf(completeBody({ waist, hip, crotchDepth, inseam }, chart.figure));
      expect([chart.id, size.name, findDoubts(estimated, 'cm')]).toEqual([chart.id, size.name, []]);
      // And near what the chart itself says: within an eighth.
      for (const [id, mm] of Object.entries(size.values) as [MeasurementId, number][]) {
        const guess = estimated[id] ?? mm;
        expect([chart.id, size.name, id, Math.abs(guess / mm - 1) < 0.125]).toEqual([chart.id, size.name, id, true]);
      }
    }
  });
});

describe('doubts', () => {
  it('are none for bodies as they come, nor for any size of the charts', () => {
    const bodies: Measured[] = [
      four,
      { waist: 660, hip: 1040, crotchDepth: 285, inseam: 840 },
      { waist: 1100, hip: 1060, crotchDepth: 290, inseam: 800 },
      { waist: 600, hip: 680, crotchDepth: 200, inseam: 560 },
      { waist: 1240, hip: 1320, crotchDepth: 300, inseam: 740 },
      ...sizes.map(({ size }) => size.values),
    ];
    for (const body of bodies) expect(findDoubts(body, 'cm')).toEqual([]);
  });

  it('offer the other unit, a lost decimal and swapped digits as the figure meant', () => {
    expect(first({ ...four, inseam: 78 })).toMatchObject({ field: 'inseam', correction: { mm: 780 } });
    expect(first({ ...four, inseam: 78 })?.sentence).toContain('Inseam 7.8 cm looks like 78.0 cm');
    const inches = findDoubts({ ...four, hip: 410 }, 'cm').find((d) => d.field === 'hip');
    expect(inches?.correction?.mm).toBeCloseTo(41 * 25.4, 6);
    expect(first({ ...four, hip: 1900, waist: 940 })).toMatchObject({ field: 'hip', correction: { mm: 1090 } });
    expect(first({ ...four, waist: 480 })).toMatchObject({ field: 'waist', correction: { mm: 840 } });
  });

  it('find every slip of one hand in a size of the charts that takes the figure out of its range', () => {
    const ids: readonly MeasurementId[] = ['waist', 'hip', 'crotchDepth', 'inseam', 'thigh', 'knee', 'calf', 'ankle'];
    fc.assert(
      fc.property(fc.constantFrom(...sizes), fc.constantFrom(...ids), fc.constantFrom('inch', 'ten'), (s, id, slip) => {
        const mm = s.size.values[id] ?? NaN;
        const wrong = slip === 'inch' ? mm / 2.54 : mm / 10;
        const found = first({ ...s.size.values, [id]: wrong });
        expect(found?.field).toBe(id);
        expect(found?.correction?.mm).toBeCloseTo(mm, 6);
      }),
      { numRuns: 300 },
    );
  });

  it('find two digits swapped where the last set shows it', () => {
    const before = { date: '2026-03-02', values: four };
    expect(first({ ...four, waist: 870 }, { before })).toMatchObject({ field: 'waist', correction: { mm: 780 } });
    expect(doubted({ ...four, waist: 820 }, { before })).toEqual([]);
    const grown = first({ ...four, waist: 850 }, { before });
    expect(grown?.sentence).toContain('Waist 85.0 cm is large beside 78.0 cm of 2026-03-02 (+9 %)');
  });

  it.each<readonly [string, Measured, MeasurementId, RegExp]>([
    ['waist over hip', { ...four, waist: 1060, hip: 1000 }, 'waist', /beside hip 100\.0 cm.*waist is likelier wrong/],
    ['crotch depth', { ...four, crotchDepth: 336 }, 'crotchDepth', /beside hip 100\.0 cm.*hard flat seat/],
    ['soft seat', { ...four, outseam: 1100 }, 'crotchDepth', /outseam 110\.0 cm less inseam 78\.0 cm.*soft seat/],
    ['short outseam', { ...four, outseam: 1030 }, 'outseam', /crotch depth and inseam together, 105\.2 cm/],
    ['hip depth', { ...four, hipDepth: 140 }, 'hipDepth', /beside crotch depth 27\.2 cm: 15\.0 cm to 25\.8 cm/],
    ['thigh', { ...four, thigh: 712 }, 'thigh', /beside hip 100\.0 cm: 48\.0 cm to 70\.0 cm is usual/],
    ['knee over thigh', { ...four, thigh: 550, knee: 560 }, 'knee', /beside thigh 55\.0 cm: at most 55\.0 cm/],
    ['ankle over calf', { ...four, calf: 330, ankle: 332 }, 'ankle', /beside calf 33\.0 cm/],
    [
      'rises and whole',
      { ...four, frontRise: 300, backRise: 390, crotchLength: 705 },
      'crotchLength',
      /front rise and back rise together, 69\.0 cm/,
    ],
    ['front rise share', { ...four, frontRise: 240, crotchLength: 690 }, 'frontRise', /beside crotch length 69\.0 cm/],
    ['crotch length', { ...four, crotchLength: 850 }, 'crotchLength', /crotch depth 27\.2 cm and hip 100\.0 cm/],
  ])('name both figures, the likelier wrong and the way out: %s', (_, measured, field, words) => {
    const found = findDoubts(measured, 'cm').find((d) => d.field === field);
    expect(found?.sentence).toMatch(words);
    expect(found?.sentence).toMatch(/again/);
  });

  it('allow a deeper crotch where the waist sits high', () => {
    expect(doubted({ ...four, crotchDepth: 350 })).toContain('crotchDepth');
    expect(doubted({ ...four, crotchDepth: 350 }, { sits: 'high' })).toEqual([]);
  });

  it('speak in the unit of the reader', () => {
    expect(findDoubts({ ...four, waist: 1300 }, 'in')[0]?.sentence).toMatch(/ in /);
  });

  it('end for any figures at all', () => {
    const figure = fc.option(fc.double({ min: -100, max: 6000, noNaN: true }), { nil: undefined });
    const set = fc.record(Object.fromEntries(BODY_IDS.map((id) => [id, figure])));
    fc.assert(
      fc.property(set, (m) => {
        for (const d of findDoubts(m, 'in')) expect(d.sentence).toMatch(/[.]$/);
      }),
      { numRuns: 200 },
    );
  });
});

describe('figures that cannot be meant', () => {
  it.each([0, -780, NaN, Infinity, 50000])('refuses an inseam of %d mm in a sentence with the way out', (mm) => {
    const refusal = refuseMeasurement('inseam', mm);
    expect(refusal?.field).toBe('inseam');
    expect(refusal && refusalSentence(refusal, readerIn('cm'))).toMatch(/^Inseam .*Enter 18.0 cm to 120.0 cm/);
    expect(refusal && refusalSentence(refusal, readerIn('in'))).toContain('Enter 7 1/8 in to 47 3/16 in');
  });
  it('takes all others', () => {
    expect(refuseMeasurement('inseam', 780)).toBeUndefined();
    expect(refuseMeasurement('backWaistHeight', -10)).toBeUndefined();
  });
});

describe('the order of measuring', () => {
  it('has every figure of a body once, the four first or as one goes round', () => {
    for (const order of [ROUND_THE_BODY, neededFirst('easy'), neededFirst('close'), neededFirst('knit')]) {
      expect([...order].sort()).toEqual([...BODY_IDS].sort());
    }
    expect(neededFirst('close').slice(0, 5)).toEqual(['waist', 'hip', 'crotchDepth', 'inseam', 'thigh']);
  });
});

describe('a finished pair', () => {
  const figures = {
    halfWaist: 410,
    halfHip: 530,
    frontThigh: 290,
    wholeThigh: 345,
    frontRise: 300,
    backRise: 400,
    band: 40,
    outseam: 1050,
    inseam: 770,
    kneeAcross: 240,
    hemAcross: 210,
  };
  it('is doubled, and the band comes off what was taken from the top edge', () => {
    expect(measuredOfPair({ ...EMPTY_PAIR, figures })).toEqual({
      waist: 820,
      hip: 1060,
      pairFrontThigh: 290,
      pairThigh: 690,
      outseam: 1010,
      frontRise: 260,
      backRise: 360,
      inseam: 770,
      crotchDepth: 240,
      crotchLength: 620,
    });
    expect(legOfPair({ ...EMPTY_PAIR, figures })).toEqual({ kneeGirth: 480, hemGirth: 420 });
  });
  it('loses its pressed edges, two for each half of a girth, and nothing that was doubled is doubled again', () => {
    const edges = measuredOfPair({ ...EMPTY_PAIR, across: 'edges', edge: 3, figures });
    expect(edges).toMatchObject({ waist: 808, hip: 1048, pairFrontThigh: 284, pairThigh: 678 });
    const seam = measuredOfPair({ ...EMPTY_PAIR, from: 'seam', widths: 'doubled', figures });
    expect(seam).toMatchObject({ waist: 410, outseam: 1050, frontRise: 300, crotchDepth: 280 });
  });
  it('gives what has been taken so far and no more', () => {
    expect(measuredOfPair(EMPTY_PAIR)).toEqual({});
    expect(measuredOfPair({ ...EMPTY_PAIR, figures: { outseam: 1000 } })).toEqual({ outseam: 1000 });
  });
});

describe('girths at heights', () => {
  const taken = [
    { height: 180, girth: 920 },
    { height: 230, girth: 860 },
  ];
  it('lie straight between the nearest two', () => {
    expect(girthAt(taken, 205)).toBe(890);
    expect(girthAt(taken, 180)).toBe(920);
    expect(girthAt(taken, 260)).toBeUndefined();
  });
  it('show where a top edge sits and how tight', () => {
    const all = girthsByHeight(taken, { waist: 780, hip: 1000, crotchDepth: 272, hipDepth: 200 });
    expect(all.map((g) => g.height)).toEqual([272, 230, 180, 72]);
    expect(topEdge(all, 272, { height: 251, girth: 800 })).toEqual({ belowWaist: 21, body: 820, ease: -20 });
    expect(topEdge(taken, 272, { height: 300, girth: 800 }).body).toBeUndefined();
  });
});

describe('size charts', () => {
  it('grow without a step back', () => {
    for (const chart of SHIPPED_CHARTS) {
      chart.sizes.forEach((size, i) => {
        const before = chart.sizes[i - 1];
        for (const id of before ? (['waist', 'hip', 'crotchDepth', 'thigh', 'knee'] as const) : []) {
          expect((size.values[id] ?? 0) - (before?.values[id] ?? 0)).toBeGreaterThan(0);
        }
      });
    }
  });
  it('find a size again from its own figures, and the nearest to a person from a few', () => {
    for (const { chart, size } of sizes) expect(nearestSizes(chart, size.values)[0]).toEqual({ size, distance: 0 });
    const women = SHIPPED_CHARTS.find((c) => c.id === 'women');
    expect(women && nearestSizes(women, { waist: 785, hip: 1005 })[0]?.size.name).toBe('5');
  });
});

describe('two sets', () => {
  it('differ by length and share, and tell what only one of them has', () => {
    expect(compareSets({ waist: 800, hip: 1000 }, { waist: 820, thigh: 600 })).toEqual([
      { id: 'waist', before: 800, after: 820, by: 20, share: 0.025 },
      { id: 'hip', before: 1000, after: undefined, by: undefined, share: undefined },
      { id: 'thigh', before: undefined, after: 600, by: undefined, share: undefined },
    ]);
  });
});
