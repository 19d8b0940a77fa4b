import { line, point, type Path } from '../geometry/index.js';
import type { Edge, EdgeRole, Part } from '../garment/index.js';

/** What a rectangle's edges are called and what they are for: upper, first end, lower, second end. */
export interface RectangleEdges {
  readonly upper: readonly [string, EdgeRole];
  readonly start: readonly [string, EdgeRole];
  readonly lower: readonly [string, EdgeRole];
  readonly end: readonly [string, EdgeRole];
}

/**
 * The edges of a strip that lies with its length along the grain, upright: `lower` runs down its left side, from
 * `start` at the top to `end` at the foot, `upper` up its right side. Right side up. Lengths in mm.
 */
export function upright(long: number, wide: number, { upper, start, lower, end }: RectangleEdges): Edge[] {
  const [a, b, c, d] = [point(0, 0), point(wide, 0), point(wide, long), point(0, long)];
  const edge = ([id, role]: readonly [string, EdgeRole], path: Path): Edge => ({ id, role, path });
  return [edge(start, [line(b, a)]), edge(lower, [line(a, d)]), edge(end, [line(d, c)]), edge(upper, [line(c, b)])];
}

/** The grain line and the words of an upright rectangle. */
export function uprightWords(long: number, wide: number): Pick<Part, 'grain' | 'words'> {
  const inset = Math.min(20, long / 6);
  return {
    grain: [point(wide * 0.75, inset), point(wide * 0.75, Math.min(long - inset, inset + 400))],
    words: [point(Math.min(4, wide / 8), Math.min(30, long / 5)), point(wide, Math.min(30, long / 5))],
  };
}

/** A part's standing that most small pieces have: not on the frame, right side up. */
export const SMALL = { onFrame: false, up: 'right', leg: 'both' } as const;
