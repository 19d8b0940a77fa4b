import { EDGE_NAMES, type EdgeName, type Panel } from '../draft/index.js';
import { crossLine, nearestPlace, pathLength, placeAtLength, point, type Point } from '../geometry/index.js';
import { endNear, RUNS_UP, type SeamPlace } from './place.js';

/**
 * Where a place on a seam lies on a piece: its point, and how far from the seam's upper end (waist: from the centre,
 * hem: from the side) along it, in mm. Nothing where the seam does not reach that level.
 */
export function onSeam(
  panel: Panel,
  { edge, ...place }: SeamPlace,
): { readonly at: Point; readonly down: number; readonly long: number } | undefined {
  const path = panel.edges[edge];
  const long = pathLength(path);
  const from = (length: number): number => (RUNS_UP.has(edge) ? long - length : length);
  if ('share' in place) {
    const down = place.share * long;
    return { at: placeAtLength(path, from(down)).at, down, long };
  }
  const { line, by } = place.level;
  const y = (line === 'waistLine' ? 0 : panel.levels[line]) + by;
  const at = crossLine(path, point(0, y), point(1, 0))[0]?.at ?? endNear(path, y);
  return at && { at, down: from(nearestPlace(path, at).length), long };
}

/** A share of a seam, to less than a hundredth of a millimetre. */
const shareOf = (down: number, long: number): number =>
  Math.round(Math.min(1, Math.max(0, down / (long || 1))) * 1e6) / 1e6;

/** The place so far down a seam of a piece, in mm from its upper end; the waist from the centre, the hem from the side. */
export const downSeam = (panel: Panel, edge: EdgeName, down: number): SeamPlace => ({
  edge,
  share: shareOf(down, pathLength(panel.edges[edge])),
});

/** The place on a piece's seams, or on some of them, that is nearest to a point, in panel coordinates. */
export function seamNear(panel: Panel, p: Point, edges: readonly EdgeName[] = EDGE_NAMES): SeamPlace {
  const near = edges
    .map((edge) => ({ edge, ...nearestPlace(panel.edges[edge], p) }))
    .sort((a, b) => a.distance - b.distance)[0];
  if (!near) return { edge: 'side', share: 0 };
  const long = pathLength(panel.edges[near.edge]);
  return downSeam(panel, near.edge, RUNS_UP.has(near.edge) ? long - near.length : near.length);
}
