import {
  angleBetween,
  contains,
  cross,
  cubic,
  distance,
  endDirection,
  flatten,
  line,
  quarterTurn,
  scale,
  startDirection,
  startOf,
  endOf,
  type Path,
  type Point,
  along,
} from '../geometry/index.js';
import { isSound, outlineOf, type Panel } from '../draft/index.js';
import type { AlterationFault } from '../refusal/index.js';
import { waistOver } from './waist-of-paper.js';
import { centreDownOf, edgeOf, jointsOf, startOfRun, type Paper } from './paper.js';
import { redrawn } from './redraw.js';
import { DIAGONAL, hollowIn } from './redraw-rise.js';

/** Points nearer than this, in mm, are where they were. */
const STANDS = 0.005;
const DOWN: Point = { x: 0, y: 1 };

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

/**
 * The hem: straight, as it was shaped where an adopted pattern's stands, or, where the leg was opened below, a curve
 * square to the side that runs level into the inseam.
 */
function hemOf(paper: Paper, sideHem: Point, inseamHem: Point): Path {
  if (!paper.newHem) {
    const { hem } = paper.runs;
    const stands = distance(startOf(hem), sideHem) < STANDS && distance(endOf(hem), inseamHem) < STANDS;
    return paper.shapedHem && stands ? hem : [line(sideHem, inseamHem)];
  }
  const across = scale(quarterTurn(endDirection(edgeOf(paper, 'side'))), -1);
  const reach = distance(sideHem, inseamHem) / 3;
  return [cubic(sideHem, along(sideHem, across, reach), along(inseamHem, { x: -1, y: 0 }, reach), inseamHem)];
}

/**
 * Draws a piece from paper that was cut and moved: seams redrawn smooth where they were broken, hip given back at the
 * side, the waist over its darts anew where its ends have moved.
 */
export function drawAltered(cut: Paper, drafted: Panel): Panel | AlterationFault {
  const paper = redrawn(cut, drafted);
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
  const hollow = hollowIn(rise.slice(0, curveStart), paper.corner);
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
      hollow: hollow === undefined ? drafted.points.hollow : along(paper.corner, DIAGONAL, hollow),
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
    hollow: hollow ?? drafted.hollow,
  };
  if (!isSound(panel)) return 'alteredCrosses';
  if (paper.newWaist && panel.darts.length > 0) {
    const outline = flatten(outlineOf(panel), 1);
    if (panel.darts.some((d) => !contains(outline, d.apex))) return 'meetsDart';
  }
  return panel;
}
