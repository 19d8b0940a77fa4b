import { zeros } from './zeros.js';

/** How many rounds back an acceleration looks. */
const MEMORY = 3;
/** An iteration whose misses grow by more than this has lost its way: it begins anew from the plain step. */
const GROWS = 1.3;
/** Differences of rounds that are nearly the same direction are left out: their share of the largest. */
const DISTINCT = 1e-8;

/**
 * Anderson's acceleration of a fixed-point iteration x → g(x) (Anderson 1965; Walker and Ni 2011): the next place to
 * try is the mix of the last rounds for which x and g(x) would differ least if g were linear. Data of one iteration; a
 * jump in g wants a new one.
 */
export class FixedPoint {
  private readonly tried: number[][] = [];
  private readonly given: number[][] = [];

  private last = Infinity;

  /** What to try next, having tried `x` and been given `g`. */
  next(x: number[], g: number[]): number[] {
    let far = 0;
    for (let i = 0; i < x.length; i++) far = Math.max(far, Math.abs((g[i] as number) - (x[i] as number)));
    if (far > GROWS * this.last) {
      this.tried.length = 0;
      this.given.length = 0;
    }
    this.last = far;
    this.tried.push(x);
    this.given.push(g);
    if (this.tried.length > MEMORY + 1) {
      this.tried.shift();
      this.given.shift();
    }
    const count = this.tried.length - 1;
    if (count === 0) return g;
    const n = x.length;
    const missOf = (k: number, i: number): number =>
      ((this.given[k] as number[])[i] as number) - ((this.tried[k] as number[])[i] as number);
    const change = (k: number): number[] => zeros(n).map((_, i) => missOf(k + 1, i) - missOf(k, i));
    const changes = Array.from({ length: count }, (_, k) => change(k));
    const miss = zeros(n).map((_, i) => missOf(count, i));
    const shares = leastSquares(changes, miss);
    const out = g.slice();
    for (const [k, share] of shares.entries()) {
      const [a, b] = [this.given[k] as number[], this.given[k + 1] as number[]];
      for (let i = 0; i < n; i++) out[i] = (out[i] as number) - share * ((b[i] as number) - (a[i] as number));
    }
    return out;
  }
}

/** The shares of `columns` whose sum lies nearest to `target` (Gram-Schmidt, the last columns first). */
function leastSquares(columns: readonly (readonly number[])[], target: number[]): number[] {
  const count = columns.length;
  const largest = Math.max(...columns.map((c) => dotOf(c, c)), 0);
  const base: { readonly q: number[]; readonly of: number[] }[] = [];
  for (let k = count - 1; k >= 0; k--) {
    const q = (columns[k] as number[]).slice();
    const of = zeros(count);
    of[k] = 1;
    for (const { q: other, of: parts } of base) {
      const share = dotOf(q, other);
      for (let i = 0; i < q.length; i++) q[i] = (q[i] as number) - share * (other[i] as number);
      for (let j = 0; j < count; j++) of[j] = (of[j] as number) - share * (parts[j] as number);
    }
    const square = dotOf(q, q);
    if (!(square > DISTINCT * largest) || square === 0) continue;
    const size = 1 / Math.sqrt(square);
    base.push({ q: q.map((x) => x * size), of: of.map((x) => x * size) });
  }
  const shares = zeros(count);
  for (const { q, of } of base) {
    const share = dotOf(q, target);
    for (let j = 0; j < count; j++) shares[j] = (shares[j] as number) + share * (of[j] as number);
  }
  return shares;
}

function dotOf(a: readonly number[], b: readonly number[]): number {
  let s = 0;
  for (let i = 0; i < a.length; i++) s += (a[i] as number) * (b[i] as number);
  return s;
}
