import type { Edge, Garment, Part, PartMark } from '../garment/index.js';
import { mapPath, type Path, type Point } from '../geometry/index.js';

/** How much a cloth shrinks, as shares of its length (along the grain line) and its width. */
export interface Shrinkage {
  readonly length: number;
  readonly width: number;
}

/** A cloth that does not shrink. */
export const NO_SHRINKAGE: Shrinkage = { length: 0, width: 0 };

function grownPart(part: Part, move: (p: Point) => Point): Part {
  const path = (p: Path): Path => mapPath(p, move);
  const edge = (e: Edge): Edge => ({ ...e, path: path(e.path), ...(e.sewn ? { sewn: path(e.sewn) } : {}) });
  const mark = (m: PartMark): PartMark => (m.kind === 'line' ? { ...m, path: path(m.path) } : { ...m, at: move(m.at) });
  const [top, bottom] = part.grain;
  const [left, right] = part.words;
  return {
    ...part,
    edges: part.edges.map(edge),
    marks: part.marks.map(mark),
    grain: [move(top), move(bottom)],
    words: [move(left), move(right)],
  };
}

/**
 * A garment whose parts are grown by what the cloth will shrink, so that the washed pieces come back to their net size
 * (docs/trade/pieces.md). Parts lie with their grain line upright. Notches stay on their places of the cloth;
 * allowances are laid on afterwards and do not grow.
 */
export function grownGarment(garment: Garment, { length, width }: Shrinkage): Garment {
  if (length === 0 && width === 0) return garment;
  const move = (p: Point): Point => ({ x: p.x / (1 - width), y: p.y / (1 - length) });
  return { ...garment, parts: garment.parts.map((part) => grownPart(part, move)) };
}
