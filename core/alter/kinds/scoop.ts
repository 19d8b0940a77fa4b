import { along, directionAtPlace, pathLength, placeAtLength, scale } from '../../geometry/index.js';
import { alterationKind, ANY_PANEL } from '../kind.js';
import type { AlterationFault } from '../../refusal/index.js';
import { edgeOf, including, type Paper } from '../paper.js';
import { centreLowered, displaced, hump, seamMark } from '../seam-work.js';

/** So near, in mm or as a share of the amount, a fair curve has to come to what was asked; else it is drawn less fair. */
const NEAR = 0.3;
const NEAR_SHARE = 0.12;

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
  const before = s;
  const after = Math.max(total - s, Math.min(whole - s, before)) || 1;
  const next = displaced(paper, 'rise', (length) => {
    const off = length - s;
    return scale(inward, by * hump(off, off < 0 ? before : after));
  });
  const scoopedTo: Paper = {
    ...next,
    bent: including(paper.bent, 'rise'),
    through: { at: along(place.at, inward, by), inward, within: Math.max(NEAR, NEAR_SHARE * Math.abs(by)) },
    riseFree: paper.riseFree || !keepLength,
    marks: [...paper.marks, seamMark(alteration, curve)],
  };
  return keepLength ? centreLowered(scoopedTo, pathLength(edgeOf(scoopedTo, 'rise')) - whole) : scoopedTo;
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
