import { onSeam, type AlterationWork, type SeamPlace } from '../alter/index.js';
import type { Block } from '../draft/index.js';
import { along, distance, quarterTurn, subtract, unit } from '../geometry/index.js';
import type { PanelName } from '../method/index.js';
import type { OnLeg } from './on-leg.js';
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

/** True where a fold is out of the paper: the alteration by which it was taken is still there. */
export const isTakenOut = ({ taken }: PinnedFold, alterations: readonly { readonly id: string }[]): boolean =>
  taken !== undefined && alterations.some((a) => a.id === taken);

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

/** The ends of a fold lie at least so far apart, in mm. */
const APART = 10;

/** Why a fold cannot be: it takes nothing in, its ends lie in one place, or one lies where its seam does not reach. */
export type FoldFault = 'nothing' | 'onePlace' | 'offSeam';

/** What is wrong with a fold on a piece; nothing where it can be pinned. */
export function foldFault({ panel, from, to, byTo }: PinnedFold, by: number, block: Block): FoldFault | undefined {
  const [a, b] = [onSeam(block[panel], from)?.at, onSeam(block[panel], to)?.at];
  if (!a || !b) return 'offSeam';
  if (distance(a, b) < APART) return 'onePlace';
  return by < 0 || byTo < 0 || by + byTo === 0 ? 'nothing' : undefined;
}
