import type { EdgeName } from '../draft/index.js';
import type { Levels, PanelName } from '../method/index.js';

/** How a figure stands to its band. */
export type Verdict = 'in' | 'near' | 'out' | 'unknown';

/** What a check is about, so that the board can show it. */
export interface About {
  readonly edges: readonly (readonly [PanelName, EdgeName])[];
  readonly level?: keyof Levels;
  /** A level that is no line of the frame, in mm below the waist line. */
  readonly at?: number;
}

/** The name of a check. */
export type CheckId =
  | 'waist'
  | 'hip'
  | 'thigh'
  | 'frontRise'
  | 'backRise'
  | 'wholeRise'
  | 'hem'
  | 'midThigh'
  | 'knee'
  | 'calf'
  | 'highHip'
  | 'inseamWalk'
  | 'inseamWalkBelow'
  | 'sideWalk'
  | 'waistRun'
  | 'crotchJoin'
  | 'frontRiseLine'
  | 'backRiseLine'
  | 'sideLine'
  | 'kneeLine'
  | 'waistLine'
  | 'thighLine'
  | 'pair'
  | 'darts'
  | 'outline'
  | 'fitClass'
  | 'opening'
  | 'riseCharacter'
  | 'riseShape'
  | 'crease'
  | `height.${number}`;

/** One of several measures that a check rests on; an open end is left out. */
export interface Measure {
  readonly id: string;
  /** The panel it is about; nothing where it is about both together. */
  readonly panel: PanelName | undefined;
  readonly value: number;
  readonly low: number | undefined;
  readonly high: number | undefined;
  readonly unit: 'mm' | 'deg' | 'share';
}

/** A draft held against the body or against itself. Lengths in mm, angles in degrees; an open end is infinite. */
export interface Check {
  readonly id: CheckId;
  readonly label: string;
  readonly against: 'body' | 'itself';
  readonly kind: 'length' | 'angle' | 'word';
  readonly value: number | string | undefined;
  readonly low: number | undefined;
  readonly high: number | undefined;
  readonly verdict: Verdict;
  /** What is compared with what, in one line. */
  readonly compares: string;
  /** Which measurement is missing, where the verdict is unknown. */
  readonly wants?: string;
  readonly restsOnEstimate: boolean;
  readonly about: About;
  /** What it rests on, where that is more than one figure. */
  readonly measures?: readonly Measure[];
}

/** A figure may lie this share of its band beyond the band, and at most this much, and still be near. */
const NEAR_SHARE = 0.25;
const NEAR_MOST = 10;
/** Lengths are drawn to a hundredth of a millimetre: a figure on the very edge of its band is in. */
const DRAWN_TO = 0.01;

/** The verdict of a figure against a band: in, near (out by no more than a quarter of the band), out; unknown without one. */
export function verdictOf(value: number, low: number, high: number): Verdict {
  if (!Number.isFinite(value)) return 'unknown';
  if (value >= low - DRAWN_TO && value <= high + DRAWN_TO) return 'in';
  const width = high - low;
  const margin = Number.isFinite(width) ? Math.min(NEAR_MOST, width * NEAR_SHARE) : NEAR_MOST;
  return value >= low - margin && value <= high + margin ? 'near' : 'out';
}

/** A check as it is shown: one whose figure the piece does not have, as where it ends above the level, says so and judges nothing. */
export function shown(check: Check): Check {
  if (typeof check.value !== 'number' || Number.isFinite(check.value)) return check;
  const compares = `${check.compares} The piece does not reach there, so there is no figure.`;
  return { ...check, value: undefined, low: undefined, high: undefined, verdict: 'unknown', compares };
}

/** The order in which checks are shown: worst first, otherwise as listed. */
export function worstFirst(checks: readonly Check[]): Check[] {
  const rank: Record<Verdict, number> = { out: 0, near: 1, in: 2, unknown: 3 };
  return [...checks].sort((a, b) => rank[a.verdict] - rank[b.verdict]);
}
