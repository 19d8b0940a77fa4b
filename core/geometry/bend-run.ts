import { zeros } from './numeric/zeros.js';
import { along, cross, scale, subtract, turn, type Point } from './point.js';
import type { BendWish } from './bend-wish.js';

/** The programme counts in units of 100 mm, and bends in 1 per 100 mm. */
export const UNIT = 100;
/** The spans of a bend, and the nodes between which its curvature runs straight. */
export const SPANS = 8;
export const NODES = SPANS + 1;
/** Unknowns: bends at the nodes, length, start, what the hollow misses; lean and end last, which most bends hold. */
export const LENGTH = NODES;
export const START = NODES + 1;
export const MISS = NODES + 2;
export const LEAN = NODES + 3;
export const END = NODES + 4;
export const SIZE = NODES + 5;
/** How many unknowns there are where lean and end are held at nought. */
export const HELD_SIZE = LEAN;
const GAUSS: readonly (readonly [number, number])[] = [
  [0.1127016653792583, 0.2777777777777778],
  [0.5, 0.4444444444444444],
  [0.8872983346207417, 0.2777777777777778],
];

/** The integral from 0 to `s` (a share of the length) of the hat function of a node. */
export function hatTo(node: number, s: number): number {
  const x = s * SPANS - node;
  if (x <= -1) return 0;
  const rising = Math.min(0, x) + 1;
  const falling = Math.min(1, Math.max(0, x));
  const first = node === 0 ? 0 : (rising * rising) / 2;
  return (first + falling - (falling * falling) / 2) / SPANS;
}

/** What each node's hat adds to the turn over the whole length. */
export const TOTAL = Array.from({ length: NODES }, (_, j) => hatTo(j, 1));

/** The share of a hat function at `s`. */
export const hatAt = (node: number, s: number): number => Math.max(0, 1 - Math.abs(s * SPANS - node));

/** Where a share of the length lies, with its derivatives by all unknowns. */
export interface Reach {
  readonly at: Point;
  readonly angle: number;
  readonly dx: number[];
  readonly dy: number[];
}

/** A wish with the directions that stay. */
export interface Frame {
  readonly wish: BendWish;
  /** +1 where it turns clockwise as seen with y down, -1 otherwise. */
  readonly side: number;
  readonly first: number;
  /** The turn from leaving to arriving without any lean, positive. */
  readonly turn: number;
}

/** The start of the bend, and its derivatives by start and lean. */
function startFor({ wish }: Frame, z: number[]): { at: Point; byStart: Point; byLean: Point } {
  const lean = z[LEAN] as number;
  const moved = along(wish.start, wish.leaving, -(z[START] as number) * UNIT);
  const at = turn(moved, lean, wish.pivot);
  const off = subtract(at, wish.pivot);
  return {
    at,
    byStart: scale(turn(wish.leaving, lean), -UNIT),
    byLean: { x: -off.y, y: off.x },
  };
}

/** A run along a bend as far as it has come, in shares of its length, with its derivatives. */
interface Run {
  x: number;
  y: number;
  turned: number;
  readonly dx: number[];
  readonly dy: number[];
}

/** Carries a run over a span, or the first `share` of it, by three places of Gauss. */
function carry(run: Run, { side, first }: Frame, z: number[], i: number, share: number): void {
  const { dx, dy } = run;
  const k0 = z[i] as number;
  const k1 = z[i + 1] as number;
  const base = first + (z[LEAN] as number);
  const by = side * (z[LENGTH] as number);
  const begun = i === 0 ? 0 : 0.5;
  for (const [g, weight] of GAUSS) {
    const t = g * share;
    const half = (t * t) / 2;
    const turned = run.turned + (t * k0 + (k1 - k0) * half) / SPANS;
    const angle = base + by * turned;
    const w = (weight * share) / SPANS;
    const c = Math.cos(angle) * w;
    const s = Math.sin(angle) * w;
    run.x += c;
    run.y += s;
    for (let j = 0; j < i; j++) {
      const h = by * (TOTAL[j] as number);
      dx[j] = (dx[j] as number) - s * h;
      dy[j] = (dy[j] as number) + c * h;
    }
    // The hats of the two nodes of this span, as far as they have been run over.
    const falling = (by * (begun + t - half)) / SPANS;
    const rising = (by * half) / SPANS;
    dx[i] = (dx[i] as number) - s * falling;
    dy[i] = (dy[i] as number) + c * falling;
    dx[i + 1] = (dx[i + 1] as number) - s * rising;
    dy[i + 1] = (dy[i + 1] as number) + c * rising;
    dx[LENGTH] = (dx[LENGTH] as number) - s * side * turned;
    dy[LENGTH] = (dy[LENGTH] as number) + c * side * turned;
    dx[LEAN] = (dx[LEAN] as number) - s;
    dy[LEAN] = (dy[LEAN] as number) + c;
  }
  run.turned += (share * k0 + ((k1 - k0) * share * share) / 2) / SPANS;
}

/** Where a run has come to, in mm, with its derivatives by all unknowns. */
function reached({ x, y, turned, dx, dy }: Run, frame: Frame, z: number[]): Reach {
  const { at: from, byStart, byLean } = startFor(frame, z);
  const length = z[LENGTH] as number;
  const long = length * UNIT;
  for (let j = 0; j < NODES; j++) {
    dx[j] = (dx[j] as number) * long;
    dy[j] = (dy[j] as number) * long;
  }
  dx[LENGTH] = UNIT * (x + length * (dx[LENGTH] as number));
  dy[LENGTH] = UNIT * (y + length * (dy[LENGTH] as number));
  dx[LEAN] = (dx[LEAN] as number) * long + byLean.x;
  dy[LEAN] = (dy[LEAN] as number) * long + byLean.y;
  dx[START] = byStart.x;
  dy[START] = byStart.y;
  return {
    at: { x: from.x + long * x, y: from.y + long * y },
    angle: frame.first + (z[LEAN] as number) + frame.side * length * turned,
    dx,
    dy,
  };
}

const atStart = (): Run => ({ x: 0, y: 0, turned: 0, dx: zeros(SIZE), dy: zeros(SIZE) });

/** Where the bend comes to at some share of its length, and at its end. */
export function reachAndEnd(frame: Frame, z: number[], to: number): { readonly there: Reach; readonly tip: Reach } {
  const run = atStart();
  const last = Math.min(SPANS - 1, Math.floor(to * SPANS));
  let there: Run = run;
  for (let i = 0; i < SPANS; i++) {
    if (i === last) {
      there = { ...run, dx: run.dx.slice(), dy: run.dy.slice() };
      carry(there, frame, z, i, Math.min(1, to * SPANS - i));
    }
    carry(run, frame, z, i, 1);
  }
  return { there: reached(there, frame, z), tip: reached(run, frame, z) };
}

/** Where the bend comes to at each of its nodes. */
export function nodesOf(frame: Frame, z: number[]): Reach[] {
  const run = atStart();
  const at = (): Reach => reached({ ...run, dx: run.dx.slice(), dy: run.dy.slice() }, frame, z);
  const nodes = [at()];
  for (let i = 0; i < SPANS; i++) {
    carry(run, frame, z, i, 1);
    nodes.push(at());
  }
  return nodes;
}

/** The share of the length at which the bend crosses the diagonal, nearest to the middle. */
export function crossing(frame: Frame, z: number[]): number {
  const { corner, diagonal } = frame.wish;
  let x = 0;
  let y = 0;
  const { at: from } = startFor(frame, z);
  const long = (z[LENGTH] as number) * UNIT;
  let turned = 0;
  let before = cross(diagonal, subtract(from, corner));
  for (let i = 0; i < SPANS * 4; i++) {
    const node = Math.floor(i / 4);
    const t = (i % 4) / 4 + 1 / 8;
    const k = (z[node] as number) * (1 - t) + (z[node + 1] as number) * t;
    const angle = frame.first + (z[LEAN] as number) + frame.side * (z[LENGTH] as number) * (turned + k / 8 / SPANS);
    turned += k / 4 / SPANS;
    x += (Math.cos(angle) * long) / (SPANS * 4);
    y += (Math.sin(angle) * long) / (SPANS * 4);
    const now = cross(diagonal, subtract({ x: from.x + x, y: from.y + y }, corner));
    if (before * now <= 0) return (i + before / (before - now || 1)) / (SPANS * 4);
    before = now;
  }
  return 0.6;
}
