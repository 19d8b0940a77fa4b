import type { Measured, MeasurementId } from './vocabulary.js';

/** What is measured on a finished pair laid flat (docs/trade/measuring.md). */
export const PAIR_FIGURE_IDS = [
  'halfWaist',
  'halfHip',
  'frontThigh',
  'wholeThigh',
  'frontRise',
  'backRise',
  'band',
  'outseam',
  'inseam',
  'kneeAcross',
  'hemAcross',
] as const;

/** The name of a figure taken from a finished pair. */
export type PairFigureId = (typeof PAIR_FIGURE_IDS)[number];

/** How the figures of a finished pair were taken. */
export interface PairTaken {
  /** Widths between the seams, or between the pressed edges, which lie outside the stitching. */
  readonly across: 'seams' | 'edges';
  /** How far a pressed edge lies outside the seam, in mm; counts where `across` is `edges`. */
  readonly edge: number;
  /** Outseam and rises from the top edge of the band, or from the waist seam. */
  readonly from: 'top' | 'seam';
  /** Widths written down as they lie, to be doubled, or doubled already. */
  readonly widths: 'single' | 'doubled';
}

/** A finished pair: figures in mm as they were read, and how they were taken. */
export interface FinishedPair extends PairTaken {
  readonly figures: Readonly<Partial<Record<PairFigureId, number>>>;
}

/** A pair nothing has been measured on yet. */
export const EMPTY_PAIR: FinishedPair = { across: 'seams', edge: 2, from: 'top', widths: 'single', figures: {} };

/** What a figure of a pair is called and how it is taken. */
export interface PairFigureInfo {
  readonly label: string;
  readonly how: string;
}

/** The figures of a finished pair, in the order in which they are taken. */
export const PAIR_FIGURES: Readonly<Record<PairFigureId, PairFigureInfo>> = {
  halfWaist: { label: 'Waistband across', how: 'Closed and laid flat, along the band from end to end.' },
  halfHip: { label: 'Hip across', how: 'At the lower end of the fly, level, from side to side.' },
  frontThigh: {
    label: 'Front thigh across',
    how: 'One leg laid on its back, front piece up: along the crotch line from side seam to inseam.',
  },
  wholeThigh: { label: 'Thigh across', how: 'One leg laid flat: across at the crotch, front and back piece together.' },
  frontRise: { label: 'Front rise', how: 'Along the seam, from the crotch up to the centre front.' },
  backRise: { label: 'Back rise', how: 'Along the seam, from the crotch up to the centre back.' },
  band: { label: 'Band depth', how: 'From the top edge to the waist seam; nothing where there is no band.' },
  outseam: { label: 'Outseam', how: 'Down the side seam to the hem.' },
  inseam: { label: 'Inseam', how: 'From the crotch down to the hem.' },
  kneeAcross: { label: 'Knee across', how: 'Halfway down the inseam, from edge to edge of the leg.' },
  hemAcross: { label: 'Hem across', how: 'Along the hem from edge to edge of the leg.' },
};

/** A body-like figure that a finished pair gives, and how it comes about. */
export interface PairGives {
  readonly id: MeasurementId;
  readonly mm: number;
  /** The sum in the words of the trade, its numbers put in with `show`. */
  readonly sum: (show: (mm: number) => string) => string;
}

interface Width {
  readonly id: MeasurementId;
  readonly from: PairFigureId;
  /** A girth is doubled where it was taken as it lies; the front of one leg never is. */
  readonly girth: boolean;
}

const WIDTHS: readonly Width[] = [
  { id: 'waist', from: 'halfWaist', girth: true },
  { id: 'hip', from: 'halfHip', girth: true },
  { id: 'pairFrontThigh', from: 'frontThigh', girth: false },
  { id: 'pairThigh', from: 'wholeThigh', girth: true },
];

/** Pressed edges lie outside the stitching at the sides of a leg; a band and a hip have none to take off but these. */
function widthOf(pair: FinishedPair, { id, from, girth }: Width): PairGives | undefined {
  const read = pair.figures[from];
  if (read === undefined) return undefined;
  const times = girth && pair.widths === 'single' ? 2 : 1;
  const off = pair.across === 'edges' ? (girth ? 4 : 2) * pair.edge : 0;
  return {
    id,
    mm: times * read - off,
    sum: (show) =>
      [times === 2 ? `2 × ${show(read)}` : show(read), ...(off > 0 ? [`− ${show(off)} at the edges`] : [])].join(' '),
  };
}

/** Outseam and rises end at the waist seam: what was taken from the top edge has the band taken off. */
function lengthOf(pair: FinishedPair, id: 'outseam' | 'frontRise' | 'backRise'): PairGives | undefined {
  const read = pair.figures[id];
  if (read === undefined) return undefined;
  const band = pair.from === 'top' ? (pair.figures.band ?? 0) : 0;
  return {
    id,
    mm: read - band,
    sum: (show) => (band > 0 ? `${show(read)} − band ${show(band)}` : show(read)),
  };
}

/**
 * The body-like figures of a finished pair: girths doubled, pressed edges and the band taken off, the crotch depth
 * from outseam less inseam. They hold the pair's own ease; the body's thigh and knee are not among them, since a leg
 * does not tell how loose it is. Lengths in mm (docs/trade/measuring.md).
 */
export function pairGives(pair: FinishedPair): PairGives[] {
  const { inseam, frontRise, backRise } = pair.figures;
  const widths = WIDTHS.flatMap((w) => widthOf(pair, w) ?? []);
  const lengths = (['outseam', 'frontRise', 'backRise'] as const).flatMap((id) => lengthOf(pair, id) ?? []);
  const found: PairGives[] = [...widths, ...lengths];
  if (inseam !== undefined) found.push({ id: 'inseam', mm: inseam, sum: (show) => show(inseam) });
  const outseam = lengths.find((l) => l.id === 'outseam');
  if (outseam && inseam !== undefined) {
    found.push({
      id: 'crotchDepth',
      mm: outseam.mm - inseam,
      sum: (show) => `outseam ${show(outseam.mm)} − inseam ${show(inseam)}`,
    });
  }
  const [front, back] = [lengths.find((l) => l.id === 'frontRise'), lengths.find((l) => l.id === 'backRise')];
  if (front && back && frontRise !== undefined && backRise !== undefined) {
    found.push({
      id: 'crotchLength',
      mm: front.mm + back.mm,
      sum: (show) => `front rise ${show(front.mm)} + back rise ${show(back.mm)}`,
    });
  }
  return found;
}

/** The figures of a finished pair as a set of measurements, in mm. */
export const measuredOfPair = (pair: FinishedPair): Measured =>
  Object.fromEntries(pairGives(pair).map(({ id, mm }) => [id, mm]));

/** The finished girths of knee and hem of a pair, in mm; nothing where they were not taken. */
export function legOfPair(pair: FinishedPair): { readonly kneeGirth?: number; readonly hemGirth?: number } {
  const girth = (across: number): number =>
    (pair.widths === 'single' ? 2 : 1) * across - (pair.across === 'edges' ? 4 * pair.edge : 0);
  const { kneeAcross, hemAcross } = pair.figures;
  return {
    ...(kneeAcross === undefined ? {} : { kneeGirth: girth(kneeAcross) }),
    ...(hemAcross === undefined ? {} : { hemGirth: girth(hemAcross) }),
  };
}
