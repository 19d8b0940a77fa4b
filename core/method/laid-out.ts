import { formulaFor, type Sheet } from './sheet.js';
import type { Worked } from './ledger.js';

/** How makers lay the panels out: each for itself, from one side line, or the back on the front, drawn or cut. */
const LAID_OUT = ['apart', 'side-shared', 'back-over-front', 'back-from-front'] as const;

/** One way of laying the panels out. */
export type LaidOut = (typeof LAID_OUT)[number];

/** The line that makers keep for last. */
const KEPT_LAST = 'front.centreLift';

/** What a way of laying out is called. */
export const LAID_OUT_WORDS: Readonly<Record<LaidOut, string>> = {
  apart: 'each panel for itself',
  'side-shared': 'both panels from one side line',
  'back-over-front': 'the back drawn over the front',
  'back-from-front': 'the back chalked from the front that was cut',
};

/** How a sheet lays its panels out under the chosen values; apart where it says nothing that is known. */
export function laidOutOf({ laidOut }: Pick<Sheet, 'laidOut'>, choices: Readonly<Record<string, string>>): LaidOut {
  const stated = laidOut && formulaFor(laidOut, choices);
  return LAID_OUT.find((way) => way === stated) ?? 'apart';
}

/** True where the second panel is laid on the first. */
export const isLaidOn = (way: LaidOut): boolean => way === 'back-over-front' || way === 'back-from-front';

/**
 * How much of the front's centre is left standing until the back has been cut from it, in mm; nothing where the method
 * keeps none, or where its centre does not dip.
 */
export function keptDip({ sheet, choices, ledger }: Pick<Worked, 'sheet' | 'choices' | 'ledger'>): number | undefined {
  if (!sheet.keptLast || formulaFor(sheet.keptLast, choices) !== KEPT_LAST) return undefined;
  const lift = ledger.get(KEPT_LAST)?.value;
  return typeof lift === 'number' && lift < 0 ? -lift : undefined;
}
