import {
  cubic,
  endOf,
  line,
  nearestPlace,
  pathLength,
  placeAtLength,
  point,
  splitPath,
  startOf,
  type Path,
  type Point,
} from '../geometry/index.js';
import type { Panel } from '../draft/index.js';
import { edgeOf, type Part } from '../garment/index.js';

/** How far from the side's end the waist of a part is free of darts, in mm along it. */
export function freeWaist(part: Part, { darts }: Panel): number {
  const { path } = edgeOf(part, 'waist');
  const whole = pathLength(path);
  const last = darts[darts.length - 1];
  const atDart = last && edgeOf(part, 'waist').sewn ? nearestPlace(path, last.sideLeg).length : 0;
  return whole - atDart;
}

/** The last stretch of a path, in mm from its end. */
export const lastOf = (path: Path, length: number): Path =>
  splitPath(path, placeAtLength(path, pathLength(path) - length))[1];

/** The first stretch of a path, in mm from its start. */
export const firstOf = (path: Path, length: number): Path => splitPath(path, placeAtLength(path, length))[0];

/** The corner of a front at waist and side, from which pockets are cut. */
export interface Corner {
  readonly waist: Path;
  readonly side: Path;
  /** +1 where the centre lies to the right of the side. */
  readonly toCentre: number;
}

/** The corner of a part. */
export function cornerOf(part: Part): Corner {
  const waist = edgeOf(part, 'waist').path;
  const side = edgeOf(part, 'side').path;
  return { waist, side, toCentre: Math.sign(startOf(waist).x - endOf(waist).x) || 1 };
}

/** A bag's free edge: from the side down, round its bottom, and up to the waist, S-shaped. */
export function bagEdge(from: Point, to: Point, bottom: number, wide: number, toCentre: number): Path {
  const deepest = point(from.x + toCentre * wide * 0.45, bottom);
  const down = bottom - from.y;
  const rise = bottom - to.y;
  const side = cubic(
    from,
    point(from.x + toCentre * wide * 0.02, from.y + down * 0.6),
    point(deepest.x - toCentre * wide * 0.28, bottom),
    deepest,
  );
  const belly = point(from.x + toCentre * wide, bottom - rise * 0.42);
  const round = cubic(
    deepest,
    point(deepest.x + toCentre * wide * 0.3, bottom),
    point(belly.x, belly.y + rise * 0.22),
    belly,
  );
  const up = cubic(belly, point(belly.x, belly.y - rise * 0.28), point(to.x, to.y + rise * 0.36), to);
  return [side, round, up];
}

/** A straight path. */
export const straight = (a: Point, b: Point): Path => [line(a, b)];
