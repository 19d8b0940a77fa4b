import { point, startDirection, type Point } from '../geometry/index.js';
import { good, refused, type Outcome } from '../refusal/index.js';
import { legOf, plumbLeg, type Leg } from './leg.js';
import { refusePanel, type PanelSetting } from './panel-setting.js';
import { seatLine, squareOffCentre, type SeatLine } from './seat-line.js';
import { sideSeam, straightSide, type SideSeam } from './side-seam.js';
import { waistRound, type WaistRound } from './waist.js';
import type { PanelPlan } from './waist-plan.js';

/** How far truing has moved the back, in mm. */
export interface Shift {
  /** Crotch point down (+). */
  readonly crotchPoint: number;
  /** Side hip point down (+). */
  readonly sideHip: number;
  /** Side waist end up (+). */
  readonly sideWaist: number;
}

/**
 * What a rise could not be drawn fairly without: a lean of the centre line in mm at the waist, a moved crotch point in
 * mm.
 */
export interface RiseGave {
  readonly lean: number;
  readonly end: number;
}

/** A centre that leans out lifts by this share of it: the stomach wants length as well. */
const STOMACH_LIFT = 0.2;
/** Between waist, hip, crotch and knee the side needs this much, in mm. */
const SIDE_ROOM = 20;

/** One panel while both settle. */
export interface PanelState {
  readonly setting: PanelSetting;
  readonly gave: RiseGave;
  plan: PanelPlan;
  shift: Shift;
  sideX: number;
  sideCrotchX: number;
  /** Further in at the centre, where the side stands straight and the waist's length is settled there. */
  centre: number;
  crotchX: number;
  offSquare: number | undefined;
  /** How deep the apexes of the darts lie under the slanted waist. */
  dartDepths: readonly number[];
  /** What the drawn taper is beyond the flat sum. */
  beyond: number;
}

/** One panel drawn in a round. */
export interface DrawnPanel {
  readonly seat: SeatLine;
  readonly sideHip: Point;
  readonly leg: Leg;
  readonly side: SideSeam;
  readonly waist: WaistRound;
  /** Where the sheet has the crotch point, untrued. */
  readonly crotchPoint: Point;
}

/** True where the side stands straight up, and the waist's length is settled at the centre. */
export const upright = ({ setting }: PanelState): boolean => setting.straightSide || setting.uprightSide;

/** Centre line and hip point of a panel as its figures stand. */
export function layOut(state: PanelState): { seat: SeatLine; sideHip: Point } {
  const { setting, plan, gave, centre, shift } = state;
  const { parameters: p, levels } = setting;
  const moved = plan.centreIn + gave.lean + centre;
  const seat = seatLine(p, levels, {
    in: moved,
    lift: moved < 0 && plan.centreIn < 0 ? STOMACH_LIFT * -plan.centreIn : 0,
  });
  const hipY = levels.hipLevel + shift.sideHip;
  // A side that a way moves out by name is not undone.
  const kept = setting.hipKept && !setting.straightSide && p.sideOut === 0;
  // A centre that is leaned out hinges at the corner; the hip stays where it is.
  const forHip = plan.centreIn < 0 ? seatLine(p, levels, { in: 0, lift: 0 }) : seat;
  return { seat, sideHip: point(kept ? squareOffCentre(forHip, p.hipWidth, hipY) : -p.sideOut, hipY) };
}

/** Draws a panel's leg, side and waist once, by the figures it has so far; refuses what leaves a seam no room. */
export function drawRound(state: PanelState): Outcome<DrawnPanel> {
  const { setting, plan, shift } = state;
  const { parameters: p, levels, name } = setting;
  const { seat, sideHip } = layOut(state);
  const sideX = upright(state) && !setting.byHand.has('centreIn') ? sideHip.x : state.sideX;
  const sideWaist = point(sideX, -(p.sideLift + shift.sideWaist));
  const frameSide = -p.sideOut;
  const leg = setting.plumbLeg
    ? plumbLeg(p, levels, sideHip.x, state.crotchX)
    : legOf(p, levels, state.sideCrotchX, state.crotchX, setting.straightSide ? frameSide : undefined);
  const crotchPoint = point(state.crotchX, levels.crotchLevel + p.crotchDrop);
  if (
    sideHip.y < sideWaist.y + SIDE_ROOM ||
    levels.crotchLevel < sideHip.y + 2 ||
    leg.sideKnee.y < levels.crotchLevel + SIDE_ROOM
  ) {
    return refused(refusePanel(setting, 'sideNoRoom', ['sideLift']));
  }
  if (crotchPoint.y > leg.inseamKnee.y - 30) {
    return refused(refusePanel(setting, 'crotchAtKnee', ['crotchDrop']));
  }
  const set = p.sideInset !== 0 || setting.byHand.has('sideInset');
  const thigh = (half: -1 | 1): Point | undefined =>
    p.thighWidth === undefined ? undefined : point(leg.crease + (half * p.thighWidth) / 2, levels.thighLevel);
  const sideWish = {
    waist: sideWaist,
    hip: sideHip,
    crotchLevel: levels.crotchLevel,
    insetX: set ? frameSide + p.sideInset + Math.max(0, sideHip.x - frameSide) : undefined,
    thigh: thigh(-1),
    end: { knee: leg.sideKnee, hem: leg.sideHem, kneeOnPiece: leg.kneeOnPiece },
    plumb: setting.plumbLeg,
  };
  const side = setting.straightSide ? straightSide(sideWish) : sideSeam(sideWish);
  if (!side) {
    return refused(refusePanel(setting, 'sideBends', ['waistWidth', 'kneeWidth', 'sideInset', 'sideOut', 'sideLift']));
  }
  const waist = waistRound({
    panel: name,
    centreWaist: seat.waistEnd,
    centreDown: seat.down,
    sideWaist,
    sideDown: startDirection(side.waistToHip),
    offSquare: state.offSquare,
    dartCount: plan.dartCount,
    dartIntake: plan.dartIntake,
    dartLength: p.dartLength,
    dartAt: p.dartAt,
    crease: leg.crease,
    halfSpan: setting.halfSpan,
    dartDepths: state.dartDepths,
  });
  return good({ seat, sideHip, leg, side, waist, crotchPoint });
}
