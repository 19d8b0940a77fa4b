import { describe, expect, it } from 'vitest';
import { fieldFigure } from './fractions.js';
import { withShare } from './number-keys.js';

describe('figure keys', () => {
  it('build any eighth of an inch on what was typed', () => {
    expect(withShare('29', 0.25, 'in')).toBe('29 1/4');
    expect(withShare('29 1/4', 0.125, 'in')).toBe('29 3/8');
    expect(withShare('29 7/8', 0.25, 'in')).toBe('30 1/8');
    expect(withShare('', 0.5, 'in')).toBe('1/2');
  });
  it('read a figure as the field shows it', () => {
    expect(withShare(fieldFigure('29 3/4'), 0.125, 'in')).toBe('29 7/8');
  });
  it('add halves in centimetres, also to what was typed in inches', () => {
    expect(withShare('78', 0.5, 'cm')).toBe('78.5');
    expect(withShare('78,5', 0.5, 'cm')).toBe('79');
    expect(withShare('10in', 0.5, 'cm')).toBe('25.9');
  });
  it('leave what cannot be read', () => {
    expect(withShare('twenty', 0.5, 'in')).toBe('twenty');
  });
});
