import { enclosedArea } from '../geometry/index.js';
import type { Cloth, Cut, Part } from '../garment/index.js';
import type { Piece } from './piece.js';

/** A line of a cut list: a part, how often it is cut, and how much cloth one takes, in mm². */
export interface CutListLine {
  readonly id: string;
  readonly name: string;
  readonly cloth: Cloth;
  readonly count: number;
  readonly how: Cut['how'];
  readonly leg: Part['leg'];
  /** Of one as it is cut, unfolded, in mm². */
  readonly area: number;
}

/** What is cut of one cloth. */
export interface CutListCloth {
  readonly cloth: Cloth;
  readonly lines: readonly CutListLine[];
  /** Pieces to cut in all. */
  readonly pieces: number;
  /** Area of all of them, in mm². */
  readonly area: number;
}

const CLOTHS: readonly Cloth[] = ['shell', 'lining', 'pocketing', 'interfacing'];

/** What is to be cut, cloth by cloth, with counts and areas (docs/trade/pieces.md). */
export function cutListOf(pieces: readonly Piece[]): readonly CutListCloth[] {
  const lines = pieces.map(({ part, cut }): CutListLine => {
    const folded = part.cut.how === 'on the fold' ? 2 : 1;
    return {
      id: part.id,
      name: part.name,
      cloth: part.cloth,
      count: part.cut.count,
      how: part.cut.how,
      leg: part.leg,
      area: folded * Math.abs(enclosedArea(cut)),
    };
  });
  return CLOTHS.flatMap((cloth): CutListCloth[] => {
    const of = lines.filter((l) => l.cloth === cloth);
    if (of.length === 0) return [];
    return [
      {
        cloth,
        lines: of,
        pieces: of.reduce((sum, l) => sum + l.count, 0),
        area: of.reduce((sum, l) => sum + l.count * l.area, 0),
      },
    ];
  });
}
