import { describe, expect, it } from 'vitest';
import { readLength } from '../../core/units/index.js';
import { fieldFigure, withFractions } from './fractions.js';

describe('fractions in running text', () => {
  it('are set with the fraction slash, and read back as they were meant', () => {
    expect(withFractions('hip 40 1/2 ÷ 16, 25/32 in')).toBe('hip 40 1⁄2 ÷ 16, 25⁄32 in');
    expect(withFractions('Front / back')).toBe('Front / back');
    expect(withFractions('-1/16 to 1/16, of 2026-10-05, 10-3/4')).toBe('−1⁄16 to 1⁄16, of 2026-10-05, 10-3⁄4');
    expect(fieldFigure('-5 1/2')).toBe('-5 1⁄2');
    expect(readLength(withFractions('-1.5'), 'cm')).toMatchObject({ ok: true, mm: -15 });
    expect(readLength(withFractions('10 3/4'), 'in')).toMatchObject({ ok: true, mm: 273.05 });
  });
});
