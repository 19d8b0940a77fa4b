import type { MeasurementId } from '../measure/index.js';
import type { FitClassId } from '../method/index.js';
import type { RiseGaps } from '../trace/index.js';

/** Comparisons that are told by their name alone. */
export type PlainComparison =
  | 'pullOnWaist'
  | 'waist'
  | 'hip'
  | 'thigh'
  | 'hem'
  | 'hemStretched'
  | 'shortHem'
  | 'opening'
  | 'pair'
  | 'character'
  | 'thighLine'
  | 'highHip'
  | 'inseamWalk'
  | 'inseamWalkStated'
  | 'inseamWalkEqual'
  | 'inseamWalkBelow'
  | 'sideWalk'
  | 'legWalk'
  | 'waistRun'
  | 'crotchJoin'
  | 'darts'
  | 'outline'
  | 'riseLine'
  | 'sideLine'
  | 'kneeLine'
  | 'waistLine';

/** What a check compares with what. */
export type Comparison =
  | { readonly of: PlainComparison }
  /** The seam along a rise with a measurement of the body; `band` where the depth of a band counts in. */
  /**
   * `ease`: what of the crotch ease is wanted beside the body's figure, in mm; `body`: that figure, where there is one.
   */
  | {
      readonly of: 'rise';
      readonly with: MeasurementId;
      readonly band: boolean;
      readonly ease: number;
      readonly body: number | undefined;
    }
  /** The class that the draft has with the one meant. */
  | { readonly of: 'fitClass'; readonly meant: FitClassId }
  /** Both panels across where a girth of the body is taken. */
  | { readonly of: 'girth'; readonly with: MeasurementId }
  /** Both panels across where the thigh was taken below the crotch line, in mm. */
  | { readonly of: 'thighTaken'; readonly below: number }
  /**
   * How high centre back stands above the crotch line with the seat height of the body; with the crotch ease, and a
   * counted band.
   */
  | { readonly of: 'seatHeight'; readonly band: boolean; readonly ease: number }
  /** The finished girth at a height above the crotch line, in mm. */
  | { readonly of: 'height'; readonly above: number }
  /** The crease with the middle of the crotch width; whether it halves knee and hem. */
  | { readonly of: 'crease'; readonly halved: boolean }
  /** The joined rises with the trace of the body. */
  | { readonly of: 'riseShape'; readonly front: Pick<RiseGaps, 'worst'>; readonly back: Pick<RiseGaps, 'worst'> };
