import type { Block, Legs } from '../draft/index.js';
import { legs } from './legs.js';
import type { Part } from './part.js';
import type { Garment, Seam } from './seam.js';
import { unlikeLegs } from './unlike-legs.js';

/**
 * Makes parts of a garment, and the seams that join them to one another or to the parts made before. Data in, data out;
 * the block stays as it is.
 */
export type PartMaker = (block: Block, before: Garment) => { parts: readonly Part[]; seams: readonly Seam[] };

/** Everything that makes parts, in order: a maker may join its parts to those of the makers before it. */
export const PART_MAKERS: readonly PartMaker[] = [legs];

/** The garment that a block makes: its parts, net, and its seams (docs/trade/pieces.md). */
export const garmentOf = (block: Block, makers: readonly PartMaker[] = PART_MAKERS): Garment =>
  makers.reduce<Garment>(
    (before, make) => {
      const { parts, seams } = make(block, before);
      return { parts: [...before.parts, ...parts], seams: [...before.seams, ...seams] };
    },
    { parts: [], seams: [] },
  );

/** The garment of a draft whose legs may differ: what is then not a mirrored pair is two single pieces. */
export const garmentOfBoth = ({
  block,
  legs: each,
}: {
  readonly block: Block;
  readonly legs: Legs | undefined;
}): Garment => garmentOf(block, each ? [() => unlikeLegs(each), ...PART_MAKERS.slice(1)] : PART_MAKERS);
