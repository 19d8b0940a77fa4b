import type { Path, PathPlace, Point } from '../geometry/index.js';
import type { PanelName } from '../method/index.js';

/** What an edge of a part is for (docs/trade/pieces.md). */
export type EdgeRole = 'waist' | 'side' | 'hem' | 'inseam' | 'rise' | 'fold' | 'opening' | 'join';

/** What the edge of a role is called. */
export const EDGE_LABELS: Readonly<Record<EdgeRole, string>> = {
  waist: 'Waist',
  side: 'Side',
  hem: 'Hem',
  inseam: 'Inseam',
  rise: 'Rise',
  fold: 'Fold',
  opening: 'Opening',
  join: 'Join',
};

/** The same within a sentence. */
export const EDGE_WORDS: Readonly<Record<EdgeRole, string>> = {
  waist: 'waist',
  side: 'side seam',
  hem: 'hem',
  inseam: 'inseam',
  rise: 'rise',
  fold: 'fold',
  opening: 'opening',
  join: 'join',
};

/** An edge of a part, on its stitching line. Part coordinates, mm. */
export interface Edge {
  readonly id: string;
  readonly role: EdgeRole;
  /** The panel that it was drawn on, where a part has edges of both. */
  readonly of?: PanelName;
  /** As it lies on the paper: dart mouths open. */
  readonly path: Path;
  /** As it is sewn, where that is another line: a waist with its darts closed. */
  readonly sewn?: Path;
  /** How deep it is turned back and forth from its line, fold by fold, in mm: a casing, a double hem, a turn-up. */
  readonly turned?: readonly number[];
  /** What is added outside it unless the maker gives otherwise, in mm; without it, what the profile has for its role. */
  readonly allowance?: number;
}

/** A notch of a part itself, where no seam is matched: the width of an elastic, the end of a zip. */
export interface OwnNotch {
  readonly edge: string;
  readonly label: string;
  readonly at: PathPlace;
  readonly count: 1 | 2;
}

/** What a line within a part means. */
export type LineMeaning = 'level' | 'crease' | 'dart' | 'fold' | 'placement';

/** Something marked within a part: a line, or a place that is drilled or pricked. */
export type PartMark =
  | { readonly kind: 'line'; readonly meaning: LineMeaning; readonly label: string; readonly path: Path }
  | { readonly kind: 'drill'; readonly label: string; readonly at: Point };

/** The cloth a part is cut in. */
export type Cloth = 'shell' | 'lining' | 'pocketing' | 'interfacing';

/** How often a part is cut, and how: a mirrored pair, pieces all alike, or one on the fold. */
export interface Cut {
  readonly count: number;
  readonly how: 'mirrored' | 'alike' | 'on the fold';
}

/**
 * One piece of the pattern, net. Part coordinates, mm, y downward; the outline runs so that its inside is on the left.
 */
export interface Part {
  readonly id: string;
  readonly name: string;
  /** The part that it is one leg's of: what is given for that one holds for it too. */
  readonly like?: string;
  /** Which leg it belongs to; a pair that is alike belongs to both. */
  readonly leg: 'both' | 'left' | 'right';
  /** In the order of the outline, each beginning where the one before it ends, the last ending at the first. */
  readonly edges: readonly Edge[];
  readonly marks: readonly PartMark[];
  readonly notches?: readonly OwnNotch[];
  /** Both ends of the grain line, upper first. */
  readonly grain: readonly [Point, Point];
  /** Both ends of the line below which its words stand. */
  readonly words: readonly [Point, Point];
  readonly cloth: Cloth;
  readonly cut: Cut;
  /** Which side of the cloth is up where the part lies as it is drawn. */
  readonly up: 'right' | 'wrong';
  /** Drawn on the frame of the block: such parts share their levels. */
  readonly onFrame: boolean;
}

/** The closed net outline of a part as one path. */
export const partOutline = ({ edges }: Pick<Part, 'edges'>): Path => edges.flatMap(({ path }) => path);

/** An edge of a part by its name. Throws where the part has none of that name, since that is a bug. */
export function edgeOf(part: Part, id: string): Edge {
  const found = part.edges.find((e) => e.id === id);
  if (!found) throw new Error(`The part ${part.id} has no edge ${id}`);
  return found;
}

/** A place at the beginning of a curve of a path, or at its end where there is no such curve. */
export const atCurve = (path: Path, index: number): PathPlace =>
  index < path.length ? { index, t: 0 } : { index: path.length - 1, t: 1 };
