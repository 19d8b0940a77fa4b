import { describe, expect, it } from 'vitest';
import { scaleTold } from './printer-scale.js';

describe('a test square that was measured', () => {
  it('says at which per cent the printer prints true', () => {
    expect(scaleTold(99.6)).toContain('100.4 %');
    expect(scaleTold(101)).toContain('99.0 %');
    expect(scaleTold(97.09)).toContain('103.0 %');
  });

  it('is true within a hair, and too far off where the print was fitted to the page or read in inches', () => {
    expect(scaleTold(100.2)).toContain('prints true');
    expect(scaleTold(94)).not.toContain('too far');
    expect(scaleTold(70)).toContain('too far from 100');
    expect(scaleTold(4)).toContain('fit the page');
  });
});
