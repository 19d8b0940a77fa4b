import type { Shrinkage } from '../cloth/index.js';
import type { Cloth, Edge, Garment, Part, PartMark } from '../garment/index.js';
import { mapPath, type Path, type Point } from '../geometry/index.js';

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
 * A garment whose parts are grown by what their cloth will shrink, so that the washed pieces come back to their net size
 * (docs/trade/pieces.md). Parts lie with their grain line upright. Notches stay on their places of the cloth;
 * allowances are laid on afterwards and do not grow.
 */
export function grownGarment(garment: Garment, shrinkageOf: (cloth: Cloth) => Shrinkage): Garment {
  const grown = (part: Part): Part => {
    const { length, width } = shrinkageOf(part.cloth);
    if (length === 0 && width === 0) return part;
    return grownPart(part, (p) => ({ x: p.x / (1 - width), y: p.y / (1 - length) }));
  };
  const parts = garment.parts.map(grown);
  return parts.every((part, i) => part === garment.parts[i]) ? garment : { ...garment, parts };
}
