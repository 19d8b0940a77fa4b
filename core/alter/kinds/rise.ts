import {
  add,
  cubicLength,
  curvatureAt,
  distance,
  endDirection,
  endOf,
  jointedAt,
  pathLength,
  scale,
  smoothStep,
  splineThrough,
  startDirection,
  startOf,
  subtract,
  type Path,
  type Point,
} from '../../geometry/index.js';
import { alterationKind } from '../kind.js';
import type { AlterationFault } from '../../refusal/index.js';
import { edgeOf, including, withEdge, type Paper } from '../paper.js';
import { centreLowered, seamMark } from '../seam-work.js';

/** A rise that bends more sharply than this, in mm of radius, is still the crotch curve and not the centre seam. */
const CURVED = 150;
/** The crotch curve reaches at most this share of a rise taken from elsewhere. */
const MOST_CURVE = 0.9;

/** How far along a rise, in mm from the crotch point, it bends as a crotch curve does. */
function bendEnds(rise: Path): number {
  let [run, ends] = [0, 0];
  for (const c of rise) {
    if (Math.max(Math.abs(curvatureAt(c, 0.5)), Math.abs(curvatureAt(c, 1))) > 1 / CURVED) ends = run + cubicLength(c);
    run += cubicLength(c);
  }
  return ends;
}

/**
 * A rise taken from elsewhere, laid at the crotch point, square to the inseam there, and blended into the waist end
 * that the piece has: the nearer to the waist, the more it follows the seam that was.
 */
function riseTaken(
  paper: Paper,
  { points, blend, keepLength }: { points: readonly Point[]; blend: number; keepLength: boolean },
  alteration: string,
): Paper | AlterationFault {
  const rise = edgeOf(paper, 'rise');
  const from = startOf(rise);
  const end = endOf(rise);
  const shape = points.map((p) => add(from, p));
  const last = shape[shape.length - 1];
  if (shape.length < 3 || !last) return 'noRoom';
  const lengths = [0];
  for (let i = 1; i < shape.length; i++)
    lengths.push((lengths[i - 1] ?? NaN) + distance(shape[i - 1] ?? from, shape[i] ?? from));
  const total = lengths[lengths.length - 1] ?? 1;
  const gap = subtract(end, last);
  const reach = Math.min(1, Math.max(0.2, blend)) * total;
  const laid = shape.map((p, i) => add(p, scale(gap, smoothStep(1 - (total - (lengths[i] ?? NaN)) / reach))));
  laid[laid.length - 1] = end;
  const path = splineThrough(laid, startDirection(rise), endDirection(rise));
  const whole = pathLength(rise);
  const length = pathLength(path);
  const begins = (pathLength(paper.runs.crotchCurve) / whole) * length;
  const cut = jointedAt(path, [Math.min(MOST_CURVE * length, Math.max(begins, bendEnds(path)))]);
  const next = withEdge(
    { ...paper, shaped: including(paper.shaped, 'rise'), marks: [...paper.marks, seamMark(alteration, rise)] },
    'rise',
    cut.path,
    cut.joints,
  );
  return keepLength ? centreLowered(next, pathLength(path) - whole) : next;
}

/**
 * A rise taken from elsewhere: points from the crotch point up, in mm from the crotch point in panel coordinates, laid
 * at the crotch point and blended into inseam and waist. `blend` is the share of it, from the waist, that is blended.
 */
export const rise = alterationKind({
  kind: 'rise',
  label: 'Take a rise',
  panels: ['front', 'back'],
  fields: {
    blend: { as: 'share', label: 'Blended into the waist over' },
    keepLength: { as: 'tick', label: 'Keep the rise’s length at the waist' },
    points: { as: 'points', fewest: 3, most: 400 },
  },
  say: ({ keepLength }) => `rise taken over${keepLength ? ', its length kept' : ''}`,
  apply: riseTaken,
});
