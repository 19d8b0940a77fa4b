import { sayAlteration } from '../alter/index.js';
import { lineLabel, type Sheet } from '../method/index.js';
import { formatLength, showsNothing, tapeFor, type Unit } from '../units/index.js';
import type { Conflict, TargetId, TrueItChange } from './answer.js';

const LABELS: Record<TargetId, string> = {
  frontRise: 'Front rise',
  backRise: 'Back rise',
  wholeRise: 'Whole rise',
  thigh: 'Thigh',
  waist: 'Waist',
  hip: 'Hip',
  inseamWalk: 'Inseam walk',
  sideWalk: 'Side walk',
};

/** What stands in the way of a target that is not met, as a sentence in the reader's unit. */
export function conflictSentence({ target, miss, against, unknowns }: Conflict, unit: Unit): string {
  const tape = tapeFor(unit);
  const far = showsNothing(miss, tape) ? 'less than the tape shows' : formatLength(Math.abs(miss), tape);
  const label = LABELS[target];
  const names = unknowns.map((u) => u.label.toLowerCase()).join(', ');
  if (against) {
    return `${label} and ${LABELS[against].toLowerCase()} ask opposite things of the ${names}: ${label.toLowerCase()} stays ${far} off.`;
  }
  return names === ''
    ? `${label} stays ${far} off: nothing that may be changed brings it nearer.`
    : `${label} stays ${far} off: ${names} would have to go beyond the limit.`;
}

/** A change that True it found, as a maker would do it, in the reader's unit; `sheet` names the lines. */
export function changeSentence({ by, set, work, outsized }: TrueItChange, sheet: Sheet, unit: Unit): string {
  const large = outsized ? '. That is far more than the fault: look at it before you take it' : '';
  if (work) return `${sayAlteration(work, unit)}${large}`;
  if (!set) return '';
  const tape = tapeFor(unit);
  const amount = formatLength(Math.abs(by), tape);
  return `${lineLabel(sheet, set.line)} ${formatLength(set.value, tape)} by hand (${by < 0 ? '−' : '+'}${amount})${large}`;
}
