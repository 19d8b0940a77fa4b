import type { Flaw } from '../cloth/index.js';
import { placedOutline } from './placed-outline.js';
import type { LayShape, Placed } from './job.js';
import { boundsOf, type Corner } from './polygon.js';

/** A rectangle of cloth that nothing lies on: where it begins along and across the cloth, and its size, in mm. */
export type LeftOver = Omit<Flaw, 'id'>;

/** Cloth is looked at in squares of this side, in mm. */
const CELL = 5;
/** A rectangle narrower or shorter than this, in mm, is no piece worth keeping; nor are more than so many told. */
const LEAST = 100;
const MOST = 3;

/** The squares of a cloth, true where something lies. */
class Squares {
  readonly columns: number;
  readonly rows: number;
  private readonly taken: Uint8Array;

  constructor(length: number, width: number) {
    this.columns = Math.max(0, Math.floor(length / CELL));
    this.rows = Math.max(0, Math.floor(width / CELL));
    this.taken = new Uint8Array(this.columns * this.rows);
  }

  isTaken(column: number, row: number): boolean {
    return this.taken[row * this.columns + column] === 1;
  }

  take(column: number, row: number): void {
    if (column >= 0 && row >= 0 && column < this.columns && row < this.rows)
      this.taken[row * this.columns + column] = 1;
  }

  /** Takes every square that an outline touches: the spans of its rows, sampled thrice a square, and one square about. */
  takeOutline(outline: readonly Corner[]): void {
    const { low, high } = boundsOf(outline);
    for (let y = Math.floor(low / CELL) * CELL; y <= high; y += CELL / 3) {
      const crossings = outline
        .flatMap(([x1, y1], i): number[] => {
          const [x2, y2] = outline[(i + 1) % outline.length] as Corner;
          return y1 <= y === y2 <= y ? [] : [x1 + ((y - y1) / (y2 - y1)) * (x2 - x1)];
        })
        .sort((a, b) => a - b);
      const row = Math.floor(y / CELL);
      for (let k = 0; k + 1 < crossings.length; k += 2) {
        const first = Math.floor((crossings[k] as number) / CELL) - 1;
        const last = Math.floor((crossings[k + 1] as number) / CELL) + 1;
        for (let column = first; column <= last; column++) {
          for (let r = row - 1; r <= row + 1; r++) this.take(column, r);
        }
      }
    }
  }

  /** The largest rectangle of free squares (largest rectangle under a histogram, row by row); nothing where all is taken. */
  largestFree(): { column: number; row: number; columns: number; rows: number } | undefined {
    const free = new Int32Array(this.columns);
    let best: { column: number; row: number; columns: number; rows: number } | undefined;
    for (let row = 0; row < this.rows; row++) {
      const stack: number[] = [];
      for (let column = 0; column <= this.columns; column++) {
        if (column < this.columns) free[column] = this.isTaken(column, row) ? 0 : (free[column] as number) + 1;
        const now = column < this.columns ? (free[column] as number) : 0;
        while (stack.length > 0 && (free[stack[stack.length - 1] as number] as number) >= now) {
          const rows = free[stack.pop() as number] as number;
          const from = stack.length > 0 ? (stack[stack.length - 1] as number) + 1 : 0;
          const columns = column - from;
          if (Math.min(columns, rows) * CELL >= LEAST && (!best || columns * rows > best.columns * best.rows))
            best = { column: from, row: row - rows + 1, columns, rows };
        }
        stack.push(column);
      }
    }
    return best;
  }
}

/**
 * The rectangles that are left of the cloth that was bought and are worth keeping, the largest first: nothing lies on them,
 * no flaw either (docs/trade/lay.md).
 */
export function leftOvers(
  shapes: readonly LayShape[],
  placed: readonly Placed[],
  { length, width }: { readonly length: number; readonly width: number },
  flaws: readonly LeftOver[] = [],
): readonly LeftOver[] {
  const squares = new Squares(length, width);
  for (const p of placed) {
    const shape = shapes.find((s) => s.id === p.id);
    if (shape) squares.takeOutline(placedOutline(shape, p));
  }
  for (const f of flaws) {
    squares.takeOutline([
      [f.along, f.across],
      [f.along + f.length, f.across],
      [f.along + f.length, f.across + f.width],
      [f.along, f.across + f.width],
    ]);
  }
  const found: LeftOver[] = [];
  while (found.length < MOST) {
    const free = squares.largestFree();
    if (!free) return found;
    const { column, row, columns, rows } = free;
    found.push({ along: column * CELL, across: row * CELL, length: columns * CELL, width: rows * CELL });
    for (let c = column; c < column + columns; c++) for (let r = row; r < row + rows; r++) squares.take(c, r);
  }
  return found;
}
