import {
  along,
  contains,
  crossLine,
  distance,
  flatten,
  isFinitePoint,
  line,
  point,
  reversePath,
  subtract,
  unit,
  type Path,
  type Point,
} from '../geometry/index.js';
import type { Levels } from '../method/index.js';
import { good, refused, type Outcome } from '../refusal/index.js';
import { crotchCurve, type CrotchCurve } from './crotch-curve.js';
import type { RiseGave } from './panel-round.js';
import type { PanelSeams } from './settle-seams.js';
import { cutLeg, isCut, legOf, plumbLeg, type Leg } from './leg.js';
import { isSound, outlineOf, type Panel } from './panel.js';
import { refusePanel, type PanelSetting } from './panel-setting.js';
import { footOnCentre, type SeatLine } from './seat-line.js';
import { openWaist } from './waist-open.js';

const DIAGONAL: Point = point(Math.SQRT1_2, -Math.SQRT1_2);

/** A rise on its panel's seams, and what it could not be fair without. */
export interface PanelRise {
  readonly curve: CrotchCurve;
  readonly gave: RiseGave;
}

/**
 * Draws the rise on seams that have settled; refuses where no crotch curve can run. `free` where centre line and crotch
 * point may still give way.
 */
export function drawRise(setting: PanelSetting, seams: PanelSeams, free: boolean): Outcome<PanelRise> {
  const { parameters: p, levels, name, byHand, size } = setting;
  const { seat, crotchPoint, inseam } = seams;
  const curve = crotchCurve({
    name,
    size,
    seat,
    corner: point(p.hipWidth, levels.crotchLevel),
    crotchPoint,
    drop: p.crotchDrop,
    inseamLeaving: inseam.leaving,
    depth: p.depth,
    held: {
      hollow: byHand.has('depth'),
      start: byHand.has('curveRise'),
      lean: !free || byHand.has('centreIn') || byHand.has('centreLift'),
      end: !free || byHand.has('extension'),
    },
  });
  if (!curve) {
    const fields = ['extension', 'centreIn', 'curveRise', 'crotchDrop', 'kneeWidth'] as const;
    return refused(refusePanel(setting, 'riseTurns', fields));
  }
  const { leaned, endMoved } = curve.bend;
  // A lean turns the straight clockwise as seen for +: at the waist that is further in by its height over the pivot.
  const lean = -Math.tan(leaned) * (seat.tiltPoint.y - seat.waistEnd.y);
  return good({ curve, gave: { lean, end: endMoved } });
}

/** How far the corners of a hem are lowered so that both seams of a short leg walk, in mm. */
export interface HemShift {
  readonly side: number;
  readonly inseam: number;
}

/** A hem as it was laid off. */
export const LEVEL_HEM: HemShift = { side: 0, inseam: 0 };

function lowered(leg: Leg, { side, inseam }: HemShift): Leg {
  const sideHem = point(leg.sideHem.x, leg.sideHem.y + side);
  const inseamHem = point(leg.inseamHem.x, leg.inseamHem.y + inseam);
  const knees = leg.kneeOnPiece ? {} : { sideKnee: sideHem, inseamKnee: inseamHem };
  return { ...leg, sideHem, inseamHem, ...knees };
}

/** A short leg laid off from the side line: the side falls plumb from the crotch line. */
function hungFromSide(leg: Leg, sideX: number): Leg {
  if (leg.kneeOnPiece) return leg;
  const inseamHem = point(sideX + leg.inseamHem.x - leg.sideHem.x, leg.inseamHem.y);
  const sideHem = point(sideX, leg.sideHem.y);
  return { ...leg, sideHem, inseamHem, sideKnee: sideHem, inseamKnee: inseamHem };
}

/** A short leg laid on the full leg: where the hem is wider or narrower than that is there, half lies on each side. */
function laidOnLeg(leg: Leg, { side, inseam }: PanelSeams): Leg {
  if (leg.kneeOnPiece) return leg;
  const at = (path: Path, corner: Point): number | undefined => crossLine(path, corner, point(1, 0))[0]?.at.x;
  const [left, right] = [
    at([...side.hipToKnee, ...side.kneeToHem], leg.sideHem),
    at([...inseam.upper, ...inseam.lower], leg.inseamHem),
  ];
  if (left === undefined || right === undefined) return leg;
  const by = (left + right - leg.sideHem.x - leg.inseamHem.x) / 2;
  const sideHem = point(leg.sideHem.x + by, leg.sideHem.y);
  const inseamHem = point(leg.inseamHem.x + by, leg.inseamHem.y);
  return { ...leg, sideHem, inseamHem, sideKnee: sideHem, inseamKnee: inseamHem };
}

/** The leg of a piece that is not as long as the body's, cut from the full leg at the crotch line. */
function shortLeg(setting: PanelSetting, seams: PanelSeams, levels: Levels, hem: HemShift): LowerSeams | undefined {
  const { side, inseam, crotchPoint } = seams;
  const p = setting.cut?.parameters ?? setting.parameters;
  const frameSide = setting.straightSide ? -p.sideOut : undefined;
  const level = setting.plumbLeg
    ? plumbLeg(p, levels, seams.sideHip.x, crotchPoint.x)
    : legOf(p, levels, side.crotch.x, crotchPoint.x, frameSide);
  const held = setting.plumbLeg || setting.straightSide;
  const low = lowered(level, hem);
  const leg = setting.legFromSide ? hungFromSide(low, side.crotch.x) : held ? low : laidOnLeg(low, seams);
  const toKnee = setting.levels.kneeLevel - levels.crotchLevel;
  const sideEnd = { knee: leg.sideKnee, hem: leg.sideHem, kneeOnPiece: leg.kneeOnPiece };
  const inseamEnd = { knee: leg.inseamKnee, hem: leg.inseamHem, kneeOnPiece: leg.kneeOnPiece };
  const { slope, bend } = side.atCrotch;
  const below = setting.straightSide
    ? straightBelow(side.crotch, sideEnd)
    : cutLeg({ at: side.crotch, slope, bend }, sideEnd, toKnee);
  const { x, y } = inseam.leaving;
  const within = cutLeg({ at: crotchPoint, slope: x / y, bend: undefined }, inseamEnd, toKnee);
  if (!below || !within) return undefined;
  return {
    leg,
    hipToKnee: [...side.hipToKnee.slice(0, side.hipToCrotch), ...below.upper],
    kneeToHem: below.lower,
    ...within,
  };
}

const straightBelow = (
  crotch: Point,
  end: { knee: Point; hem: Point; kneeOnPiece: boolean },
): Pick<LowerSeams, 'upper' | 'lower'> => ({
  upper: [line(crotch, end.knee)],
  lower: end.kneeOnPiece ? [line(end.knee, end.hem)] : [],
});

interface LowerSeams {
  readonly leg: Leg;
  readonly hipToKnee: Path;
  readonly kneeToHem: Path;
  /** The inseam above the knee and below it. */
  readonly upper: Path;
  readonly lower: Path;
}

/** Completes a panel: its rise, its leg, named points, and the proof that the outline is one closed line. */
export function completePanel(
  setting: PanelSetting,
  seams: PanelSeams,
  { curve }: PanelRise,
  hem: HemShift = LEVEL_HEM,
): Outcome<Panel> {
  const { parameters: full, levels: fullLevels, name } = setting;
  const { seat, waist, plan, side, shift } = seams;
  const { bend } = curve;
  const p = setting.cut?.parameters ?? full;
  const levels = setting.cut?.levels ?? fullLevels;
  const cut = isCut(levels, fullLevels) || p.kneeWidth !== full.kneeWidth || p.hemWidth !== full.hemWidth;
  const lower: LowerSeams | undefined = cut
    ? shortLeg(setting, seams, levels, hem)
    : {
        leg: seams.leg,
        hipToKnee: side.hipToKnee,
        kneeToHem: side.kneeToHem,
        upper: seams.inseam.upper,
        lower: seams.inseam.lower,
      };
  if (!lower) {
    return refused(refusePanel(setting, 'legEnds', ['hemWidth', 'kneeWidth']));
  }
  const { leg } = lower;
  const corner = point(p.hipWidth, levels.crotchLevel);
  const straight = Math.hypot(bend.start.x - seat.waistEnd.x, bend.start.y - seat.waistEnd.y) > 1e-6;
  const down: Path = straight ? [line(seat.waistEnd, bend.start), ...bend.path] : bend.path;
  const open = openWaist(waist.closed, waist.flat);
  const panel: Panel = {
    name,
    source: { from: 'sheet', parameters: p },
    manner: { size: setting.size, straightSide: setting.straightSide, plumbLeg: setting.plumbLeg },
    settled: {
      ...shift,
      dartCount: plan.dartCount,
      dartIntake: plan.dartIntake,
      centreIn: plan.centreIn,
      waistMore: plan.waistMore,
      curveStart: bend.startMoved,
      hollow: bend.hollow - curve.asked,
    },
    levels,
    edges: {
      waist: open.edge,
      side: [...side.waistToHip, ...lower.hipToKnee, ...lower.kneeToHem],
      hem: [line(leg.sideHem, leg.inseamHem)],
      inseam: reversePath([...lower.upper, ...lower.lower]),
      rise: reversePath(down),
    },
    joints: {
      sideHip: side.waistToHip.length,
      sideCrotch: side.waistToHip.length + side.hipToCrotch,
      sideKnee: side.waistToHip.length + lower.hipToKnee.length,
      inseamKnee: lower.lower.length,
      curveStart: bend.path.length,
    },
    points: {
      centreWaist: seat.waistEnd,
      sideWaist: side.waistToHip[0]?.p0 ?? seams.sideHip,
      sideHip: seams.sideHip,
      centreHip: hipOnRise(seat, seams.sideHip, bend.start, down),
      sideCrotch: side.crotch,
      sideKnee: leg.sideKnee,
      inseamKnee: leg.inseamKnee,
      sideHem: leg.sideHem,
      inseamHem: leg.inseamHem,
      crotchPoint: bend.end,
      curveStart: bend.start,
      corner,
      hollow: along(corner, DIAGONAL, bend.hollow),
      tiltPoint: seat.tiltPoint,
    },
    darts: open.darts,
    waistSections: open.sections,
    closedWaist: waist.closed.path,
    closedSideUp: waist.closed.sideUp,
    crease: leg.crease,
    seatAngle: seat.angle,
    centreDown: seat.down,
    crotchWidth: bend.end.x - side.crotch.x,
    hollow: bend.hollow,
    diagonal: curve.diagonal,
    kneeOnPiece: leg.kneeOnPiece,
  };
  return proven(setting, panel);
}

/**
 * Where the hip line, square to the centre line, meets the piece: on the curve where that has left the line already.
 */
function hipOnRise(seat: SeatLine, sideHip: Point, curveStart: Point, down: Path): Point {
  const foot = footOnCentre(seat, sideHip);
  if (foot.y <= curveStart.y) return foot;
  const d = unit(subtract(foot, sideHip));
  const hits = crossLine(down, sideHip, d).filter((hit) => hit.along > 0);
  return hits.sort((a, b) => distance(a.at, foot) - distance(b.at, foot))[0]?.at ?? foot;
}

/** A panel whose outline is finite and does not cross itself, or the refusal. */
function proven(setting: PanelSetting, panel: Panel): Outcome<Panel> {
  if (!isFinitePoint(panel.points.sideWaist) || !isSound(panel)) {
    return refused(refusePanel(setting, 'crossesItself', ['extension']));
  }
  const points = panel.darts.length > 0 ? flatten(outlineOf(panel), 1) : [];
  const loose = panel.darts.find((d) => !contains(points, d.apex));
  if (loose) {
    return refused(refusePanel(setting, 'dartOutside', ['dartLength', 'dartAt', 'dartIntake']));
  }
  return good(panel);
}
