import { numericQuantity } from 'numeric-quantity';

/** The units in which lengths are entered and shown. Inside the core every length is in millimetres. */
export type Unit = 'cm' | 'in' | 'mm';

/** All units, in the order in which they are offered. */
export const UNITS: readonly Unit[] = ['cm', 'in', 'mm'];

const MM: Record<Unit, number> = { mm: 1, cm: 10, in: 25.4 };

/** Millimetres from a value in a unit. 1 in = 25.4 mm exactly. */
export const toMm = (value: number, unit: Unit): number => value * MM[unit];

/** A value in a unit from millimetres. */
export const fromMm = (mm: number, unit: Unit): number => mm / MM[unit];

/** A length as read from text: in mm, with the unit it was understood in; or why it was not understood. */
export type ReadLength =
  { readonly ok: true; readonly mm: number; readonly unit: Unit } | { readonly ok: false; readonly reason: string };

const ENDINGS: readonly (readonly [RegExp, Unit])[] = [
  [/\s*(?:mm|millimet(?:re|er)s?)\.?$/i, 'mm'],
  [/\s*(?:cm|centimet(?:re|er)s?)\.?$/i, 'cm'],
  [/\s*(?:in|ins|inch|inches|"|″|”|'')\.?$/i, 'in'],
];

function splitUnit(text: string, unit: Unit): { figure: string; unit: Unit } {
  for (const [ending, found] of ENDINGS) {
    if (ending.test(text)) return { figure: text.replace(ending, ''), unit: found };
  }
  return { figure: text, unit };
}

/**
 * Reads a length as makers write it: `27.3`, `27,3`, `10 3/4`, `10¾`, `10-3/4"`, `273mm`, `10.75in`
 * (docs/trade/measuring.md). A figure without a unit is in `unit`. A minus sign in front is allowed, since
 * lifts and insets may be negative; whether a field takes a negative figure is for the field to say.
 */
export function readLength(text: string, unit: Unit): ReadLength {
  const trimmed = text
    .trim()
    .replace(/[\u2212\u2013]/g, '-')
    .replace(/\u2044/g, '/')
    .replace(/[\u00a0\u2009\u202f]/g, ' ');
  if (trimmed === '') return { ok: false, reason: 'it is empty' };
  const { figure, unit: found } = splitUnit(trimmed, unit);
  const negative = figure.startsWith('-');
  const plain = (negative ? figure.slice(1) : figure)
    .trim()
    .replace(/(\d),(\d)/g, '$1.$2')
    .replace(/(\d)\s*-\s*(?=\d+\s*\/|[¼-¾⅐-⅞])/g, '$1 ');
  if (!/^[\d.\s/¼-¾⅐-⅞]+$/.test(plain)) return { ok: false, reason: `“${text.trim()}” is not a length` };
  const value = numericQuantity(plain, { round: false });
  if (!Number.isFinite(value)) return { ok: false, reason: `“${text.trim()}” is not a length` };
  return { ok: true, mm: toMm(negative ? -value : value, found), unit: found };
}
