import { describe, expect, it } from 'vitest';
import { readLength } from '../../core/units/index.js';
import { withFractions } from './fractions.js';

describe('fractions in running text', () => {
  it('are set with the fraction slash, and read back as they were meant', () => {
    expect(withFractions('hip 40 1/2 ÷ 16, 25/32 in')).toBe('hip 40 1⁄2 ÷ 16, 25⁄32 in');
    expect(withFractions('Front / back')).toBe('Front / back');
    expect(readLength(withFractions('10 3/4'), 'in')).toMatchObject({ ok: true, mm: 273.05 });
  });
});
