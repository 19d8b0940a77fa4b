import { distance, endOf, pathBox, point, startOf, type Path, type Point } from '../geometry/index.js';
import type { Edge, Part } from '../garment/index.js';

/** A path whose very end is put on a place that it reaches but for rounding. */
export function endedAt(path: Path, end: Point): Path {
  if (distance(endOf(path), end) < 1e-9) return path;
  return path.map((c, k) => (k === path.length - 1 ? { ...c, p3: end } : c));
}

/** Edges in a ring, each ending exactly where the next begins. */
export const ringOf = (edges: readonly Edge[]): Edge[] =>
  edges.map((e, i) => ({ ...e, path: endedAt(e.path, startOf((edges[(i + 1) % edges.length] ?? e).path)) }));

/**
 * Grain and words for a part cut from a panel: the grain upright, at an `x` of the panel or as near to it as the part
 * reaches. mm.
 */
export function ringWords(edges: readonly Edge[], x: number): Pick<Part, 'grain' | 'words'> {
  const box = pathBox(edges.flatMap(({ path }) => path));
  const [wide, tall] = [box.maxX - box.minX, box.maxY - box.minY];
  const at = Math.min(box.maxX - wide * 0.1, Math.max(box.minX + wide * 0.1, x));
  return {
    grain: [point(at, box.minY + tall * 0.25), point(at, box.maxY - tall * 0.15)],
    words: [point(box.minX + wide * 0.08, box.minY + tall * 0.3), point(at, box.minY + tall * 0.3)],
  };
}
