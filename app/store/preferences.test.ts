import { describe, expect, it } from 'vitest';
import { asKept, proposedUnit, usePreferences, withUnit } from './preferences.js';

describe('preferences', () => {
  it('propose the unit of the browser’s region', () => {
    expect(proposedUnit('en-US')).toBe('in');
    expect(proposedUnit('es-US')).toBe('in');
    expect(proposedUnit('en-GB')).toBe('cm');
    expect(proposedUnit('de')).toBe('cm');
    expect(proposedUnit('en')).toBe('cm');
  });

  it('let the paper go with the unit, unless a maker chose another', () => {
    const now = usePreferences.getInitialState();
    expect(withUnit(now, 'in')).toEqual({ unit: 'in', paper: 'letter' });
    expect(withUnit({ ...now, unit: 'in', paper: 'letter' }, 'cm')).toEqual({ unit: 'cm', paper: 'a4' });
    expect(withUnit({ ...now, paper: 'roll' }, 'in')).toEqual({ unit: 'in' });
  });

  it('ask nobody of whom something is kept: what was chosen before stays', () => {
    expect(asKept({ unit: 'cm', theme: 'dark' })).toEqual({ asked: true, unit: 'cm', theme: 'dark' });
    expect(asKept({ asked: false })).toEqual({ asked: false });
    expect(asKept(undefined)).toEqual({});
  });
});
