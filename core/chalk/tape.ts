import { formatFigure, toMm, type Tape, type Unit } from '../units/index.js';

/** A tape that is chalked by, with its smallest mark. */
export interface ChalkTape {
  readonly id: string;
  readonly label: string;
  readonly tape: Tape;
}

/** The tapes that are chalked by, the usual one of each unit first (docs/trade/chalk.md). */
export const CHALK_TAPES: readonly ChalkTape[] = [
  { id: '1/8', label: '1/8 in', tape: { unit: 'in', step: 1 / 8 } },
  { id: '1/4', label: '1/4 in', tape: { unit: 'in', step: 1 / 4 } },
  { id: '0.25', label: '0.25 cm', tape: { unit: 'cm', step: 0.25 } },
  { id: '0.5', label: '0.5 cm', tape: { unit: 'cm', step: 0.5 } },
];

/** The tapes of a maker's unit; makers in millimetres chalk by a tape of centimetres. */
export const chalkTapesFor = (unit: Unit): readonly ChalkTape[] =>
  CHALK_TAPES.filter(({ tape }) => tape.unit === (unit === 'in' ? 'in' : 'cm'));

/** A tape by its name among those of a unit; the usual one where it has none of that name. Nothing for no tape at all. */
export const chalkTape = (unit: Unit, id?: string): ChalkTape | undefined =>
  id === undefined ? chalkTapesFor(unit)[0] : chalkTapesFor(unit).find((t) => t.id === id);

/** The smallest mark of a tape, in mm. */
export const stepOf = ({ unit, step }: Tape): number => toMm(step, unit);

/** A figure off the marks by less than this share of a step lies on them. */
const ON_MARK = 1e-6;

/** True for a length that lies midway between two marks of a tape. */
export function isHalfStep(mm: number, tape: Tape): boolean {
  const steps = Math.abs(mm) / stepOf(tape);
  return Math.abs(steps - Math.floor(steps) - 0.5) < ON_MARK;
}

/** A chalked length as it is read on the tape, half a step said in words: `10 3/8 and half a step`. */
export function chalkFigure(mm: number, tape: Tape): string {
  if (!isHalfStep(mm, tape)) return formatFigure(mm, tape);
  const step = stepOf(tape);
  const below = Math.sign(mm) * Math.floor(Math.abs(mm) / step) * step;
  const figure = formatFigure(below, tape);
  return below === 0 ? `${mm < 0 ? '-' : ''}half a step` : `${figure} and half a step`;
}
