import { cubic, cubicLength, isStraight, type Cubic } from './cubic.js';
import { partsOf } from './cross-line.js';
import type { Path } from './path.js';
import { along, add, distance, subtract, type Point } from './point.js';

/** How far a place on a path is moved, by its distance along the path in mm; smooth. */
export type Displacement = (length: number) => Point;

/** Curves longer than this, in mm, are cut where they move; straight ones, which have no bend to carry, sooner. */
const LONGEST = 70;
const LONGEST_STRAIGHT = 35;
const STEP = 0.01;
const STILL = 1e-12;

const isStill = (p: Point): boolean => Math.abs(p.x) < STILL && Math.abs(p.y) < STILL;

function moved(c: Cubic, from: number, to: number, by: Displacement): Cubic {
  const slope = (s: number): Point => {
    const d = subtract(by(s + STEP), by(s - STEP));
    return { x: d.x / (2 * STEP), y: d.y / (2 * STEP) };
  };
  const [a, b] = [by(from), by(to)];
  const [da, db] = [slope(from), slope(to)];
  if (isStill(a) && isStill(b) && isStill(da) && isStill(db) && isStill(by((from + to) / 2))) return c;
  return cubic(
    add(c.p0, a),
    along(add(c.p1, a), da, distance(c.p0, c.p1)),
    along(add(c.p2, b), db, -distance(c.p2, c.p3)),
    add(c.p3, b),
  );
}

/** A path moved, with where its joints have come to lie. */
export interface Displaced {
  readonly path: Path;
  readonly joints: number[];
}

/**
 * A path with each place moved by `by`, a smooth function of the length along the path: tangents are carried with it,
 * so that what was smooth stays smooth. Long curves are cut into shorter ones where they move. `joints` are counts of
 * curves before named places; they are given back for the new path.
 */
export function displacePath(path: Path, by: Displacement, joints: readonly number[] = []): Displaced {
  const found: Cubic[] = [];
  const counts = [0];
  let run = 0;
  for (const c of path) {
    const own = cubicLength(c);
    const probes = [0, 0.25, 0.5, 0.75, 1].map((share) => by(run + own * share));
    const still = probes.every(isStill);
    const even = probes.every((p) => distance(p, probes[0] ?? p) < STILL);
    const longest = isStraight(c) ? LONGEST_STRAIGHT : LONGEST;
    const parts = still || even ? [c] : partsOf(c, Math.max(1, Math.ceil(own / longest)));
    for (const part of parts) {
      const length = parts.length === 1 ? own : cubicLength(part);
      found.push(still ? part : moved(part, run, run + length, by));
      run += length;
    }
    counts.push(found.length);
  }
  return { path: found, joints: joints.map((j) => counts[j] ?? found.length) };
}

/** A smooth step from 0 at 0 to 1 at 1, with no slope and no bend at either end. */
export function smoothStep(x: number): number {
  const t = Math.min(1, Math.max(0, x));
  return t * t * t * (t * (6 * t - 15) + 10);
}
