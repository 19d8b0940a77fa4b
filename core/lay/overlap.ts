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
const CELL = 20;
/** So many cells either way are a block. */
const BLOCK = 4;
/** A cell that nobody has asked of yet. */
const UNSEEN = -1;

/**
 * How deep one shape lies in another, by where the origin of the second lies from that of the first (Minkowski sums of
 * their convex parts). For each cell it is noted, when it is first asked of, which sums can be the deepest anywhere in it,
 * the deepest in its middle first. Sums of distances only: nothing is drawn.
 */
export class Overlap {
  /** The sides of all sums one after the other: normal outward, and how far from the origin. */
  private readonly sides: Float64Array;
  private readonly starts: Int32Array;
  /** Where the list of each cell begins in `lists`: where it ends, then its sums. */
  private readonly cells: Int32Array;
  private readonly lists: number[] = [];
  private readonly blocks = new Map<number, readonly number[]>();
  private readonly sums: readonly number[];
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
    this.sums = sums.map((_, i) => i);
    const boxes = sums.map(boundsOf);
    this.left = Math.min(...boxes.map((b) => b.left)) - gap;
    this.right = Math.max(...boxes.map((b) => b.right)) + gap;
    this.low = Math.min(...boxes.map((b) => b.low)) - gap;
    this.high = Math.max(...boxes.map((b) => b.high)) + gap;
    this.columns = Math.floor((this.right - this.left) / CELL) + 1;
    const rows = Math.floor((this.high - this.low) / CELL) + 1;
    this.cells = new Int32Array(this.columns * rows).fill(UNSEEN);
  }

  /** How deep a place lies in a sum, in mm, less than nought outside; nothing where that is no more than `bound`. */
  private depthIn(sum: number, x: number, y: number, bound: number): number | undefined {
    const { sides, starts } = this;
    const end = starts[sum + 1] as number;
    let depth = Infinity;
    for (let s = starts[sum] as number; s < end; s += 3) {
      const inside = (sides[s + 2] as number) - (sides[s] as number) * x - (sides[s + 1] as number) * y;
      if (inside <= bound) return undefined;
      if (inside < depth) depth = inside;
    }
    return depth;
  }

  /**
   * Of some sums those that can be the deepest somewhere in a square of a size about a place, the deepest in its middle
   * first, with their depths there: no depth changes by more than one moves.
   */
  private ableIn(
    sums: readonly number[],
    x: number,
    y: number,
    size: number,
  ): { readonly sum: number; readonly depth: number }[] {
    const corner = size * Math.SQRT1_2;
    const found: { readonly sum: number; readonly depth: number }[] = [];
    let deepest = 0;
    for (const sum of sums) {
      const depth = this.depthIn(sum, x, y, Math.max(0, deepest - corner) - corner);
      if (depth === undefined) continue;
      found.push({ sum, depth });
      if (depth > deepest) deepest = depth;
    }
    return found.filter(({ depth }) => depth + corner > deepest - corner).sort((a, b) => b.depth - a.depth);
  }

  /** The sums that can be the deepest in a block of cells; noted when one of them is first asked of. */
  private inBlock(column: number, row: number): readonly number[] {
    const at = row * this.columns + column;
    const known = this.blocks.get(at);
    if (known) return known;
    const size = CELL * BLOCK;
    const [x, y] = [this.left + (column + 0.5) * size, this.low + (row + 0.5) * size];
    const sums = this.ableIn(this.sums, x, y, size).map(({ sum }) => sum);
    this.blocks.set(at, sums);
    return sums;
  }

  /** Notes which sums can be the deepest somewhere in a cell. */
  private look(cell: number): number {
    const [column, row] = [cell % this.columns, Math.floor(cell / this.columns)];
    const [x, y] = [this.left + (column + 0.5) * CELL, this.low + (row + 0.5) * CELL];
    const able = this.ableIn(this.inBlock(Math.floor(column / BLOCK), Math.floor(row / BLOCK)), x, y, CELL);
    const at = this.lists.length;
    this.lists.push(at + able.length + 1);
    for (const { sum } of able) this.lists.push(sum);
    this.cells[cell] = at;
    return at;
  }

  /** How deep they lie in one another where the second's origin lies at (x, y) from the first's, in mm; 0 where apart. */
  depth(x: number, y: number): number {
    if (x <= this.left || x >= this.right || y <= this.low || y >= this.high) return 0;
    const cell = Math.floor((y - this.low) / CELL) * this.columns + Math.floor((x - this.left) / CELL);
    let at = this.cells[cell] as number;
    if (at === UNSEEN) at = this.look(cell);
    const { sides, starts, lists } = this;
    const last = lists[at] as number;
    let deepest = 0;
    for (let k = at + 1; k < last; k++) {
      const sum = lists[k] as number;
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
