import type { Reader } from '../refusal/index.js';
import { exactFigure, formatLength, tapeFor } from './format.js';
import { fromMm, toMm, type Unit } from './length.js';

/** A length in mm moved to a whole step of the tape of a unit; exact steps stay where they are. */
function onTape(mm: number, unit: Unit, to: (steps: number) => number): number {
  const { step } = tapeFor(unit);
  return toMm(to(Number((fromMm(mm, unit) / step).toFixed(6))) * step, unit);
}

/** How lengths in sentences are read in a unit (`refusalSentence`). Limits that are said can be entered. */
export const readerIn = (unit: Unit): Reader => {
  const length = (mm: number): string => formatLength(mm, tapeFor(unit));
  return {
    length,
    exact: (mm) => `${exactFigure(mm, unit)} ${unit}`,
    least: (mm) => length(onTape(mm, unit, Math.ceil)),
    most: (mm) => length(onTape(mm, unit, Math.floor)),
  };
};
