import { solveSymmetric } from '../geometry/index.js';

/**
 * Figures that are to come into bands by moving unknowns between bounds, as little as may be. The figures are smooth in
 * the unknowns; what a figure lies outside its band counts, inside it nothing does.
 */
export interface BandProblem {
  readonly low: readonly number[];
  readonly high: readonly number[];
  /** How far an unknown is moved to find what it does. */
  readonly step: readonly number[];
  /** What leaving nought costs, by unknown. */
  readonly cost: readonly number[];
  /** The figures at a place; nothing where there is no answer. */
  readonly figures: (x: readonly number[]) => readonly number[] | undefined;
  readonly bands: readonly (readonly [number, number])[];
  readonly weights: readonly number[];
}

/** A place of the search: the unknowns, the figures there, and how each figure changes with each unknown. */
export interface BandPlace {
  readonly x: readonly number[];
  readonly figures: readonly number[];
  /** Rows: figures; columns: unknowns. */
  readonly slopes: readonly (readonly number[])[];
}

/** How far a figure lies outside its band; below it negative. */
export const outside = (figure: number, [low, high]: readonly [number, number]): number =>
  figure < low ? figure - low : figure > high ? figure - high : 0;

/** The figures at a place, with their slopes by finite differences. */
export function placeAt(problem: BandProblem, x: readonly number[]): BandPlace | undefined {
  const figures = problem.figures(x);
  if (!figures) return undefined;
  const columns = x.map((value, i) => {
    if ((problem.high[i] as number) - (problem.low[i] as number) <= 0) return figures.map(() => 0);
    for (const way of [1, -1]) {
      const h = way * (problem.step[i] ?? 1);
      const moved = problem.figures(x.map((v, k) => (k === i ? value + h : v)));
      if (moved) return figures.map((was, k) => ((moved[k] ?? was) - was) / h);
    }
    return figures.map(() => 0);
  });
  return { x, figures, slopes: figures.map((_, k) => columns.map((column) => column[k] as number)) };
}

/** The figures at `x` if each changed evenly from a place on, by its slopes there. */
export const told = ({ x: from, figures, slopes }: BandPlace, x: readonly number[]): number[] =>
  figures.map((f, k) => x.reduce((sum, mm, i) => sum + (mm - (from[i] as number)) * (slopes[k]?.[i] as number), f));

/** What a place costs: the squares of what is missed and of what is changed. */
function costOf({ bands, weights, cost }: BandProblem, x: readonly number[], figures: readonly number[]): number {
  const missed = figures.reduce((sum, f, k) => sum + ((weights[k] ?? 1) * outside(f, bands[k] ?? [0, 0])) ** 2, 0);
  return x.reduce((sum, mm, i) => sum + ((cost[i] as number) * mm) ** 2, missed);
}

const TRIES = 6;
/** What costs next to nothing is left as it is. */
const NEXT_TO_NOTHING = 1e-3;

const little = (gained: number, cost: number, share: number): boolean => gained < share * (NEXT_TO_NOTHING + cost);

/** How long a search goes on. */
export interface Patience {
  /** As many steps at most. */
  readonly rounds: number;
  /** A step that gains less than this share of what a place costs is none. */
  readonly little: number;
  /** Slopes are found anew where the updated ones lead no further. */
  readonly fresh: boolean;
}

/** Broyden's rank one update: the slopes made to agree with the step just gone. */
function updated(place: BandPlace, x: readonly number[], figures: readonly number[]): BandPlace {
  const gone = x.map((v, i) => v - (place.x[i] as number));
  const square = gone.reduce((sum, d) => sum + d * d, 0);
  if (square < 1e-12) return { x, figures, slopes: place.slopes };
  const slopes = place.slopes.map((row, k) => {
    const expected = row.reduce((sum, s, i) => sum + s * (gone[i] as number), 0);
    const off = ((figures[k] as number) - (place.figures[k] as number) - expected) / square;
    return row.map((s, i) => s + off * (gone[i] as number));
  });
  return { x, figures, slopes };
}

/** One damped step from a place that makes it better; nothing where there is none. */
function stepFrom(
  problem: BandProblem,
  place: BandPlace,
  from: number,
  share: number,
): { place: BandPlace; damping: number; gained: number } | undefined {
  const { bands, weights, cost, low, high } = problem;
  const { x, figures, slopes } = place;
  const now = costOf(problem, x, figures);
  const rows = slopes.flatMap((row, k) => {
    const miss = outside(figures[k] as number, bands[k] ?? [0, 0]);
    const w = weights[k] ?? 1;
    return miss === 0 ? [] : [{ miss: miss * w, row: row.map((s) => s * w) }];
  });
  const gradient = x.map((mm, i) =>
    rows.reduce((sum, r) => sum + r.miss * (r.row[i] as number), (cost[i] as number) ** 2 * mm),
  );
  const free = x.flatMap((mm, i) => {
    const [l, h, slope] = [low[i] as number, high[i] as number, gradient[i] as number];
    return h <= l || (mm <= l && slope > 0) || (mm >= h && slope < 0) ? [] : [i];
  });
  // A figure inside its band, near to its edge, is kept from being pushed out again.
  const kept = slopes.flatMap((row, k) => {
    const w = weights[k] ?? 1;
    return outside(figures[k] as number, bands[k] ?? [0, 0]) === 0 ? [row.map((s) => s * w * KEPT)] : [];
  });
  const normal = free.map((i) =>
    free.map(
      (j) =>
        [...rows.map((r) => r.row), ...kept].reduce((sum, row) => sum + (row[i] as number) * (row[j] as number), 0) +
        (i === j ? (cost[i] as number) ** 2 : 0),
    ),
  );
  let damping = from;
  for (let attempt = 0; attempt < TRIES; attempt++) {
    const found = solveSymmetric(
      normal.map((row, i) => row.map((v, j) => (i === j ? v * (1 + damping) + 1e-12 : v))),
      free.map((i) => -(gradient[i] as number)),
    );
    if (found) {
      const next = [...x];
      free.forEach((i, k) => {
        next[i] = Math.min(high[i] as number, Math.max(low[i] as number, (x[i] as number) + (found[k] as number)));
      });
      // Where even the slopes promise no gain, nothing is drawn to see it: a shorter step may do better.
      const promised = now - costOf(problem, next, told(place, next));
      const there = little(promised, now, share) ? undefined : problem.figures(next);
      const cheaper = there ? now - costOf(problem, next, there) : 0;
      if (there && cheaper > 0) {
        return { place: updated(place, next, there), damping: Math.max(1e-9, damping / 10), gained: cheaper };
      }
    }
    damping = damping * 10 + 1e-4;
  }
  return undefined;
}

/** What of its slope a figure inside its band keeps in a step. */
const KEPT = 0.35;

/**
 * Projected Levenberg-Marquardt with Broyden's update: from a place, step by step, until little is gained. Each unknown is
 * held between its bounds; one that is pressed against a bound is left out of the step.
 */
export function intoBands(
  problem: BandProblem,
  from: BandPlace,
  { rounds, little: share, fresh }: Patience,
): BandPlace {
  let place = from;
  let damping = 1e-3;
  let exact = true;
  for (let round = 0; round < rounds; round++) {
    const next = stepFrom(problem, place, damping, share);
    const stands = !next || little(next.gained, costOf(problem, place.x, place.figures), share);
    if (next) [place, damping] = [next.place, next.damping];
    if (!stands) {
      exact = false;
      continue;
    }
    if (!fresh || exact) break;
    place = placeAt(problem, place.x) ?? place;
    exact = true;
    damping = 1e-3;
  }
  return place;
}
