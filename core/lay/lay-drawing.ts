import { line, point, type Path } from '../geometry/index.js';
import type { Drawing, Mark } from '../drawing/index.js';
import type { LayShape, Placed } from './job.js';
import { placedOutline } from './placed-outline.js';
import { boundsOf, type Corner } from './polygon.js';

/** Words on a part are at most so much of its height. */
const WORDS_SHARE = 0.25;

/** How high the words on a part are at the most, in mm, and how high they have to be for any to stand there. */
export interface LayWords {
  readonly most: number;
  readonly least: number;
}

const FULL_SIZE: LayWords = { most: 16, least: 0 };

const closed = (corners: readonly Corner[]): Path =>
  corners.map(([x, y], i) => {
    const [x2, y2] = corners[(i + 1) % corners.length] as Corner;
    return line(point(x, y), point(x2, y2));
  });

/** A lay as a drawing at full size: the cloth with every copy on it, its length to the right, each with its name. */
export function layDrawing(
  shapes: readonly LayShape[],
  placed: readonly Placed[],
  { length, width }: { readonly length: number; readonly width: number },
  nameOf: (id: string) => string,
  { most, least }: LayWords = FULL_SIZE,
): Drawing {
  const marks = placed.flatMap((p): Mark[] => {
    const shape = shapes.find((s) => s.id === p.id);
    if (!shape) return [];
    const outline = placedOutline(shape, p);
    const { left, right, low, high } = boundsOf(outline);
    const text = nameOf(p.id);
    const size = Math.min(most, WORDS_SHARE * (high - low), (1.6 * (right - left)) / Math.max(1, text.length));
    const at = point((left + right) / 2 - text.length * size * 0.25, (low + high) / 2 + size * 0.35);
    return [
      { kind: 'line', role: 'cut', name: `${p.id}.${p.copy}`, part: p.id, path: closed(outline) },
      ...(size < least ? [] : [{ kind: 'text' as const, at, text, size, turn: 0 as const }]),
    ];
  });
  const cloth: Corner[] = [
    [0, 0],
    [length, 0],
    [length, width],
    [0, width],
  ];
  return {
    width: length,
    height: width,
    marks: [{ kind: 'line', role: 'construction', name: 'cloth', path: closed(cloth) }, ...marks],
  };
}
