import { EDGE_NAMES, type Block, type EdgeName } from '../draft/index.js';
import { contains, flatten, nearestPlace, pathLength, type Path, type Point } from '../geometry/index.js';
import { PANEL_NAMES, type PanelName } from '../method/index.js';

/** What can still be done to cloth that is cut. */
export type CutVerdict =
  /** Taken in: there is cloth. */
  | 'takenIn'
  /** Let out within the inlay, a seam's least left beyond it. */
  | 'inlay'
  /** Let out within the cloth, but less is left than a seam needs. */
  | 'tight'
  /** Beyond the cloth: a piece has to be set in. */
  | 'setIn'
  /** Beyond the cloth in a front crotch curve: cloth cut away there cannot be put back. */
  | 'gone';

/** How an edge that has moved lies on the cloth that was cut. */
export interface OnCut {
  readonly panel: PanelName;
  readonly edge: EdgeName;
  readonly verdict: CutVerdict;
  /** The least that lies between the new stitching line and the cut edge, in mm; below nothing where it lies beyond. */
  readonly left: number;
}

/** A line that has moved by less than this stays, in mm. */
const STAYS = 1;
/** A seam wants this much beyond its stitching line, in mm: a quarter of an inch. */
const SEAM = 6.35;
const FLAT = 0.5;
/** So near to its end a place counts as the end, in mm. */
const END = 0.1;

/**
 * What an altered block is on cloth that was cut from another (docs/trade/toile.md): for every edge that has moved, what
 * is left of its inlay. `cutLines` are the cut edges of front and back, in the same coordinates as `was` and `now`.
 */
export function onCut(cutLines: Readonly<Record<PanelName, Path>>, was: Block, now: Block): readonly OnCut[] {
  return PANEL_NAMES.flatMap((panel) => {
    const cut = cutLines[panel];
    const cloth = flatten(cut, FLAT);
    return EDGE_NAMES.flatMap((edge): OnCut[] => {
      const before = was[panel].edges[edge];
      const whole = pathLength(before);
      // What runs on beyond an end of the edge as it was belongs to the edge beside it, which has moved there.
      const beside = ({ length }: { readonly length: number }): boolean => length > END && length < whole - END;
      const moved = flatten(now[panel].edges[edge], FLAT)
        .map((p) => ({ p, near: nearestPlace(before, p) }))
        .filter(({ near }) => near.distance > STAYS && beside(near));
      if (moved.length === 0) return [];
      const leftAt = (p: Point): number => {
        const off = nearestPlace(cut, p).distance;
        return contains(cloth, p) ? off : -off;
      };
      // Only where it is let out does cloth have to be there: what it had at that very place is more than it has now.
      const out = moved.flatMap(({ p, near }) => {
        const left = leftAt(p);
        return left < leftAt(near.at) ? [left] : [];
      });
      if (out.length === 0)
        return [{ panel, edge, left: Math.min(...moved.map(({ p }) => leftAt(p))), verdict: 'takenIn' }];
      const left = Math.min(...out);
      return [{ panel, edge, left, verdict: letOut(left, panel === 'front' && edge === 'rise') }];
    });
  });
}

function letOut(left: number, frontCurve: boolean): CutVerdict {
  if (left < 0) return frontCurve ? 'gone' : 'setIn';
  return left < SEAM ? 'tight' : 'inlay';
}
