import { exactFigure, readLength, type Unit } from '../../core/units/index.js';

/** What the figure keys add: the eighths that a tape is read in, or halves of a centimetre. */
export const KEYS: Readonly<Record<Unit, readonly (readonly [words: string, share: number])[]>> = {
  in: [
    ['1/8', 0.125],
    ['1/4', 0.25],
    ['1/2', 0.5],
  ],
  cm: [['0.5', 0.5]],
  mm: [['5', 5]],
};

const MM: Readonly<Record<Unit, number>> = { in: 25.4, cm: 10, mm: 1 };

/**
 * What stands in a field once a key has added its share (of the field's unit) to what was typed: `29` and 1/4 make
 * `29 1/4`, one more 1/8 makes `29 3/8`. What cannot be read is left as it was.
 */
export function withShare(typed: string, share: number, unit: Unit): string {
  const trimmed = typed.trim();
  const read = readLength(trimmed === '' ? '0' : trimmed, unit);
  if (!read.ok) return typed;
  return exactFigure(read.mm + share * MM[unit], unit);
}
