import {
  type BendLimits,
  type Path,
  type Point,
  add,
  along,
  cubicLength,
  curvatureAt,
  directionAtPlace,
  distance,
  endDirection,
  endOf,
  evenBend,
  jointedAt,
  line,
  pathLength,
  placeAtLength,
  reversePath,
  scale,
  smoothStep,
  splineThrough,
  startDirection,
  startOf,
  subtract,
} from '../geometry/index.js';
import type { RiseShape, Scoop } from './alteration.js';
import { edgeOf, withEdge, type Paper } from './paper.js';
import { centreLowered, displaced, hump, seamMark, type SeamFault } from './seam-work.js';

/** What a scooped curve is held to: it bends one way and no more sharply than a crotch curve may at all. */
const SCOOPED: BendLimits = {
  leastRadius: 12,
  startRadius: 20,
  mostRadius: 800,
  flatRadius: 3000,
  flatStart: 0.6,
  flatEnd: 0.6,
  spread: 0.06,
  peakFrom: 0.05,
  peakTo: 0.95,
};
/** The curve may begin this much lower on the centre line, in mm, to reach deeper. */
const START_DOWN = 60;
/** A scoop has to come within this, in mm, of the place that it is to pass through. */
const THROUGH = 0.15;

/** The crotch curve, run from the crotch point up, drawn anew through a place; nothing where no one bend does. */
function bentThrough(curve: Path, through: Point, inward: Point): Path | undefined {
  const start = endOf(curve);
  const bend = evenBend({
    start,
    leaving: scale(endDirection(curve), -1),
    pivot: start,
    end: startOf(curve),
    arriving: scale(startDirection(curve), -1),
    outward: inward,
    corner: through,
    diagonal: inward,
    hollow: 0,
    limits: SCOOPED,
    give: { through: 400, start: 0.01, startUp: 0, startDown: START_DOWN, lean: 0, end: 0 },
  });
  if (!bend || Math.abs(bend.hollow) >= THROUGH) return undefined;
  const up = reversePath(bend.path);
  return distance(bend.start, start) < 0.01 ? up : [...up, line(bend.start, start)];
}

/** The crotch curve deepened or filled at a place, running out toward the crotch point and into the centre line. */
export function scooped(paper: Paper, { at, by, keepLength }: Scoop, alteration: string): Paper | SeamFault {
  const curve = paper.runs.crotchCurve;
  const total = pathLength(curve);
  const whole = pathLength(edgeOf(paper, 'rise'));
  const s = Math.min(0.95, Math.max(0.05, at)) * total;
  const place = placeAtLength(curve, s);
  // The rise runs upward with the piece on its left as seen: deeper is into the piece.
  const up = directionAtPlace(curve, place);
  const inward = { x: up.y, y: -up.x };
  const marks = [...paper.marks, seamMark(alteration, curve)];
  // The curve is drawn anew through the new place, with its ends and directions as they are.
  const through = bentThrough(curve, along(place.at, inward, by), inward);
  if (through) {
    const drawn: Paper = { ...paper, runs: { ...paper.runs, crotchCurve: through }, marks };
    return keepLength ? centreLowered(drawn, pathLength(edgeOf(drawn, 'rise')) - whole) : drawn;
  }
  const before = s;
  const after = Math.max(total - s, Math.min(whole - s, before)) || 1;
  const next = displaced(paper, 'rise', (length) => {
    const off = length - s;
    return scale(inward, by * hump(off, off < 0 ? before : after));
  });
  const marked: Paper = { ...next, marks };
  if (!keepLength) return marked;
  return centreLowered(marked, pathLength(edgeOf(marked, 'rise')) - whole);
}

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
 * A rise taken from elsewhere, laid at the crotch point, square to the inseam there, and blended into the waist end that
 * the piece has: the nearer to the waist, the more it follows the seam that was.
 */
export function riseTaken(paper: Paper, work: RiseShape, alteration: string): Paper | SeamFault {
  const { points, blend, keepLength } = work;
  const rise = edgeOf(paper, 'rise');
  const from = startOf(rise);
  const end = endOf(rise);
  const shape = points.map((p) => add(from, p));
  const last = shape[shape.length - 1];
  if (shape.length < 3 || !last) return 'no room';
  const lengths = [0];
  for (let i = 1; i < shape.length; i++)
    lengths.push((lengths[i - 1] ?? 0) + distance(shape[i - 1] ?? from, shape[i] ?? from));
  const total = lengths[lengths.length - 1] ?? 1;
  const gap = subtract(end, last);
  const reach = Math.min(1, Math.max(0.2, blend)) * total;
  const laid = shape.map((p, i) => add(p, scale(gap, smoothStep(1 - (total - (lengths[i] ?? 0)) / reach))));
  laid[laid.length - 1] = end;
  const path = splineThrough(laid, startDirection(rise), endDirection(rise));
  const whole = pathLength(rise);
  const length = pathLength(path);
  const begins = (pathLength(paper.runs.crotchCurve) / whole) * length;
  const cut = jointedAt(path, [Math.min(MOST_CURVE * length, Math.max(begins, bendEnds(path)))]);
  const next = withEdge(
    { ...paper, marks: [...paper.marks, seamMark(alteration, rise)] },
    'rise',
    cut.path,
    cut.joints,
  );
  return keepLength ? centreLowered(next, pathLength(path) - whole) : next;
}
