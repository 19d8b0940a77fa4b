import { describe, expect, it } from 'vitest';
import { completeBody, findDoubts, refuseMeasurement, type Measured } from './index.js';

const four = { waist: 780, hip: 1000, crotchDepth: 272, inseam: 780 };
const doubted = (m: Measured, unit: 'cm' | 'in' = 'cm'): string[] => findDoubts(m, unit).map((d) => d.field);

describe('estimates', () => {
  it('fill what is missing by the house rules', () => {
    const body = completeBody(four, 'unknown');
    const mm = (id: Parameters<typeof body.get>[0]): number | undefined => body.get(id)?.mm;
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

  it('never stand in for a measured figure', () => {
    expect(completeBody({ ...four, hipDepth: 190 }, 'unknown').get('hipDepth')).toEqual({
      source: 'measured',
      mm: 190,
    });
  });
});

describe('doubts about the required four', () => {
  it('are none for bodies as they come', () => {
    const bodies: Measured[] = [
      four,
      { waist: 660, hip: 1040, crotchDepth: 285, inseam: 840 },
      { waist: 1100, hip: 1060, crotchDepth: 290, inseam: 800 },
      { waist: 600, hip: 680, crotchDepth: 200, inseam: 560 },
      { waist: 1240, hip: 1320, crotchDepth: 300, inseam: 740 },
    ];
    for (const body of bodies) expect(findDoubts(body, 'cm')).toEqual([]);
  });

  it('offer the other unit, a lost decimal and swapped digits as the figure meant', () => {
    expect(findDoubts({ ...four, inseam: 78 }, 'cm')[0]).toMatchObject({ field: 'inseam', correction: { mm: 780 } });
    expect(findDoubts({ ...four, inseam: 78 }, 'cm')[0]?.sentence).toContain('Inseam 7.8 cm looks like 78.0 cm');
    const inches = findDoubts({ ...four, hip: 410 }, 'cm').find((d) => d.field === 'hip');
    expect(inches?.correction?.mm).toBeCloseTo(41 * 25.4, 6);
    expect(findDoubts({ ...four, hip: 1900, waist: 940 }, 'cm')[0]).toMatchObject({
      field: 'hip',
      correction: { mm: 1090 },
    });
  });

  it('name what disagrees and what to measure again', () => {
    expect(doubted({ ...four, crotchDepth: 350 })).toContain('crotchDepth');
    expect(doubted({ ...four, outseam: 1100 })).toEqual(['outseam']);
    expect(doubted({ ...four, outseam: 1052 })).toEqual([]);
    expect(doubted({ ...four, hipDepth: 140 })).toEqual(['hipDepth']);
    expect(doubted({ ...four, thigh: 720 })).toEqual(['thigh']);
    expect(doubted({ ...four, thigh: 580, knee: 590 })).toEqual(['knee']);
    expect(doubted({ ...four, calf: 360, ankle: 370 })).toEqual(['ankle']);
    expect(findDoubts({ ...four, waist: 1300 }, 'in')[0]?.sentence).toMatch(/ in /);
  });
});

describe('figures that cannot be meant', () => {
  it.each([0, -780, NaN, Infinity, 50000])('refuses an inseam of %d mm in a sentence with the way out', (mm) => {
    expect(refuseMeasurement('inseam', mm, 'cm')).toMatch(/^Inseam .*Enter 18.0 cm to 120.0 cm/);
  });
  it('takes all others', () => {
    expect(refuseMeasurement('inseam', 780, 'cm')).toBeUndefined();
    expect(refuseMeasurement('backWaistHeight', -10, 'cm')).toBeUndefined();
  });
});
