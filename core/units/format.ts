import Fraction from 'fraction.js';
import { fromMm, toMm, type Unit } from './length.js';

/** How lengths are shown: the unit and the smallest step of the maker's tape in that unit. */
export interface Tape {
  readonly unit: Unit;
  /** Smallest step shown, in the unit: 0.1, 0.25 or 0.5 cm; 1/8 or 1/16 in; 1 mm. */
  readonly step: number;
}

/** The tapes offered, finest step of each unit first. */
export const TAPES = {
  cm: { unit: 'cm', step: 0.1 },
  halfCm: { unit: 'cm', step: 0.5 },
  in: { unit: 'in', step: 1 / 8 },
  sixteenth: { unit: 'in', step: 1 / 16 },
  mm: { unit: 'mm', step: 1 },
} as const satisfies Record<string, Tape>;

/** The tape on which figures of a unit are shown where nothing else is asked for. */
export function tapeFor(unit: Unit): Tape {
  return unit === 'in' ? TAPES.sixteenth : unit === 'cm' ? TAPES.cm : TAPES.mm;
}

/** The step in mm by which a handle moves on the board: 1/8 in, 0.25 cm or 2 mm; `fine` gives 1/16 in, 0.1 cm, 1 mm. */
export function handStep(unit: Unit, fine: boolean): number {
  if (unit === 'in') return toMm(fine ? 1 / 16 : 1 / 8, 'in');
  if (unit === 'cm') return fine ? 1 : 2.5;
  return fine ? 1 : 2;
}

/** The nearest whole step to a length, in mm. */
export const snapTo = (mm: number, stepMm: number): number => Math.round(mm / stepMm) * stepMm;

/** A length in parts for setting in type: sign, whole part and a reduced fraction. */
export interface FigureParts {
  readonly negative: boolean;
  readonly whole: string;
  readonly fraction?: { readonly over: number; readonly under: number };
}

/** The figure of a length on a tape: inches as whole and reduced fraction, others as a decimal. */
export function figureParts(mm: number, tape: Tape): FigureParts {
  const steps = Math.round(Math.abs(fromMm(mm, tape.unit)) / tape.step);
  const negative = mm < 0 && steps > 0;
  if (tape.unit !== 'in') {
    const places = tape.step >= 1 ? 0 : Number.isInteger(tape.step * 10) ? 1 : 2;
    return { negative, whole: (steps * tape.step).toFixed(places) };
  }
  const under = Math.round(1 / tape.step);
  const rest = steps % under;
  const whole = String((steps - rest) / under);
  if (rest === 0) return { negative, whole };
  const reduced = new Fraction(rest, under);
  return { negative, whole, fraction: { over: Number(reduced.n), under: Number(reduced.d) } };
}

/** True where a tape shows no difference from nought. */
export const showsNothing = (mm: number, tape: Tape): boolean =>
  Math.round(Math.abs(fromMm(mm, tape.unit)) / tape.step) === 0;

/** A length as plain text without its unit: `27.3`, `10 3/4`, `-1/4`. */
export function formatFigure(mm: number, tape: Tape): string {
  const { negative, whole, fraction } = figureParts(mm, tape);
  const sign = negative ? '-' : '';
  if (!fraction) return sign + whole;
  const part = `${fraction.over}/${fraction.under}`;
  return sign + (whole === '0' ? part : `${whole} ${part}`);
}

/** A length as plain text with its unit: `27.3 cm`, `10 3/4 in`. */
export const formatLength = (mm: number, tape: Tape): string => `${formatFigure(mm, tape)} ${tape.unit}`;

/** An angle in degrees to a tenth, with a minus sign, and none at nought: `−3.0°`. */
export const formatAngle = (degrees: number): string =>
  `${degrees
    .toFixed(1)
    .replace(/^-(0\.0)$/, '$1')
    .replace('-', '−')}°`;

/**
 * A length as exact plain text for a field: no rounding to the tape, so that what was typed comes back.
 * Inches on a sixteenth (or 64th) are shown as a reduced fraction, all else as the shortest decimal to 0.001.
 */
export function exactFigure(mm: number, unit: Unit): string {
  const value = fromMm(mm, unit);
  if (unit === 'in') {
    const sixtyFourths = value * 64;
    if (Math.abs(sixtyFourths - Math.round(sixtyFourths)) < 1e-6) {
      return formatFigure(mm, { unit, step: 1 / 64 });
    }
  }
  return String(Number(value.toFixed(3)) || 0);
}
