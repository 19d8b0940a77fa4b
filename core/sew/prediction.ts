import { FIT_FIGURES, type FitDifference, type FitFigureId } from './fit-figures.js';
import { sayDifference } from './words.js';

/** What the virtual toile told before a fitting, and whether the toile showed it. Figures as listed in FIT_FIGURES. */
export interface Prediction {
  readonly id: string;
  readonly figure: string;
  readonly before: number;
  readonly after: number;
  /** What it was held against, in words. */
  readonly against: string;
  readonly seen?: 'so' | 'otherwise' | undefined;
}

/** What predictions are counted by. */
export const PREDICTION_KINDS = ['thigh', 'hip', 'waist', 'rise', 'crotch', 'hem'] as const;
type PredictionKind = (typeof PREDICTION_KINDS)[number];

const KIND_OF: Readonly<Record<FitFigureId, PredictionKind>> = {
  thighAcross: 'thigh',
  thighPress: 'thigh',
  hipAcross: 'hip',
  gapBehind: 'waist',
  gapSide: 'waist',
  gapFront: 'waist',
  waistBehind: 'rise',
  waistFront: 'rise',
  holdBehind: 'rise',
  holdFront: 'rise',
  seatAlong: 'rise',
  dragBehind: 'crotch',
  dragFront: 'crotch',
  crotchForward: 'crotch',
  crotchBelow: 'crotch',
  hemForward: 'hem',
};

const isFigure = (figure: string): figure is FitFigureId => Object.hasOwn(FIT_FIGURES, figure);

/** What differs, as predictions to be looked at on the toile. */
export const predictionsFrom = (
  differences: readonly FitDifference[],
  against: string,
  newId: () => string,
): Prediction[] => differences.map(({ id, before, after }) => ({ id: newId(), figure: id, before, after, against }));

/** A prediction in a sentence; one of a figure that this program does not have by its name. */
export const predictionSaid = ({ figure, before, after }: Prediction, show: (mm: number) => string): string =>
  isFigure(figure) ? sayDifference({ id: figure, before, after }, FIT_FIGURES[figure].unit, show) : figure;

/** How often predictions of a kind were right, of those that were looked at. */
export interface PredictionScore {
  readonly kind: PredictionKind;
  readonly right: number;
  readonly of: number;
}

/** How often the virtual toile was right, by kind; kinds of which none was looked at are left away. */
export function scoreOf(predictions: readonly Pick<Prediction, 'figure' | 'seen'>[]): PredictionScore[] {
  return PREDICTION_KINDS.flatMap((kind): PredictionScore[] => {
    const looked = predictions.filter(
      ({ figure, seen }) => seen !== undefined && isFigure(figure) && KIND_OF[figure] === kind,
    );
    return looked.length > 0 ? [{ kind, right: looked.filter((p) => p.seen === 'so').length, of: looked.length }] : [];
  });
}
