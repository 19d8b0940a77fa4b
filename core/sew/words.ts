import type { AssumedId } from '../body/index.js';
import type { FitDifference, FitFigureId, FitUnit } from './fit-figures.js';
import type { FitMapId } from './hung.js';

/** How a length in mm is shown to the reader. */
type Show = (mm: number) => string;

/** What the figures of a garment as it hangs are called. */
export const FIT_LABELS: Readonly<Record<FitFigureId, string>> = {
  thighAcross: 'Front thigh, stretch across',
  hipAcross: 'Hip, stretch across',
  thighPress: 'Thigh, pressure',
  gapBehind: 'Waist off the body, behind',
  gapSide: 'Waist off the body, side',
  gapFront: 'Waist off the body, front',
  waistBehind: 'Centre back waist, height',
  waistFront: 'Centre front waist, height',
  holdBehind: 'What holds the waist behind',
  holdFront: 'What holds the waist in front',
  seatAlong: 'Seat, stretch along',
  dragBehind: 'Back crotch, drag',
  dragFront: 'Front crotch, drag',
  crotchForward: 'Crotch point, forward',
  crotchBelow: 'Crotch, below the body',
  hemForward: 'Hem, forward',
};

/** What the maps are called. */
export const FIT_MAP_LABELS: Readonly<Record<FitMapId, string>> = {
  across: 'Stretch across',
  along: 'Stretch along',
  drag: 'Drag, off the grain',
  gap: 'Off the body',
  pressure: 'Pressure',
};

/** What is assumed of a body, as it is called. */
export const ASSUMED_LABELS: Readonly<Record<AssumedId, string>> = {
  waistDeep: 'Waist, depth to width',
  hipDeep: 'Hip, depth to width',
  seatShare: 'Share of the depth behind',
  under: 'Squareness under the crotch',
  hollow: 'Hollow of the seat, share of the hip',
  frontTilt: 'Front waist, above the side',
  backTilt: 'Back waist, above the side',
};

/** A figure with its unit; lengths as the reader has them. */
export function fitFigureSaid(value: number, unit: FitUnit, show: Show): string {
  const sign = value < 0 ? '−' : '';
  const size = Math.abs(value);
  switch (unit) {
    case 'mm':
      return sign + show(size);
    case 'N':
      return `${sign}${size.toFixed(1)} N`;
    case 'kPa':
      return `${sign}${size.toFixed(2)} kPa`;
    case 'percent':
      return `${sign}${size.toFixed(size < 1 ? 2 : size < 10 ? 1 : 0)} %`;
  }
}

type Sentence = (now: string, was: string, more: boolean, by: string) => string;

const higher: (where: string) => Sentence = (where) => (_, __, more, by) =>
  `${where} lies ${by} ${more ? 'higher' : 'lower'} than before.`;

const off: (where: string) => Sentence = (where) => (now, was) =>
  `The waist stands off ${where} by ${now}, ${was} before.`;

const SENTENCES: Readonly<Record<FitFigureId, Sentence>> = {
  thighAcross: (now, was, more) =>
    `The front thigh is stretched across by ${now}, ${was} before: it is ${more ? 'tighter' : 'easier'}.`,
  hipAcross: (now, was, more) =>
    `The hip is stretched across by ${now}, ${was} before: it is ${more ? 'tighter' : 'easier'}.`,
  thighPress: (now, was) => `The thigh is pressed with ${now}, ${was} before.`,
  gapBehind: off('behind'),
  gapSide: off('at the side'),
  gapFront: off('in front'),
  waistBehind: higher('Centre back waist'),
  waistFront: higher('Centre front waist'),
  holdBehind: (now, was, more) =>
    `The waist behind must be held up with ${now}, ${was} before${more ? ': it drops when one moves' : ''}.`,
  holdFront: (now, was, more) =>
    `The waist in front must be held up with ${now}, ${was} before${more ? ': it drops when one moves' : ''}.`,
  seatAlong: (now, was, more) =>
    `Over the seat the cloth is stretched along by ${now}, ${was} before: ${more ? 'it is short there' : 'it has more length there'}.`,
  dragBehind: (now, was, more) =>
    `At the back crotch the cloth is ${more ? 'dragged further off' : 'dragged less off'} the grain: ${now}, ${was} before.`,
  dragFront: (now, was, more) =>
    `At the front crotch the cloth is ${more ? 'dragged further off' : 'dragged less off'} the grain: ${now}, ${was} before.`,
  crotchForward: (_, __, more, by) => `The crotch point is pulled ${more ? 'forward' : 'back'} by ${by}.`,
  crotchBelow: (_, __, more, by) => `The crotch hangs ${by} ${more ? 'lower' : 'higher'}.`,
  hemForward: (_, __, more, by) => `The hem hangs ${by} further ${more ? 'forward' : 'back'}.`,
};

/** A difference between two garments as they hang, in a sentence (docs/trade/virtual-toile.md). */
export function sayDifference(
  { id, before, after }: Pick<FitDifference, 'id' | 'before' | 'after'>,
  unit: FitUnit,
  show: Show,
): string {
  const said = (value: number): string => fitFigureSaid(value, unit, show);
  return SENTENCES[id](said(after), said(before), after > before, said(Math.abs(after - before)));
}
