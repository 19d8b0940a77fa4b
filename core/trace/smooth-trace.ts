import {
  distance,
  pathLength,
  placeAtLength,
  runningLengths,
  splineThrough,
  subtract,
  unit,
  type Path,
  type Point,
} from '../geometry/index.js';
import { good, fileRefusal, refused, type Outcome, type FileRefusal } from '../refusal/index.js';

/** A crotch curve of a body: from the waist in front, under, to the waist behind, and where the inseam falls on it. */
export interface BodyTrace {
  /** In mm, y down; the front to either side. */
  readonly points: readonly Point[];
  /** The inseam as a share of the length from the waist in front. */
  readonly inseam: number;
}

/** A trace made smooth, placed with the inseam at the origin and the front to the left. */
export interface SmoothTrace {
  /** From the waist in front to the waist behind. */
  readonly path: Path;
  readonly total: number;
  /** Length from the front's waist to the inseam, in mm. */
  readonly toInseam: number;
}

const KNOTS = 26;
const SAMPLES = 160;
/** How often neighbours are averaged: a hand's tremble goes, the shape stays. */
const PASSES = 6;
const LEAST_LENGTH = 200;
const MOST_LENGTH = 2000;

const polyline = (points: readonly Point[]): { lengths: number[]; total: number } => {
  const lengths = runningLengths(points);
  return { lengths, total: lengths[lengths.length - 1] as number };
};

/** Points at even distances along a polyline. */
export function evenly(points: readonly Point[], count: number): Point[] {
  const { lengths, total } = polyline(points);
  let k = 0;
  return Array.from({ length: count + 1 }, (_, i) => {
    const at = (total * i) / count;
    while (k < points.length - 2 && (lengths[k + 1] as number) < at) k++;
    const [a, b] = [points[k] as Point, points[k + 1] as Point];
    const gap = (lengths[k + 1] as number) - (lengths[k] as number);
    const t = gap === 0 ? 0 : Math.min(1, (at - (lengths[k] as number)) / gap);
    return { x: a.x + (b.x - a.x) * t, y: a.y + (b.y - a.y) * t };
  });
}

/** Averages neighbours, the ends kept. */
export function calmed(points: readonly Point[], passes: number): Point[] {
  let calm = [...points];
  for (let pass = 0; pass < passes; pass++) {
    calm = calm.map((p, i) => {
      const [a, b] = [calm[i - 1], calm[i + 1]];
      return a && b ? { x: (a.x + 2 * p.x + b.x) / 4, y: (a.y + 2 * p.y + b.y) / 4 } : p;
    });
  }
  return calm;
}

/**
 * A trace made smooth: laid out evenly, a hand's tremble averaged away, and one spline drawn through it (clamped cubic
 * spline), inseam at the origin, front to the left. Refuses what is no crotch curve.
 */
export function smoothTrace({ points, inseam }: BodyTrace): Outcome<SmoothTrace, FileRefusal> {
  const finite = points.filter((p) => Number.isFinite(p.x) && Number.isFinite(p.y));
  const apart = finite.filter((p, i) => i === 0 || distance(p, finite[i - 1] as Point) > 0.01);
  if (apart.length < 5) {
    return refused(fileRefusal('trace', 'traceTooFew'));
  }
  const { total } = polyline(apart);
  if (total < LEAST_LENGTH || total > MOST_LENGTH) {
    return refused(fileRefusal('trace', 'traceLength', { mm: total }));
  }
  if (!(inseam > 0.1 && inseam < 0.9)) {
    return refused(fileRefusal('trace', 'traceInseam'));
  }
  const calm = calmed(evenly(apart, SAMPLES), PASSES);
  const knots = evenly(calm, KNOTS);
  const [first, second, last, before] = [knots[0], knots[1], knots[KNOTS], knots[KNOTS - 1]] as [
    Point,
    Point,
    Point,
    Point,
  ];
  const path = splineThrough(knots, unit(subtract(second, first)), unit(subtract(last, before)));
  const length = pathLength(path);
  const at = placeAtLength(path, inseam * length).at;
  const lowest = Math.max(first.y, last.y);
  if (at.y < lowest) {
    return refused(fileRefusal('trace', 'traceUpward'));
  }
  const turned = first.x > last.x;
  const place = (p: Point): Point => ({ x: (turned ? -1 : 1) * (p.x - at.x), y: p.y - at.y });
  const placed = path.map(({ p0, p1, p2, p3 }) => ({ p0: place(p0), p1: place(p1), p2: place(p2), p3: place(p3) }));
  return good({ path: placed, total: length, toInseam: inseam * length });
}
