import {
  along,
  angleBetween,
  axisBetween,
  cross,
  directionAt,
  displacePath,
  distance,
  dot,
  graphPath,
  laidDown,
  line,
  onAxis,
  pathLength,
  pointAt,
  quarterTurn,
  remember,
  scale,
  smoothStep,
  subtract,
  turn,
  velocityAt,
  type Cubic,
  type Path,
  type PathPlace,
  type Point,
} from '../geometry/index.js';
import { close, type FlatDart } from './flat-dart.js';
import { bentWaist, END_RUN, type WaistEnds, type WaistFrame } from './waist-bend.js';

/** A waist that passes a limit by less than this, in mm, is not tried the other way. */
const PASSES = 0.05;
/** A waist rises square from a chord no more steeply than this. */
const STEEPEST = 1.2;

/** The waist over closed darts, and where the darts cut it. */
export interface ClosedWaist {
  readonly path: Path;
  /** Where each dart cuts it, from the centre. */
  readonly cuts: readonly PathPlace[];
  /** Direction of the side seam upward once the darts are closed. */
  readonly sideUp: Point;
  /** How far it is off square at the side, radians. */
  readonly offSquare: number;
}

/** Where a path crosses the ray from `from` through `through` (Newton's method on the span that it crosses). */
function crossingPlace(path: Path, from: Point, through: Point): PathPlace {
  const ray = subtract(through, from);
  const off = (p: Point): number => cross(ray, subtract(p, from));
  let index = path.findIndex((c) => off(c.p0) * off(c.p3) <= 0);
  if (index === -1)
    index = Math.abs(off(path[0]?.p0 ?? from)) < Math.abs(off(path[path.length - 1]?.p3 ?? from)) ? 0 : path.length - 1;
  const c = path[index] as Cubic;
  let t = 0.5;
  for (let i = 0; i < 12; i++) {
    const step = off(pointAt(c, t)) / cross(ray, velocityAt(c, t));
    t = Math.min(1, Math.max(0, t - step));
    if (Math.abs(step) < 1e-12) break;
  }
  return { index, t };
}

/** A waist let down along the centre line at its centre end, and less and less to its middle. */
function dipped(path: Path, down: Point, by: number): Path {
  const middle = pathLength(path) / 2;
  return displacePath(path, (s) => scale(down, by * (1 - smoothStep(s / middle)))).path;
}

/** All that a waist depends on. */
function figuresOf(ends: WaistEnds, darts: readonly FlatDart[]): number[] {
  const { panel, centreWaist, centreDown, sideWaist, sideDown, ...more } = ends;
  const { offSquare, offSquareWithin, dip, swung, ...rest } = more;
  const figures = [panel === 'front' ? 0 : 1];
  for (const { x, y } of [centreWaist, centreDown, sideWaist, sideDown]) figures.push(x, y);
  for (const given of [offSquare, offSquareWithin, dip, swung]) figures.push(given ?? NaN);
  for (const { apex, up, angle } of darts) figures.push(apex.x, apex.y, up.x, up.y, angle);
  return laidDown(figures, rest);
}

/** As many waists are remembered: all rounds in which both of a draft settle, and some more. */
const REMEMBERED = 48;

/**
 * One smooth waist line over the closed darts (docs/trade/curves.md): square to the centre line, bending one way and
 * evenly, and running level into the neighbouring panel at the side.
 */
export const closedWaist = remember(foundWaist, figuresOf, REMEMBERED);

function foundWaist(ends: WaistEnds, darts: readonly FlatDart[]): ClosedWaist {
  const { centreWaist: from, sideWaist } = ends;
  const n = darts.length;
  const closedEnd = close(sideWaist, darts, n);
  const closedDown = subtract(close(along(sideWaist, ends.sideDown, 1), darts, n), closedEnd);
  const axis = axisBetween(from, closedEnd);
  const long = distance(from, closedEnd);
  const swung = ends.swung ?? 0;
  const down = { x: -Math.sin(swung), y: Math.cos(swung) };
  const slopeOf = (d: Point): number => {
    const { u, v } = onAxis({ ...axis, origin: { x: 0, y: 0 } }, d);
    const slope = v / Math.max(u, 1e-3);
    return Math.min(STEEPEST, Math.max(-STEEPEST, slope));
  };
  const run = Math.min(END_RUN, long / 6);
  const inner = long - 2 * run;
  const nodes = [
    0,
    run / 2,
    run,
    run + inner / 4,
    run + inner / 2,
    run + (3 * inner) / 4,
    long - run,
    long - run / 2,
    long,
  ];
  const frame: WaistFrame = {
    ends,
    darted: n > 0,
    long,
    nodes,
    first: slopeOf(quarterTurn(ends.centreDown)),
    last: slopeOf(quarterTurn(closedDown)),
    downV: dot(axis.across, down),
    downU: dot(axis.direction, down),
  };
  // The way in which squareness at both ends turns it; the other where that would pass a limit.
  const way = frame.last >= frame.first ? 1 : -1;
  const natural = bentWaist(frame, way);
  const other = natural && natural.passed < PASSES ? undefined : bentWaist(frame, way === 1 ? -1 : 1);
  const best = other && (!natural || other.cost < natural.cost) ? other : natural;
  const bent = best ? graphPath(best.solved, axis) : [line(from, closedEnd)];
  const path = ends.dip === undefined || ends.dip === 0 ? bent : dipped(bent, ends.centreDown, ends.dip);
  // Closed, both legs lie on the centre leg: half the dart's angle toward the centre from its middle line.
  const cuts = darts.map((d, k) =>
    crossingPlace(path, close(d.apex, darts, k), close(turn(along(d.apex, d.up, 100), d.angle / 2, d.apex), darts, k)),
  );
  const arriving = directionAt(path[path.length - 1] as Cubic, 1);
  const sideUp = scale(closedDown, -1);
  return { path, cuts, sideUp, offSquare: Math.PI / 2 - angleBetween(arriving, sideUp) };
}

const at = (path: Path, { index, t }: PathPlace): Point => pointAt(path[index] as Cubic, t);

/** The length of each dart's legs under a closed waist, in mm. */
export const legsUnder = ({ path, cuts }: ClosedWaist, darts: readonly FlatDart[]): number[] =>
  cuts.map((place, k) => distance(close(darts[k]?.apex ?? at(path, place), darts, k), at(path, place)));

/** True where the darts stand side by side within the waist, none at its very ends. */
export function standApart({ path, cuts }: ClosedWaist): boolean {
  const last = path[path.length - 1]?.p3;
  const first = path[0]?.p0;
  if (!first || !last) return false;
  const long = distance(first, last);
  const places = [...cuts.map((cut) => distance(first, at(path, cut))), long];
  return places.every((here, k) => here - (k === 0 ? 0 : (places[k - 1] as number)) >= 0.01 * long);
}
