import type { EdgeName, Panel } from '../draft/index.js';
import { endOf, startOf, type Point } from '../geometry/index.js';
import type { NamedEdge } from './named-edges.js';

/** The corners of a piece that an outline can be brought to. */
const CORNERS = ['crotchPoint', 'centreWaist', 'sideWaist', 'sideHem', 'inseamHem'] as const;

/** The name of a corner. */
export type CornerName = (typeof CORNERS)[number];

/**
 * Where each corner is found: at the start or the end of a seam, run as the draft's is; the first that is named counts.
 */
const FOUND: Record<CornerName, readonly (readonly [EdgeName, 'start' | 'end'])[]> = {
  crotchPoint: [
    ['rise', 'start'],
    ['inseam', 'end'],
  ],
  centreWaist: [
    ['rise', 'end'],
    ['waist', 'start'],
  ],
  sideWaist: [
    ['side', 'start'],
    ['waist', 'end'],
  ],
  sideHem: [
    ['side', 'end'],
    ['hem', 'start'],
  ],
  inseamHem: [
    ['inseam', 'start'],
    ['hem', 'end'],
  ],
};

/** The corners of a laid outline that its named seams give, beside those of the panel. Panel coordinates, mm. */
export function pairedCorners(
  edges: ReadonlyMap<EdgeName, NamedEdge>,
  panel: Panel,
): { readonly name: CornerName; readonly outline: Point; readonly draft: Point }[] {
  return CORNERS.flatMap((name) => {
    for (const [edge, end] of FOUND[name]) {
      const path = edges.get(edge)?.path;
      if (path) return [{ name, outline: end === 'start' ? startOf(path) : endOf(path), draft: panel.points[name] }];
    }
    return [];
  });
}
