import type { Body, MeasurementId } from '../measure/index.js';
import type { Reader } from '../refusal/index.js';
import { KNIT_STRETCH, type Fit, type FitClassId } from './fit.js';
import type { Sheet } from './sheet.js';

/** What a maker should know of a method on a body, though it can be drafted. Lengths in mm, stretch as a share. */
export type MethodWarning =
  | {
      readonly code: 'outOfRange';
      readonly label: string;
      readonly value: number;
      readonly least: number;
      readonly most: number;
      readonly sheet: string;
    }
  | { readonly code: 'tooLittleStretch'; readonly stretch: number };

/** The figures of a body that lie outside what a sheet is meant for. */
export function rangeWarnings({ name: sheet, meantFor }: Sheet, body: Body): MethodWarning[] {
  const of = (id: MeasurementId): number => body.get(id)?.mm ?? NaN;
  const outside = (label: string, value: number, [least, most]: readonly [number, number]): MethodWarning[] =>
    value < least || value > most ? [{ code: 'outOfRange', label, value, least, most, sheet }] : [];
  return [
    ...outside('Hip', of('hip'), meantFor.hip),
    ...outside('Hip less waist', of('hip') - of('waist'), meantFor.drop),
    ...outside('Crotch depth', of('crotchDepth'), meantFor.crotchDepth),
  ];
}

/** A knit fit on a cloth that hardly stretches. */
export const knitWarnings = (id: FitClassId, { stretch }: Fit): MethodWarning[] =>
  id !== 'knit' || stretch >= KNIT_STRETCH ? [] : [{ code: 'tooLittleStretch', stretch }];

/** A warning as a sentence or two, in the reader's unit. */
export function warningSentence(warning: MethodWarning, reader: Reader): string {
  if (warning.code === 'tooLittleStretch') {
    return `A knit fit wants cloth that stretches ${KNIT_STRETCH * 100} % and more; this one is put down with ${Math.round(warning.stretch * 100)} %. Enter the stretch of the cloth, or choose another fit.`;
  }
  const { label, value, least, most, sheet } = warning;
  return `${label} ${reader.length(value)} lies outside what “${sheet}” is meant for (${reader.length(least)} to ${reader.length(most)}). Check the draft with care.`;
}
