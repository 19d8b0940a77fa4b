import type { Block, EdgeName, Panel } from '../draft/index.js';
import { LEG_SEAMS } from '../garment/index.js';
import { crossLine, pathLength, point, reversePath, splitPath, type Path } from '../geometry/index.js';
import type { PanelName } from '../method/index.js';
import { walkPaths, type SeamWalk } from '../walk/index.js';
import { namedEdges } from './named-edges.js';
import { laidOutline, type Reference } from './reference.js';

/** The seams of an outline that can be walked. */
export const REFERENCE_SEAMS = ['inseam', 'side', 'rise', 'hem'] as const;

/** The name of such a seam. */
export type ReferenceSeam = (typeof REFERENCE_SEAMS)[number];

/** What is walked along what: the outline's back along its front, or one piece of it along the draft's own. */
export type WalkedAlong = 'sewn' | PanelName;

/** The seams by which the outline's two pieces are sewn to one another. */
export const SEWN_SEAMS: readonly ReferenceSeam[] = REFERENCE_SEAMS.filter((seam) =>
  LEG_SEAMS.some(({ first, second }) => first.edge === seam && first.part !== second.part),
);

/** Seams are walked from where they are sewn from. */
const asSewn = (edge: EdgeName, path: Path): Path =>
  LEG_SEAMS.some(({ first }) => first.edge === edge && first.backward) ? reversePath(path) : path;

const seamOf = (reference: Reference, panel: Panel, edge: EdgeName): Path | undefined => {
  const path = namedEdges(laidOutline(reference, panel.name), panel).get(edge)?.path;
  return path && asSewn(edge, path);
};

/** How far along a seam its panel's knee line is met; nothing where it is not met once. */
function kneeAlong(path: Path, { levels, kneeOnPiece }: Panel): number | undefined {
  const hits = kneeOnPiece ? crossLine(path, point(0, levels.kneeLevel), point(1, 0)) : [];
  const [hit] = hits;
  if (!hit || hits.length > 1) return undefined;
  return pathLength(splitPath(path, hit)[0]);
}

/**
 * A seam of an outline walked: its back along its front, or the outline's piece along the draft's, from the top down,
 * with the difference at the knee line and at the end. Nothing where the seam is not one named line on both.
 */
export function walkReference(
  reference: Reference,
  block: Block,
  seam: ReferenceSeam,
  along: WalkedAlong,
): SeamWalk | undefined {
  const sewn = along === 'sewn';
  const [standing, walking] = sewn ? [block.front, block.back] : [block[along], block[along]];
  const first = sewn ? seamOf(reference, standing, seam) : asSewn(seam, standing.edges[seam]);
  const second = seamOf(reference, walking, seam);
  if (!first || !second) return undefined;
  const [front, back] =
    seam === 'hem' || seam === 'rise' ? [] : [kneeAlong(first, standing), kneeAlong(second, walking)];
  const knee = front === undefined || back === undefined ? [] : [{ label: 'knee', first: front, second: back }];
  return walkPaths(seam, first, second, knee);
}
