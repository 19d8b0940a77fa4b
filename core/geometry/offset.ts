import { directionAt, isStraight, pointAt, shiftCubic, splitAt, type Cubic } from './cubic.js';
import { settledCubic } from './fit-cubic.js';
import type { Path } from './path.js';
import { along, quarterTurn, scale, type Point } from './point.js';

const SAMPLES = 12;

/** The point `by` mm to the right of travel at `t` (to the left where negative). */
const besideAt = (c: Cubic, t: number, by: number): Point => along(pointAt(c, t), quarterTurn(directionAt(c, t)), by);

function offsetCubic(c: Cubic, by: number, tolerance: number, depth: number): Path {
  if (isStraight(c)) return [shiftCubic(c, scale(quarterTurn(directionAt(c, 0.5)), by))];
  const at = Array.from({ length: SAMPLES }, (_, i) => (i + 1) / (SAMPLES + 1));
  const targets = at.map((t) => besideAt(c, t, by));
  const ends = {
    start: besideAt(c, 0, by),
    leaving: directionAt(c, 0),
    end: besideAt(c, 1, by),
    arriving: directionAt(c, 1),
  };
  const { curve, worst } = settledCubic(ends, at, targets, (x, chord) => x > chord * 0.007 && x < chord * 2);
  if (worst <= tolerance || depth === 0) return [curve];
  const [head, tail] = splitAt(c, 0.5);
  return [...offsetCubic(head, by, tolerance, depth - 1), ...offsetCubic(tail, by, tolerance, depth - 1)];
}

/**
 * The path `by` mm beside `path`: to the right of travel as seen with y down, to the left where negative.
 * Tangent-continuous least squares fit with adaptive splitting (Tiller and Hanson 1984), within `tolerance` mm.
 * Corners of the path stay open: the caller joins them (see the piece stage).
 */
export function offsetPath(path: Path, by: number, tolerance = 0.01): Path {
  return by === 0 ? path : path.flatMap((c) => offsetCubic(c, by, tolerance, 7));
}
