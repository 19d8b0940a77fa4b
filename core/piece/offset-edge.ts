import {
  along,
  directionAtPlace,
  endDirection,
  endOf,
  isStraight,
  line,
  offsetPath,
  pathLength,
  placeAtLength,
  quarterTurn,
  splineThrough,
  startDirection,
  startOf,
  subtract,
  unit,
  type Path,
  type Point,
} from '../geometry/index.js';
import type { WidthRun } from './allowance.js';
import { joinMitred, linesThrough } from './joint.js';

/** Directions that differ by less than this share of a right angle run on into one another. */
const RUNS_ON = 0.02;

/** True where the net line runs on from one curve to the next without a corner. */
const runsOn = (a: Path, b: Path): boolean => {
  const [u, v] = [endDirection(a), startDirection(b)];
  return Math.abs(u.x * v.y - u.y * v.x) < RUNS_ON;
};

/** A curve of an edge offset by its width, or by a width that changes along it. */
interface OutCurve {
  readonly net: Path;
  readonly mm: number;
  readonly end: number;
  readonly out: Path;
}

/** So far apart, in mm, a curve is sampled where its width changes along it. */
const SAMPLED = 15;

function outOf({ path, mm, end }: WidthRun): OutCurve[] {
  if (end === undefined) return path.map((c) => ({ net: [c], mm, end: mm, out: offsetPath([c], mm) }));
  const whole = pathLength(path);
  let at = 0;
  return path.map((c): OutCurve => {
    const long = pathLength([c]);
    const [start, stop] = [mm + ((end - mm) * at) / whole, mm + ((end - mm) * (at + long)) / whole];
    at += long;
    const count = Math.max(2, Math.ceil(long / SAMPLED));
    const points = Array.from({ length: count + 1 }, (_, i) => {
      const place = placeAtLength([c], (long * i) / count);
      return along(place.at, quarterTurn(directionAtPlace([c], place)), start + ((stop - start) * i) / count);
    });
    const [first, second] = [points[0] as Point, points[1] as Point];
    const [before, last] = [points[count - 1] as Point, points[count] as Point];
    const straight = isStraight(c);
    return {
      net: [c],
      mm: start,
      end: stop,
      out: straight
        ? [line(first, last)]
        : splineThrough(points, unit(subtract(second, first)), unit(subtract(last, before))),
    };
  });
}

/**
 * An edge's offset: curve by curve, dart mouths mitred; where the width changes along a line that runs on, the cut line
 * steps square from one width to the other.
 */
export function offsetEdge(runs: readonly WidthRun[]): Path {
  const curves = runs.flatMap((run) => outOf(run));
  let done: Path = [];
  let last: (typeof curves)[number] | undefined;
  for (const next of curves) {
    if (!last) done = next.out;
    else {
      const steps = Math.abs(last.end - next.mm) > 1e-9 && runsOn(last.net, next.net);
      const { first, corner, second } = steps
        ? { first: done, corner: [], second: next.out }
        : joinMitred(done, next.out, Math.max(last.end, next.mm));
      done = [...first, ...linesThrough([endOf(first), ...corner, startOf(second)]), ...second];
    }
    last = next;
  }
  return done;
}
