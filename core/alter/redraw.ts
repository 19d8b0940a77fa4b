import type { EdgeName, Panel } from '../draft/index.js';
import {
  angleBetween,
  breaksOf,
  crossLine,
  distance,
  endDirection,
  endOf,
  fairPath,
  pathLength,
  placeAtLength,
  startOf,
  subtract,
  unit,
  type Path,
  type Point,
} from '../geometry/index.js';
import { edgeOf, jointsOf, startOfRun, withEdge, type Paper } from './paper.js';
import { withInseam, withSide } from './redraw-leg.js';
import { redrawnRise } from './redraw-rise.js';
import { sideHipMoved, waistKept } from './seam-work.js';
import { closedWaistLength } from './waist-of-paper.js';

/** What redrawing takes from the hip is given back where it is more than this, in mm. */
const WORTH = 0.02;
/** An inseam that arrives at the crotch point turned by more than this, in radians, asks for a rise square to it. */
const TURNED = 1.5e-3;
/** Lines that lie nearer to one another than this, in mm, are one. */
const STANDS = 0.005;
/** Places at which two lines are compared. */
const SAMPLES = 12;
/** A line drawn anew lies no further than this from what was cut and moved, in mm. */
const MOST_OFF = 30;

/** True where two lines lie nowhere further apart than told, in mm, read at the same shares of their lengths. */
function lieWithin(a: Path, b: Path, most: number): boolean {
  if (distance(startOf(a), startOf(b)) >= most || distance(endOf(a), endOf(b)) >= most) return false;
  const [long, other] = [pathLength(a), pathLength(b)];
  for (let i = 1; i < SAMPLES; i++) {
    const share = i / SAMPLES;
    if (distance(placeAtLength(a, share * long).at, placeAtLength(b, share * other).at) >= most) return false;
  }
  return true;
}

const EDGE_JOINTS = {
  side: ({ joints: { sideHip, sideCrotch, sideKnee } }: Panel) => [sideHip, sideCrotch, sideKnee],
  inseam: ({ joints: { inseamKnee } }: Panel) => [inseamKnee],
  rise: ({ joints: { curveStart } }: Panel) => [curveStart],
};

type Redrawable = keyof typeof EDGE_JOINTS;

/** True where an edge is, curve for curve, the one that was drafted. */
function isDrafted(paper: Paper, edge: EdgeName, { edges }: Panel): boolean {
  const [now, was] = [edgeOf(paper, edge), edges[edge]];
  return now.length === was.length && now.every((c, i) => c === was[i]);
}

/** A line that was cut and closed again is the very line that was drafted. */
function asDrafted(paper: Paper, drafted: Panel): Paper {
  let next = paper;
  for (const edge of Object.keys(EDGE_JOINTS) as Redrawable[]) {
    const was = drafted.edges[edge];
    if (!isDrafted(paper, edge, drafted) && lieWithin(edgeOf(paper, edge), was, STANDS))
      next = withEdge(next, edge, was, EDGE_JOINTS[edge](drafted));
  }
  return next;
}

/** True where a line has to be drawn anew by its measure. */
function isSpoilt(paper: Paper, edge: EdgeName, drafted: Panel): boolean {
  if (paper.shaped.has(edge) || isDrafted(paper, edge, drafted)) return false;
  return paper.bent.has(edge) || breaksOf(edgeOf(paper, edge)).length > 0;
}

/** The paper with one seam drawn anew where that leaves it near what was cut and moved; else as it is. */
const nearBy = (paper: Paper, edge: EdgeName, anew: Paper | undefined): Paper =>
  anew && lieWithin(edgeOf(paper, edge), edgeOf(anew, edge), MOST_OFF) ? anew : paper;

function riseAnew(paper: Paper, drafted: Panel): Paper {
  const rise = redrawnRise(paper, drafted);
  if (!rise) return paper;
  const anew = withEdge(paper, 'rise', rise.path, [rise.curveStart]);
  return nearBy(paper, 'rise', { ...anew, newWaist: paper.newWaist || !rise.waistStands });
}

/**
 * The point of the rise square off the side's hip, nearest to where the centre line was and no further from it than
 * told.
 */
function centreHipOn(paper: Paper, sideHip: Point, within: number): Point | undefined {
  const d = unit(subtract(paper.centreHip, sideHip));
  let near: Point | undefined;
  for (const { at, along: far } of crossLine(edgeOf(paper, 'rise'), sideHip, d)) {
    const off = distance(at, paper.centreHip);
    if (far > 0 && off < within && (!near || off < distance(near, paper.centreHip))) near = at;
  }
  return near;
}

/**
 * The seams of a paper that were broken or bent, drawn anew by the measure of their kind, so that an altered piece has
 * lines as fair as a drafted one; what hip and waist lost by it is given back at the side. A shape that was asked for
 * is only smoothed where it is broken, and so is a seam that its measure cannot draw.
 */
export function redrawn(cut: Paper, drafted: Panel): Paper {
  const paper = asDrafted(cut, drafted);
  let next = paper;
  if (isSpoilt(paper, 'inseam', drafted)) next = nearBy(next, 'inseam', withInseam(next));
  next = smoothed(next, 'inseam');
  const turned = angleBetween(endDirection(edgeOf(next, 'inseam')), endDirection(edgeOf(paper, 'inseam'))) > TURNED;
  if (isSpoilt(paper, 'rise', drafted) || (turned && !paper.shaped.has('rise'))) next = riseAnew(next, drafted);
  next = smoothed(next, 'rise');
  if (isSpoilt(paper, 'side', drafted)) next = nearBy(next, 'side', withSide(next, true));
  next = smoothed(next, 'side');
  if (next === paper && Math.abs(paper.owed) < WORTH) return paper;
  const waist = next.newWaist ? closedWaistLength(paper) : undefined;
  const onRise = centreHipOn(paper, startOfRun(paper, 'hipToCrotch'), 0.5) !== undefined;
  const wanted = distance(startOfRun(paper, 'hipToCrotch'), paper.centreHip) + paper.owed;
  for (let round = 0; round < 2; round++) {
    const sideHip = startOfRun(next, 'hipToCrotch');
    const centreHip = (onRise ? centreHipOn(next, sideHip, 15) : undefined) ?? next.centreHip;
    const lost = wanted - distance(sideHip, centreHip);
    next = { ...next, centreHip };
    if (Math.abs(lost) < WORTH) break;
    next = sideHipMoved(next, lost);
  }
  return waist === undefined ? next : waistKept(next, waist);
}

/** A seam with its breaks smoothed. */
function smoothed(paper: Paper, edge: EdgeName): Paper {
  const path = edgeOf(paper, edge);
  const faired = fairPath(path, jointsOf(paper, edge), !paper.jogs.has(edge));
  return faired.path === path ? paper : withEdge(paper, edge, faired.path, faired.joints);
}
