import type { MeasurementId } from './vocabulary.js';

/** Depths and rises: what nobody takes well on themselves. */
export const BETTER_BY_ANOTHER: readonly MeasurementId[] = [
  'crotchDepth',
  'hipDepth',
  'kneeDepth',
  'outseam',
  'inseam',
  'seatHeight',
  'frontRise',
  'backRise',
  'crotchLength',
  'backWaistHeight',
  'frontWaistHeight',
];
