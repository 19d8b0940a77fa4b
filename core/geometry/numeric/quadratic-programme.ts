import { zeros } from './zeros.js';

/**
 * Linear conditions, row by row in one array: `row · x = bound` for the first `equalities`, `>= bound` for the rest.
 * A programme that is solved many times may write its equalities anew each time; the other rows stay as they were at
 * the first.
 */
export class Conditions {
  count = 0;
  equalities = 0;
  /** All rows, one after the other. */
  readonly coefficients: number[];
  readonly bounds: number[];
  /** Where each row begins and ends, as `scale` found it. */
  readonly first: number[];
  readonly last: number[];
  private scaled = 0;

  constructor(
    readonly size: number,
    room: number,
  ) {
    this.coefficients = zeros(room * size);
    this.bounds = zeros(room);
    this.first = zeros(room);
    this.last = zeros(room);
  }

  /** Adds a row, all nought, and gives where it begins in `coefficients`. Equalities come before all others. */
  add(bound: number, equal = false): number {
    if (equal && this.equalities < this.count) throw new Error('Equalities come first');
    const row = this.count;
    if (row >= this.bounds.length) throw new Error('More conditions than there is room for');
    this.bounds[row] = bound;
    this.count += 1;
    if (equal) this.equalities = this.count;
    return row * this.size;
  }

  /** Keeps the first `count` rows and takes the others back. */
  keep(count: number): void {
    this.coefficients.fill(0, count * this.size, this.count * this.size);
    this.count = count;
    this.scaled = Math.min(this.scaled, count);
  }

  /** Brings rows to length one, in place: the equalities, and what was added since it was last done. */
  scale(): void {
    for (let i = 0; i < this.equalities; i++) this.scaleRow(i);
    for (let i = Math.max(this.equalities, this.scaled); i < this.count; i++) this.scaleRow(i);
    this.scaled = this.count;
  }

  private scaleRow(row: number): void {
    const { size: n, coefficients } = this;
    const at = row * n;
    let s = 0;
    let from = n;
    let to = -1;
    for (let j = 0; j < n; j++) {
      const c = coefficients[at + j] as number;
      if (c === 0) continue;
      s += c * c;
      if (from === n) from = j;
      to = j;
    }
    this.first[row] = from;
    this.last[row] = to;
    if (!(s > 0)) return;
    const scale = 1 / Math.sqrt(s);
    for (let j = from; j <= to; j++) coefficients[at + j] = (coefficients[at + j] as number) * scale;
    this.bounds[row] = (this.bounds[row] as number) * scale;
  }
}

/**
 * Working memory: written before it is read in every call, so that many small programmes cost no memory of their own.
 */
const MOST = 40;
const MOST_ROWS = 100;
const SCRATCH = {
  lower: new Float64Array(MOST * MOST),
  space: new Float64Array(MOST * MOST),
  triangle: new Float64Array(MOST * MOST),
  d: new Float64Array(MOST),
  z: new Float64Array(MOST),
  r: new Float64Array(MOST),
  set: new Int32Array(MOST + 1),
  multipliers: new Float64Array(MOST + 1),
  x: new Float64Array(MOST),
  inSet: new Uint8Array(MOST_ROWS),
};

/** A condition counts as met within this, after its row is scaled to length one. */
const MET = 1e-9;
const MOST_ROUNDS = 400;

/** Lower Cholesky factor in place; false where the matrix is not positive definite. */
function factor(m: Float64Array, n: number): boolean {
  for (let j = 0; j < n; j++) {
    let d = m[j * n + j] as number;
    for (let k = 0; k < j; k++) {
      const x = m[j * n + k] as number;
      d -= x * x;
    }
    if (!(d > 0)) return false;
    const root = Math.sqrt(d);
    m[j * n + j] = root;
    for (let i = j + 1; i < n; i++) {
      let s = m[i * n + j] as number;
      for (let k = 0; k < j; k++) s -= (m[i * n + k] as number) * (m[j * n + k] as number);
      m[i * n + j] = s / root;
    }
  }
  return true;
}

/**
 * The inverse transpose of a Hessian's lower factor, stored in `space` so that each of its columns is a run of `n`: the
 * space of steps. False where the Hessian is not positive definite.
 */
function stepsInto(space: Float64Array, hessian: readonly number[], n: number): boolean {
  const { lower } = SCRATCH;
  for (let i = 0; i < n * n; i++) lower[i] = hessian[i] as number;
  if (!factor(lower, n)) return false;
  space.fill(0, 0, n * n);
  // Column k of the inverse transpose is row k of the inverse.
  for (let j = 0; j < n; j++) {
    space[j * n + j] = 1 / (lower[j * n + j] as number);
    for (let i = j + 1; i < n; i++) {
      let s = 0;
      for (let k = j; k < i; k++) s -= (lower[i * n + k] as number) * (space[k * n + j] as number);
      space[i * n + j] = s / (lower[i * n + i] as number);
    }
  }
  return true;
}

/** Turns two columns of a step space, or two rows of a triangle, by a plane rotation. */
function rotate(m: Float64Array, a: number, b: number, count: number, c: number, s: number): void {
  for (let k = 0; k < count; k++) {
    const x = m[a + k] as number;
    const y = m[b + k] as number;
    m[a + k] = c * x + s * y;
    m[b + k] = c * y - s * x;
  }
}

/**
 * Turns the free columns of the step space by one reflection (Householder 1958), so that all of the row's share in them
 * lies in the first, column `q`; `z` is what the columns give by `d`, and `square` the square of d's free part.
 */
function turnInto(q: number, n: number, square: number): void {
  const { space, d, z } = SCRATCH;
  const first = d[q] as number;
  const long = first < 0 ? -Math.sqrt(square) : Math.sqrt(square);
  const factor = square + first * long;
  if (q === n - 1 || !(factor > 0)) return;
  d[q] = -long;
  for (let i = 0; i < n; i++) z[i] = ((z[i] as number) + long * (space[q * n + i] as number)) / factor;
  for (let k = q; k < n; k++) {
    const share = k === q ? first + long : (d[k] as number);
    if (share === 0) continue;
    for (let i = 0; i < n; i++) space[k * n + i] = (space[k * n + i] as number) - share * (z[i] as number);
  }
}

/** By how much a row is more than its bound. */
function over({ size: n, coefficients: rows, bounds, first, last }: Conditions, row: number): number {
  const { x } = SCRATCH;
  let s = -(bounds[row] as number);
  const to = last[row] as number;
  for (let j = first[row] as number, at = row * n + j; j <= to; j++, at++) s += (rows[at] as number) * (x[j] as number);
  return s;
}

/** The inequality outside the set that is missed by most, from a row on; -1 where all are met. */
function worstOf({ size: n, count, coefficients: rows, bounds, first, last }: Conditions, from: number): number {
  const { x, inSet } = SCRATCH;
  let found = -1;
  let worst = -MET;
  for (let i = from; i < count; i++) {
    if (inSet[i] === 1) continue;
    const to = last[i] as number;
    let by = -(bounds[i] as number);
    for (let j = first[i] as number, at = i * n; j <= to; j++) by += (rows[at + j] as number) * (x[j] as number);
    if (by < worst) {
      worst = by;
      found = i;
    }
  }
  return found;
}

/** A Hessian made ready for many programmes: its space of steps; nothing where it is not positive definite. */
export function stepsOf(hessian: readonly number[], size: number): Float64Array | undefined {
  const space = new Float64Array(size * size);
  return stepsInto(space, hessian, size) ? space : undefined;
}

/**
 * The least of ½ xᵀHx + gᵀx under linear conditions, by the dual active set method of Goldfarb and Idnani (1983).
 * `hessian` is row-major, symmetric and positive definite, or made ready by `stepsOf`. Nothing where no point meets all
 * conditions, or where the Hessian is not positive definite. The conditions are scaled in place.
 */
export function solveQuadratic(
  hessian: readonly number[] | Float64Array,
  gradient: readonly number[],
  conditions: Conditions,
): number[] | undefined {
  const { size: n, count, equalities } = conditions;
  if (n > MOST || count > MOST_ROWS)
    throw new Error('A quadratic programme has at most 40 unknowns and 100 conditions');
  const { space, triangle, d, z, r, set, multipliers, x, inSet } = SCRATCH;
  if (hessian instanceof Float64Array) space.set(hessian);
  else if (!stepsInto(space, hessian, n)) return undefined;
  x.fill(0, 0, n);
  for (let k = 0; k < n; k++) {
    let w = 0;
    for (let j = 0; j < n; j++) w += (space[k * n + j] as number) * (gradient[j] as number);
    for (let i = 0; i < n; i++) x[i] = (x[i] as number) - (space[k * n + i] as number) * w;
  }
  conditions.scale();
  const { coefficients: rows, first, last } = conditions;
  // The working set: which rows, their multipliers, and the triangle of their coordinates, stored by rows.
  inSet.fill(0, 0, count);
  let q = 0;
  for (let round = 0; round < MOST_ROUNDS; round++) {
    // Equalities come into the set one after the other, and stay.
    const p = q < equalities ? q : worstOf(conditions, equalities);
    if (p === -1) {
      const found = zeros(n);
      for (let i = 0; i < n; i++) found[i] = x[i] as number;
      return found;
    }
    const sign = p < equalities && over(conditions, p) > 0 ? -1 : 1;
    let multiplier = 0;
    const from = first[p] as number;
    const to = last[p] as number;
    for (;;) {
      for (let k = 0; k < n; k++) {
        let s = 0;
        for (let j = from; j <= to; j++) s += (space[k * n + j] as number) * (rows[p * n + j] as number);
        d[k] = sign * s;
      }
      for (let i = 0; i < n; i++) z[i] = 0;
      let toward = 0;
      for (let k = q; k < n; k++) {
        const dk = d[k] as number;
        toward += dk * dk;
        for (let i = 0; i < n; i++) z[i] = (z[i] as number) + (space[k * n + i] as number) * dk;
      }
      let partial = Infinity;
      let leaving = -1;
      for (let i = q - 1; i >= 0; i--) {
        let s = d[i] as number;
        for (let j = i + 1; j < q; j++) s -= (triangle[i * n + j] as number) * (r[j] as number);
        r[i] = s / (triangle[i * n + i] as number);
      }
      for (let i = 0; i < q; i++) {
        if ((set[i] as number) < equalities || !((r[i] as number) > 1e-14)) continue;
        const step = (multipliers[i] as number) / (r[i] as number);
        if (step < partial) [partial, leaving] = [step, i];
      }
      const full = toward > 1e-14 ? (-sign * over(conditions, p)) / toward : Infinity;
      const step = Math.min(partial, full);
      if (step === Infinity) return undefined;
      for (let i = 0; i < q; i++) multipliers[i] = (multipliers[i] as number) - step * (r[i] as number);
      multiplier += step;
      if (full !== Infinity) for (let i = 0; i < n; i++) x[i] = (x[i] as number) + step * (z[i] as number);
      if (step === full) {
        turnInto(q, n, toward);
        if (Math.abs(d[q] as number) < 1e-13) return undefined;
        for (let i = 0; i <= q; i++) triangle[i * n + q] = d[i] as number;
        set[q] = p;
        multipliers[q] = multiplier;
        inSet[p] = 1;
        q += 1;
        break;
      }
      inSet[set[leaving] as number] = 0;
      for (let i = leaving; i < q - 1; i++) {
        set[i] = set[i + 1] as number;
        multipliers[i] = multipliers[i + 1] as number;
        for (let k = 0; k <= i + 1; k++) triangle[k * n + i] = triangle[k * n + i + 1] as number;
      }
      q -= 1;
      for (let j = leaving; j < q; j++) {
        const a = triangle[j * n + j] as number;
        const b = triangle[(j + 1) * n + j] as number;
        if (b === 0) continue;
        const h = Math.sqrt(a * a + b * b);
        rotate(triangle, j * n + j, (j + 1) * n + j, q - j, a / h, b / h);
        rotate(space, j * n, (j + 1) * n, n, a / h, b / h);
      }
    }
  }
  return undefined;
}
