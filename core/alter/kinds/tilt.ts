import {
  distance,
  endOf,
  mapPath,
  pathLength,
  placeAtLength,
  splitPath,
  startOf,
  turn,
  type Point,
} from '../../geometry/index.js';
import { alterationKind, ANY_PANEL } from '../kind.js';
import type { AlterationFault } from '../../refusal/index.js';
import type { Paper } from '../paper.js';
import { LEAST_LEFT, seamMark, sideHipMoved, waistKept } from '../seam-work.js';
import { closedWaistLength } from '../waist-of-paper.js';

/** The seat line turned about a place on it; what hip and waist lose is given back at the side where wanted. */
export function tilted(
  paper: Paper,
  { above, by, giveBack }: { above: number; by: number; giveBack: boolean },
  alteration: string,
): Paper | AlterationFault {
  const { centre } = paper.runs;
  const total = pathLength(centre);
  const from = Math.min(Math.max(0, above), total);
  if (total - from < LEAST_LEFT * 2) return 'noRoom';
  const place = placeAtLength(centre, from);
  const [below, upper] = splitPath(centre, place);
  const end = endOf(upper);
  const reach = distance(place.at, end);
  if (Math.abs(by) > 0.5 * reach) return 'tooMuch';
  // In at the waist is toward the side: to the left.
  const angle = -2 * Math.asin(by / (2 * reach));
  const carry = (p: Point): Point => turn(p, angle, place.at);
  const hip = startOf([...paper.runs.hipToCrotch, ...paper.runs.sideThigh]);
  const wasHip = distance(hip, paper.centreHip);
  const turned: Paper = {
    ...paper,
    runs: { ...paper.runs, centre: [...below, ...mapPath(upper, carry)] },
    centreHip: paper.centreHip.y < place.at.y ? carry(paper.centreHip) : paper.centreHip,
    newWaist: true,
    marks: [...paper.marks, { alteration, kind: 'hinge', points: [place.at], path: [] }, seamMark(alteration, centre)],
  };
  if (!giveBack) return turned;
  const kept = sideHipMoved(turned, wasHip - distance(hip, turned.centreHip));
  return waistKept(kept, closedWaistLength(paper));
}

/**
 * The seat line turned about the place where it is `above` mm above the start of the curve, in (+) by `by` mm at the
 * waist.
 */
export const tilt = alterationKind({
  kind: 'tilt',
  label: 'Turn the seat line',
  panels: ANY_PANEL,
  fields: {
    by: { as: 'length', label: 'Inward (+) or outward (−) at the waist' },
    above: { as: 'length', label: 'Turned above the start of the curve by' },
    giveBack: { as: 'tick', label: 'Give hip and waist back at the side' },
  },
  start: (panel) => ({ panel, above: 0, by: 6, giveBack: true }),
  say: ({ by, giveBack }, { mm }) =>
    `seat line ${mm(by)} ${by < 0 ? 'outward' : 'inward'} at the waist${giveBack ? ', given back at the side' : ''}`,
  apply: tilted,
});
