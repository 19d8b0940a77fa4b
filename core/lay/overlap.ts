import { boundsOf, turnOf, type Bounds, type Corner, type Polygon } from './polygon.js';

/** A shape as it may lie: its convex parts and the box about them, from its own origin. */
export interface Lying {
  readonly parts: readonly Polygon[];
  readonly bounds: Bounds;
}

/** The sum of two convex polygons, the second turned about: where its origin may not be while they overlap. */
function sumOf(a: Polygon, b: Polygon): Polygon {
  const turned = b.map(([x, y]): Corner => [-x, -y]);
  const lowest = (p: Polygon): number =>
    p.reduce((best, [x, y], i) => {
      const [bx, by] = p[best] as Corner;
      return y < by || (y === by && x < bx) ? i : best;
    }, 0);
  const [i0, j0] = [lowest(a), lowest(turned)];
  const found: Corner[] = [];
  let [i, j] = [0, 0];
  while (i < a.length || j < turned.length) {
    const p = a[(i0 + i) % a.length] as Corner;
    const q = turned[(j0 + j) % turned.length] as Corner;
    found.push([p[0] + q[0], p[1] + q[1]]);
    const p2 = a[(i0 + i + 1) % a.length] as Corner;
    const q2 = turned[(j0 + j + 1) % turned.length] as Corner;
    const side = (p2[0] - p[0]) * (q2[1] - q[1]) - (p2[1] - p[1]) * (q2[0] - q[0]);
    if (j >= turned.length || (i < a.length && side > 0)) i++;
    else if (i >= a.length || side < 0) j++;
    else {
      i++;
      j++;
    }
  }
  return found.filter((c, k) => {
    const before = found[(k + found.length - 1) % found.length] as Corner;
    const after = found[(k + 1) % found.length] as Corner;
    return turnOf(before, c, after) > 1e-9;
  });
}

/** The side of a cell in which sums are kept, in mm. */
const CELL = 40;

/**
 * How deep one shape lies in another, by where the origin of the second lies from that of the first (Minkowski sums of
 * their convex parts, kept in cells). Sums of distances only: nothing is drawn.
 */
export class Overlap {
  /** The sides of all sums one after the other: normal outward, and how far from the origin. */
  private readonly sides: Float64Array;
  private readonly starts: Int32Array;
  private readonly cells: readonly (readonly number[] | undefined)[];
  private readonly columns: number;
  private readonly left: number;
  private readonly low: number;
  private readonly right: number;
  private readonly high: number;

  constructor(first: Lying, second: Lying, gap: number) {
    const sums = first.parts.flatMap((a) => second.parts.map((b) => sumOf(a, b)));
    const sides: number[] = [];
    const starts = [0];
    for (const sum of sums) {
      sum.forEach(([x, y], i) => {
        const [x2, y2] = sum[(i + 1) % sum.length] as Corner;
        const long = Math.hypot(x2 - x, y2 - y);
        const [nx, ny] = [(y2 - y) / long, -(x2 - x) / long];
        sides.push(nx, ny, nx * x + ny * y + gap);
      });
      starts.push(sides.length);
    }
    this.sides = Float64Array.from(sides);
    this.starts = Int32Array.from(starts);
    const boxes = sums.map(boundsOf);
    this.left = Math.min(...boxes.map((b) => b.left)) - gap;
    this.right = Math.max(...boxes.map((b) => b.right)) + gap;
    this.low = Math.min(...boxes.map((b) => b.low)) - gap;
    this.high = Math.max(...boxes.map((b) => b.high)) + gap;
    this.columns = Math.floor((this.right - this.left) / CELL) + 1;
    const rows = Math.floor((this.high - this.low) / CELL) + 1;
    const cells: (number[] | undefined)[] = new Array<number[] | undefined>(this.columns * rows).fill(undefined);
    boxes.forEach((box, sum) => {
      const cell = (at: number, from: number): number => Math.floor((at - from) / CELL);
      for (let row = cell(box.low - gap, this.low); row <= cell(box.high + gap, this.low); row++) {
        for (let column = cell(box.left - gap, this.left); column <= cell(box.right + gap, this.left); column++) {
          if (this.missesCell(sum, column, row)) continue;
          const at = row * this.columns + column;
          (cells[at] ??= []).push(sum);
        }
      }
    });
    this.cells = cells;
  }

  /** True where one side of a sum has all of a cell outside. */
  private missesCell(sum: number, column: number, row: number): boolean {
    const [x, y] = [this.left + (column + 0.5) * CELL, this.low + (row + 0.5) * CELL];
    const { sides, starts } = this;
    for (let s = starts[sum] as number; s < (starts[sum + 1] as number); s += 3) {
      const [nx, ny, off] = [sides[s] as number, sides[s + 1] as number, sides[s + 2] as number];
      if (nx * x + ny * y - (Math.abs(nx) + Math.abs(ny)) * (CELL / 2) > off) return true;
    }
    return false;
  }

  /** How deep they lie in one another where the second's origin lies at (x, y) from the first's, in mm; 0 where apart. */
  depth(x: number, y: number): number {
    if (x <= this.left || x >= this.right || y <= this.low || y >= this.high) return 0;
    const cell = this.cells[Math.floor((y - this.low) / CELL) * this.columns + Math.floor((x - this.left) / CELL)];
    if (!cell) return 0;
    const { sides, starts } = this;
    let deepest = 0;
    for (const sum of cell) {
      const end = starts[sum + 1] as number;
      let depth = Infinity;
      for (let s = starts[sum] as number; s < end; s += 3) {
        const inside = (sides[s + 2] as number) - (sides[s] as number) * x - (sides[s + 1] as number) * y;
        if (inside < depth) {
          depth = inside;
          if (depth <= deepest) break;
        }
      }
      if (depth > deepest) deepest = depth;
    }
    return deepest;
  }
}
