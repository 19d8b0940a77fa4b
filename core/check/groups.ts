import type { CheckId } from './check.js';

/** The groups of the checks, in the order of the body and then of the work (docs/design.md). */
export const CHECK_GROUPS = [
  { id: 'waist', label: 'Waist' },
  { id: 'seat', label: 'Seat' },
  { id: 'rise', label: 'Rise' },
  { id: 'thigh', label: 'Thigh' },
  { id: 'leg', label: 'Leg' },
  { id: 'seams', label: 'Seams' },
  { id: 'lines', label: 'Lines' },
] as const;

/** The name of a group of checks. */
export type CheckGroupId = (typeof CHECK_GROUPS)[number]['id'];

const GROUP: Readonly<Record<Exclude<CheckId, `height.${number}`>, CheckGroupId>> = {
  waist: 'waist',
  highHip: 'waist',
  opening: 'waist',
  darts: 'waist',
  hip: 'seat',
  seatHeight: 'seat',
  fitClass: 'seat',
  pair: 'seat',
  frontRise: 'rise',
  backRise: 'rise',
  wholeRise: 'rise',
  riseCharacter: 'rise',
  riseShape: 'rise',
  thigh: 'thigh',
  thighLine: 'thigh',
  midThigh: 'thigh',
  knee: 'leg',
  calf: 'leg',
  hem: 'leg',
  inseamWalk: 'seams',
  inseamWalkBelow: 'seams',
  sideWalk: 'seams',
  legWalk: 'seams',
  waistRun: 'seams',
  crotchJoin: 'seams',
  frontRiseLine: 'lines',
  backRiseLine: 'lines',
  sideLine: 'lines',
  kneeLine: 'lines',
  waistLine: 'lines',
  outline: 'lines',
  crease: 'lines',
};

const isNamed = (id: CheckId): id is keyof typeof GROUP => Object.hasOwn(GROUP, id);

/** The group that a check stands in; girths taken at heights above the crotch are the seat's. */
export const groupOf = (id: CheckId): CheckGroupId => (isNamed(id) ? GROUP[id] : 'seat');
