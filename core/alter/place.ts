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

/** What an alteration is done to. */
export type PanelChoice = PanelName | 'both';
