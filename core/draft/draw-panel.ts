import {
  along,
  contains,
  flatten,
  isFinitePoint,
  line,
  point,
  reversePath,
  type Path,
  type Point,
} from '../geometry/index.js';
import { good, refused, type Outcome } from '../refusal/index.js';
import { drawRise } from './crotch-curve.js';
import { legOf, lowerLeg, upperInseam, type Leg } from './leg.js';
import { isSound, outlineOf, type Panel } from './panel.js';
import { refusePanel, refuseSizes, type PanelSetting } from './panel-setting.js';
import { footOnCentre, seatLine, squareOffCentre, type SeatLine } from './seat-line.js';
import { sideSeam } from './side-seam.js';
import { drawWaist, type WaistLine } from './waist.js';
import { planWaist, type WaistPlan } from './waist-plan.js';

/** How far truing has moved the back, in mm. */
export interface Shift {
  /** Crotch point down (+). */
  readonly crotchPoint: number;
  /** Side hip point down (+). */
  readonly sideHip: number;
  /** Side waist end up (+). */
  readonly sideWaist: number;
}

/** How far in the centre may go, of the hip width: further, and no crotch curve runs from it. */
const MOST_LEAN = { front: 0.16, back: 0.3 } as const;

/** Nothing moved. */
export const UNMOVED: Shift = { crotchPoint: 0, sideHip: 0, sideWaist: 0 };

/** A panel's seams before the rise is drawn: all that truing needs. */
export interface PanelSeams {
  readonly seat: SeatLine;
  readonly leg: Leg;
  readonly sideCrotch: Point;
  readonly sideHip: Point;
  readonly crotchPoint: Point;
  readonly inseam: Path;
  readonly waist: WaistLine;
  readonly plan: WaistPlan;
}

/** Draws a panel's seams but for the rise, truing shifts included. */
export function drawSeams(setting: PanelSetting, shift: Shift): Outcome<PanelSeams> {
  const { parameters: p, levels, name } = setting;
  const sizes = refuseSizes(setting);
  if (sizes) return refused(sizes);

  const layOut = (furtherIn: number) => {
    const seat = seatLine(p, levels, furtherIn);
    const hipY = levels.hipLevel + shift.sideHip;
    const frameSide = -p.sideOut;
    const kept = setting.hipKept && !setting.straightSide;
    const sideHip = point(kept ? squareOffCentre(seat, p.hipWidth, hipY) : frameSide, hipY);
    // A side that hipKept moves inward goes in with the crotch line as well, so that it still runs in to the knee.
    const sideCrotch = point(frameSide + p.sideInset + Math.max(0, sideHip.x - frameSide), levels.crotchLevel);
    return { seat, sideHip, sideCrotch, leg: legOf(p, levels, sideCrotch.x, setting.straightSide) };
  };

  const sideLevel = -(p.sideLift + shift.sideWaist);
  const first = layOut(0);
  const planned = !setting.byHand.has('dartIntake') && !setting.byHand.has('dartCount');
  const rise = sideLevel - first.seat.waistEnd.y;
  const undarted = first.seat.waistEnd.x - Math.sqrt(Math.max(0, p.waistWidth ** 2 - rise ** 2)) - first.sideHip.x;
  const limits = { ...setting.waistLimits, mostLean: MOST_LEAN[name] * p.hipWidth - p.centreIn };
  const school = planned ? setting.waistPlan : 'off';
  const full = planWaist(undarted, p.dartCount, p.dartIntake, limits, school);
  const plan = setting.byHand.has('centreIn') ? { ...full, centreIn: 0 } : full;
  const laid = plan.centreIn > 0 ? layOut(plan.centreIn) : first;

  const crotchPoint = point(p.hipWidth + p.extension, levels.crotchLevel + p.crotchDrop + shift.crotchPoint);
  if (
    laid.sideHip.y < sideLevel + 20 ||
    laid.sideCrotch.y < laid.sideHip.y + 2 ||
    laid.leg.sideKnee.y < laid.sideCrotch.y + 20
  ) {
    const words = `The ${name} side seam has no room between waist, hip, crotch and knee.`;
    return refused(
      refusePanel(setting, ['sideLift'], words, 'Check the depths, or give the side lift back to the sheet.'),
    );
  }
  if (crotchPoint.y > laid.leg.inseamKnee.y - 30) {
    return refused(
      refusePanel(setting, ['crotchDrop'], `The ${name} crotch point lies at the knee.`, 'Give a smaller crotch drop.'),
    );
  }
  const waist = drawWaist({
    centreWaist: laid.seat.waistEnd,
    centreDown: laid.seat.down,
    sideLevel,
    waistWidth: p.waistWidth,
    dartCount: plan.dartCount,
    dartIntake: plan.dartIntake,
    dartLength: p.dartLength,
    dartAt: p.dartAt,
    crease: laid.leg.crease,
    halfSpan: setting.halfSpan,
    sideFor: (end) => sideSeam(end, laid.sideHip, laid.sideCrotch, laid.leg),
  });
  if (waist === 'darts') {
    const words = `The ${name} darts have no room on the waist.`;
    return refused(
      refusePanel(
        setting,
        ['dartAt', 'dartIntake', 'dartCount', 'dartLength', 'waistWidth'],
        words,
        'Give a smaller intake, fewer darts, or another place.',
      ),
    );
  }
  if (waist === 'short' || !isFinitePoint(waist.sideWaist)) {
    const words = `The ${name} waist does not reach from the centre to the side.`;
    return refused(
      refusePanel(
        setting,
        ['centreLift', 'sideLift', 'waistWidth'],
        words,
        'Give a smaller lift, or a larger waist width.',
      ),
    );
  }
  return good({ ...laid, crotchPoint, plan, waist, inseam: upperInseam(crotchPoint, laid.leg, p.inseamHollow) });
}

/** Completes a panel from its seams: rise, named points, and the proof that the outline is one closed line. */
export function completePanel(setting: PanelSetting, shift: Shift, seams: PanelSeams): Outcome<Panel> {
  const { parameters: p, levels, name } = setting;
  const { seat, leg, waist, plan, crotchPoint } = seams;
  const corner = point(p.hipWidth, levels.crotchLevel);
  const rise = drawRise(seat, corner, crotchPoint, seams.inseam, p.depth);
  if (!rise) {
    return refused(
      refusePanel(
        setting,
        ['extension', 'centreIn', 'curveRise', 'crotchDrop', 'kneeWidth'],
        `The ${name} crotch curve cannot run from the centre line to the crotch point without turning back.`,
        'Give a longer extension, less centre in, or let the curve start higher.',
      ),
    );
  }
  const { side } = waist;
  const lowerInseam = lowerLeg(leg.inseamKnee, leg.inseamHem, leg.kneeOnPiece);
  const edges: Panel['edges'] = {
    waist: waist.edge,
    side: [...side.waistToHip, ...side.hipToKnee, ...side.kneeToHem],
    hem: [line(leg.sideHem, leg.inseamHem)],
    inseam: reversePath([...seams.inseam, ...lowerInseam]),
    rise: rise.edge,
  };
  const panel: Panel = {
    name,
    parameters: p,
    settled: {
      ...shift,
      dartCount: plan.dartCount,
      dartIntake: plan.dartIntake,
      centreIn: plan.centreIn,
    },
    levels,
    edges,
    joints: {
      sideHip: side.waistToHip.length,
      sideCrotch: side.waistToHip.length + 1,
      sideKnee: side.waistToHip.length + side.hipToKnee.length,
      inseamKnee: lowerInseam.length,
      curveStart: 1,
    },
    points: {
      centreWaist: seat.waistEnd,
      sideWaist: waist.sideWaist,
      sideHip: seams.sideHip,
      centreHip: footOnCentre(seat, seams.sideHip),
      sideCrotch: seams.sideCrotch,
      sideKnee: leg.sideKnee,
      inseamKnee: leg.inseamKnee,
      sideHem: leg.sideHem,
      inseamHem: leg.inseamHem,
      crotchPoint,
      curveStart: seat.curveStart,
      corner,
      hollow: along(corner, point(Math.SQRT1_2, -Math.SQRT1_2), rise.curve.hollow),
      tiltPoint: seat.tiltPoint,
    },
    darts: waist.darts,
    waistSections: waist.sections,
    closedWaist: waist.closed,
    closedSideUp: waist.closedSideUp,
    crease: leg.crease,
    seatAngle: seat.angle,
    centreDown: seat.down,
    crotchWidth: crotchPoint.x - seams.sideCrotch.x,
    hollow: rise.curve.hollow,
    diagonal: rise.curve.diagonal,
    hollowLimitedBy: rise.curve.limitedBy,
    kneeOnPiece: leg.kneeOnPiece,
  };
  return proven(setting, panel);
}

/** A panel whose outline is finite and does not cross itself, or the refusal. */
function proven(setting: PanelSetting, panel: Panel): Outcome<Panel> {
  const words = `The ${panel.name} piece would cross itself.`;
  const way = 'Take back the last change, or give a value set by hand back to the sheet.';
  if (!isSound(panel)) {
    return refused(refusePanel(setting, ['extension'], words, way));
  }
  const points = panel.darts.length > 0 ? flatten(outlineOf(panel), 1) : [];
  const loose = panel.darts.find((d) => !contains(points, d.apex));
  if (loose) {
    return refused(
      refusePanel(
        setting,
        ['dartLength', 'dartAt', 'dartIntake'],
        `A ${panel.name} dart points outside its piece.`,
        'Give a shorter dart, or another place.',
      ),
    );
  }
  return good(panel);
}
