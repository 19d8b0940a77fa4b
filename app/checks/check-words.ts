import { checkLabel, sayCompares, sayFinding, type Check, type Verdict } from '../../core/check/index.js';
import { measurementLabel } from '../../core/measure/index.js';
import { formatAngle, formatFigure, formatLength, type Tape } from '../../core/units/index.js';
import { withFractions } from '../shared/fractions.js';

/** The sign and the words of a verdict. */
export const VERDICTS: Record<Verdict, { sign: string; word: string }> = {
  in: { sign: '✓', word: 'in band' },
  near: { sign: '△', word: 'near its band' },
  out: { sign: '✕', word: 'out of band' },
  unknown: { sign: '?', word: 'not known' },
};

function figure(check: Check, x: number, tape: Tape): string {
  return check.kind === 'angle' ? formatAngle(x) : withFractions(formatFigure(x, tape));
}

/** What a check is called. */
export const labelOf = (check: Check, tape: Tape): string => checkLabel(check, tape.unit);

/** What a check compares with what. */
export const comparesOf = (check: Check, tape: Tape): string => sayCompares(check, tape.unit);

/** What must be measured for a check to know, within a sentence. */
export const wantsOf = ({ wants }: Check): string | undefined => wants && measurementLabel(wants).toLowerCase();

/** What a check measured, in words. */
export function said(check: Check, tape: Tape): string {
  if (check.value === undefined) return '';
  if (typeof check.value === 'object') return sayFinding(check.value, tape.unit);
  return check.kind === 'angle' ? formatAngle(check.value) : withFractions(formatLength(check.value, tape));
}

/** What a check rests on, in words. */
export const restsOn = (check: Check): string =>
  check.verdict === 'unknown'
    ? 'not measured'
    : check.against === 'itself' || check.id === 'riseCharacter'
      ? 'the draft alone'
      : check.restsOnEstimate
        ? 'an estimate'
        : 'measurements';

/** The band of a check, in words. */
export function bandOf(check: Check, tape: Tape): string {
  const { low, high } = check;
  if (low === undefined || high === undefined) {
    const wants = wantsOf(check);
    return wants === undefined ? '' : `measure the ${wants}`;
  }
  if (!Number.isFinite(high)) return `at least ${figure(check, low, tape)}`;
  return `${figure(check, low, tape)} to ${figure(check, high, tape)}`;
}

/** How many checks are out, near and in band, in words. */
export const sayCounts = (counts: Readonly<Record<'out' | 'near' | 'in', number>>): string =>
  (['out', 'near', 'in'] as const)
    .filter((verdict) => counts[verdict] > 0)
    .map((verdict) => `${counts[verdict]} ${VERDICTS[verdict].word.replace('its band', 'band')}`)
    .join(', ');
