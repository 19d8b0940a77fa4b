import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  exactFigure,
  formatAngle,
  formatFigure,
  formatLength,
  figureParts,
  handStep,
  readLength,
  TAPES,
  tapeFor,
  UNITS,
} from './index.js';

const mm = (text: string, unit: 'cm' | 'in' | 'mm' = 'cm'): number | string => {
  const read = readLength(text, unit);
  return read.ok ? read.mm : read.reason;
};

describe('reading a length', () => {
  it.each([
    ['27.3', 'cm', 273],
    ['27,3', 'cm', 273],
    ['27', 'mm', 27],
    ['10 3/4', 'in', 273.05],
    ['10¾', 'in', 273.05],
    ['10 ¾', 'in', 273.05],
    ['10-3/4"', 'cm', 273.05],
    ['10-3/4', 'in', 273.05],
    ['10⁄4 in', 'cm', 63.5],
    ['3/8″', 'cm', 9.525],
    ['273mm', 'in', 273],
    ['10.75in', 'cm', 273.05],
    ['10.75 inches', 'cm', 273.05],
    ['1 cm', 'in', 10],
    ['-1/4', 'in', -6.35],
    ['−0,5', 'cm', -5],
    ['10 1/16', 'in', 255.5875],
    [' 78 ', 'cm', 780],
  ] as const)('understands “%s” in %s', (text, unit, expected) => {
    expect(mm(text, unit)).toBeCloseTo(expected, 9);
  });

  it.each(['', '   ', 'abc', '12 apples', '1/0', '1/2/3', '--3', '4 5', '12px', '1e5', 'Infinity', 'NaN'])(
    'refuses “%s” with a reason',
    (text) => {
      expect(typeof mm(text)).toBe('string');
    },
  );

  it('never throws, whatever is typed', () => {
    fc.assert(
      fc.property(fc.string(), fc.constantFrom(...UNITS), (text, unit) => {
        const read = readLength(text, unit);
        expect(read.ok ? Number.isFinite(read.mm) : read.reason.length > 0).toBe(true);
      }),
      { numRuns: 2000 },
    );
  });
});

describe('showing a length', () => {
  it('reduces fractions of an inch and carries a full inch', () => {
    expect(formatFigure(25.4 * 10.5, TAPES.sixteenth)).toBe('10 1/2');
    expect(formatFigure(25.4 * (10 + 15 / 16), TAPES.in)).toBe('11');
    expect(formatFigure(25.4 * 0.25, TAPES.in)).toBe('1/4');
    expect(formatFigure(-25.4 * 1.375, TAPES.in)).toBe('-1 3/8');
    expect(figureParts(25.4 * (6 + 6 / 16), TAPES.sixteenth)).toEqual({
      negative: false,
      whole: '6',
      fraction: { over: 3, under: 8 },
    });
  });

  it('keeps one decimal of a centimetre, or a half, and never shows minus nothing', () => {
    expect(formatLength(272.6, TAPES.cm)).toBe('27.3 cm');
    expect(formatFigure(272.6, TAPES.halfCm)).toBe('27.5');
    expect(formatFigure(-0.2, TAPES.cm)).toBe('0.0');
    expect(formatLength(272.6, TAPES.mm)).toBe('273 mm');
  });

  it('comes back the same: what is shown exactly reads as what was meant, in every unit', () => {
    fc.assert(
      fc.property(fc.integer({ min: -4000, max: 40000 }), (sixtyFourths) => {
        const meant = (sixtyFourths / 64) * 25.4;
        expect(mm(exactFigure(meant, 'in'), 'in')).toBeCloseTo(meant, 9);
      }),
    );
    fc.assert(
      fc.property(fc.integer({ min: -100000, max: 1000000 }), fc.constantFrom('cm', 'mm'), (hundredths, unit) => {
        const meant = hundredths / 100;
        expect(mm(exactFigure(meant, unit), unit)).toBeCloseTo(meant, 9);
      }),
    );
  });

  it('rounds to the tape: the figure shown is never further off than half a step', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -3000, max: 3000, noNaN: true }),
        fc.constantFrom(...Object.values(TAPES)),
        (length, tape) => {
          const back = mm(formatLength(length, tape), 'cm');
          const halfStep = (tape.step * (tape.unit === 'in' ? 25.4 : tape.unit === 'cm' ? 10 : 1)) / 2;
          expect(Math.abs((back as number) - length)).toBeLessThanOrEqual(halfStep + 1e-9);
        },
      ),
    );
  });

  it('moves handles by the maker’s tape', () => {
    expect(handStep('in', false)).toBeCloseTo(3.175);
    expect(handStep('in', true)).toBeCloseTo(1.5875);
    expect(handStep('cm', false)).toBe(2.5);
    expect(handStep('cm', true)).toBe(1);
    expect(tapeFor('in').step).toBe(1 / 16);
  });
});

describe('an angle', () => {
  it('is told to a tenth of a degree, with a minus sign, and none at nought', () => {
    expect([-3, 7.25, -0.04, 0].map(formatAngle)).toEqual(['−3.0°', '7.3°', '0.0°', '0.0°']);
  });
});
