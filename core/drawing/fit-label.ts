import { boxOf, contains, flatten, point, type Box, type Path, type Point } from '../geometry/index.js';

/** A line of a label: its words and the height of their em at full size, in mm. */
export interface LabelLine {
  readonly text: string;
  readonly size: number;
}

/** Where a label stands: the start of its first line, how it is turned and how much smaller than full size it is. */
export interface LabelPlace {
  readonly at: Point;
  /** Clockwise, in degrees: upright, or a quarter turned where the piece is a strip. */
  readonly turn: 0 | 90;
  readonly scale: number;
}

/** Where pages are joined: from a first join at x and y one every `step`, both ways, in mm. */
export interface Joins {
  readonly x: number;
  readonly y: number;
  readonly step: { readonly x: number; readonly y: number };
  /** Whether a page carries anything, by how many joins lie before it: words need no page of their own. */
  readonly carries?: (column: number, row: number) => boolean;
}

/** Words keep so clear of a join, in mm. */
const CLEAR_OF_JOIN = 2.5;

/** True where no join goes through a box, nor near it, and its page is there for more than it. */
export function clearOfJoins({ minX, minY, maxX, maxY }: Box, { x, y, step, carries }: Joins): boolean {
  const cell = (at: number, first: number, every: number): number => Math.floor((at - first) / every);
  const [column, row] = [cell(minX - CLEAR_OF_JOIN, x, step.x), cell(minY - CLEAR_OF_JOIN, y, step.y)];
  if (column !== cell(maxX + CLEAR_OF_JOIN, x, step.x) || row !== cell(maxY + CLEAR_OF_JOIN, y, step.y)) return false;
  return carries?.(column, row) ?? true;
}

/** An em is taken as so wide as high; letters are narrower on the whole. */
const WIDEST_LETTER = 0.56;
/** From one line to the next, in ems. */
const LEADING = 1.35;
/** A label keeps so clear of the outline, in mm. */
const CLEAR = 2;
const SCALES = [1, 0.8, 0.62, 0.48, 0.36, 0.27];
/** Where along its sides a label is looked at, the corners first. */
const ROUND = [0, 1, 0.5, 0.25, 0.75];
/** So many rows and columns of places are tried. */
const TRIED = 14;

/** Where the lines of a label start, one below the other, from the first at (0, 0), in mm at full size. */
export function labelOffsets(lines: readonly LabelLine[]): number[] {
  let at = 0;
  return lines.map(({ size }, i) => {
    at += i === 0 ? 0 : size * LEADING;
    return at;
  });
}

const sizeOf = (lines: readonly LabelLine[]): { width: number; above: number; below: number } => ({
  width: Math.max(...lines.map(({ text, size }) => text.length * size * WIDEST_LETTER)),
  above: lines[0]?.size ?? 0,
  below: (labelOffsets(lines).at(-1) ?? 0) + (lines.at(-1)?.size ?? 0) * 0.3,
});

/**
 * A place for a label within a piece, clear of its outline: where it is wished, else the largest of some scales that
 * fits anywhere, upright before turned; nothing where none does. Where pages are joined, no join goes through it. Outline
 * in the coordinates of the sheet, mm.
 */
export function fitLabel(
  outline: Path,
  lines: readonly LabelLine[],
  wished: Point,
  joins?: Joins,
): LabelPlace | undefined {
  const ring = flatten(outline, 0.5);
  const { width, above, below } = sizeOf(lines);
  const box = boxOf(ring);
  const fits = (at: Point, turn: 0 | 90, scale: number): boolean => {
    const [left, right, top, foot] = [-CLEAR, width * scale + CLEAR, -above * scale - CLEAR, below * scale + CLEAR];
    const room: Box =
      turn === 0
        ? { minX: at.x + left, maxX: at.x + right, minY: at.y + top, maxY: at.y + foot }
        : { minX: at.x - foot, maxX: at.x - top, minY: at.y + left, maxY: at.y + right };
    if (room.minX < box.minX || room.maxX > box.maxX || room.minY < box.minY || room.maxY > box.maxY) return false;
    if (joins !== undefined && !clearOfJoins(room, joins)) return false;
    const within = (x: number, y: number): boolean => contains(ring, point(x, y));
    // The corners first: where a label does not fit, one of them mostly lies outside.
    for (const i of ROUND) {
      const x = room.minX + (room.maxX - room.minX) * i;
      const y = room.minY + (room.maxY - room.minY) * i;
      if (!within(x, room.minY) || !within(x, room.maxY) || !within(room.minX, y) || !within(room.maxX, y))
        return false;
    }
    return true;
  };
  if (fits(wished, 0, 1)) return { at: wished, turn: 0, scale: 1 };
  for (const scale of SCALES) {
    for (const turn of [0, 90] as const) {
      for (let row = 1; row < TRIED; row++) {
        for (let column = 0; column < TRIED; column++) {
          const at = {
            x: box.minX + ((box.maxX - box.minX) * column) / TRIED + CLEAR + 1,
            y: box.minY + ((box.maxY - box.minY) * row) / TRIED,
          };
          if (fits(at, turn, scale)) return { at, turn, scale };
        }
      }
    }
  }
  return undefined;
}
