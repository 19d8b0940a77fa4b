import type { Block, EdgeName, Panel } from '../draft/index.js';
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

/** Seams are walked from the crotch or from the waist down. */
const fromTheTop = (edge: EdgeName, path: Path): Path => (edge === 'inseam' ? reversePath(path) : path);

const seamOf = (reference: Reference, panel: Panel, edge: EdgeName): Path | undefined => {
  const path = namedEdges(laidOutline(reference, panel.name), panel).get(edge)?.path;
  return path && fromTheTop(edge, path);
};

/** How far along a seam its panel's knee line is met; nothing where it is not met once. */
function kneeAlong(path: Path, { levels, kneeOnPiece }: Panel): number | undefined {
  const hits = kneeOnPiece ? crossLine(path, point(0, levels.kneeLevel), point(1, 0)) : [];
  const [hit] = hits;
  if (!hit || hits.length > 1) return undefined;
  return pathLength(splitPath(path, { ...hit, length: 0 })[0]);
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
  const first = sewn ? seamOf(reference, standing, seam) : fromTheTop(seam, standing.edges[seam]);
  const second = seamOf(reference, walking, seam);
  if (!first || !second) return undefined;
  const [front, back] =
    seam === 'hem' || seam === 'rise' ? [] : [kneeAlong(first, standing), kneeAlong(second, walking)];
  return walkPaths(first, second, front === undefined || back === undefined ? [] : [{ label: 'knee', front, back }]);
}
