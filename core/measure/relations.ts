import { measurementLabel, type Measured, type InseamTo, type MeasurementId, type WaistSits } from './vocabulary.js';

/** What is known of a set beside its figures. */
export interface SetContext {
  readonly sits?: WaistSits;
  /** Where the inseam was taken to; to the floor where nothing is said. */
  readonly inseamTo?: InseamTo;
  /** True where the person took the figures themselves. */
  readonly byOneself?: boolean;
  /** The person's set before this one. */
  readonly before?: { readonly date: string; readonly values: Measured };
}

/** Two figures, or a figure and what is usual, that do not go together. Lengths in mm. */
export interface Breach {
  /** Every measurement that takes part, the likelier wrong first. */
  readonly fields: readonly [MeasurementId, ...MeasurementId[]];
  readonly mm: number;
  /** What the figure is held against, with its own figure. */
  readonly beside: (show: (mm: number) => string) => string;
  readonly low: number;
  readonly high: number;
  /** What to measure again, and how. */
  readonly again: string;
}

type Span = readonly [low: number, high: number];

interface Relation {
  readonly field: MeasurementId;
  readonly beside: readonly MeasurementId[];
  readonly span: (m: (id: MeasurementId) => number, context: SetContext) => Span;
  readonly again: string;
  /** True where the relation speaks only if a slip of the hand explains the figure (house rule, wide on purpose). */
  readonly slipOnly?: boolean;
}

/** The crotch depth that is usual for a hip, in mm. */
const usualDepth = (hip: number): number => Math.min(hip / 4 + 25, 185 + 0.09 * hip);

const share = (
  field: MeasurementId,
  of: MeasurementId,
  low: number,
  high: number,
  again: string,
  slipOnly = false,
): Relation => ({ field, beside: [of], span: (m) => [low * m(of), high * m(of)], again, slipOnly });

/** The plausibility rules of docs/trade/measuring.md, and the house's wide spans for figures that it leaves open. */
const RELATIONS: readonly Relation[] = [
  {
    field: 'waist',
    beside: ['hip'],
    span: (m) => [0.55 * m('hip'), m('hip') + 50],
    again: 'The waist is likelier wrong. Measure waist and hip again, tape level.',
  },
  {
    field: 'crotchDepth',
    beside: ['hip'],
    span: (m, { sits }) => {
      const usual = usualDepth(m('hip'));
      return [usual - 50, usual + (sits === 'high' ? 80 : 50)];
    },
    again:
      'The crotch depth is likelier wrong. Measure it again on a hard flat seat, from the waist line of the girth.',
  },
  {
    field: 'inseam',
    beside: ['crotchDepth'],
    span: (m) => [1.6 * m('crotchDepth'), 4 * m('crotchDepth')],
    again: 'The inseam is likelier wrong. Measure it again, from the crotch to the floor.',
  },
  share(
    'hipDepth',
    'crotchDepth',
    0.55,
    0.95,
    'The hip depth is likelier wrong. Measure it again, to where the hip girth lies.',
  ),
  {
    field: 'thigh',
    beside: ['hip'],
    // A thigh that was taken lower is thinner there.
    span: (m) =>
      (m('thighTakenAt') || 0) > 0 ? [0.42 * m('hip'), 0.68 * m('hip')] : [0.48 * m('hip'), 0.7 * m('hip')],
    again: 'The thigh is likelier wrong. Measure it again, at the top of one leg.',
  },
  share(
    'frontHip',
    'hip',
    0.4,
    0.6,
    'The front hip is likelier wrong. Measure it again from side to side, the side seams marked by a string.',
  ),
  share(
    'frontWaist',
    'waist',
    0.4,
    0.64,
    'The front waist is likelier wrong. Measure it again from side to side, the side seams marked by a string.',
  ),
  share(
    'seatHeight',
    'crotchDepth',
    0.85,
    1.3,
    'The seat height is likelier wrong. Measure it again at centre back, on the same hard seat as the crotch depth.',
  ),
  {
    field: 'knee',
    beside: ['thigh'],
    span: (m) => [0, m('thigh')],
    again: 'The knee is likelier wrong. Measure it again with the leg straight.',
  },
  {
    field: 'ankle',
    beside: ['calf'],
    span: (m) => [0, m('calf')],
    again: 'The ankle is likelier wrong. Measure it again over the ankle bones.',
  },
  {
    field: 'crotchLength',
    beside: ['crotchDepth', 'hip'],
    span: (m) => [2 * m('crotchDepth') + 0.06 * m('hip'), 2 * m('crotchDepth') + 0.26 * m('hip')],
    again: 'The crotch length is likelier wrong. Measure it again without pulling the tape.',
  },
  share(
    'frontRise',
    'crotchLength',
    0.36,
    0.5,
    'The front rise is likelier wrong. Set the pin at the inseam again and measure both parts.',
  ),
  {
    field: 'kneeDepth',
    beside: ['crotchDepth', 'inseam'],
    span: (m) => [m('crotchDepth') + 0.3 * m('inseam'), m('crotchDepth') + 0.65 * m('inseam')],
    again: 'The knee depth is likelier wrong. Measure it again, from the waist line to the middle of the knee.',
  },
  share('highHip', 'hip', 0.6, 1.15, 'Measure the high hip again.', true),
  share('midThigh', 'hip', 0.34, 0.68, 'Measure the mid-thigh again.', true),
  share('knee', 'hip', 0.26, 0.58, 'Measure the knee again.', true),
  share('calf', 'hip', 0.24, 0.58, 'Measure the calf again.', true),
  share('ankle', 'hip', 0.13, 0.38, 'Measure the ankle again.', true),
  share('heel', 'hip', 0.18, 0.55, 'Measure the heel again.', true),
  share('footLength', 'hip', 0.14, 0.4, 'Measure the foot again.', true),
  share('backRise', 'hip', 0.24, 0.6, 'Measure the back rise again.', true),
  share('frontRise', 'hip', 0.18, 0.5, 'Measure the front rise again.', true),
  share('apexSpan', 'hip', 0.08, 0.4, 'Measure the apex span again.', true),
];

/** What a required figure can be where there is nothing to hold it against (house spans). */
const ALONE: readonly (readonly [MeasurementId, MeasurementId, Span])[] = [
  ['waist', 'hip', [450, 1700]],
  ['hip', 'waist', [550, 1700]],
  ['crotchDepth', 'hip', [150, 400]],
  ['inseam', 'crotchDepth', [300, 1000]],
];

/** How far a figure may move from one set of a person to the next before it is doubted. */
const CHANGE = 0.08;
/** Figures that are wanted or small, and move as they will. */
const FREE: readonly MeasurementId[] = [
  'thighTakenAt',
  'backWaistHeight',
  'frontWaistHeight',
  'apexSpan',
  'pairBand',
  'pairFrontThigh',
  'pairThigh',
];

/**
 * How much longer, in mm, an outseam to the floor may be than depth and inseam, by where the inseam ends (ankle: house
 * span).
 */
const OVER_FLOOR: Span = [-10, 30];
const OVER_ANKLE: Span = [30, 140];

const within = (mm: number, [low, high]: Span): boolean => mm >= low && mm <= high;

/** Every pair of figures in a set that do not go together (docs/trade/measuring.md). */
export function findBreaches(m: Measured, context: SetContext): (Breach & { readonly slipOnly: boolean })[] {
  const found: (Breach & { slipOnly: boolean })[] = [];
  const of = (id: MeasurementId): number => m[id] ?? NaN;
  const named = (ids: readonly MeasurementId[]) => (show: (mm: number) => string) =>
    ids.map((id) => `${measurementLabel(id).toLowerCase()} ${show(of(id))}`).join(' and ');
  for (const { field, beside, span, again, slipOnly = false } of RELATIONS) {
    const mm = m[field];
    if (mm === undefined || beside.some((id) => m[id] === undefined)) continue;
    const [low, high] = span(of, context);
    if (within(mm, [low, high])) continue;
    found.push({ fields: [field, ...beside], mm, beside: named(beside), low, high, again, slipOnly });
  }
  const { crotchDepth, inseam, outseam, frontRise, backRise, crotchLength } = m;
  if (outseam !== undefined && crotchDepth !== undefined && inseam !== undefined) {
    const [less, more] = context.inseamTo === 'ankle' ? OVER_ANKLE : OVER_FLOOR;
    const sum = crotchDepth + inseam;
    if (!within(outseam - sum, [less, more])) {
      const soft = outseam > sum;
      found.push({
        fields: soft ? ['crotchDepth', 'outseam', 'inseam'] : ['outseam', 'crotchDepth', 'inseam'],
        mm: soft ? crotchDepth : outseam,
        beside: (show) =>
          soft
            ? `outseam ${show(outseam)} less inseam ${show(inseam)}`
            : `crotch depth and inseam together, ${show(sum)}`,
        low: soft ? outseam - inseam - more : sum + less,
        high: soft ? outseam - inseam - less : sum + more,
        again: soft
          ? 'The crotch depth is likelier wrong, as from a soft seat. Measure it again on a hard one.'
          : 'The outseam is likelier wrong. Measure it again, over the hip to the floor.',
        slipOnly: false,
      });
    }
  }
  if (frontRise !== undefined && backRise !== undefined && crotchLength !== undefined) {
    const sum = frontRise + backRise;
    if (!within(crotchLength - sum, [-10, 10])) {
      found.push({
        fields: ['crotchLength', 'frontRise', 'backRise'],
        mm: crotchLength,
        beside: (show) => `front rise and back rise together, ${show(sum)}`,
        low: sum - 10,
        high: sum + 10,
        again: 'The two parts are likelier right. Measure the whole again, the tape lying on without pulling.',
        slipOnly: false,
      });
    }
  }
  for (const [field, other, span] of ALONE) {
    const mm = m[field];
    if (mm === undefined || m[other] !== undefined || within(mm, span)) continue;
    found.push({
      fields: [field],
      mm,
      beside: () => 'what any figure has',
      low: span[0],
      high: span[1],
      again: `Measure the ${measurementLabel(field).toLowerCase()} again.`,
      slipOnly: false,
    });
  }
  const { before } = context;
  if (before) {
    for (const [id, mm] of Object.entries(m) as [MeasurementId, number | undefined][]) {
      const last = before.values[id];
      if (mm === undefined || last === undefined || FREE.includes(id)) continue;
      const [low, high] = [last * (1 - CHANGE), last * (1 + CHANGE)];
      if (within(mm, [low, high])) continue;
      const per = Math.round(Math.abs(mm / last - 1) * 100);
      found.push({
        fields: [id],
        mm,
        beside: (show) => `${show(last)} of ${before.date} (${mm > last ? '+' : '−'}${per} %)`,
        low,
        high,
        again: `The newer figure is likelier wrong. Measure the ${measurementLabel(id).toLowerCase()} again.`,
        slipOnly: false,
      });
    }
  }
  return found;
}
