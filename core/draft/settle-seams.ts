import { FixedPoint, pathLength, point, type Point } from '../geometry/index.js';
import { good, refused, type Outcome } from '../refusal/index.js';
import type { Inseam, Leg } from './leg.js';
import {
  drawRound,
  layOut,
  upright,
  type DrawnPanel,
  type PanelState,
  type RiseGave,
  type Shift,
} from './panel-round.js';
import { refusePanel, refuseSizes, type PanelSetting } from './panel-setting.js';
import type { DraftRules } from './rules.js';
import type { SeatLine } from './seat-line.js';
import { NO_PLAN, replan, replanned, wantedWaist } from './settle-plan.js';
import type { SideSeam } from './side-seam.js';
import { drawInseams } from './walk-inseams.js';
import type { WaistRound } from './waist.js';
import type { PanelPlan } from './waist-plan.js';

/** Nothing moved. */
const UNMOVED: Shift = { crotchPoint: 0, sideHip: 0, sideWaist: 0 };

/** A rise that gave way in nothing. */
export const NOTHING: RiseGave = { lean: 0, end: 0 };

/** A panel's seams but for its rise, as they have settled. */
export interface PanelSeams {
  readonly seat: SeatLine;
  readonly leg: Leg;
  readonly sideHip: Point;
  readonly crotchPoint: Point;
  readonly side: SideSeam;
  readonly inseam: Inseam;
  readonly waist: WaistRound;
  readonly plan: PanelPlan;
  readonly shift: Shift;
}

/** Where the side stands straight the centre takes everything, up to this of the hip width. */
const MOST_UPRIGHT = 0.48;
const ROUNDS = 18;
/** So many rounds the plan is made anew on what was drawn. */
const PLANNED = 3;
/** Settled where no figure moves by more than this, in mm. */
const SETTLED = 0.005;

function begin(setting: PanelSetting, gave: RiseGave): PanelState {
  const { parameters: p } = setting;
  const crotchX = p.hipWidth + p.extension + gave.end;
  return {
    setting,
    gave,
    plan: NO_PLAN,
    shift: UNMOVED,
    sideX: 0,
    sideCrotchX: -p.sideOut + p.sideInset,
    centre: 0,
    crotchX,
    offSquare: undefined,
    dartDepths: [],
    beyond: 0,
  };
}

/** Where the side's waist end lies to begin with: by the flat sum. */
function firstSide(state: PanelState): number {
  const { seat, sideHip } = layOut(state);
  if (upright(state)) return sideHip.x;
  const { parameters: p } = state.setting;
  const rise = -p.sideLift - state.shift.sideWaist - seat.waistEnd.y;
  const whole = wantedWaist(state) + state.plan.dartCount * state.plan.dartIntake;
  return seat.waistEnd.x - Math.sqrt(Math.max(100, whole ** 2 - rise ** 2));
}

/** Moves a panel toward what it has to meet by what the round missed. */
function approach(state: PanelState, drawn: DrawnPanel): void {
  const { setting } = state;
  const { parameters: p } = setting;
  const over = drawn.waist.length - wantedWaist(state);
  state.dartDepths = drawn.waist.dartDepths;
  state.sideCrotchX = drawn.side.crotch.x;
  if (p.crotchWidth !== undefined && !setting.byHand.has('extension')) {
    state.crotchX = drawn.side.crotch.x + p.crotchWidth + state.gave.end;
  }
  if (!upright(state) || setting.byHand.has('centreIn')) {
    state.sideX += over;
    return;
  }
  const most = MOST_UPRIGHT * p.hipWidth - p.centreIn - state.gave.lean;
  const room = setting.straightSide ? Infinity : Math.max(0, most);
  state.centre = Math.min(room, state.centre + over);
}

/** Trues the back to the front by what the round missed. */
function approachSeams(front: DrawnPanel, back: DrawnPanel, state: PanelState): void {
  const { setting, shift } = state;
  const held = (value: number): number => Math.min(setting.mostMoved, Math.max(-setting.mostMoved, value));
  const lower = pathLength(back.side.hipToKnee) - pathLength(front.side.hipToKnee);
  const upper = pathLength(front.side.waistToHip) - pathLength(back.side.waistToHip);
  state.shift = {
    crotchPoint: 0,
    sideHip: held(shift.sideHip + lower),
    sideWaist: setting.byHand.has('sideLift') ? 0 : held(shift.sideWaist + upper),
  };
}

/** Both panels' seams but for the rises, or the refusal of one. */
export type BlockSeams = readonly [front: PanelSeams, back: PanelSeams];

/**
 * Lets both panels settle together (docs/trade/parameters.md): the waist plan over both, each waist to its width with
 * its darts closed, the side seams and inseams walked, the crease in the middle of the drawn crotch width.
 */
export function settleSeams(
  frontSetting: PanelSetting,
  backSetting: PanelSetting,
  rules: DraftRules,
  gave: readonly [RiseGave, RiseGave] = [NOTHING, NOTHING],
): Outcome<BlockSeams> {
  for (const setting of [frontSetting, backSetting]) {
    const sizes = refuseSizes(setting);
    if (sizes) return refused(sizes);
  }
  const states = [begin(frontSetting, gave[0]), begin(backSetting, gave[1])] as const;
  const [front, back] = states;
  replan(front, back, rules);
  for (const state of states) state.sideX = firstSide(state);
  const paces = [new Pace(), new Pace()] as const;
  let drawn: readonly [DrawnPanel, DrawnPanel] | undefined;
  for (let round = 0; ; round++) {
    const tried = states.map(unknownsOf);
    // The front does not look at the back: once it rests it is drawn.
    const drawnFront = drawn && paces[0].rests ? good(drawn[0]) : drawRound(front);
    if (!drawnFront.ok) return drawnFront;
    const drawnBack = drawRound(back);
    if (!drawnBack.ok) return drawnBack;
    drawn = [drawnFront.value, drawnBack.value];
    if (!paces[0].rests) approach(front, drawn[0]);
    approach(back, drawn[1]);
    if (rules.trueSeams) approachSeams(drawn[0], drawn[1], back);
    if (round === 0) level(states, drawn);
    const planned = round < PLANNED && replanned(states, drawn, rules);
    if (round === 0 || planned) {
      for (const pace of paces) pace.anew();
      continue;
    }
    const last = round === ROUNDS - 1;
    if (!paces[0].rests) paces[0].next(front, tried[0] as number[], last);
    // The back rests no sooner than what it is trued to.
    paces[1].next(back, tried[1] as number[], last, paces[0].rests);
    if (!paces[1].rests && round < ROUNDS) continue;
    const fault = faultIn(states, drawn);
    if (fault) return fault;
    const inseams = drawInseams(states, drawn, rules.trueSeams);
    if (!inseams.ok) return inseams;
    return good([seamsOf(front, drawn[0], inseams.value[0]), seamsOf(back, drawn[1], inseams.value[1])]);
  }
}

/** All that settles of a panel from round to round, as one row of figures in mm. */
function unknownsOf({ sideX, sideCrotchX, centre, crotchX, shift, dartDepths }: PanelState): number[] {
  return [sideX, sideCrotchX, centre, crotchX, shift.sideHip, shift.sideWaist, ...dartDepths];
}

function takeUnknowns(state: PanelState, figures: readonly number[]): void {
  let next = 0;
  const take = (): number => figures[next++] as number;
  state.sideX = take();
  state.sideCrotchX = take();
  state.centre = take();
  state.crotchX = take();
  const most = state.setting.mostMoved;
  const held = (value: number): number => Math.min(most, Math.max(-most, value));
  state.shift = { crotchPoint: 0, sideHip: held(take()), sideWaist: held(take()) };
  state.dartDepths = state.dartDepths.map(take);
}

/** How a panel comes to rest. */
class Pace {
  /** True once it has come to rest. */
  rests = false;
  private rounds = new FixedPoint();
  private nearest: { readonly tried: number[]; readonly moved: number } | undefined;

  /** Begins anew, from another plan. */
  anew(): void {
    this.rests = false;
    this.rounds = new FixedPoint();
    this.nearest = undefined;
  }

  /** Takes a panel to where it is drawn next, having tried figures and been moved; or has it rest. */
  next(state: PanelState, tried: number[], last: boolean, mayRest = true): void {
    const given = unknownsOf(state);
    const moved = tried.length === given.length ? farthest(tried, given) : Infinity;
    if (moved <= SETTLED && mayRest) {
      this.rests = true;
      return;
    }
    if (moved === Infinity) {
      this.anew();
      return;
    }
    if (!this.nearest || moved < this.nearest.moved) this.nearest = { tried, moved };
    // Rounds that swing between two ways of a curve have no rest: the last is drawn where they moved least.
    takeUnknowns(state, last ? this.nearest.tried : this.rounds.next(tried, given));
  }
}

function farthest(a: readonly number[], b: readonly number[]): number {
  let most = 0;
  for (let i = 0; i < a.length; i++) most = Math.max(most, Math.abs((a[i] as number) - (b[i] as number)));
  return most;
}

/** Each may be off square by this and what is left for the pair, radians. */
const MOST_LEVELLED = (2.8 * Math.PI) / 180;

/**
 * Lets front and back waist run level into one another at the side: each is as far off square as the other the other
 * way.
 */
function level([front, back]: readonly [PanelState, PanelState], drawn: readonly [DrawnPanel, DrawnPanel]): void {
  const apart = (drawn[0].waist.closed.offSquare - drawn[1].waist.closed.offSquare) / 2;
  const most = MOST_LEVELLED;
  front.offSquare = Math.max(-most, Math.min(most, apart));
  back.offSquare = -front.offSquare;
}

const seamsOf = ({ plan, shift }: PanelState, drawn: DrawnPanel, inseam: Inseam): PanelSeams => ({
  ...drawn,
  inseam,
  crotchPoint: point(drawn.crotchPoint.x, drawn.crotchPoint.y + shift.crotchPoint),
  plan,
  shift,
});

function faultIn(states: readonly PanelState[], drawn: readonly DrawnPanel[]): Outcome<never> | undefined {
  for (const [i, state] of states.entries()) {
    const { waist } = drawn[i] as DrawnPanel;
    const { setting } = state;
    if (!waist.apart) {
      const fields = ['dartAt', 'dartIntake', 'dartCount', 'dartLength', 'waistWidth'] as const;
      return refused(refusePanel(setting, 'dartsNoRoom', fields));
    }
    if (!(Math.abs(waist.length - wantedWaist(state)) < 0.5) && !upright(state)) {
      return refused(refusePanel(setting, 'waistNoReach', ['centreLift', 'sideLift', 'waistWidth']));
    }
  }
  return undefined;
}
