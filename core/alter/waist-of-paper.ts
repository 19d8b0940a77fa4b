import {
  closedWaist,
  openWaist,
  standApart,
  swingBetween,
  type ClosedWaist,
  type FlatDart,
  type OpenWaist,
} from '../draft/index.js';
import {
  along,
  angleBetween,
  between,
  endOf,
  pathLength,
  startOf,
  subtract,
  unit,
  type Path,
  type Point,
} from '../geometry/index.js';
import { centreDownOf, edgeOf, sideDownOf, type Paper, type PaperDart } from './paper.js';

/** Halfway between the upper ends of a dart's legs. */
export const middleOf = ({ centreLeg, sideLeg }: PaperDart): Point => between(centreLeg, sideLeg, 0.5);

/** A paper dart as the waist is laid over it: its apex, middle line and angle. */
export const flatDart = (dart: PaperDart): FlatDart => ({
  apex: dart.apex,
  up: unit(subtract(middleOf(dart), dart.apex)),
  angle: angleBetween(subtract(dart.centreLeg, dart.apex), subtract(dart.sideLeg, dart.apex)),
});

/** The waist of a paper over its closed darts, as it would be drawn now. */
const closedOver = (paper: Paper, flat: readonly FlatDart[]): ClosedWaist =>
  closedWaist(
    {
      panel: paper.name,
      offSquare: paper.offSquare,
      swung: swingBetween(paper.draftedSeams, { centre: centreDownOf(paper), side: sideDownOf(paper) }),
      centreWaist: along(endOf(edgeOf(paper, 'rise')), centreDownOf(paper), -paper.dip),
      dip: paper.dip,
      centreDown: centreDownOf(paper),
      sideWaist: startOf(edgeOf(paper, 'side')),
      sideDown: sideDownOf(paper),
    },
    flat,
  );

/** The length of the waist of a paper, darts closed, as it would be drawn now, in mm. */
export const closedWaistLength = (paper: Paper): number =>
  pathLength(closedOver(paper, paper.darts.map(flatDart)).path);

/** A waist drawn over the darts of a paper. */
export interface PaperWaist extends OpenWaist {
  readonly closedWaist: Path;
  readonly closedSideUp: Point;
}

/** The waist of a paper drawn anew; nothing where the darts do not stand side by side within it. */
export function waistOver(paper: Paper): PaperWaist | undefined {
  const flat = paper.darts.map(flatDart);
  const closed = closedOver(paper, flat);
  if (!standApart(closed)) return undefined;
  return { ...openWaist(closed, flat), closedWaist: closed.path, closedSideUp: closed.sideUp };
}
