import { formatLength, fromMm, tapeFor, toMm, type Unit } from '../units/index.js';
import { findBreaches, type Breach, type SetContext } from './relations.js';
import { BETTER_BY_ANOTHER } from './better-by-another.js';
import { measurementLabel, type Measured, type MeasurementId } from './vocabulary.js';

/** A doubt about a figure: which is likelier wrong, why in a sentence, and the figure it probably was, in mm. */
export interface Doubt {
  readonly field: MeasurementId;
  /** Every measurement that takes part in the disagreement. */
  readonly fields: readonly MeasurementId[];
  readonly sentence: string;
  readonly correction?: { readonly mm: number; readonly label: string };
}

const SWAPPED = 'two digits swapped';

interface Slip {
  readonly mm: number;
  readonly what: string;
  /** True for a slip so easily found that one disagreement does not prove it. */
  readonly weak: boolean;
}

/** The figures that two neighbouring digits swapped would give, among whole digits or across the decimal point. */
function swapped(value: number): { value: number; across: boolean }[] {
  const text = String(Math.round(value * 10) / 10);
  const point = text.indexOf('.');
  const places = [...text].flatMap((c, i) => (c === '.' ? [] : [i]));
  return places.slice(1).flatMap((place, i) => {
    const before = places[i] as number;
    const digits = [...text];
    [digits[before], digits[place]] = [digits[place] ?? '', digits[before] ?? ''];
    const other = digits.join('');
    if (other === text || /^0(?!\.)/.test(other)) return [];
    return [{ value: Number(other), across: point !== -1 && place > point }];
  });
}

/** Figures that come from `mm` by one slip of the hand: the other unit, a decimal lost, two digits swapped. */
function slipsOf(mm: number, unit: Unit): Slip[] {
  const value = fromMm(mm, unit);
  const whole = Math.trunc(value);
  const [digits, rest] = unit === 'in' ? [whole, value - whole] : [value, 0];
  const clear = (slipped: number, what: string): Slip => ({ mm: slipped, what, weak: false });
  return [
    ...(unit === 'in' ? [] : [clear(toMm(value, 'in'), 'inches')]),
    ...(unit === 'cm' ? [] : [clear(toMm(value, 'cm'), 'centimetres')]),
    clear(mm * 10, 'ten times that'),
    clear(mm / 10, 'a tenth of that'),
    ...swapped(digits).map(({ value: other, across }) => ({
      mm: toMm(other + rest, unit),
      what: SWAPPED,
      weak: across,
    })),
  ];
}

interface Explained {
  readonly id: MeasurementId;
  readonly slip: Slip;
  readonly clears: readonly Breach[];
}

const touches = (breach: Breach, id: MeasurementId): boolean => breach.fields.includes(id);

/** The slip of one hand that clears the most disagreements and makes none. */
function likeliestSlip(
  m: Measured,
  breaches: readonly Breach[],
  unit: Unit,
  context: SetContext,
): Explained | undefined {
  let best: (Explained & { readonly rank: number }) | undefined;
  for (const id of new Set(breaches.flatMap((b) => b.fields))) {
    const mm = m[id];
    if (mm === undefined) continue;
    const clears = breaches.filter((b) => touches(b, id));
    // The one named first in a disagreement is likelier wrong; it wins where two slips clear as many.
    const leads = clears.some((b) => b.fields[0] === id);
    const rank = clears.length + (leads ? 0.5 : 0);
    if (best && best.rank >= rank) continue;
    const proven = (s: Slip): boolean => clears.length > 1 || (!s.weak && (leads || s.what !== SWAPPED));
    const slip = slipsOf(mm, unit).find(
      (s) => proven(s) && !findBreaches({ ...m, [id]: s.mm }, context).some((b) => touches(b, id)),
    );
    if (slip) best = { id, slip, clears, rank };
  }
  return best;
}

/**
 * What looks wrong in a set of measurements (docs/trade/measuring.md). Each doubt names the figures that
 * disagree, which is likelier wrong and what to measure again; a slip of the hand that explains it comes as a
 * correction. Warnings only: nothing here stops a draft. Sentences use `unit`.
 */
export function findDoubts(measured: Measured, unit: Unit, context: SetContext = {}): Doubt[] {
  const tape = tapeFor(unit);
  const show = (mm: number): string => formatLength(mm, tape);
  const said = (id: MeasurementId, mm: number): string => `${measurementLabel(id)} ${show(mm)}`;
  const doubts: Doubt[] = [];
  let left = findBreaches(measured, context);
  for (;;) {
    const found = likeliestSlip(measured, left, unit, context);
    if (!found) break;
    const { id, slip, clears } = found;
    const meant = show(slip.mm);
    const against = clears.map((b) => (b.fields[0] === id ? b.beside(show) : said(b.fields[0], b.mm).toLowerCase()));
    doubts.push({
      field: id,
      fields: [...new Set([id, ...clears.flatMap((b) => b.fields)])],
      sentence: `${said(id, measured[id] ?? NaN)} looks like ${meant} (${slip.what}): it does not go with ${[...new Set(against)].join(', nor with ')}. Change it, or measure again.`,
      correction: { mm: slip.mm, label: `Change to ${meant}` },
    });
    left = left.filter((b) => !touches(b, id));
  }
  for (const breach of left) {
    if (breach.slipOnly) continue;
    const [field] = breach.fields;
    const size = breach.mm < breach.low ? 'small' : 'large';
    const usual = breach.low > 0 ? `${show(breach.low)} to ${show(breach.high)}` : `at most ${show(breach.high)}`;
    doubts.push({
      field,
      fields: breach.fields,
      sentence: `${said(field, breach.mm)} is ${size} beside ${breach.beside(show)}: ${usual} is usual. ${breach.again}`,
    });
  }
  const alone = context.byOneself ? BETTER_BY_ANOTHER.filter((id) => measured[id] !== undefined) : [];
  const [field] = alone;
  if (field) {
    const names = alone.map((id, i) => (i === 0 ? measurementLabel(id) : measurementLabel(id).toLowerCase()));
    const last = names.pop() ?? '';
    doubts.push({
      field,
      fields: alone,
      sentence: `${names.length === 0 ? last : `${names.join(', ')} and ${last}`}: taken by oneself, and so in doubt, since one bends to read the tape. Have another person take ${alone.length === 1 ? 'it' : 'them'} again before good cloth is cut.`,
    });
  }
  return doubts;
}
