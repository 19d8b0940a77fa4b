import { MEASUREMENT_IDS, PAIR_IDS, REQUIRED_IDS, type MeasurementId } from './vocabulary.js';

/** The order in which a maker goes round the body: girths downward, then the lengths, then the seat. */
export const ROUND_THE_BODY: readonly MeasurementId[] = [
  'waist',
  'highHip',
  'hip',
  'hipDepth',
  'kneeDepth',
  'outseam',
  'thigh',
  'thighTakenAt',
  'midThigh',
  'knee',
  'calf',
  'ankle',
  'heel',
  'footLength',
  'inseam',
  'frontRise',
  'backRise',
  'crotchLength',
  'backWaistHeight',
  'frontWaistHeight',
  'apexSpan',
  'frontWaist',
  'frontHip',
  'crotchDepth',
  'seatHeight',
];

/** Everything that is taken from a body, as listed. */
export const BODY_IDS: readonly MeasurementId[] = MEASUREMENT_IDS.filter(
  (id) => !(PAIR_IDS as readonly string[]).includes(id),
);

/** How close a trouser is meant to be, as far as measuring is concerned. */
export type Closeness = 'knit' | 'close' | 'easy';

/** What sharpens a draft most, first things first, for each kind of fit (house order). */
const SHARPENING: Readonly<Record<Closeness, readonly MeasurementId[]>> = {
  easy: [
    'hipDepth',
    'backRise',
    'frontRise',
    'thigh',
    'thighTakenAt',
    'kneeDepth',
    'backWaistHeight',
    'frontWaistHeight',
    'crotchLength',
    'outseam',
    'heel',
  ],
  close: [
    'thigh',
    'thighTakenAt',
    'hipDepth',
    'backRise',
    'frontRise',
    'knee',
    'kneeDepth',
    'calf',
    'heel',
    'midThigh',
    'highHip',
  ],
  knit: [
    'thigh',
    'thighTakenAt',
    'midThigh',
    'knee',
    'calf',
    'ankle',
    'hipDepth',
    'kneeDepth',
    'backRise',
    'frontRise',
    'highHip',
  ],
};

/** Needed first: the four required, then what sharpens the draft most for the fit meant, then the rest. */
export function neededFirst(closeness: Closeness): MeasurementId[] {
  const first: MeasurementId[] = [...REQUIRED_IDS, ...SHARPENING[closeness]];
  return [...first, ...BODY_IDS.filter((id) => !first.includes(id))];
}
