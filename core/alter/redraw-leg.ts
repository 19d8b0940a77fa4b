import { inseamSeam, sideSeam } from '../draft/index.js';
import {
  angleBetween,
  axisBetween,
  breaksOf,
  crossLine,
  distance,
  endDirection,
  endOf,
  flatten,
  onAxis,
  point,
  reversePath,
  startDirection,
  startOf,
  type Path,
  type Point,
} from '../geometry/index.js';
import { edgeOf, startOfRun, withEdge, type Paper } from './paper.js';

/** Where along the way from crotch point to knee the bow of an inseam is read, as the draft sets it there. */
const BOW_AT = 0.42;

/** A side that leaves the waist turned by more than this, in radians, asks for a waist square to it. */
const TURNED = 2e-3;
/** Points nearer than this, in mm, are one. */
const SAME = 1e-6;

/** True where what lies above the hip needs no new line: it is whole, and arrives at the hip as the new one would. */
function stands({ runs: { waistToHip }, bent }: Paper, anew: Path): boolean {
  if (waistToHip.length === 0 || bent.has('side') || breaksOf(waistToHip).length > 0) return false;
  const met = distance(endOf(waistToHip), endOf(anew)) < SAME && distance(startOf(waistToHip), startOf(anew)) < SAME;
  return met && angleBetween(endDirection(waistToHip), endDirection(anew)) < TURNED;
}

/** The x at which a seam crosses a level; nothing where it does not. */
const crossingX = (path: Path, y: number): number | undefined => crossLine(path, point(0, y), point(1, 0))[0]?.at.x;

/** The corner of a seam at the thigh line, where the sheet states a width there. */
function thighOf(path: Path, { levels, statesThigh }: Paper): Point | undefined {
  if (!statesThigh) return undefined;
  const x = crossingX(path, levels.thighLevel);
  return x === undefined ? undefined : point(x, levels.thighLevel);
}

/** How far a seam bows off its chord at a share of the way, in mm, inward positive. */
function bowOf(path: Path, from: Point, to: Point): number {
  const axis = axisBetween(from, to);
  const at = BOW_AT * distance(from, to);
  const [near, far] = flatten(path, 0.05).reduce<[{ u: number; v: number }, { u: number; v: number }]>(
    ([low, high], p) => {
      const on = onAxis(axis, p);
      if (on.u <= at && on.u > low.u) return [on, high];
      return on.u > at && on.u < high.u ? [low, on] : [low, high];
    },
    [
      { u: 0, v: 0 },
      { u: distance(from, to), v: 0 },
    ],
  );
  return near.v + ((far.v - near.v) * (at - near.u)) / (far.u - near.u || 1);
}

/**
 * The inseam of a paper drawn anew (docs/trade/curves.md) between its crotch point, knee and hem, as hollow as it was
 * moved. Nothing where the leg has no knee or no such seam is found.
 */
export function withInseam(paper: Paper): Paper | undefined {
  if (!paper.kneeOnPiece) return undefined;
  const inseam = edgeOf(paper, 'inseam');
  const [crotchPoint, knee, hem] = [endOf(inseam), startOfRun(paper, 'inseamThigh'), startOf(inseam)];
  const seam = inseamSeam({
    crotchPoint,
    end: { knee, hem, kneeOnPiece: true },
    hollow: paper.manner.plumbLeg ? 0 : bowOf(paper.runs.inseamThigh, crotchPoint, knee),
    thigh: thighOf(inseam, paper),
  });
  if (!seam) return undefined;
  const shin = reversePath(seam.lower);
  return withEdge(paper, 'inseam', [...shin, ...reversePath(seam.upper)], [shin.length]);
}

/**
 * The side of a paper drawn anew (docs/trade/curves.md) from its waist over its hip to its knee and hem. Nothing for a
 * straight side, a leg without a knee, or where no such seam is found. `keepsTop`: what lies above the hip stays where
 * it is whole and meets the new line smoothly.
 */
export function withSide(paper: Paper, keepsTop = false): Paper | undefined {
  if (!paper.kneeOnPiece || paper.manner.straightSide) return undefined;
  const side = edgeOf(paper, 'side');
  const seam = sideSeam({
    waist: startOf(side),
    hip: startOfRun(paper, 'hipToCrotch'),
    crotchLevel: paper.levels.crotchLevel,
    insetX: crossingX(side, paper.levels.crotchLevel),
    insetHeld: true,
    thigh: thighOf(side, paper),
    end: { knee: startOfRun(paper, 'sideShin'), hem: endOf(side), kneeOnPiece: true },
    plumb: paper.manner.plumbLeg,
  });
  if (!seam) return undefined;
  const waistToHip = keepsTop && stands(paper, seam.waistToHip) ? paper.runs.waistToHip : seam.waistToHip;
  const above = waistToHip.length;
  const path = [...waistToHip, ...seam.hipToKnee, ...seam.kneeToHem];
  const anew = withEdge(paper, 'side', path, [above, above + seam.hipToCrotch, above + seam.hipToKnee.length]);
  const turned = angleBetween(startDirection(path), startDirection(side));
  return { ...anew, newWaist: paper.newWaist || turned > TURNED };
}
