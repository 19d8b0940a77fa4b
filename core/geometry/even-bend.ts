import {
  crossing,
  END,
  hatAt,
  hatTo,
  HELD_SIZE,
  LEAN,
  LENGTH,
  MISS,
  NODES,
  reach,
  SIZE,
  SPANS,
  START,
  TOTAL,
  UNIT,
  type Frame,
  type Reach,
} from './bend-run.js';
import type { BendWish } from './bend-wish.js';
import { cubic } from './cubic.js';
import { Conditions, solveQuadratic } from './numeric/quadratic-programme.js';
import { FixedPoint } from './numeric/fixed-point.js';
import { zeros } from './numeric/zeros.js';
import type { Path } from './path.js';
import { add, along, cross, distance, dot, scale, subtract, turn, unit, type Point } from './point.js';

/** A bend found, with what gave way. */
export interface EvenBend {
  readonly path: Path;
  /** Where it begins, and the direction of the straight there. */
  readonly start: Point;
  readonly leaving: Point;
  readonly end: Point;
  /** Where it crosses the diagonal, in mm from the corner. */
  readonly hollow: number;
  /** How far up the straight (+) it begins, in mm; how far it leans, in radians; how far its end moved, in mm. */
  readonly startMoved: number;
  readonly leaned: number;
  readonly endMoved: number;
}

const ROUNDS = 14;
/** Settled where no unknown moves by more than this, in units of 100 mm or 1 per 100 mm. */
const SETTLED = 1e-4;
/** How much length and start are held where the round before put them, so that rounds do not swing. */
const STEADY = 3;
/** Rows on the bend keep this off their limit: what is drawn is held against the same limits by other means. */
const ROOM = 1.02;
const START_ROOM = 1.05;
/** How far from where it leaves the straight a bend is held to be gentle, in mm. */
const START_RUN = 5;

/** Toward its peak and from it the bend changes by this much from node to node at least, in 1 per 100 mm. */
const PEAKED = 0.01;

const bendRow = (of: (node: number) => number): number[] => {
  const row = zeros(SIZE);
  for (let j = 0; j < NODES; j++) row[j] = of(j);
  return row;
};

/** One linear condition: `coefficients · unknowns` against `bound`. */
interface Row {
  readonly coefficients: number[];
  readonly bound: number;
}

/** A row that says what a function of the unknowns is after a step, by its derivative now. */
function linear(derivative: number[], now: number, wanted: number, z: number[]): Row {
  let at = 0;
  for (let i = 0; i < SIZE; i++) at += (derivative[i] as number) * (z[i] as number);
  return { coefficients: derivative, bound: wanted - now + at };
}

const only = (index: number, value = 1): number[] => {
  const row = zeros(SIZE);
  row[index] = value;
  return row;
};

function put(conditions: Conditions, { coefficients, bound }: Row, equal: boolean): void {
  const at = conditions.add(bound, equal);
  for (let i = 0; i < conditions.size; i++) conditions.coefficients[at + i] = coefficients[i] as number;
}

/** The rows that do not change from round to round; `peak` is the node of greatest bend, where it has been chosen. */
function shapeRows({ limits, give, start, end }: BendWish, peak: number | undefined): Row[] {
  const rows: Row[] = [];
  const sharpest = UNIT / (limits.leastRadius * ROOM);
  for (let j = 0; j < NODES; j++) {
    rows.push({ coefficients: only(j), bound: UNIT / limits.mostRadius });
    rows.push({ coefficients: only(j, -1), bound: -sharpest });
  }
  for (const s of [0, Math.max(0.03, START_RUN / distance(start, end))]) {
    rows.push({ coefficients: bendRow((j) => -hatAt(j, s)), bound: -UNIT / (limits.startRadius * START_ROOM) });
  }
  const flat = (UNIT / limits.flatRadius) * ROOM;
  for (const s of [limits.flatStart - 0.01, 1 - limits.flatEnd + 0.01]) {
    rows.push({ coefficients: bendRow((j) => hatAt(j, s)), bound: flat });
  }
  const windows = 2 * SPANS;
  const wide = limits.spread * ROOM;
  for (let i = 0; i <= windows; i++) {
    const from = (i / windows) * (1 - wide);
    rows.push({
      coefficients: bendRow((j) => (TOTAL[j] as number) / 2 - hatTo(j, from + wide) + hatTo(j, from)),
      bound: 0,
    });
  }
  if (peak !== undefined) {
    for (let j = 0; j < SPANS; j++) {
      const way = j < peak ? 1 : -1;
      rows.push({ coefficients: bendRow((k) => (k === j + 1 ? way : k === j ? -way : 0)), bound: PEAKED });
    }
  }
  rows.push({ coefficients: only(START), bound: -give.startDown / UNIT });
  rows.push({ coefficients: only(START, -1), bound: -give.startUp / UNIT });
  if (give.lean === 0 && give.end === 0) return rows;
  for (const [index, most] of [
    [LEAN, give.lean],
    [END, give.end / UNIT],
  ] as const) {
    rows.push({ coefficients: only(index), bound: -most });
    rows.push({ coefficients: only(index, -1), bound: -most });
  }
  return rows;
}

/** How dear lean and a moved end are beside the rest, per degree and per mm. */
const LEAN_DEAR = 400;
const END_DEAR = 120;

function weights({ give }: BendWish, size: number): { hessian: number[]; gradient: number[] } {
  const hessian = zeros(size * size);
  const on = (i: number, w: number): void => {
    if (i < size) hessian[i * size + i] = (hessian[i * size + i] as number) + w;
  };
  for (let i = 0; i < NODES; i++) on(i, 1e-4);
  for (let i = 0; i < SPANS; i++) {
    on(i, SPANS);
    on(i + 1, SPANS);
    hessian[i * size + i + 1] = -SPANS;
    hessian[(i + 1) * size + i] = -SPANS;
  }
  on(LENGTH, STEADY);
  on(START, give.start * UNIT * UNIT + STEADY);
  on(LEAN, LEAN_DEAR * (180 / Math.PI) ** 2);
  on(END, END_DEAR * UNIT * UNIT);
  on(MISS, give.through * UNIT * UNIT);
  return { hessian, gradient: zeros(size) };
}

/** A first guess: a bend that swells to the middle, as long as its chord and a little more. */
function firstGuess({ wish, turn: whole }: Frame): number[] {
  const z = zeros(SIZE);
  const length = (distance(wish.start, wish.end) / UNIT) * (1 + 0.055 * whole * whole);
  const shape = Array.from({ length: NODES }, (_, j) => 0.35 + Math.sin((Math.PI * j) / SPANS));
  const area = shape.reduce((sum, s, j) => sum + s * (TOTAL[j] as number), 0);
  for (let j = 0; j < NODES; j++) z[j] = ((shape[j] as number) * whole) / area / length;
  z[LENGTH] = length;
  return z;
}

function settle(frame: Frame, first: number[], peak: number | undefined, rounds: number): number[] | undefined {
  const { wish, side, turn: whole } = frame;
  const shape = shapeRows(wish, peak);
  const { lean, end } = wish.give;
  const size = lean === 0 && end === 0 ? HELD_SIZE : SIZE;
  const { hessian, gradient } = weights(wish, size);
  let z = first;
  const steps = new FixedPoint();
  for (let round = 0; ; round++) {
    const tip = reach(frame, z, 1);
    const endX = tip.dx.slice();
    const endY = tip.dy.slice();
    endX[END] = -wish.outward.x * UNIT;
    endY[END] = -wish.outward.y * UNIT;
    const goal = along(wish.end, wish.outward, (z[END] as number) * UNIT);
    // The whole turn, L times the integral of the bend, is what lies between the two directions.
    const turned = bendRow((j) => (z[LENGTH] as number) * (TOTAL[j] as number));
    let sum = 0;
    for (let j = 0; j < NODES; j++) sum += (z[j] as number) * (TOTAL[j] as number);
    turned[LENGTH] = sum;
    turned[LEAN] = side;
    const s = crossing(frame, z);
    const there = reach(frame, z, s);
    const normal = { x: -Math.sin(there.angle), y: Math.cos(there.angle) };
    const pass = zeros(SIZE);
    for (let i = 0; i < SIZE; i++) pass[i] = normal.x * (there.dx[i] as number) + normal.y * (there.dy[i] as number);
    pass[MISS] = -dot(normal, wish.diagonal) * UNIT;
    const target = along(wish.corner, wish.diagonal, wish.hollow + (z[MISS] as number) * UNIT);
    const equal: Row[] = [
      linear(endX, tip.at.x - goal.x, 0, z),
      linear(endY, tip.at.y - goal.y, 0, z),
      linear(turned, (z[LENGTH] as number) * sum + side * (z[LEAN] as number), whole, z),
      linear(pass, dot(normal, subtract(there.at, target)), 0, z),
    ];
    if (size === SIZE && lean === 0) equal.push({ coefficients: only(LEAN), bound: 0 });
    if (size === SIZE && end === 0) equal.push({ coefficients: only(END), bound: 0 });
    for (const i of [START, LENGTH]) gradient[i] = -STEADY * (z[i] as number);
    const conditions = new Conditions(size, 72);
    for (const row of equal) put(conditions, row, true);
    for (const row of shape) put(conditions, row, false);
    const found = solveQuadratic(hessian, gradient, conditions);
    if (!found || !((found[LENGTH] as number) > 0.05)) return undefined;
    const next = size === SIZE ? found : [...found, 0, 0];
    let moved = 0;
    for (let i = 0; i < SIZE; i++) moved = Math.max(moved, Math.abs((next[i] as number) - (z[i] as number)));
    if (moved < SETTLED || round === rounds - 1) return next;
    z = steps.next(z, next);
  }
}

function drawn(frame: Frame, z: number[]): EvenBend {
  const { wish } = frame;
  const third = ((z[LENGTH] as number) * UNIT) / SPANS / 3;
  const places = Array.from({ length: NODES }, (_, i) => reach(frame, z, i / SPANS));
  const end = along(wish.end, wish.outward, (z[END] as number) * UNIT);
  const off = subtract(end, (places[SPANS] as Reach).at);
  const last = unit(wish.arriving);
  const path = Array.from({ length: SPANS }, (_, i) => {
    const [a, b] = [places[i] as Reach, places[i + 1] as Reach];
    // What the last round left open, a few hundredths of a millimetre at most, is spread along the bend.
    const from = add(a.at, scale(off, i / SPANS));
    const to = i === SPANS - 1 ? end : add(b.at, scale(off, (i + 1) / SPANS));
    const arriving = i === SPANS - 1 ? last : { x: Math.cos(b.angle), y: Math.sin(b.angle) };
    // Handles of a third of the span's length: the cubic then runs at even speed, as the curve it stands for.
    const leaving = { x: Math.cos(a.angle), y: Math.sin(a.angle) };
    return cubic(from, along(from, leaving, third), along(to, arriving, -third), to);
  });
  const there = reach(frame, z, crossing(frame, z));
  return {
    path,
    start: path[0]?.p0 ?? wish.start,
    leaving: turn(wish.leaving, z[LEAN] as number),
    end,
    hollow: dot(subtract(there.at, wish.corner), wish.diagonal),
    startMoved: (z[START] as number) * UNIT,
    leaned: wish.give.lean === 0 ? 0 : (z[LEAN] as number),
    endMoved: wish.give.end === 0 ? 0 : (z[END] as number) * UNIT,
  };
}

/**
 * The fair bend from a straight line to a point: curvature runs straight over equal spans of its length, turns one way,
 * has one peak, and varies as little as the limits allow. A sequence of quadratic programmes over the curvatures, the
 * length and what may give way (docs/trade/curves.md). Nothing where the limits admit none.
 */
export function evenBend(wish: BendWish): EvenBend | undefined {
  const side = Math.sign(cross(wish.leaving, wish.arriving)) || -1;
  const first = Math.atan2(wish.leaving.y, wish.leaving.x);
  const whole = Math.abs(Math.atan2(cross(wish.leaving, wish.arriving), dot(wish.leaving, wish.arriving)));
  const frame: Frame = { wish, side, first, turn: whole };
  const guess = settle(frame, firstGuess(frame), undefined, 3);
  // Where the limits leave no step from the first guess, the bend without them shows where to begin.
  const rough = guess ?? settle({ ...frame, wish: eased(wish) }, firstGuess(frame), undefined, 6) ?? firstGuess(frame);
  const nodes = Array.from({ length: NODES }, (_, j) => j).filter(
    (j) => j / SPANS > wish.limits.peakFrom + 0.01 && j / SPANS < wish.limits.peakTo - 0.01,
  );
  const order = nodes.sort((a, b) => (rough[b] as number) - (rough[a] as number));
  for (const peak of order.slice(0, guess ? 3 : order.length)) {
    const z = settle(frame, rough, peak, ROUNDS);
    if (z && sound(frame, z)) return drawn(frame, z);
  }
  return undefined;
}

/** A wish that asks no more of the shape than that it turns one way. */
const eased = (wish: BendWish): BendWish => ({
  ...wish,
  limits: {
    ...wish.limits,
    flatRadius: wish.limits.flatRadius * 10,
    spread: 0.05,
    startRadius: 0.3 * wish.limits.startRadius,
  },
});

/** A bend is sound where its rounds came to rest: its end lies where it should. */
function sound(frame: Frame, z: number[]): boolean {
  const goal = along(frame.wish.end, frame.wish.outward, (z[END] as number) * UNIT);
  return distance(reach(frame, z, 1).at, goal) < 0.05;
}
