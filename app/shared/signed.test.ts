import { describe, expect, it } from 'vitest';
import { TAPES } from '../../core/units/index.js';
import { signedFigure, signedPercent } from './signed.js';

describe('a difference', () => {
  it('has a sign where the tape shows one, and none where it does not', () => {
    expect(signedFigure(12.7, TAPES.in)).toBe('+1⁄2');
    expect(signedFigure(-15, TAPES.cm)).toBe('−1.5');
    expect(signedFigure(0.2, TAPES.cm)).toBe('0.0');
    expect([signedPercent(0.0211), signedPercent(-0.4), signedPercent(0.0001)]).toEqual(['+2.1 %', '−40.0 %', '0.0 %']);
  });
});
