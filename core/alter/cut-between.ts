import { distance } from '../geometry/index.js';
import { openCut } from './cut.js';
import type { AlterationFault } from '../refusal/index.js';
import { placeOf, startOfRun, type Paper } from './paper.js';
import type { SeamPlace } from './place.js';
import { waistOver } from './waist-of-paper.js';

/** The hip width of a paper, in mm. */
const hipOf = (paper: Paper): number => distance(startOfRun(paper, 'hipToCrotch'), paper.centreHip);

/** The paper with its waist as it would be drawn now. */
function withWaist(paper: Paper): Paper {
  const waist = paper.newWaist ? waistOver(paper) : undefined;
  return waist ? { ...paper, runs: { ...paper.runs, waist: waist.edge } } : paper;
}

/** A piece cut from a seam to a seam, opened (+) or overlapped (-) by so much at either end. */
export function cutBetween(
  lying: Paper,
  from: SeamPlace,
  to: SeamPlace,
  byFrom: number,
  byTo: number,
  alteration: string,
): Paper | AlterationFault {
  const paper = from.edge === 'waist' || to.edge === 'waist' ? withWaist(lying) : lying;
  const [p, q] = [placeOf(paper, from), placeOf(paper, to)];
  if (!p || !q) return 'noPlace';
  const cut = openCut(paper, { from: p, to: q, byFrom, byTo }, alteration);
  if (typeof cut === 'string') return cut;
  return cut;
}

/** The same, and what the hip loses or gains by it is owed at the side: cut open or closed, a seat keeps its girth. */
export function cutKeepingHip(...cut: Parameters<typeof cutBetween>): Paper | AlterationFault {
  const [before] = cut;
  const after = cutBetween(...cut);
  return typeof after === 'string' ? after : { ...after, owed: before.owed + hipOf(before) - hipOf(after) };
}
