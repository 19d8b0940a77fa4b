import type { Fold, Nap } from '../cloth/index.js';
import type { Cloth } from '../garment/index.js';
import type { Piece } from '../piece/index.js';
import { garmentShapes } from './garment-shapes.js';
import type { LayShape } from './job.js';

/** A garment on a cloth: its pieces, and how many of it are cut. */
export interface LaidGarment {
  /** The draft it is of; nothing for the one whose cloth it is. */
  readonly draft?: string;
  readonly pieces: readonly Piece[];
  readonly count: number;
}

/** The name of a part among the garments of one cloth: of another draft, that draft's before it. */
export const togetherName = (draft: string | undefined, part: string): string =>
  draft === undefined ? part : `${draft}/${part}`;

/** The pieces of several garments that are cut of one cloth as shapes to be laid, each named by its garment. */
export const shapesTogether = (
  garments: readonly LaidGarment[],
  cloth: Cloth,
  nap: Nap | 'none',
  fold: Fold,
): readonly LayShape[] =>
  garments.flatMap(({ draft, pieces, count }) =>
    garmentShapes(pieces, cloth, nap, fold, count).map((shape) => ({ ...shape, id: togetherName(draft, shape.id) })),
  );
