import { formatLength, tapeFor, toMm, type Unit } from '../units/index.js';
import { measurementLabel, MEASUREMENTS, REQUIRED_IDS, type Measured, type MeasurementId } from './vocabulary.js';

/** A doubt about a figure: which, why in a sentence, and the figure it probably was, in mm. */
export interface Doubt {
  readonly field: MeasurementId;
  readonly sentence: string;
  readonly correction?: { readonly mm: number; readonly label: string };
}

/** The span, in mm, within which a required figure is likely given the others (house rule, wide on purpose). */
function likelySpan(id: (typeof REQUIRED_IDS)[number], m: Measured): readonly [number, number] | undefined {
  const { waist, hip, crotchDepth } = m;
  switch (id) {
    case 'waist':
      return hip === undefined ? [450, 1700] : [0.55 * hip, hip + 50];
    case 'hip':
      return waist === undefined ? [550, 1700] : [Math.max(500, waist - 50), Math.max(650, 1.75 * waist)];
    case 'crotchDepth': {
      if (hip === undefined) return [150, 400];
      const guess = Math.min(hip / 4 + 25, 185 + 0.09 * hip);
      return [guess - 50, guess + 50];
    }
    case 'inseam':
      return crotchDepth === undefined ? [300, 1000] : [1.6 * crotchDepth, 4 * crotchDepth];
  }
}

/** Figures that come from `mm` by one slip of the hand: the other unit, a decimal lost, two digits swapped. */
function slips(mm: number, unit: Unit): { mm: number; what: string }[] {
  const value = mm / toMm(1, unit);
  const found: { mm: number; what: string }[] = [];
  if (unit !== 'in') found.push({ mm: toMm(value, 'in'), what: 'inches' });
  if (unit !== 'cm') found.push({ mm: toMm(value, 'cm'), what: 'centimetres' });
  found.push({ mm: mm * 10, what: 'ten times that' }, { mm: mm / 10, what: 'a tenth of that' });
  const digits = String(Math.round(value));
  for (let i = 0; i + 1 < digits.length; i++) {
    const swapped = digits.slice(0, i) + (digits[i + 1] ?? '') + (digits[i] ?? '') + digits.slice(i + 2);
    if (swapped !== digits && !swapped.startsWith('0')) {
      found.push({ mm: toMm(Number(swapped), unit), what: 'two digits swapped' });
    }
  }
  return found;
}

function doubtOf(id: (typeof REQUIRED_IDS)[number], m: Measured, unit: Unit): Doubt | undefined {
  const mm = m[id];
  const span = likelySpan(id, m);
  if (mm === undefined || !span || (mm >= span[0] && mm <= span[1])) return undefined;
  const tape = tapeFor(unit);
  const label = measurementLabel(id);
  const said = `${label} ${formatLength(mm, tape)}`;
  const slip = slips(mm, unit).find((s) => s.mm >= span[0] && s.mm <= span[1]);
  if (slip) {
    const meant = formatLength(slip.mm, tape);
    return {
      field: id,
      sentence: `${said} looks like ${meant} (${slip.what}). Change it, or measure again.`,
      correction: { mm: slip.mm, label: `Change to ${meant}` },
    };
  }
  const against =
    id === 'waist' || id === 'crotchDepth'
      ? `hip ${formatLength(m.hip ?? 0, tape)}`
      : id === 'hip'
        ? `waist ${formatLength(m.waist ?? 0, tape)}`
        : `crotch depth ${formatLength(m.crotchDepth ?? 0, tape)}`;
  const way = mm < span[0] ? 'small' : 'large';
  return {
    field: id,
    sentence: `${said} is ${way} beside ${against}: ${formatLength(span[0], tape)} to ${formatLength(span[1], tape)} is usual. Measure both again.`,
  };
}

/** The waist is doubted against the hip and the hip against the waist; where both speak, the outlier of the pair stays. */
function withoutEcho(doubts: readonly Doubt[], m: Measured): Doubt[] {
  const waist = doubts.find((d) => d.field === 'waist');
  const hip = doubts.find((d) => d.field === 'hip');
  if (!waist || !hip) return [...doubts];
  const depthFits = (mm: number): boolean => {
    const span = likelySpan('crotchDepth', { ...m, hip: mm });
    const depth = m.crotchDepth;
    return !span || depth === undefined || (depth >= span[0] - 20 && depth <= span[1] + 20);
  };
  const drop = m.hip !== undefined && depthFits(m.hip) ? hip : waist;
  return doubts.filter((d) => d !== drop && !(drop === waist && d.field === 'crotchDepth'));
}

/**
 * What looks wrong among the required four and the girths and depths beside them (handbook 2, section 2,
 * plausibility). Warnings only: nothing here stops a draft. Sentences use `unit`.
 */
export function findDoubts(m: Measured, unit: Unit): Doubt[] {
  const tape = tapeFor(unit);
  const show = (mm: number): string => formatLength(mm, tape);
  const doubts: Doubt[] = withoutEcho(
    REQUIRED_IDS.flatMap((id) => doubtOf(id, m, unit) ?? []),
    m,
  );
  const pair = (field: MeasurementId, wrong: boolean, sentence: () => string): void => {
    if (wrong) doubts.push({ field, sentence: sentence() });
  };
  const { hip, crotchDepth, inseam, outseam, hipDepth, thigh, knee, calf, ankle } = m;
  if (outseam !== undefined && crotchDepth !== undefined && inseam !== undefined) {
    const over = outseam - crotchDepth - inseam;
    pair('outseam', over < -10 || over > 30, () => {
      const sum = show(crotchDepth + inseam);
      return `Outseam ${show(outseam)} does not agree with crotch depth + inseam, ${sum}. Measure the crotch depth again.`;
    });
  }
  if (hipDepth !== undefined && crotchDepth !== undefined) {
    pair('hipDepth', hipDepth < 0.55 * crotchDepth || hipDepth > 0.95 * crotchDepth, () => {
      return `Hip depth ${show(hipDepth)} is unusual beside crotch depth ${show(crotchDepth)}. Measure the hip depth again.`;
    });
  }
  if (thigh !== undefined && hip !== undefined) {
    pair('thigh', thigh < 0.48 * hip || thigh > 0.7 * hip, () => {
      return `Thigh ${show(thigh)} is unusual beside hip ${show(hip)}. Measure the thigh again, at the top of one leg.`;
    });
  }
  if (knee !== undefined && thigh !== undefined) {
    pair('knee', knee > thigh, () => `Knee ${show(knee)} is over thigh ${show(thigh)}. Measure both again.`);
  }
  if (ankle !== undefined && calf !== undefined) {
    pair('ankle', ankle > calf, () => `Ankle ${show(ankle)} is over calf ${show(calf)}. Measure both again.`);
  }
  return doubts;
}

/** Why a figure cannot be a measurement at all, as a sentence; nothing where it can. `unit` is that of the sentence. */
export function refuseMeasurement(id: MeasurementId, mm: number, unit: Unit): string | undefined {
  const known = MEASUREMENTS.get(id);
  if (!known) return undefined;
  const tape = tapeFor(unit);
  if (!Number.isFinite(mm) || mm < known.least || mm > known.most) {
    const figure = Number.isFinite(mm) ? formatLength(mm, tape) : 'without a figure';
    return `${known.label} ${figure} cannot be drafted. Enter ${formatLength(known.least, tape)} to ${formatLength(known.most, tape)}, or check the unit.`;
  }
  return undefined;
}
