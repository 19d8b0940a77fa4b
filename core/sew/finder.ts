import type { Point } from '../geometry/index.js';

/** The shares of a triangle's corners at a place; negative outside. */
function sharesAt(p: Point, a: Point, b: Point, c: Point): readonly [number, number, number] {
  const twice = (b.x - a.x) * (c.y - a.y) - (c.x - a.x) * (b.y - a.y);
  const u = ((b.x - p.x) * (c.y - p.y) - (c.x - p.x) * (b.y - p.y)) / twice;
  const v = ((c.x - p.x) * (a.y - p.y) - (a.x - p.x) * (c.y - p.y)) / twice;
  return [u, v, 1 - u - v];
}

/** A place of a mesh: the corners of the triangle in which it lies, and the share of each. */
export interface InTriangle {
  readonly corners: readonly number[];
  readonly shares: readonly number[];
}

/** Finds the triangle of a mesh in which a place lies; outside it, the place of the nearest that is least outside. */
export function finderIn(
  places: readonly Point[],
  triangles: readonly (readonly [number, number, number])[],
): (p: Point) => InTriangle {
  const cell = 40;
  const cells = new Map<string, number[]>();
  const at = (t: number): [Point, Point, Point] =>
    (triangles[t] as readonly [number, number, number]).map((i) => places[i] as Point) as [Point, Point, Point];
  const key = (x: number, y: number): string => `${x} ${y}`;
  triangles.forEach((_, t) => {
    const of = at(t);
    const xs = of.map((p) => Math.floor(p.x / cell));
    const ys = of.map((p) => Math.floor(p.y / cell));
    for (let x = Math.min(...xs); x <= Math.max(...xs); x++)
      for (let y = Math.min(...ys); y <= Math.max(...ys); y++) {
        const found = cells.get(key(x, y));
        if (found) found.push(t);
        else cells.set(key(x, y), [t]);
      }
  });
  return (p) => {
    const [cx, cy] = [Math.floor(p.x / cell), Math.floor(p.y / cell)];
    let best: InTriangle & { out: number } = { corners: [0, 0, 0], shares: [1, 0, 0], out: Infinity };
    /** Looks at the triangles of a cell; true where one of them holds the place. */
    const look = (x: number, y: number): boolean => {
      for (const t of cells.get(key(x, y)) ?? []) {
        const shares = sharesAt(p, ...at(t));
        const out = -Math.min(...shares);
        if (out < best.out) best = { corners: triangles[t] ?? [], shares, out };
        if (out <= 0) return true;
      }
      return false;
    };
    // What holds a place is in its own cell; only a place outside all triangles asks further.
    if (look(cx, cy)) return best;
    for (let x = cx - 1; x <= cx + 1; x++)
      for (let y = cy - 1; y <= cy + 1; y++) if ((x !== cx || y !== cy) && look(x, y)) return best;
    return { corners: best.corners, shares: heldWithin(best.shares) };
  };
}

/** Shares held to a triangle: none below nought, all of them one together. */
function heldWithin(shares: readonly number[]): number[] {
  const held = shares.map((s) => Math.max(0, s));
  const whole = held.reduce((sum, s) => sum + s, 0);
  return held.map((s) => s / whole);
}
