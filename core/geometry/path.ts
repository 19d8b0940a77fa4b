import { goldenLeast } from './numeric/golden.js';
import {
  cubicLength,
  directionAt,
  isStraight,
  mapCubic,
  parameterAtLength,
  partOf,
  pointAt,
  reverse,
  splitAt,
  accelerationAt,
  type Cubic,
} from './cubic.js';
import { distance, norm, type Point } from './point.js';

/** A run of cubics, each starting where the one before it ends. */
export type Path = readonly Cubic[];

/** A place on a path: which curve, at which parameter, how far from the start in mm. */
export interface Place {
  readonly index: number;
  readonly t: number;
  readonly length: number;
  readonly at: Point;
}

/** A place on a path by its curve and parameter. */
export interface PathPlace {
  readonly index: number;
  readonly t: number;
}

/** The part of a path from one place to a later one. */
export function pathBetweenPlaces(path: Path, from: PathPlace, to: PathPlace): Path {
  return path.slice(from.index, to.index + 1).flatMap((c, i) => {
    const first = i === 0 ? from.t : 0;
    const last = from.index + i === to.index ? to.t : 1;
    return last - first > 1e-9 ? [first === 0 && last === 1 ? c : partOf(c, first, last)] : [];
  });
}

/** The length of a path, in mm. */
export const pathLength = (path: Path): number => path.reduce((sum, c) => sum + cubicLength(c), 0);

/** The same path run the other way. */
export const reversePath = (path: Path): Path => path.map(reverse).reverse();

/** The path with every control point carried by an affine `move`. */
export const mapPath = (path: Path, move: (p: Point) => Point): Path => path.map((c) => mapCubic(c, move));

/** Where a path starts; an empty path has no start and throws, since that is a bug. */
export function startOf(path: Path): Point {
  const first = path[0];
  if (!first) throw new Error('An empty path has no start');
  return first.p0;
}

/** Where a path ends; an empty path throws, since that is a bug. */
export function endOf(path: Path): Point {
  const last = path[path.length - 1];
  if (!last) throw new Error('An empty path has no end');
  return last.p3;
}

/** The unit direction in which a path leaves its start. */
export function startDirection(path: Path): Point {
  const first = path[0];
  if (!first) throw new Error('An empty path has no direction');
  return directionAt(first, 0);
}

/** The unit direction in which a path arrives at its end. */
export function endDirection(path: Path): Point {
  const last = path[path.length - 1];
  if (!last) throw new Error('An empty path has no direction');
  return directionAt(last, 1);
}

/** The place `length` mm along a path from its start; held to the ends. */
export function placeAtLength(path: Path, length: number): Place {
  let run = 0;
  for (const [index, c] of path.entries()) {
    const own = cubicLength(c);
    if (length <= run + own || index === path.length - 1) {
      const t = parameterAtLength(c, length - run);
      return { index, t, length: Math.min(Math.max(length, 0), run + own), at: pointAt(c, t) };
    }
    run += own;
  }
  throw new Error('An empty path has no places');
}

/** Where a place of a path lies. */
export function pointAtPlace(path: Path, place: PathPlace): Point {
  const c = path[place.index];
  if (!c) throw new Error('The place is not on this path');
  return pointAt(c, place.t);
}

/** The unit direction of travel at a place. */
export function directionAtPlace(path: Path, place: PathPlace): Point {
  const c = path[place.index];
  if (!c) throw new Error('The place is not on this path');
  return directionAt(c, place.t);
}

/** A path cut in two at a place. */
export function splitPath(path: Path, place: PathPlace): readonly [Path, Path] {
  const c = path[place.index];
  if (!c) throw new Error('The place is not on this path');
  const before = path.slice(0, place.index);
  const after = path.slice(place.index + 1);
  if (place.t <= 1e-9) return [before, [c, ...after]];
  if (place.t >= 1 - 1e-9) return [[...before, c], after];
  const [head, tail] = splitAt(c, place.t);
  return [
    [...before, head],
    [tail, ...after],
  ];
}

const SAMPLES = 64;

/** Golden section search about every sample that is nearer than both its neighbours. */
function nearestOnCubic(c: Cubic, p: Point): { t: number; distance: number } {
  const { p0, p1, p2, p3 } = c;
  const away = (t: number): number => {
    const u = 1 - t;
    const [a, b, d, e] = [u * u * u, 3 * u * u * t, 3 * u * t * t, t * t * t];
    const x = a * p0.x + b * p1.x + d * p2.x + e * p3.x - p.x;
    const y = a * p0.y + b * p1.y + d * p2.y + e * p3.y - p.y;
    return x * x + y * y;
  };
  let best = { t: 0, distance: Infinity };
  const take = (t: number): void => {
    const square = away(t);
    if (square < best.distance) best = { t, distance: square };
  };
  let [before, here] = [Infinity, away(0)];
  for (let i = 0; i <= SAMPLES; i++) {
    const after = i < SAMPLES ? away((i + 1) / SAMPLES) : Infinity;
    if (here <= before && here <= after) {
      take(i / SAMPLES);
      take(goldenLeast(away, Math.max(0, (i - 1) / SAMPLES), Math.min(1, (i + 1) / SAMPLES), 40));
    }
    [before, here] = [here, after];
  }
  return { t: best.t, distance: Math.sqrt(best.distance) };
}

/** Sums of squares are right to far less than this, in mm. */
const ROUNDING = 1e-6;

/** How far a point lies from the box about the four points of a curve, in mm: no point of the curve is nearer. */
function fromBox({ p0, p1, p2, p3 }: Cubic, { x, y }: Point): number {
  const across = Math.max(0, Math.min(p0.x, p1.x, p2.x, p3.x) - x, x - Math.max(p0.x, p1.x, p2.x, p3.x));
  const down = Math.max(0, Math.min(p0.y, p1.y, p2.y, p3.y) - y, y - Math.max(p0.y, p1.y, p2.y, p3.y));
  return Math.hypot(across, down);
}

/**
 * The place on a path nearest to a point, and its distance in mm (sampling, then golden section search; curves whose
 * box lies further off than an end of another are passed over).
 */
export function nearestPlace(path: Path, p: Point): Place & { readonly distance: number } {
  let best: { index: number; t: number; distance: number } | undefined;
  let bound = Math.min(...path.map((c) => Math.min(distance(c.p0, p), distance(c.p3, p))));
  for (const [index, c] of path.entries()) {
    if (fromBox(c, p) > bound + ROUNDING) continue;
    const hit = nearestOnCubic(c, p);
    if (!best || hit.distance < best.distance) best = { index, ...hit };
    bound = Math.min(bound, hit.distance);
  }
  const curve = best && path[best.index];
  if (!best || !curve) throw new Error('An empty path has no places');
  const { index, t } = best;
  const length = pathLength(path.slice(0, index)) + cubicLength(curve, 0, t);
  return { index, t, length, at: pointAt(curve, t), distance: best.distance };
}

/** How far each of a row of points lies from the first along the straight lines between them, in mm. */
export function runningLengths(points: readonly Point[]): number[] {
  let run = 0;
  return points.map((p, i) => {
    const before = points[i - 1];
    run += before ? distance(before, p) : 0;
    return run;
  });
}

/**
 * Points along a path so that no chord stands more than `tolerance` mm off the curve.
 * The start is included, and the end.
 */
export function flatten(path: Path, tolerance = 0.05): Point[] {
  const first = path[0];
  if (!first) return [];
  const points: Point[] = [first.p0];
  for (const c of path) {
    if (isStraight(c)) {
      points.push(c.p3);
      continue;
    }
    // The chord error of a cubic over a step h is at most h²/8 times its largest second derivative.
    const a0 = accelerationAt(c, 0);
    const a1 = accelerationAt(c, 1);
    const bend = Math.max(norm(a0), norm(a1));
    const steps = Math.min(400, Math.max(1, Math.ceil(Math.sqrt(bend / (8 * tolerance)))));
    for (let i = 1; i < steps; i++) points.push(pointAt(c, i / steps));
    points.push(c.p3);
  }
  return points;
}

/**
 * The part of a path between two lengths from its start, in mm. On a closed path, one that ends before it begins runs
 * on over the start.
 */
export function pathBetween(path: Path, from: number, to: number): Path {
  if (to < from) return [...pathBetween(path, from, Infinity), ...pathBetween(path, 0, to)];
  const [, tail] = splitPath(path, placeAtLength(path, from));
  const length = to - Math.max(0, from);
  return tail.length === 0 || length >= pathLength(tail) ? tail : splitPath(tail, placeAtLength(tail, length))[0];
}
