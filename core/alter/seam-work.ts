import {
  type Displacement,
  type Path,
  type Point,
  add,
  along,
  cross,
  displacePath,
  distance,
  endDirection,
  endOf,
  line,
  mapPath,
  pathLength,
  placeAtLength,
  point,
  reversePath,
  scale,
  smoothStep,
  splitPath,
  startDirection,
  startOf,
  subtract,
  turn,
} from '../geometry/index.js';
import type { EdgeName } from '../draft/index.js';
import type { Crease, CrotchPoint, SeamMove, Tilt, Waist } from './alteration.js';
import { closedWaistLength } from './waist-of-paper.js';
import { edgeOf, jointsOf, lengthAtLevel, levelOf, withEdge, type Mark, type Paper } from './paper.js';

/** Why a seam cannot be moved so. */
export type SeamFault = 'too much' | 'no level' | 'no dart' | 'no room' | 'dart';

/** Over what length below the hip a move of the side's hip point runs out, at least, in mm. */
const HIP_RUN_OUT = 120;
/** What must be left of a seam that is cut shorter, in mm. */
const LEAST_LEFT = 20;

/** The paper with an edge displaced all along. */
export function displaced(paper: Paper, edge: EdgeName, by: Displacement): Paper {
  const { path, joints } = displacePath(edgeOf(paper, edge), by, jointsOf(paper, edge));
  return withEdge(paper, edge, path, joints);
}

/** The mark of a seam as it was. */
export const seamMark = (alteration: string, path: Path): Mark => ({ alteration, kind: 'seam', points: [], path });

/** A path made shorter at its end by `by` mm, or longer along its last direction where that is below nothing. */
function endShifted(path: Path, by: number): Path | undefined {
  if (by <= 0) return by === 0 ? path : [...path, line(endOf(path), along(endOf(path), endDirection(path), -by))];
  const left = pathLength(path) - by;
  if (left < LEAST_LEFT) return undefined;
  return splitPath(path, placeAtLength(path, left))[0];
}

/** Takes `by` mm off the rise at the waist; adds to it where that is below nothing. */
export function centreLowered(paper: Paper, by: number): Paper | SeamFault {
  // Where the curve reaches the waist there is no straight centre line above it.
  const run = paper.runs.centre.length > 0 ? 'centre' : 'crotchCurve';
  const shifted = endShifted(paper.runs[run], by);
  return shifted ? { ...paper, runs: { ...paper.runs, [run]: shifted }, newWaist: true } : 'too much';
}

/** The waist raised or lowered at the centre and at the side; the waist line between is drawn anew. */
export function waistMoved(paper: Paper, { centre, side }: Waist, alteration: string): Paper | SeamFault {
  const lowered = centreLowered(paper, -centre);
  if (typeof lowered === 'string') return lowered;
  const top = paper.runs.waistToHip.length > 0 ? endShifted(reversePath(paper.runs.waistToHip), -side) : undefined;
  if (!top) return 'too much';
  const lowest = Math.max(endOf(edgeOf(lowered, 'rise')).y, endOf(top).y);
  if (paper.darts.some((d) => d.apex.y < lowest + 10)) return 'dart';
  const waistToHip = reversePath(top);
  return {
    ...lowered,
    runs: { ...lowered.runs, waistToHip },
    marks: [...paper.marks, seamMark(alteration, paper.runs.waist)],
  };
}

/** A smooth hump: 1 at nought, 0 from `reach` on, no slope at either. */
export const hump = (off: number, reach: number): number => 1 - smoothStep(Math.abs(off) / reach);

/**
 * The map that leaves `fixed` and every point off it along `u` in place and carries `from` to `to`: what bends one way
 * bends that way still.
 */
function sheared(fixed: Point, u: Point, from: Point, to: Point): (p: Point) => Point {
  const reach = subtract(from, fixed);
  const off = cross(u, reach);
  const shift = subtract(to, from);
  return (p) => add(p, scale(shift, cross(u, subtract(p, fixed)) / off));
}

/** The path with its first handle turned so that it leaves along `d`. */
function leavingAlong(path: Path, d: Point): Path {
  const [first, ...rest] = path;
  if (!first) return path;
  return [{ ...first, p1: along(first.p0, d, distance(first.p0, first.p1)) }, ...rest];
}

/**
 * The crotch point moved: the inseam is redrawn from the knee, the crotch curve from where it begins, and the two keep
 * their angle, so that the rises still run into one another.
 */
export function crotchPointMoved(paper: Paper, work: CrotchPoint, alteration: string): Paper | SeamFault {
  const { out, down, recentre } = work;
  const { crotchCurve, centre, inseamThigh } = paper.runs;
  const from = startOf(crotchCurve);
  const to = point(from.x + out, from.y + down);
  const startOfCurve = endOf(crotchCurve);
  const u = centre.length > 0 ? startDirection(centre) : endDirection(crotchCurve);
  const reach = cross(u, subtract(from, startOfCurve));
  if (Math.abs(reach) < 10 || cross(u, subtract(to, startOfCurve)) / reach < 0.2) return 'too much';
  const leaving = startDirection(crotchCurve);
  const curve = leavingAlong(mapPath(crotchCurve, sheared(startOfCurve, u, from, to)), leaving);
  const thigh = pathLength(inseamThigh);
  const { path } = displacePath(inseamThigh, (s) => scale(point(out, down), smoothStep(s / thigh)));
  const moved: Paper = {
    ...paper,
    runs: { ...paper.runs, crotchCurve: curve, inseamThigh: path },
    marks: [...paper.marks, seamMark(alteration, [...inseamThigh, ...crotchCurve])],
  };
  return recentre && out !== 0
    ? creaseMoved(moved, { kind: 'crease', panel: paper.name, by: out / 2 }, alteration)
    : moved;
}

/** Grain and leg moved across: knee and hem go along, the seams above the knee run into their places at the crotch. */
export function creaseMoved(
  paper: Paper,
  { by }: Pick<Crease, 'by'> & { kind: 'crease'; panel: unknown },
  alteration: string,
): Paper {
  const across = point(by, 0);
  const carry = (p: Point): Point => add(p, across);
  const { sideThigh, inseamThigh, sideShin, inseamShin, hem } = paper.runs;
  const [sideLength, inseamLength] = [pathLength(sideThigh), pathLength(inseamThigh)];
  const side = displacePath(sideThigh, (s) => scale(across, smoothStep(s / sideLength))).path;
  const inseam = displacePath(inseamThigh, (s) => scale(across, 1 - smoothStep(s / inseamLength))).path;
  return {
    ...paper,
    crease: carry(paper.crease),
    runs: {
      ...paper.runs,
      sideThigh: side,
      inseamThigh: inseam,
      sideShin: mapPath(sideShin, carry),
      inseamShin: mapPath(inseamShin, carry),
      hem: mapPath(hem, carry),
    },
    marks: [...paper.marks, seamMark(alteration, sideThigh), seamMark(alteration, inseamThigh)],
  };
}

/** Moves the side's hip point outward by `by` mm, running out to waist and knee. */
export function sideHipMoved(paper: Paper, by: number): Paper {
  const side = edgeOf(paper, 'side');
  const hip = pathLength(paper.runs.waistToHip);
  const below = Math.max(HIP_RUN_OUT, pathLength(paper.runs.hipToCrotch));
  if (hip <= 0 || side.length === 0) return paper;
  return displaced(paper, 'side', (s) => point(-by * hump(s - hip, s < hip ? hip : below), 0));
}

/** Moves the side's waist end outward by `by` mm, running out to nothing at the hip. */
export function sideWaistMoved(paper: Paper, by: number): Paper {
  const top = pathLength(paper.runs.waistToHip);
  const { path } = displacePath(paper.runs.waistToHip, (s) => point(-by * (1 - smoothStep(s / top)), 0));
  return { ...paper, runs: { ...paper.runs, waistToHip: path }, newWaist: true };
}

/** The same paper with the side's waist end moved until its closed waist is as long as told, in mm. */
export function waistKept(paper: Paper, wanted: number): Paper {
  let moved = paper;
  for (let i = 0; i < 4; i++) {
    const missing = wanted - closedWaistLength(moved);
    if (Math.abs(missing) < 0.005) break;
    moved = sideWaistMoved(moved, missing);
  }
  return moved;
}

/** The seat line turned about a place on it; what hip and waist lose is given back at the side where wanted. */
export function tilted(paper: Paper, { above, by, giveBack }: Tilt, alteration: string): Paper | SeamFault {
  const { centre } = paper.runs;
  const total = pathLength(centre);
  const from = Math.min(Math.max(0, above), total);
  if (total - from < LEAST_LEFT * 2) return 'no room';
  const place = placeAtLength(centre, from);
  const [below, upper] = splitPath(centre, place);
  const end = endOf(upper);
  const reach = distance(place.at, end);
  if (Math.abs(by) > 0.5 * reach) return 'too much';
  // In at the waist is toward the side: to the left.
  const angle = -2 * Math.asin(by / (2 * reach));
  const carry = (p: Point): Point => turn(p, angle, place.at);
  const hip = startOf([...paper.runs.hipToCrotch, ...paper.runs.sideThigh]);
  const wasHip = distance(hip, paper.centreHip);
  const turned: Paper = {
    ...paper,
    runs: { ...paper.runs, centre: [...below, ...mapPath(upper, carry)] },
    centreHip: paper.centreHip.y < place.at.y ? carry(paper.centreHip) : paper.centreHip,
    newWaist: true,
    marks: [...paper.marks, { alteration, kind: 'hinge', points: [place.at], path: [] }, seamMark(alteration, centre)],
  };
  if (!giveBack) return turned;
  const kept = sideHipMoved(turned, wasHip - distance(hip, turned.centreHip));
  return waistKept(kept, closedWaistLength(paper));
}

/** A seam moved out or in between two levels, running out above and below. */
export function seamMoved(paper: Paper, work: SeamMove, alteration: string): Paper | SeamFault {
  const { seam, by, runOut } = work;
  const edge: EdgeName = seam === 'centre' ? 'rise' : seam;
  const path = edgeOf(paper, edge);
  const total = pathLength(path);
  const [top, bottom] = [work.from, work.to].map((level) => levelOf(paper, level)).sort((a, b) => a - b) as [
    number,
    number,
  ];
  const ends = [startOf(path).y, endOf(path).y];
  const [least, most] = [Math.min(...ends), Math.max(...ends)];
  if (bottom < least || top > most) return 'no level';
  const lengthAt = (y: number): number => {
    const downward = (ends[0] ?? 0) < (ends[1] ?? 0);
    if (y <= least) return downward ? 0 : total;
    if (y >= most) return downward ? total : 0;
    return lengthAtLevel(path, y) ?? 0;
  };
  const [a, b] = [lengthAt(top), lengthAt(bottom)].sort((p, q) => p - q) as [number, number];
  const reach = Math.max(1, runOut);
  // At the crotch point two seams meet: what moves it is another alteration.
  const room = edge === 'side' ? Infinity : edge === 'inseam' ? pathLength(path) : 0;
  const atCrotch = (s: number): number => {
    if (edge === 'inseam') return smoothStep((room - s) / reach);
    return edge === 'rise' ? smoothStep(s / reach) : 1;
  };
  const share = (s: number): number => {
    const out = s < a ? a - s : s > b ? s - b : 0;
    return hump(out, reach) * atCrotch(s);
  };
  const outward = seam === 'side' ? point(-1, 0) : seam === 'inseam' ? point(1, 0) : centreOut(paper);
  const next = displaced(paper, edge, (s) => scale(outward, by * share(s)));
  const movesWaist = (edge === 'side' && share(0) > 0) || (edge === 'rise' && share(total) > 0);
  const hem = line(endOf(edgeOf(next, 'side')), startOf(edgeOf(next, 'inseam')));
  const touchesHem = (edge === 'side' && share(total) > 0) || (edge === 'inseam' && share(0) > 0);
  return {
    ...next,
    runs: touchesHem ? { ...next.runs, hem: [hem] } : next.runs,
    newWaist: paper.newWaist || movesWaist,
    marks: [...paper.marks, seamMark(alteration, path)],
  };
}

/** Square to the centre line, away from the piece. */
const centreOut = (paper: Paper): Point => {
  const up = endDirection(edgeOf(paper, 'rise'));
  return scale({ x: up.y, y: -up.x }, -1);
};
