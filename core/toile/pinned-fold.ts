import type { AlterationWork, SeamPlace } from '../alter/index.js';
import { EDGE_NAMES, type Block, type EdgeName, type Panel } from '../draft/index.js';
import {
  along,
  crossLine,
  nearestPlace,
  pathLength,
  placeAtLength,
  point,
  quarterTurn,
  subtract,
  unit,
  type Point,
} from '../geometry/index.js';
import type { PanelName } from '../method/index.js';
import type { OnLeg } from './causes.js';
import type { PinPlace } from './pin-places.js';

/** A fold pinned across one piece, wherever it is wanted: from one seam to another. */
export interface PinnedFold {
  readonly panel: PanelName;
  readonly from: SeamPlace;
  readonly to: SeamPlace;
  /** How much is pinned at its other end, in mm; at the first it is the pin's own amount. */
  readonly byTo: number;
  /** The alteration by which it was taken out on the paper. */
  readonly taken?: string | undefined;
}

/** A pin of a fitting; one of the kind `fold` has a fold. Amounts in mm. */
export interface Pin {
  readonly kind: string;
  readonly by: number;
  readonly leg: OnLeg;
  readonly fold?: PinnedFold | undefined;
}

/** The kind of a pin that holds a fold from seam to seam. */
export const FOLD = 'fold';

/** A fold as one begins with: across the piece on the hip line, nothing at the side. */
export const firstFold = (panel: PanelName): PinnedFold => ({
  panel,
  from: { edge: 'rise', level: { line: 'hipLevel', by: 0 } },
  to: { edge: 'side', level: { line: 'hipLevel', by: 0 } },
  byTo: 0,
});

/** Edges whose outline runs upward: a share of them counts from their upper end all the same. */
const RUNS_UP: ReadonlySet<EdgeName> = new Set(['rise', 'inseam']);

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
  const at = crossLine(path, point(0, y), point(1, 0))[0]?.at;
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

/** What a fold takes up on its piece: `by` at its first end, what is pinned there at the other; nothing off the piece. */
export function foldPlace({ panel, from, to, byTo }: PinnedFold, by: number, block: Block): PinPlace | undefined {
  const [a, b] = [onSeam(block[panel], from)?.at, onSeam(block[panel], to)?.at];
  if (!a || !b) return undefined;
  const square = quarterTurn(unit(subtract(b, a)));
  return {
    panel,
    corners: [
      along(a, square, by / 2),
      along(b, square, byTo / 2),
      along(b, square, -byTo / 2),
      along(a, square, -by / 2),
    ],
  };
}

/** A fold taken out on the paper: a pinch from seam to seam (docs/trade/toile.md). */
export const foldWork = ({ panel, from, to, byTo }: PinnedFold, by: number): AlterationWork => ({
  kind: 'pinch',
  panel,
  from,
  to,
  byFrom: by,
  byTo,
});

/**
 * A fold that was pinned off the centre at the back waist, moved to the centre: as much in all as was pinned on one half
 * or on both. Nothing for a fold that does not begin at the back waist.
 */
export function atCentre({ by, leg, fold }: Pin): Pin | undefined {
  if (fold?.panel !== 'back') return undefined;
  const at = fold.from.edge === 'waist' ? by : fold.to.edge === 'waist' ? fold.byTo : 0;
  return at > 0 ? { kind: 'pinchedCentreBack', by: leg === 'both' ? 2 * at : at, leg: 'both' } : undefined;
}
