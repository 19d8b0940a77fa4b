import { endOf, startOf, type Path, type Point } from '../geometry/index.js';
import type { EdgeName } from '../draft/index.js';
import type { Levels, PanelName } from '../method/index.js';

/** A level on a piece: `by` mm below (+) a line of the frame, or the waist line (`waistLine`). */
export interface LevelPlace {
  readonly line: keyof Levels | 'waistLine';
  readonly by: number;
}

/**
 * A place on a seam: at a share (0 to 1) of its length from its upper end (waist: from the centre, hem: from the side), or at a
 * level.
 */
export type SeamPlace =
  { readonly edge: EdgeName; readonly share: number } | { readonly edge: EdgeName; readonly level: LevelPlace };

/** Edges whose outline runs upward: a share of them counts from their upper end all the same. */
export const RUNS_UP: ReadonlySet<EdgeName> = new Set(['rise', 'inseam']);

/** A level this little beyond the end of a seam is its end, in mm: a side that was trued begins just below the waist line. */
export const NEAR_END = 30;

/** The end of a path that a level lies just beyond; nothing where it is far off both. */
export function endNear(path: Path, y: number): Point | undefined {
  const [near] = [startOf(path), endOf(path)].sort((a, b) => Math.abs(a.y - y) - Math.abs(b.y - y));
  return near && Math.abs(near.y - y) <= NEAR_END ? near : undefined;
}

/** What an alteration is done to. */
export type PanelChoice = PanelName | 'both';
