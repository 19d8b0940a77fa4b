import type { Point } from '../core/geometry/index.js';
import { stepOf, type ChalkMove, type ChalkSheet } from '../core/chalk/index.js';

type Pair = readonly [number, number];

const pair = ({ x, y }: Point): Pair => [x, y];

const moveAnswer = ({ from, to, through, ...rest }: ChalkMove): object => ({
  ...rest,
  from: pair(from),
  to: pair(to),
  through: through.map(pair),
});

/**
 * A chalk sheet as the command gives it; lengths in mm, points in panel coordinates, the back's in the laid front's where
 * it is chalked on it.
 */
export const chalkAnswer = ({ tape, line, back, cloth, before, moves, parts, rounding }: ChalkSheet): object => ({
  unit: 'mm',
  step: stepOf(tape.tape),
  tape: tape.label,
  line,
  back,
  cloth,
  before,
  // How far the back was moved across to lie on the front, where it is chalked on it.
  laid: Object.fromEntries(parts.flatMap(({ laid: { part, shift } }) => (shift === 0 ? [] : [[part.id, shift]]))),
  moves: moves.map(moveAnswer),
  rounding: rounding.length === 1 ? rounding[0] : { legs: rounding },
});
