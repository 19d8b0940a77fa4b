import { cubic, cubicLength, directionAt, parameterAtLength, partOf, pointAt, type Cubic } from './cubic.js';
import { fitCubic } from './fit-cubic.js';
import { pathLength, placeAtLength, runningLengths, splitPath, type Path } from './path.js';
import { along, cross, distance, dot, subtract, type Point } from './point.js';

/** A seam breaks where its direction changes by more than this, in radians (a fifth of a degree). */
const BREAK = 0.0035;

/** Places nearer than this, in mm, are one. */
const SAME = 1e-4;

/** How far a seam is redrawn on each side of a break, in mm. */
export const REDRAWN = 70;
/** No handle of a redrawn curve is longer than this share of its chord. */
const HANDLE_MOST = 1;
/** What of the way to the seam's end may be redrawn. */
const SHARE = 0.75;

/** A redrawn curve's handle is between these shares of its chord; else a third. */
const held = (length: number, chord: number): boolean => length > chord * 0.15 && length < chord * 0.75;

/** The curve with both handles lengthened so that it is `length` mm long, where that takes no overlong handles. */
function ofLength(c: Cubic, length: number): Cubic {
  const reach = Math.max(distance(c.p0, c.p1), distance(c.p2, c.p3));
  const most = (HANDLE_MOST * distance(c.p0, c.p3)) / reach;
  const at = (k: number): Cubic =>
    cubic(c.p0, along(c.p0, subtract(c.p1, c.p0), k), along(c.p3, subtract(c.p2, c.p3), k), c.p3);
  let [low, high] = [1, most];
  if (most <= 1 || pathLength([c]) >= length || pathLength([at(most)]) < length) return c;
  for (let i = 0; i < 30 && high - low > 1e-7; i++) {
    const middle = (low + high) / 2;
    if (pathLength([at(middle)]) < length) low = middle;
    else high = middle;
  }
  return at((low + high) / 2);
}

/** Where a path breaks, as lengths from its start in mm. */
export function breaksOf(path: Path): number[] {
  const found: number[] = [];
  let run = 0;
  let counted = 0;
  for (const [i, c] of path.entries()) {
    const next = path[i + 1];
    if (!next) break;
    const [before, after] = [directionAt(c, 1), directionAt(next, 0)];
    if (dot(before, after) > 0 && Math.abs(cross(before, after)) < BREAK) continue;
    run += pathLength(path.slice(counted, i + 1));
    counted = i + 1;
    found.push(run);
  }
  return found;
}

/** A path redrawn, with its joints. */
export interface Faired {
  readonly path: Path;
  readonly joints: number[];
}

/** A place on a path by its curve and parameter; the end of a curve is the start of the next. */
interface Spot {
  readonly index: number;
  readonly t: number;
}

/** What of a path is redrawn at once, as lengths from its start in mm. */
interface Window {
  readonly from: number;
  to: number;
}

/** The stretches to be redrawn: a reach on both sides of each break, joined where they overlap. */
function windowsAbout(breaks: readonly number[], total: number): Window[] {
  const windows: Window[] = [];
  for (const at of breaks) {
    const from = at - Math.min(REDRAWN, SHARE * at);
    const to = at + Math.min(REDRAWN, SHARE * (total - at));
    const last = windows[windows.length - 1];
    if (last && from < last.to) last.to = to;
    else windows.push({ from, to });
  }
  return windows;
}

/** The part of a curve between two parameters. */
const between = (c: Cubic, from: number, to: number): Cubic => (from <= 0 && to >= 1 ? c : partOf(c, from, to));

/**
 * A seam redrawn smooth where it breaks: over each break, and breaks that lie close together at once, one curve that
 * runs into the seam on both sides without a corner; with `keepLength` as long as what it stands for where it can be.
 * Ends and all that lies further than `REDRAWN` mm from a break stay as they are. `joints` are counts of curves before
 * named places; they are kept at the same share of what is redrawn.
 */
export function fairPath(path: Path, joints: readonly number[] = [], keepLength = true): Faired {
  const breaks = breaksOf(path);
  if (breaks.length === 0) return { path, joints: [...joints] };
  const starts = [0];
  for (const c of path) starts.push((starts[starts.length - 1] as number) + cubicLength(c));
  const total = starts[path.length] as number;
  const spotAt = (length: number): Spot => {
    let index = 0;
    while (index < path.length - 1 && (starts[index + 1] as number) <= length + SAME) index++;
    const into = length - (starts[index] as number);
    return { index, t: into < SAME ? 0 : parameterAtLength(path[index] as Cubic, into) };
  };

  const drawn: Cubic[] = [];
  const found = joints.map((j): number => (j >= path.length ? -1 : 0));
  const passed = (index: number): void => {
    joints.forEach((j, k) => {
      if (j === index) found[k] = drawn.length;
    });
  };
  let here: Spot = { index: 0, t: 0 };
  const carryTo = (to: Spot): void => {
    for (let i = here.index; i <= to.index && i < path.length; i++) {
      const from = i === here.index ? here.t : 0;
      const until = i === to.index ? to.t : 1;
      if (from === 0) passed(i);
      if (until - from > 1e-9) drawn.push(between(path[i] as Cubic, from, until));
    }
    here = to;
  };
  for (const { from, to } of windowsAbout(breaks, total)) {
    const [start, end] = [spotAt(from), spotAt(to)];
    carryTo(start);
    const curve = redrawnBetween(path, start, end, keepLength ? to - from : undefined);
    const own = cubicLength(curve);
    const within = joints
      .map((j, k) => ({ k, share: ((starts[j] as number) - from) / (to - from) }))
      .filter(({ share }) => share * (to - from) > SAME && (1 - share) * (to - from) > SAME)
      .sort((a, b) => a.share - b.share);
    let done = 0;
    for (const { k, share } of within) {
      const t = parameterAtLength(curve, share * own);
      if (t - done > 1e-9) drawn.push(between(curve, done, t));
      found[k] = drawn.length;
      done = t;
    }
    drawn.push(between(curve, done, 1));
    here = end;
  }
  carryTo({ index: path.length - 1, t: 1 });
  return { path: drawn, joints: found.map((count) => (count < 0 ? drawn.length : count)) };
}

/** The one curve that stands for a path between two of its places. */
function redrawnBetween(path: Path, start: Spot, end: Spot, length: number | undefined): Cubic {
  const [first, last] = [path[start.index] as Cubic, path[end.index] as Cubic];
  const points: Point[] = [];
  for (let i = start.index; i <= end.index; i++) {
    const c = path[i] as Cubic;
    const [from, to] = [i === start.index ? start.t : 0, i === end.index ? end.t : 1];
    if (to - from < 1e-9) continue;
    for (const share of [0.125, 0.375, 0.625, 0.875]) points.push(pointAt(c, from + share * (to - from)));
  }
  const ends = {
    start: pointAt(first, start.t),
    leaving: directionAt(first, start.t),
    end: pointAt(last, end.t),
    arriving: directionAt(last, end.t),
  };
  const lengths = runningLengths([ends.start, ...points, ends.end]);
  const whole = lengths[lengths.length - 1] as number;
  const shares = lengths.slice(1, -1).map((along) => along / whole);
  const fitted = fitCubic(ends, shares, points, held);
  return length === undefined ? fitted : ofLength(fitted, length);
}

/** A path cut at the given lengths from its start, in rising order or not, with the count of curves before each. */
export function jointedAt(path: Path, lengths: readonly number[]): Faired {
  let cut = path;
  const joints = lengths.map(() => 0);
  const order = lengths.map((length, i) => ({ length, i })).sort((a, b) => a.length - b.length);
  for (const { length, i } of order) {
    let run = 0;
    let at = 0;
    while (at < cut.length && run + SAME < length) run += pathLength([cut[at++] as Cubic]);
    if (Math.abs(run - length) <= SAME) {
      joints[i] = at;
      continue;
    }
    const [head, tail] = splitPath(cut, placeAtLength(cut, length));
    cut = [...head, ...tail];
    joints[i] = head.length;
  }
  return { path: cut, joints };
}
