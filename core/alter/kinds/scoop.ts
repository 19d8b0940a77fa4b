import {
  along,
  directionAtPlace,
  distance,
  endDirection,
  endOf,
  evenBend,
  line,
  pathLength,
  placeAtLength,
  reversePath,
  scale,
  startDirection,
  startOf,
  type BendLimits,
  type Path,
  type Point,
} from '../../geometry/index.js';
import { alterationKind, ANY_PANEL } from '../kind.js';
import type { AlterationFault } from '../../refusal/index.js';
import { edgeOf, type Paper } from '../paper.js';
import { centreLowered, displaced, hump, seamMark } from '../seam-work.js';

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
function scooped(
  paper: Paper,
  { at, by, keepLength }: { at: number; by: number; keepLength: boolean },
  alteration: string,
): Paper | AlterationFault {
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

/**
 * The crotch curve deepened (+, cloth away) or filled (-) at a share (0 at the crotch point, 1 where the curve begins) of
 * its length. `keepLength`: the waist at the centre gives back what the seam gained.
 */
export const scoop = alterationKind({
  kind: 'scoop',
  label: 'Scoop the crotch curve',
  panels: ANY_PANEL,
  fields: {
    by: { as: 'length', label: 'Deeper (+) or filled (−)' },
    at: { as: 'share', label: 'Place on the curve, from the crotch point' },
    keepLength: { as: 'tick', label: 'Keep the rise’s length at the waist' },
  },
  start: (panel) => ({ panel, at: 0.45, by: 4, keepLength: false }),
  say: ({ by, keepLength }, { mm }) =>
    `${by < 0 ? 'fill' : 'scoop'} the crotch curve ${mm(by)}${keepLength ? ', rise kept' : ''}`,
  apply: scooped,
});
