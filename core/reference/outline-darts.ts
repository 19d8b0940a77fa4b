import { distance, endOf, flatten, startOf } from '../geometry/index.js';
import type { PanelName } from '../method/index.js';
import type { NamedEdge } from './named-edges.js';
import { alongOutline, linesBeside, nearestOnOutline } from './on-outline.js';
import { laidLine } from './lay-line.js';
import type { LaidShape, Reference } from './reference.js';
import { nearestOnLine } from './sampling.js';

/** A dart's legs end within this of the waist, in mm. */
const ON_WAIST = 2;
/** A dart is at least this long and at most this wide at the waist, in mm. */
const LEAST_LENGTH = 30;
const MOST_MOUTH = 80;

/**
 * How much of an outline's waist lies in the mouths of darts that are drawn as lines of their own: two legs from the
 * waist that meet in a point. In mm along the waist.
 */
export function dartMouths(
  reference: Reference,
  panel: PanelName,
  outline: readonly LaidShape[],
  waist: NamedEdge,
): number {
  const waistLines = waist.lines.map((path) => flatten(path, 0.2));
  const offWaist = (p: { x: number; y: number }): number =>
    Math.min(...waistLines.map((line) => nearestOnLine(line, p).distance));
  return linesBeside(reference, panel).reduce((sum, index) => {
    if (reference.shapes[index]?.closed) return sum;
    const path = laidLine(reference, index, panel);
    const [from, to] = [startOf(path), endOf(path)];
    if (distance(from, to) > MOST_MOUTH || offWaist(from) > ON_WAIST || offWaist(to) > ON_WAIST) return sum;
    const deepest = Math.max(...flatten(path, 0.5).map(offWaist));
    const [a, b] = [nearestOnOutline(outline, from), nearestOnOutline(outline, to)];
    if (deepest < LEAST_LENGTH || !a || !b) return sum;
    return sum + (alongOutline(outline, a, b) ?? distance(from, to));
  }, 0);
}
