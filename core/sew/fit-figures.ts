/** What a figure of a hanging garment is counted in. */
export type FitUnit = 'mm' | 'N' | 'percent' | 'kPa';

/** Whether a figure speaks of rise, seat and balance: those need measured rises. */
interface FitInfo {
  readonly unit: FitUnit;
  readonly ofRise: boolean;
  /**
   * How far it differs between meshes of three finenesses of one draft, at most in nine of ten (npm run bench:toile).
   * A smaller difference is not told.
   */
  readonly noise: number;
}

/** The figures of a garment as it hangs, in the order in which they are listed. */
export const FIT_FIGURES = {
  /** Stretch across, of the thigh in front and of the hip all round. */
  thighAcross: { unit: 'percent', ofRise: false, noise: 0.06 },
  hipAcross: { unit: 'percent', ofRise: false, noise: 0.05 },
  /** How hard the thigh is pressed. */
  thighPress: { unit: 'kPa', ofRise: false, noise: 0.03 },
  /** How far the waist stands off: behind, at the side, in front. */
  gapBehind: { unit: 'mm', ofRise: false, noise: 1.5 },
  gapSide: { unit: 'mm', ofRise: false, noise: 1.5 },
  gapFront: { unit: 'mm', ofRise: false, noise: 1.5 },
  /** How far the top edge lies above where it is to sit (+) or below it: in the middle behind and in front. */
  waistBehind: { unit: 'mm', ofRise: true, noise: 1.5 },
  waistFront: { unit: 'mm', ofRise: true, noise: 1.5 },
  /** What it takes to hold it there, of the whole garment. */
  holdBehind: { unit: 'N', ofRise: true, noise: 1 },
  holdFront: { unit: 'N', ofRise: true, noise: 1 },
  /** Stretch along over the seat. */
  seatAlong: { unit: 'percent', ofRise: true, noise: 0.05 },
  /** How far the cloth is pulled askew at the crotch, behind and in front. */
  dragBehind: { unit: 'percent', ofRise: true, noise: 4 },
  dragFront: { unit: 'percent', ofRise: true, noise: 1.3 },
  /** Where the inseams meet: in front of where they meet on the body (+) or behind, and below the body. */
  crotchForward: { unit: 'mm', ofRise: true, noise: 4 },
  crotchBelow: { unit: 'mm', ofRise: true, noise: 2.2 },
  /** How far the middle of the hem hangs in front of the middle of the leg (+) or behind it. */
  hemForward: { unit: 'mm', ofRise: true, noise: 8 },
} as const satisfies Readonly<Record<string, FitInfo>>;

/** The name of a figure of a garment as it hangs. */
export type FitFigureId = keyof typeof FIT_FIGURES;

/** All of them in order. */
export const FIT_FIGURE_IDS = Object.keys(FIT_FIGURES) as FitFigureId[];

/** The figures of a garment as it hangs: mm, N, percent and kPa as listed. */
export type FitFigures = Readonly<Record<FitFigureId, number>>;

/** A figure that differs between two garments on one body in one cloth. */
export interface FitDifference {
  readonly id: FitFigureId;
  readonly before: number;
  readonly after: number;
  /** How many times its noise it differs by. */
  readonly times: number;
}

/**
 * What differs between two garments on one body in one cloth, most telling first. What lies within the noise is left
 * away, and so is what speaks of the rise where the body's rises are not known.
 */
export function differ(before: FitFigures, after: FitFigures, risesKnown: boolean): FitDifference[] {
  return FIT_FIGURE_IDS.flatMap((id): FitDifference[] => {
    const info = FIT_FIGURES[id];
    if (info.ofRise && !risesKnown) return [];
    const times = Math.abs(after[id] - before[id]) / info.noise;
    return times > 1 ? [{ id, before: before[id], after: after[id], times }] : [];
  }).sort((a, b) => b.times - a.times);
}
