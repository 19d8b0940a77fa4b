import { distance, endOf, flatten, startOf, type Path, type Point } from '../geometry/index.js';
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

/** A dart that a file draws as a line of its own: two legs from the waist that meet in a point. Panel coordinates. */
export interface DrawnDart {
  readonly path: Path;
  /** Where its legs meet. */
  readonly apex: Point;
}

/** The darts that are drawn on a piece as lines of their own. */
export function drawnDarts(reference: Reference, panel: PanelName, waist: NamedEdge): DrawnDart[] {
  const waistLines = waist.lines.map((path) => flatten(path, 0.2));
  const offWaist = (p: Point): number => Math.min(...waistLines.map((line) => nearestOnLine(line, p).distance));
  return linesBeside(reference, panel).flatMap((index): DrawnDart[] => {
    if (reference.shapes[index]?.closed) return [];
    const path = laidLine(reference, index, panel);
    const [from, to] = [startOf(path), endOf(path)];
    if (distance(from, to) > MOST_MOUTH || offWaist(from) > ON_WAIST || offWaist(to) > ON_WAIST) return [];
    const deepest = flatten(path, 0.5)
      .map((at) => ({ at, off: offWaist(at) }))
      .reduce((a, b) => (b.off > a.off ? b : a));
    return deepest.off < LEAST_LENGTH ? [] : [{ path, apex: deepest.at }];
  });
}

/** How much of an outline's waist lies in the mouths of darts that are drawn as lines of their own, in mm along it. */
export function dartMouths(
  reference: Reference,
  panel: PanelName,
  outline: readonly LaidShape[],
  waist: NamedEdge,
): number {
  return drawnDarts(reference, panel, waist).reduce((sum, { path }) => {
    const [from, to] = [startOf(path), endOf(path)];
    const [a, b] = [nearestOnOutline(outline, from), nearestOnOutline(outline, to)];
    return a && b ? sum + (alongOutline(outline, a, b) ?? distance(from, to)) : sum;
  }, 0);
}
