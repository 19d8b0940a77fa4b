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
  nodesOf,
  reachAndEnd,
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
import { Conditions, solveQuadratic, stepsOf } from './numeric/quadratic-programme.js';
import { FixedPoint } from './numeric/fixed-point.js';
import { laidDown, remember } from './numeric/remember.js';
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

/** As many conditions as a bend may have. */
const MOST_ROWS = 72;

/** The programme of a bend: what stays of it from round to round, and the rows that are written anew in each. */
interface Programme {
  readonly frame: Frame;
  readonly size: number;
  readonly steps: Float64Array;
  readonly gradient: number[];
  readonly conditions: Conditions;
  /** How many rows there are without those of a peak. */
  readonly common: number;
}

/** Adds a row on the bends at the nodes. */
function addBends(conditions: Conditions, of: (node: number) => number, bound: number): void {
  const at = conditions.add(bound);
  for (let j = 0; j < NODES; j++) conditions.coefficients[at + j] = of(j);
}

/** Keeps one unknown at `least` or more, or its opposite where `way` says so. */
function addOne(conditions: Conditions, index: number, way: 1 | -1, least: number): void {
  conditions.coefficients[conditions.add(least) + index] = way;
}

/** Adds the rows that hold whichever node has the greatest bend. */
function addShape(conditions: Conditions, { limits, give, start, end }: BendWish): void {
  const sharpest = UNIT / (limits.leastRadius * ROOM);
  for (let j = 0; j < NODES; j++) {
    addOne(conditions, j, 1, UNIT / limits.mostRadius);
    addOne(conditions, j, -1, -sharpest);
  }
  for (const s of [0, Math.max(0.03, START_RUN / distance(start, end))]) {
    addBends(conditions, (j) => -hatAt(j, s), -UNIT / (limits.startRadius * START_ROOM));
  }
  const flat = (UNIT / limits.flatRadius) * ROOM;
  for (const s of [limits.flatStart - 0.01, 1 - limits.flatEnd + 0.01]) {
    addBends(conditions, (j) => hatAt(j, s), flat);
  }
  const windows = 2 * SPANS;
  const wide = limits.spread * ROOM;
  for (let i = 0; i <= windows; i++) {
    const from = (i / windows) * (1 - wide);
    addBends(conditions, (j) => (TOTAL[j] as number) / 2 - hatTo(j, from + wide) + hatTo(j, from), 0);
  }
  addOne(conditions, START, 1, -give.startDown / UNIT);
  addOne(conditions, START, -1, -give.startUp / UNIT);
  if (give.lean === 0 && give.end === 0) return;
  for (const [index, most] of [
    [LEAN, give.lean],
    [END, give.end / UNIT],
  ] as const) {
    addOne(conditions, index, 1, -most);
    addOne(conditions, index, -1, -most);
  }
}

/** The rows of a programme from now on with its greatest bend at a node, or wherever it comes to lie. */
function choosePeak({ conditions, common }: Programme, peak: number | undefined): void {
  conditions.keep(common);
  if (peak === undefined) return;
  for (let j = 0; j < SPANS; j++) {
    const at = conditions.add(PEAKED);
    conditions.coefficients[at + j] = j < peak ? -1 : 1;
    conditions.coefficients[at + j + 1] = j < peak ? 1 : -1;
  }
}

/** How dear lean and a moved end are beside the rest, per degree and per mm. */
const LEAN_DEAR = 400;
const END_DEAR = 120;

function weights({ give }: BendWish, size: number): number[] {
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
  return hessian;
}

function programmeFor(frame: Frame): Programme | undefined {
  const { give } = frame.wish;
  const size = give.lean === 0 && give.end === 0 ? HELD_SIZE : SIZE;
  const steps = stepsOf(weights(frame.wish, size), size);
  if (!steps) return undefined;
  const conditions = new Conditions(size, MOST_ROWS);
  // Both figures of the end, the whole turn, the place on the diagonal; lean and end, where one alone is held.
  const held = size === SIZE ? Number(give.lean === 0) + Number(give.end === 0) : 0;
  for (let i = 0; i < 4 + held; i++) conditions.add(0, true);
  addShape(conditions, frame.wish);
  return { frame, size, steps, gradient: zeros(size), conditions, common: conditions.count };
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

/** Writes an equality: that a function of the unknowns, by its derivative now, be `wanted` after the step. */
function writeEqual(
  { conditions, size }: Programme,
  row: number,
  derivative: readonly number[],
  miss: number,
  z: readonly number[],
): void {
  let at = 0;
  for (let i = 0; i < size; i++) {
    at += (derivative[i] as number) * (z[i] as number);
    conditions.coefficients[row * size + i] = derivative[i] as number;
  }
  conditions.bounds[row] = miss + at;
}

/** Goes round from a first guess until the bend comes to rest, its greatest bend at `peak` where one is told. */
function settle(programme: Programme, first: number[], peak: number | undefined, rounds: number): number[] | undefined {
  const { frame, size, steps, gradient, conditions } = programme;
  const { wish, side, turn: whole } = frame;
  const { lean, end } = wish.give;
  choosePeak(programme, peak);
  let z = first;
  const accelerated = new FixedPoint();
  for (let round = 0; ; round++) {
    const s = crossing(frame, z);
    const { there, tip } = reachAndEnd(frame, z, s);
    tip.dx[END] = -wish.outward.x * UNIT;
    tip.dy[END] = -wish.outward.y * UNIT;
    const goal = along(wish.end, wish.outward, (z[END] as number) * UNIT);
    writeEqual(programme, 0, tip.dx, goal.x - tip.at.x, z);
    writeEqual(programme, 1, tip.dy, goal.y - tip.at.y, z);
    // The whole turn, L times the integral of the bend, is what lies between the two directions.
    const turned = zeros(SIZE);
    let sum = 0;
    for (let j = 0; j < NODES; j++) {
      turned[j] = (z[LENGTH] as number) * (TOTAL[j] as number);
      sum += (z[j] as number) * (TOTAL[j] as number);
    }
    turned[LENGTH] = sum;
    turned[LEAN] = side;
    writeEqual(programme, 2, turned, whole - (z[LENGTH] as number) * sum - side * (z[LEAN] as number), z);
    const normal = { x: -Math.sin(there.angle), y: Math.cos(there.angle) };
    const pass = zeros(SIZE);
    for (let i = 0; i < SIZE; i++) pass[i] = normal.x * (there.dx[i] as number) + normal.y * (there.dy[i] as number);
    pass[MISS] = -dot(normal, wish.diagonal) * UNIT;
    const target = along(wish.corner, wish.diagonal, wish.hollow + (z[MISS] as number) * UNIT);
    writeEqual(programme, 3, pass, dot(normal, subtract(target, there.at)), z);
    let row = 4;
    if (size === SIZE && lean === 0) writeHeld(conditions, row++, LEAN);
    if (size === SIZE && end === 0) writeHeld(conditions, row, END);
    for (const i of [START, LENGTH]) gradient[i] = -STEADY * (z[i] as number);
    const found = solveQuadratic(steps, gradient, conditions);
    if (!found || !((found[LENGTH] as number) > 0.05)) return undefined;
    const next = size === SIZE ? found : [...found, 0, 0];
    let moved = 0;
    for (let i = 0; i < SIZE; i++) moved = Math.max(moved, Math.abs((next[i] as number) - (z[i] as number)));
    if (moved < SETTLED || round === rounds - 1) return next;
    z = accelerated.next(z, next);
  }
}

/** Writes an equality that holds one unknown at nought. */
function writeHeld({ coefficients, bounds, size }: Conditions, row: number, index: number): void {
  coefficients.fill(0, row * size, (row + 1) * size);
  coefficients[row * size + index] = 1;
  bounds[row] = 0;
}

function drawn(frame: Frame, z: number[]): EvenBend {
  const { wish } = frame;
  const third = ((z[LENGTH] as number) * UNIT) / SPANS / 3;
  const places = nodesOf(frame, z);
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
  const { there } = reachAndEnd(frame, z, crossing(frame, z));
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

/** All that a bend depends on. */
function figuresOf(wish: BendWish): number[] {
  const { start, leaving, pivot, end, arriving, outward, corner, diagonal, hollow, limits, give, ...rest } = wish;
  const { leastRadius, startRadius, mostRadius, flatRadius, ...shares } = limits;
  const { flatStart, flatEnd, spread, peakFrom, peakTo, ...restOfLimits } = shares;
  const { through, start: moved, startUp, startDown, lean, end: endMoved, ...restOfGive } = give;
  const figures = [hollow, leastRadius, startRadius, mostRadius, flatRadius, flatStart, flatEnd, spread];
  figures.push(peakFrom, peakTo, through, moved, startUp, startDown, lean, endMoved);
  for (const { x, y } of [start, leaving, pivot, end, arriving, outward, corner, diagonal]) figures.push(x, y);
  return laidDown(figures, rest, restOfLimits, restOfGive);
}

/** As many bends are remembered: both rises of a draft, by every measure that they may be tried by, and some more. */
const REMEMBERED = 32;

/**
 * The fair bend from a straight line to a point: curvature runs straight over equal spans of its length, turns one way,
 * has one peak, and varies as little as the limits allow. A sequence of quadratic programmes over the curvatures, the
 * length and what may give way (docs/trade/curves.md). Nothing where the limits admit none.
 */
export const evenBend = remember(foundBend, figuresOf, REMEMBERED);

function foundBend(wish: BendWish): EvenBend | undefined {
  const side = Math.sign(cross(wish.leaving, wish.arriving)) || -1;
  const heading = Math.atan2(wish.leaving.y, wish.leaving.x);
  const whole = Math.abs(Math.atan2(cross(wish.leaving, wish.arriving), dot(wish.leaving, wish.arriving)));
  const frame: Frame = { wish, side, first: heading, turn: whole };
  const programme = programmeFor(frame);
  if (!programme) return undefined;
  const first = firstGuess(frame);
  const guess = settle(programme, first, undefined, 3);
  // Where the limits leave no step from the first guess, the bend without them shows where to begin.
  const rough = guess ?? roughly({ ...frame, wish: eased(wish) }, first) ?? first;
  const nodes = Array.from({ length: NODES }, (_, j) => j).filter(
    (j) => j / SPANS > wish.limits.peakFrom + 0.01 && j / SPANS < wish.limits.peakTo - 0.01,
  );
  const order = nodes.sort((a, b) => (rough[b] as number) - (rough[a] as number));
  for (const peak of order.slice(0, guess ? 3 : order.length)) {
    const z = settle(programme, rough, peak, ROUNDS);
    if (z && sound(frame, z)) return drawn(frame, z);
  }
  return undefined;
}

function roughly(frame: Frame, first: number[]): number[] | undefined {
  const programme = programmeFor(frame);
  return programme && settle(programme, first, undefined, 6);
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
  return distance(reachAndEnd(frame, z, 1).tip.at, goal) < 0.05;
}
