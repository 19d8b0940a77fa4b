import type { Path } from '../geometry/index.js';
import type { Garment, Part } from '../garment/index.js';
import type { Allowances } from './allowance.js';
import { cutLine } from './cut-line.js';
import { snippedNotches, type Notch } from './notch.js';

/** A piece of the pattern: a part with its cut line and notches. Part coordinates, mm. */
export interface Piece {
  readonly part: Part;
  readonly cut: Path;
  readonly notches: readonly Notch[];
}

/** The pieces of a garment, one for each part, in their order. */
export const piecesOf = (garment: Garment, allowances: Allowances): readonly Piece[] =>
  garment.parts.map((part) => {
    const cut = cutLine(garment, part, allowances);
    return { part, cut, notches: snippedNotches(garment, part, cut) };
  });
