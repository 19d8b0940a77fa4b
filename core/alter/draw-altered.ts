import {
  angleBetween,
  contains,
  cross,
  crossLine,
  cubic,
  distance,
  endDirection,
  fairPath,
  flatten,
  hollowOf,
  line,
  point,
  quarterTurn,
  scale,
  startDirection,
  startOf,
  endOf,
  subtract,
  unit,
  type Path,
  type Point,
  along,
} from '../geometry/index.js';
import { isSound, outlineOf, type Panel } from '../draft/index.js';
import type { AlterationFault } from '../refusal/index.js';
import { waistOver } from './waist-of-paper.js';
import { centreDownOf, edgeOf, jointsOf, startOfRun, withEdge, type Paper } from './paper.js';
import { sideHipMoved } from './seam-work.js';

const FAIRED = ['side', 'inseam', 'rise'] as const;
/** What redrawing takes from the hip is given back where it is more than this, in mm. */
const WORTH = 0.02;
/** Points nearer than this, in mm, are where they were. */
const STANDS = 0.005;
const DOWN: Point = { x: 0, y: 1 };

/** The point of the rise square off the side's hip, nearest to where the centre line was and no further from it than told. */
function centreHipOn(paper: Paper, sideHip: Point, within: number): Point | undefined {
  const d = unit(subtract(paper.centreHip, sideHip));
  let near: Point | undefined;
  for (const { at, along: far } of crossLine(edgeOf(paper, 'rise'), sideHip, d)) {
    const off = distance(at, paper.centreHip);
    if (far > 0 && off < within && (!near || off < distance(near, paper.centreHip))) near = at;
  }
  return near;
}

/** Redraws the seams that were broken, and gives back at the side what the hip lost by it. */
function redrawn(paper: Paper): Paper {
  let next = paper;
  for (const edge of FAIRED) {
    const path = edgeOf(next, edge);
    const faired = fairPath(path, jointsOf(next, edge), !paper.folded.has(edge));
    if (faired.path !== path) next = withEdge(next, edge, faired.path, faired.joints);
  }
  if (next === paper && Math.abs(paper.owed) < WORTH) return paper;
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
  return next;
}

function hollowPoint(curve: Path, corner: Point): Point | undefined {
  for (const c of curve) {
    const hollow = hollowOf(c, corner);
    if (hollow !== undefined) return along(corner, point(Math.SQRT1_2, -Math.SQRT1_2), hollow);
  }
  return undefined;
}

/** The waist lies where it was drafted: it is not drawn anew, however it was cut and closed again between. */
function waistStands(paper: Paper, { points, darts, edges }: Panel): boolean {
  const near = (a: Point, b: Point): boolean => distance(a, b) < STANDS;
  const sameSide = Math.abs(cross(startDirection(edgeOf(paper, 'side')), startDirection(edges.side))) < 1e-4;
  const sameDarts =
    paper.darts.length === darts.length &&
    darts.every((d, i) => {
      const now = paper.darts[i];
      return now && near(now.apex, d.apex) && near(now.centreLeg, d.centreLeg) && near(now.sideLeg, d.sideLeg);
    });
  const ends =
    near(endOf(edgeOf(paper, 'rise')), points.centreWaist) && near(startOf(edgeOf(paper, 'side')), points.sideWaist);
  return ends && sameSide && sameDarts;
}

/** The hem: straight, or, where the leg was opened below, a curve square to the side that runs level into the inseam. */
function hemOf(paper: Paper, sideHem: Point, inseamHem: Point): Path {
  if (!paper.newHem) return [line(sideHem, inseamHem)];
  const across = scale(quarterTurn(endDirection(edgeOf(paper, 'side'))), -1);
  const reach = distance(sideHem, inseamHem) / 3;
  return [cubic(sideHem, along(sideHem, across, reach), along(inseamHem, { x: -1, y: 0 }, reach), inseamHem)];
}

/**
 * Draws a piece from paper that was cut and moved: seams redrawn smooth where they were broken, hip given back at the
 * side, the waist over its darts anew where its ends have moved.
 */
export function drawAltered(cut: Paper, drafted: Panel): Panel | AlterationFault {
  const paper = redrawn(cut);
  const side = edgeOf(paper, 'side');
  const inseam = edgeOf(paper, 'inseam');
  const rise = edgeOf(paper, 'rise');
  const [sideHip = 0, sideCrotch = 0, sideKnee = 0] = jointsOf(paper, 'side');
  const [inseamKnee = 0] = jointsOf(paper, 'inseam');
  const [curveStart = 0] = jointsOf(paper, 'rise');
  const centreWaist = endOf(rise);
  const sideWaist = startOf(side);
  const centreDown = centreDownOf(paper);

  const waist =
    paper.newWaist && !waistStands(paper, drafted)
      ? waistOver(paper)
      : { ...drafted, edge: drafted.edges.waist, sections: drafted.waistSections };
  if (!waist) return 'meetsDart';
  const crotchPoint = startOf(rise);
  const at = startOfRun(paper, 'sideThigh');
  const sideHem = endOf(side);
  const inseamHem = startOf(inseam);
  const hollow = hollowPoint(rise.slice(0, curveStart), paper.corner);
  const panel: Panel = {
    ...drafted,
    levels: paper.levels,
    edges: { waist: waist.edge, side, hem: hemOf(paper, sideHem, inseamHem), inseam, rise },
    joints: { sideHip, sideCrotch, sideKnee, inseamKnee, curveStart },
    points: {
      centreWaist,
      sideWaist,
      sideHip: startOfRun(paper, 'hipToCrotch'),
      centreHip: paper.centreHip,
      sideCrotch: at,
      sideKnee: paper.kneeOnPiece ? startOfRun(paper, 'sideShin') : sideHem,
      inseamKnee: paper.kneeOnPiece ? startOfRun(paper, 'inseamThigh') : inseamHem,
      sideHem,
      inseamHem,
      crotchPoint,
      curveStart: curveStart < rise.length ? startOf(rise.slice(curveStart)) : centreWaist,
      corner: paper.corner,
      hollow: hollow ?? drafted.points.hollow,
      tiltPoint: paper.tiltPoint,
    },
    darts: waist.darts,
    waistSections: waist.sections,
    closedWaist: waist.closedWaist,
    closedSideUp: waist.closedSideUp,
    crease: paper.crease.x,
    seatAngle: Math.sign(centreDown.x) * angleBetween(centreDown, DOWN),
    centreDown,
    crotchWidth: crotchPoint.x - at.x,
    hollow: hollow ? distance(hollow, paper.corner) : drafted.hollow,
  };
  if (!isSound(panel)) return 'alteredCrosses';
  if (paper.newWaist && panel.darts.length > 0) {
    const outline = flatten(outlineOf(panel), 1);
    if (panel.darts.some((d) => !contains(outline, d.apex))) return 'meetsDart';
  }
  return panel;
}
