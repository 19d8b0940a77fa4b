import { sliceAt, valueIn, type Form } from './form.js';

/** Distances to a body on a lattice, one half of it; lengths in mm. */
export interface DistanceGrid {
  readonly step: number;
  readonly least: readonly [x: number, y: number, z: number];
  readonly count: readonly [x: number, y: number, z: number];
  /** In rows of z, within rows of y, within x. Negative inside. */
  readonly values: Float32Array;
}

/** How far round a body its distances are known, in mm. */
const MARGIN = 60;
/** Places are looked at in blocks of so many each way; a block whose middle is so far from the body, in mm, is far. */
const BLOCK = 4;
const FAR = 45;
/** A value that changes slower than this for each mm is not stretched any more. */
const LEAST_SLOPE = 0.35;

/**
 * The distances to a body from places on a lattice of `step` mm, from `low` to `high` mm above where its inseam ends;
 * the values of its form, made even by their own slope. Mirrored places at the middle are within it.
 */
export function gridOf(form: Form, low: number, high: number, step = 6): DistanceGrid {
  const levels = Array.from({ length: Math.ceil((high - low) / step) + 1 }, (_, i) => sliceAt(form, low + i * step));
  const reach = (of: (s: (typeof levels)[number]) => number): number => Math.max(...levels.map(of)) + MARGIN;
  const x1 = reach((s) => Math.max(s.half, s.legMiddle + s.legHalf));
  const front = reach((s) => Math.max(s.front, s.legFront));
  const back = reach((s) => Math.max(s.back, s.legBack));
  const least = [-2 * step, low, -back] as const;
  const nx = Math.ceil((x1 - least[0]) / step) + 1;
  const ny = levels.length;
  const nz = Math.ceil((front + back) / step) + 1;
  const raw = new Float32Array(nx * ny * nz);
  const valueAt = (i: number, j: number, k: number): number =>
    valueIn(levels[j] as (typeof levels)[number], Math.abs(least[0] + i * step), -back + k * step);
  // Only near the body every place is worked out; a block far from it is as far as its middle.
  for (let i0 = 0; i0 < nx; i0 += BLOCK)
    for (let j0 = 0; j0 < ny; j0 += BLOCK)
      for (let k0 = 0; k0 < nz; k0 += BLOCK) {
        const [i1, j1, k1] = [Math.min(nx, i0 + BLOCK), Math.min(ny, j0 + BLOCK), Math.min(nz, k0 + BLOCK)];
        const middle = valueAt((i0 + i1) >> 1, (j0 + j1) >> 1, (k0 + k1) >> 1);
        const far = Math.abs(middle) > FAR;
        for (let i = i0; i < i1; i++)
          for (let j = j0; j < j1; j++)
            for (let k = k0; k < k1; k++) raw[(i * ny + j) * nz + k] = far ? middle : valueAt(i, j, k);
      }
  const values = new Float32Array(raw.length);
  const slope = (at: number, by: number, first: boolean, last: boolean): number => {
    const [a, b] = [first ? at : at - by, last ? at : at + by];
    return ((raw[b] as number) - (raw[a] as number)) / (step * (first || last ? 1 : 2));
  };
  for (let i = 0; i < nx; i++)
    for (let j = 0; j < ny; j++)
      for (let k = 0; k < nz; k++) {
        const at = (i * ny + j) * nz + k;
        const gx = slope(at, ny * nz, i === 0, i === nx - 1);
        const gy = slope(at, nz, j === 0, j === ny - 1);
        const gz = slope(at, 1, k === 0, k === nz - 1);
        values[at] = (raw[at] as number) / Math.max(LEAST_SLOPE, Math.sqrt(gx * gx + gy * gy + gz * gz));
      }
  return { step, least, count: [nx, ny, nz], values };
}

/** A place on a lattice of so many, held within it. */
const held = (at: number, count: number): number => (at < 0 ? 0 : at > count - 1.001 ? count - 1.001 : at);

/**
 * The distance of a place to a body and the direction outward, written to `out` as distance, x, y, z; the direction is
 * not of length one. Places beyond the lattice are as far as its edge.
 */
export function distanceInto(grid: DistanceGrid, x: number, y: number, z: number, out: Float64Array): void {
  const { step, least, count, values } = grid;
  const ny = count[1];
  const nz = count[2];
  const px = held((x - least[0]) / step, count[0]);
  const py = held((y - least[1]) / step, ny);
  const pz = held((z - least[2]) / step, nz);
  const i = Math.floor(px);
  const j = Math.floor(py);
  const k = Math.floor(pz);
  const u = px - i;
  const v = py - j;
  const w = pz - k;
  const at = (i * ny + j) * nz + k;
  const dx = ny * nz;
  const dy = nz;
  const a000 = values[at] as number;
  const a001 = values[at + 1] as number;
  const a010 = values[at + dy] as number;
  const a011 = values[at + dy + 1] as number;
  const a100 = values[at + dx] as number;
  const a101 = values[at + dx + 1] as number;
  const a110 = values[at + dx + dy] as number;
  const a111 = values[at + dx + dy + 1] as number;
  const b00 = a000 + (a001 - a000) * w;
  const b01 = a010 + (a011 - a010) * w;
  const b10 = a100 + (a101 - a100) * w;
  const b11 = a110 + (a111 - a110) * w;
  const c0 = b00 + (b01 - b00) * v;
  const c1 = b10 + (b11 - b10) * v;
  out[0] = c0 + (c1 - c0) * u;
  out[1] = (c1 - c0) / step;
  out[2] = ((b01 - b00) * (1 - u) + (b11 - b10) * u) / step;
  const e0 = (a001 - a000) * (1 - v) + (a011 - a010) * v;
  const e1 = (a101 - a100) * (1 - v) + (a111 - a110) * v;
  out[3] = (e0 * (1 - u) + e1 * u) / step;
}
