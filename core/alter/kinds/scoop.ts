import type { Panel } from '../../draft/index.js';
import {
  add,
  along,
  crossLine,
  directionAtPlace,
  nearestPlace,
  pathLength,
  placeAtLength,
  scale,
  type Path,
  type Point,
} from '../../geometry/index.js';
import { alterationKind, ANY_PANEL } from '../kind.js';
import type { AlterationFault } from '../../refusal/index.js';
import { edgeOf, including, type Paper, type Scooped } from '../paper.js';
import { centreLowered, displaced, hump, seamMark } from '../seam-work.js';

/** A place on the curve nearer than this to another, in mm along it, is the same. */
const SAME_PLACE = 1;

/** A place on a crotch curve by a share of its length, and square to it into the piece. */
function squareAt(curve: Path, share: number): { s: number; place: ReturnType<typeof placeAtLength>; inward: Point } {
  const s = Math.min(0.95, Math.max(0.05, share)) * pathLength(curve);
  const place = placeAtLength(curve, s);
  // The rise runs upward with the piece on its left as seen: deeper is into the piece.
  const up = directionAtPlace(curve, place);
  return { s, place, inward: { x: up.y, y: -up.x } };
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
  const { s, place, inward } = squareAt(curve, at);
  const before = s;
  const after = Math.max(total - s, Math.min(whole - s, before)) || 1;
  const moved = (length: number): Point => {
    const off = length - s;
    return scale(inward, by * hump(off, off < 0 ? before : after));
  };
  // Places to which it was scooped before go along with the curve; one that is scooped again is where it is now.
  const carried = paper.scooped.flatMap(({ at: was, inward: square }): Scooped[] => {
    const { length } = nearestPlace(curve, was);
    return Math.abs(length - s) < SAME_PLACE ? [] : [{ at: add(was, moved(length)), inward: square }];
  });
  const scoopedTo: Paper = {
    ...displaced(paper, 'rise', moved),
    bent: including(paper.bent, 'rise'),
    scooped: [...carried, { at: along(place.at, inward, by), inward }],
    riseFree: paper.riseFree || !keepLength,
    marks: [...paper.marks, seamMark(alteration, curve)],
  };
  return keepLength ? centreLowered(scoopedTo, pathLength(edgeOf(scoopedTo, 'rise')) - whole) : scoopedTo;
}

/**
 * How deep the crotch curve of a piece lies at the place of a scoop, in mm, against the piece before; nothing where it
 * misses.
 */
function depthReached(before: Panel, after: Panel, { at }: { readonly at: number }): number | undefined {
  const curve = before.edges.rise.slice(0, before.joints.curveStart);
  const { place, inward } = squareAt(curve, at);
  const hits = crossLine(after.edges.rise, place.at, inward).map((hit) => hit.along);
  return hits.sort((a, b) => Math.abs(a) - Math.abs(b))[0];
}

/**
 * The crotch curve deepened (+, cloth away) or filled (-) at a share (0 at the crotch point, 1 where the curve begins)
 * of its length. `keepLength`: the waist at the centre gives back what the seam gained.
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
  reached: depthReached,
});
