import {
  type Displacement,
  type Path,
  along,
  displacePath,
  endDirection,
  endOf,
  line,
  pathLength,
  placeAtLength,
  point,
  smoothStep,
  splitPath,
  startOf,
  type Point,
} from '../geometry/index.js';
import type { EdgeName } from '../draft/index.js';
import type { AlterationFault } from '../refusal/index.js';
import { closedWaistLength } from './waist-of-paper.js';
import { withSide } from './redraw-leg.js';
import { edgeOf, including, jointsOf, withEdge, type Mark, type Paper } from './paper.js';

/** Over what length below the hip a move of the side's hip point runs out, at least, in mm. */
const HIP_RUN_OUT = 120;
/** What must be left of a seam that is cut shorter, in mm. */
export const LEAST_LEFT = 20;

/** The paper with an edge displaced all along. */
export function displaced(paper: Paper, edge: EdgeName, by: Displacement): Paper {
  const { path, joints } = displacePath(edgeOf(paper, edge), by, jointsOf(paper, edge));
  return withEdge(paper, edge, path, joints);
}

/** The mark of a seam as it was. */
export const seamMark = (alteration: string, path: Path): Mark => ({ alteration, kind: 'seam', points: [], path });

/** The runs with a straight hem laid between the ends that side and inseam have now. */
export const hemBetween = (runs: Paper['runs']): Paper['runs'] => ({
  ...runs,
  hem: [line(endOf(edgeOf({ runs }, 'side')), startOf(edgeOf({ runs }, 'inseam')))],
});

/** A path made shorter at its end by `by` mm, or longer along its last direction where that is below nothing. */
export function endShifted(path: Path, by: number): Path | undefined {
  if (by <= 0) return by === 0 ? path : [...path, line(endOf(path), along(endOf(path), endDirection(path), -by))];
  const left = pathLength(path) - by;
  if (left < LEAST_LEFT) return undefined;
  return splitPath(path, placeAtLength(path, left))[0];
}

/** Takes `by` mm off the rise at the waist; adds to it where that is below nothing. */
export function centreLowered(paper: Paper, by: number): Paper | AlterationFault {
  // Where the curve reaches the waist there is no straight centre line above it.
  const run = paper.runs.centre.length > 0 ? 'centre' : 'crotchCurve';
  const shifted = endShifted(paper.runs[run], by);
  return shifted ? { ...paper, runs: { ...paper.runs, [run]: shifted }, newWaist: true } : 'tooMuch';
}

/** A smooth hump: 1 at nought, 0 from `reach` on, no slope at either. */
export const hump = (off: number, reach: number): number => 1 - smoothStep(Math.abs(off) / reach);

/** The paper with the corners where two curves of its side meet moved outward, not yet drawn anew. */
function cornerMoved(path: Path, at: number, by: number): Path {
  const moved = (p: Point): Point => point(p.x - by, p.y);
  return path.map((c, i) => {
    if (i === at - 1) return { ...c, p3: moved(c.p3) };
    return i === at ? { ...c, p0: moved(c.p0) } : c;
  });
}

/** The side drawn anew by its measure from a corner that was moved; where that cannot be, moved as told. */
function sideMoved(paper: Paper, corner: number, by: number, otherwise: Displacement): Paper {
  const side = edgeOf(paper, 'side');
  const anew = paper.shaped.has('side')
    ? undefined
    : withSide(withEdge(paper, 'side', cornerMoved(side, corner, by), jointsOf(paper, 'side')));
  return anew ?? { ...displaced(paper, 'side', otherwise), bent: including(paper.bent, 'side') };
}

/** Moves the side's hip point outward by `by` mm, running out to waist and knee. */
export function sideHipMoved(paper: Paper, by: number): Paper {
  const hip = pathLength(paper.runs.waistToHip);
  const below = Math.max(HIP_RUN_OUT, pathLength(paper.runs.hipToCrotch));
  if (hip <= 0 || paper.runs.hipToCrotch.length === 0) return paper;
  const corner = paper.runs.waistToHip.length;
  return sideMoved(paper, corner, by, (s) => point(-by * hump(s - hip, s < hip ? hip : below), 0));
}

/** Moves the side's waist end outward by `by` mm, running out to nothing at the hip. */
export function sideWaistMoved(paper: Paper, by: number): Paper {
  const top = pathLength(paper.runs.waistToHip);
  return { ...sideMoved(paper, 0, by, (s) => point(-by * (1 - smoothStep(s / top)), 0)), newWaist: true };
}

/** A closed waist that misses what it should be by less than this, in mm, is as long as told. */
const WAIST_KEPT = 0.0003;

/**
 * The same paper with the side's waist end moved until its closed waist is as long as told, in mm: by what is missing,
 * then by secant steps.
 */
export function waistKept(paper: Paper, wanted: number): Paper {
  let moved = paper;
  let missing = wanted - closedWaistLength(paper);
  let gain = 1;
  for (let i = 0; i < 4 && Math.abs(missing) >= WAIST_KEPT; i++) {
    const by = missing / gain;
    moved = sideWaistMoved(moved, by);
    const left = wanted - closedWaistLength(moved);
    // How much longer the waist became for each millimetre moved; near one, or the next step goes by one.
    const gained = (missing - left) / by;
    gain = gained > 0.5 && gained < 2 ? gained : 1;
    missing = left;
  }
  return moved;
}
