import { cross, endOf, flatten, mirror, startOf, subtract, unit, type Point } from '../geometry/index.js';
import type { Fold, Nap } from '../cloth/index.js';
import type { Cloth } from '../garment/index.js';
import type { Piece } from '../piece/index.js';
import type { LayShape } from './job.js';
import { tidied, type Corner, type Polygon } from './polygon.js';

/** Curves of pieces are laid by straights within this, in mm. */
const FLATNESS = 0.1;

/** A place this near to a fold, in mm, lies on it. */
const ON_FOLD = 0.05;

/** The outline of a piece that is cut on the fold, opened out: it and its mirror image along the fold. */
function unfolded({ part }: Piece, points: readonly Point[]): readonly Point[] {
  const fold = part.edges.find((e) => e.role === 'fold')?.path;
  if (part.cut.how !== 'on the fold' || !fold) return points;
  const [on, d] = [startOf(fold), unit(subtract(endOf(fold), startOf(fold)))];
  const off = (p: Point): number => Math.abs(cross(d, subtract(p, on)));
  const open = points.slice(0, -1);
  // The run that is not on the fold, from where the outline leaves it to where it comes back.
  const leaves = open.findIndex((p, i) => off(p) <= ON_FOLD && off(open[(i + 1) % open.length] ?? p) > ON_FOLD);
  if (leaves < 0) return points;
  const turned = [...open.slice(leaves), ...open.slice(0, leaves)];
  const back = turned.findIndex((p, i) => i > 0 && off(p) <= ON_FOLD);
  const half = turned.slice(0, back + 1);
  return [
    ...half,
    ...half
      .slice(1, -1)
      .map((p) => mirror(p, on, d))
      .reverse(),
  ];
}

/** The cut outline of a piece as it lies on the cloth: its grain along x, right side up, opened out. */
const onCloth = (piece: Piece): Polygon =>
  tidied(unfolded(piece, flatten(piece.cut, FLATNESS)).map((p) => lying(piece, p)));

/** A point of a piece as it lies on the cloth. */
const lying = ({ part }: Piece, { x, y }: Point): Corner => (part.up === 'wrong' ? [y, x] : [y, -x]);

/** Where a leg's crease meets a level that all legs share: stripes and bars are matched there. */
const matchOf = (piece: Piece): Corner | undefined =>
  piece.part.onFrame ? lying(piece, { x: piece.part.grain[0].x, y: 0 }) : undefined;

/** The turns that a nap allows, in degrees: half a turn is against a nap that runs one way. */
export const turnsOf = (nap: Nap | 'none'): readonly (0 | 180)[] => (nap === 'one-way' ? [0] : [0, 180]);

/**
 * The pieces of one cloth as shapes to be laid. On folded cloth every cut gives two, one the other's mirror image: pairs
 * are cut at once, of an odd single part one is left over. `garments` of them are cut.
 */
export function garmentShapes(
  pieces: readonly Piece[],
  cloth: Cloth,
  nap: Nap | 'none',
  fold: Fold,
  garments = 1,
): readonly LayShape[] {
  return pieces
    .filter(({ part }) => part.cloth === cloth)
    .map((piece): LayShape => {
      const { count, how } = piece.part.cut;
      const folded = fold === 'folded';
      return {
        id: piece.part.id,
        outline: onCloth(piece),
        count: folded ? Math.ceil((count * garments) / 2) : count * garments,
        turns: turnsOf(nap),
        mirrored: !folded && how === 'mirrored',
        match: matchOf(piece),
      };
    });
}

/** The cloths that pieces are cut in, in the order of their first piece. */
export const clothsOf = (pieces: readonly Piece[]): readonly Cloth[] => [
  ...new Set(pieces.map(({ part }) => part.cloth)),
];
