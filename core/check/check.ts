import type { EdgeName } from '../draft/index.js';
import type { MeasurementId } from '../measure/index.js';
import type { Levels, PanelName } from '../method/index.js';
import type { Comparison } from './comparison.js';
import type { Finding } from './finding.js';
import type { Measure } from './measure.js';

/** How a figure stands to its band. */
export type Verdict = 'in' | 'near' | 'out' | 'unknown';

/** What a check is about, so that the board can show it. */
export interface About {
  readonly edges: readonly (readonly [PanelName, EdgeName])[];
  readonly level?: keyof Levels;
  /** A level that is no line of the frame, in mm below the waist line. */
  readonly at?: number;
}

/** The checks that every draft may have. */
export const CHECK_IDS = [
  'waist',
  'hip',
  'thigh',
  'frontRise',
  'backRise',
  'wholeRise',
  'seatHeight',
  'hem',
  'midThigh',
  'knee',
  'calf',
  'highHip',
  'inseamWalk',
  'inseamWalkBelow',
  'sideWalk',
  'legWalk',
  'waistRun',
  'crotchJoin',
  'frontRiseLine',
  'backRiseLine',
  'sideLine',
  'kneeLine',
  'waistLine',
  'thighLine',
  'pair',
  'darts',
  'outline',
  'fitClass',
  'opening',
  'riseCharacter',
  'riseShape',
  'crease',
] as const;

/** The name of a check; one at a height above the crotch is named by its whole millimetres. */
export type CheckId = (typeof CHECK_IDS)[number] | `height.${number}`;

/** A draft held against the body or against itself. Lengths in mm, angles in degrees; an open end is infinite. */
export interface Check {
  readonly id: CheckId;
  readonly against: 'body' | 'itself';
  readonly kind: 'length' | 'angle' | 'word';
  /** The figure, or what was found where that is said in words; nothing where the piece has none. */
  readonly value: number | Finding | undefined;
  readonly low: number | undefined;
  readonly high: number | undefined;
  readonly verdict: Verdict;
  /** What is compared with what. */
  readonly compares: Comparison;
  /** True where the piece does not reach where it is to be measured. */
  readonly notReached?: true;
  /** Which measurement is missing, where the verdict is unknown. */
  readonly wants?: MeasurementId;
  readonly restsOnEstimate: boolean;
  readonly about: About;
  /** What it rests on, where that is more than one figure. */
  readonly measures?: readonly Measure[];
}

/** A figure with its band, for a check to be made of. */
export type Judged = Pick<Check, 'id' | 'against' | 'compares' | 'about'> & {
  readonly kind?: 'length' | 'angle';
  readonly value: number;
  readonly low: number;
  readonly high: number;
  readonly restsOnEstimate?: boolean;
};

/** A figure may lie this share of its band beyond the band, and at most this much, and still be near. */
const NEAR_SHARE = 0.25;
const NEAR_MOST = 10;
/** Lengths are drawn to a hundredth of a millimetre: a figure on the very edge of its band is in. */
const DRAWN_TO = 0.01;

/**
 * The verdict of a figure against a band: in, near (out by no more than a quarter of the band), out; unknown without
 * one.
 */
export function verdictOf(value: number, low: number, high: number): Verdict {
  if (!Number.isFinite(value)) return 'unknown';
  if (value >= low - DRAWN_TO && value <= high + DRAWN_TO) return 'in';
  const width = high - low;
  const margin = Number.isFinite(width) ? Math.min(NEAR_MOST, width * NEAR_SHARE) : NEAR_MOST;
  return value >= low - margin && value <= high + margin ? 'near' : 'out';
}

/** The check of a figure against its band. */
export const judged = (j: Judged): Check => ({
  kind: 'length',
  restsOnEstimate: false,
  ...j,
  verdict: verdictOf(j.value, j.low, j.high),
});

/** The check of a figure that nothing can be held against until a measurement is there. */
export const unjudged = (j: Omit<Judged, 'low' | 'high' | 'restsOnEstimate'>, wants: MeasurementId): Check => ({
  kind: 'length',
  ...j,
  low: undefined,
  high: undefined,
  verdict: 'unknown',
  wants,
  restsOnEstimate: false,
});

/**
 * A check as it is shown: one whose figure the piece does not have, as where it ends above the level, says so and
 * judges nothing.
 */
export function shown(check: Check): Check {
  if (typeof check.value !== 'number' || Number.isFinite(check.value)) return check;
  return { ...check, value: undefined, low: undefined, high: undefined, verdict: 'unknown', notReached: true };
}

/** The order in which checks are shown: worst first, otherwise as listed. */
export function worstFirst(checks: readonly Check[]): Check[] {
  const rank: Record<Verdict, number> = { out: 0, near: 1, in: 2, unknown: 3 };
  return [...checks].sort((a, b) => rank[a.verdict] - rank[b.verdict]);
}

/** The worse a verdict, the higher; what is not known is no worse than what is in band. */
const WORSE: Readonly<Record<Verdict, number>> = { in: 0, unknown: 0, near: 1, out: 2 };

/** Checks that stand worse than before, as they are after; one that was not there before is no worse. */
export const worseThan = (before: readonly Check[], after: readonly Check[]): Check[] =>
  after.filter((c) => WORSE[c.verdict] > WORSE[before.find((b) => b.id === c.id)?.verdict ?? c.verdict]);
