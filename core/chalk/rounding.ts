import type { Block } from '../draft/index.js';
import {
  contains,
  distance,
  flatten,
  nearestPlace,
  pathLength,
  point,
  type Path,
  type Point,
} from '../geometry/index.js';
import { figuresOf } from '../measured/index.js';
import { PANEL_NAMES, type PanelName } from '../method/index.js';
import { chalkedOutline, levelMore, waistShares, type ChalkedPart } from './chalked.js';

/** The figures that rounding to a tape is watched on. */
export const ROUNDED = ['waist', 'hip', 'thigh', 'knee', 'hem', 'frontRise', 'backRise', 'wholeRise'] as const;

/** What a figure is as it is drafted, and as it is chalked; whole girths, in mm. */
export interface RoundedFigure {
  readonly drawn: number;
  readonly chalked: number;
}

/** What rounding does: to the figures that matter, and the furthest that any point was put from its place, in mm. */
export interface Rounding {
  readonly figures: Readonly<Record<(typeof ROUNDED)[number], RoundedFigure>>;
  readonly furthest: number;
}

/** How far outside a place a closed line lies, in mm; inside it where negative. */
function outside(outline: Path, at: Point): number {
  const { distance: away } = nearestPlace(outline, at);
  return contains(flatten(outline, 0.2), at) ? away : -away;
}

/** The panel that a part was made of, or one of its edges where it was made of both. */
const panelOf = ({ laid: { part } }: ChalkedPart, of?: PanelName): PanelName =>
  of ?? ((part.like ?? part.id) === 'back' ? 'back' : 'front');

/** By how much the chalked parts of one leg are wider than the drawn ones where the hip is measured, in mm. */
export const hipMore = (parts: readonly ChalkedPart[], block: Block): number =>
  parts.reduce((sum, part) => sum + hipOfPart(part, block), 0);

/** Where the hip of a part is measured on its outline: at side and centre, or at both centres of a leg of one piece. */
function hipPoints(part: ChalkedPart, { front, back }: Block): readonly Point[] {
  const joined = part.laid.part.edges.some(({ of }) => of !== undefined);
  const { sideHip, centreHip } = panelOf(part) === 'back' ? back.points : front.points;
  if (!joined) return [sideHip, centreHip];
  // The back was turned over at its side and laid to the front's.
  const [at, to] = [back.points.sideWaist, front.points.sideWaist];
  const { x, y } = back.points.centreHip;
  return [front.points.centreHip, point(to.x + at.x - x, y - at.y + to.y)];
}

function hipOfPart(part: ChalkedPart, block: Block): number {
  const { shift, outline } = part.laid;
  const chalked = chalkedOutline(part);
  return hipPoints(part, block).reduce((sum, { x, y }) => {
    const at = point(x + shift, y);
    return sum + outside(chalked, at) - outside(outline, at);
  }, 0);
}

const waistMore = (part: ChalkedPart): number =>
  waistShares(part.laid).reduce((sum, { id, at, weight, down }) => {
    const to = part.at.get(id) ?? at;
    return sum + weight * (to.x - at.x) + down * (to.y - at.y);
  }, 0);

/** How much longer than drawn a panel's rise is chalked on a part, in mm. */
const riseMore = (part: ChalkedPart, panel: PanelName): number =>
  part.stretches
    .filter(({ stretch: { edge } }) => edge.role === 'rise' && panelOf(part, edge.of) === panel)
    .reduce((sum, { path, stretch }) => sum + pathLength(path) - pathLength(stretch.path), 0);

/**
 * What chalking by a tape does to one leg: the chalked line is measured where the drawn one is, and the difference laid
 * to the figures of the block. Whole girths of waist and hip, of both legs.
 */
export function roundingOf(parts: readonly ChalkedPart[], block: Block): Rounding {
  const drawn = figuresOf(block);
  const sum = (of: (part: ChalkedPart) => number): number => parts.reduce((s, p) => s + of(p), 0);
  const knee = [block.front, block.back].reduce((s, { points: p }) => s + Math.abs(p.inseamKnee.x - p.sideKnee.x), 0);
  const line = (exact: number, more: number): RoundedFigure => ({ drawn: exact, chalked: exact + more });
  const [front, back] = PANEL_NAMES.map((panel) => sum((part) => riseMore(part, panel))) as [number, number];
  return {
    figures: {
      waist: line(drawn.waist, 2 * sum(waistMore)),
      hip: line(drawn.hip, 2 * hipMore(parts, block)),
      thigh: line(drawn.thigh, levelMore(parts, 'crotch')),
      knee: line(knee, levelMore(parts, 'knee')),
      hem: line(drawn.hem, levelMore(parts, 'hem')),
      frontRise: line(drawn.frontRise, front),
      backRise: line(drawn.backRise, back),
      wholeRise: line(drawn.wholeRise, front + back),
    },
    furthest: Math.max(
      0,
      ...parts.flatMap(({ laid: { stretches }, at }) =>
        stretches.map(({ from }) => distance(from.at, at.get(from.id) ?? from.at)),
      ),
    ),
  };
}
