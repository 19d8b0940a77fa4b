import { distance, FixedPoint, pathLength, point, startDirection, type Point } from '../geometry/index.js';
import type { Levels } from '../method/index.js';
import { good, refused, type Outcome } from '../refusal/index.js';
import { hasKnee, inseamSeam, legOf, plumbLeg, type Inseam, type Leg } from './leg.js';
import { refusePanel, refuseSizes, type PanelSetting } from './panel-setting.js';
import type { DraftRules } from './rules.js';
import { seatLine, squareOffCentre, type SeatLine } from './seat-line.js';
import { sideSeam, straightSide, type SideSeam } from './side-seam.js';
import { waistRound, type SettledDart, type WaistRound } from './waist.js';
import {
  asTheSheet,
  planWaist,
  withinLean,
  withoutDarts,
  type PanelPlan,
  type PlanPanel,
  type WaistSchool,
} from './waist-plan.js';

/** How far truing has moved the back, in mm. */
export interface Shift {
  /** Crotch point down (+). */
  readonly crotchPoint: number;
  /** Side hip point down (+). */
  readonly sideHip: number;
  /** Side waist end up (+). */
  readonly sideWaist: number;
}

/** What a rise could not be drawn fairly without: a lean of the centre line in mm at the waist, a moved crotch point in mm. */
export interface RiseGave {
  readonly lean: number;
  readonly end: number;
}

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

/** How much shorter than the front inseam the back inseam is aimed at, above the knee: it is stretched on in sewing. */
export const INSEAM_STRETCH = 3;
/** How far in the centre may go, of the hip width: further, and no crotch curve runs from it. */
const MOST_LEAN = { front: 0.16, back: 0.3 } as const;
/** Where the side stands straight the centre takes everything, up to this of the hip width. */
const MOST_UPRIGHT = 0.48;
/** A centre that leans out lifts by this share of it: the stomach wants length as well. */
const STOMACH_LIFT = 0.2;
const ROUNDS = 18;
/** So many rounds the plan is made anew on what was drawn. */
const PLANNED = 3;
/** Settled where no figure moves by more than this, in mm. */
const SETTLED = 0.006;
/** A side cannot lean more than this at the waist; a fair one then tapers by this share of its height. */
const LEAN_TAPER = 0.65 * Math.tan((14.6 * Math.PI) / 180);
const SIDE_ROOM = 20;

/** One panel while both settle. */
interface State {
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
  darts: readonly SettledDart[];
  /** What the drawn taper is beyond the flat sum. */
  beyond: number;
}

/** One panel drawn in a round. */
interface Drawn {
  readonly seat: SeatLine;
  readonly sideHip: Point;
  readonly leg: Leg;
  readonly side: SideSeam;
  readonly waist: WaistRound;
  /** Where the sheet has the crotch point, untrued. */
  readonly crotchPoint: Point;
}

const upright = ({ setting }: State): boolean => setting.straightSide || setting.uprightSide;

function layOut(state: State): { seat: SeatLine; sideHip: Point } {
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

function drawRound(state: State): Outcome<Drawn> {
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
    const words = `The ${name} side seam has no room between waist, hip, crotch and knee.`;
    return refused(
      refusePanel(setting, ['sideLift'], words, 'Check the depths, or give the side lift back to the sheet.'),
    );
  }
  if (crotchPoint.y > leg.inseamKnee.y - 30) {
    return refused(
      refusePanel(setting, ['crotchDrop'], `The ${name} crotch point lies at the knee.`, 'Give a smaller crotch drop.'),
    );
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
    const words = `The ${name} side seam cannot run from the waist over the hip to the knee without a bend the wrong way.`;
    const way = 'Give more waist width, a wider knee, or another hip level.';
    return refused(refusePanel(setting, ['waistWidth', 'kneeWidth', 'sideInset', 'sideOut', 'sideLift'], words, way));
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
    darts: state.darts,
  });
  return good({ seat, sideHip, leg, side, waist, crotchPoint });
}

/** The inseam of a panel that has settled, or the refusal. */
function drawInseam({ setting }: State, { crotchPoint, leg }: Drawn, lower: number): Outcome<Inseam> {
  const { parameters: p, levels, name } = setting;
  const from = point(crotchPoint.x, crotchPoint.y + lower);
  const end = { knee: leg.inseamKnee, hem: leg.inseamHem, kneeOnPiece: leg.kneeOnPiece };
  const hollow = p.inseamHollow ?? p.inseamHollowShare * distance(from, end.knee);
  const thigh = p.thighWidth === undefined ? undefined : point(leg.crease + p.thighWidth / 2, levels.thighLevel);
  const inseam = inseamSeam({ crotchPoint: from, end, hollow: setting.plumbLeg ? 0 : hollow, thigh });
  if (inseam) return good(inseam);
  const words = `The ${name} inseam cannot run from the crotch point to the knee without a bend the wrong way.`;
  const way = 'Give another knee width, hem width or inseam hollow.';
  return refused(refusePanel(setting, ['kneeWidth', 'hemWidth', 'inseamHollowShare', 'extension'], words, way));
}

/** The least by which a back inseam with a stated drop is the shorter one, in mm. */
const STATED_STRETCH = 0.5;
/** So often the back crotch point is moved toward an inseam that walks. */
const INSEAM_ROUNDS = 6;

/** Both inseams; the back's crotch point is moved until it is sewn to the front, where no drop is stated. */
function drawInseams(
  [front, back]: readonly [State, State],
  drawn: readonly [Drawn, Drawn],
  trueSeams: boolean,
): Outcome<readonly [Inseam, Inseam]> {
  const ahead = drawInseam(front, drawn[0], 0);
  if (!ahead.ok) return ahead;
  const { byHand, parameters, mostMoved } = back.setting;
  const held = byHand.has('crotchDrop');
  // A drop that the method states is kept, and stretched on; only a back inseam that is the longer one is still shortened.
  const stated = parameters.crotchDrop !== 0;
  const wanted = pathLength(ahead.value.upper) - (stated ? STATED_STRETCH : INSEAM_STRETCH);
  let lower = 0;
  for (let round = 0; ; round++) {
    const behind = drawInseam(back, drawn[1], lower);
    if (!behind.ok) return behind;
    const over = pathLength(behind.value.upper) - wanted;
    const next = Math.min(mostMoved, Math.max(stated ? 0 : -mostMoved, lower + over));
    if (!trueSeams || held || Math.abs(next - lower) < SETTLED || round === INSEAM_ROUNDS) {
      back.shift = { ...back.shift, crotchPoint: lower };
      return good([ahead.value, behind.value]);
    }
    lower = next;
  }
}

/** The flat taper without darts: what the slanted waist leaves at the side, in mm. */
function flatSurplus(state: State): number {
  const { setting } = state;
  const { parameters: p } = setting;
  const { seat, sideHip } = layOut({ ...state, plan: NO_PLAN, centre: 0 });
  const rise = -p.sideLift - seat.waistEnd.y;
  return seat.waistEnd.x - Math.sqrt(Math.max(0, p.waistWidth ** 2 - rise ** 2)) - sideHip.x;
}

const NO_PLAN: PanelPlan = { dartCount: 0, dartIntake: 0, centreIn: 0, waistMore: 0 };

function planPanel(state: State): PlanPanel {
  const { setting } = state;
  const { parameters: p, name, byHand } = setting;
  return {
    surplus: flatSurplus(state) + state.beyond,
    dartCount: p.dartCount,
    dartIntake: p.dartIntake,
    dartsHeld: byHand.has('dartIntake') || byHand.has('dartCount'),
    centreHeld: byHand.has('centreIn') || upright(state),
    mostLean: Math.max(0, MOST_LEAN[name] * p.hipWidth - p.centreIn),
  };
}

/** The school that holds: a method whose makers place the surplus themselves follows no plan unless it is asked to. */
const schoolOf = ({ waistPlan }: DraftRules, setting: PanelSetting): WaistSchool =>
  waistPlan === 'method' ? (setting.ownSurplus ? 'off' : 'plan') : waistPlan;

/** The most that a panel's side can taper by without leaning too much at the waist, in mm. */
const leanTaper = ({ setting: { parameters: p, levels } }: State): number =>
  LEAN_TAPER * (levels.hipLevel + p.sideLift);

function replan(front: State, back: State, rules: DraftRules): void {
  const school = schoolOf(rules, front.setting);
  const panels = [planPanel(front), planPanel(back)] as const;
  const apply = (state: State, plan: PanelPlan): void => {
    if (plan.dartCount !== state.plan.dartCount) {
      const { dartLength } = state.setting.parameters;
      state.darts = Array.from({ length: plan.dartCount }, () => ({ depth: dartLength, leg: dartLength }));
    }
    state.plan = plan;
  };
  const whole = panels[0].surplus + panels[1].surplus;
  if (school === 'off' && !(whole < 0 && front.setting.leansOut)) {
    const most = (state: State): number => (upright(state) ? Infinity : leanTaper(state));
    const [ahead, behind] = withinLean(panels, [most(front), most(back)]);
    apply(front, ahead);
    apply(back, behind);
  } else if (school === 'plan' || school === 'off') {
    const { waistLimits: limits } = front.setting;
    const plan = planWaist(...panels, {
      ...limits,
      leanTaper: Math.min(leanTaper(front), leanTaper(back)),
      waistHeld: front.setting.byHand.has('waistWidth') || back.setting.byHand.has('waistWidth'),
    });
    apply(front, plan.front);
    apply(back, plan.back);
  } else {
    [front, back].forEach((state, i) => {
      const panel = panels[i] as PlanPanel;
      apply(state, panel.dartsHeld ? asTheSheet(panel) : withoutDarts(panel, school === 'shared' ? 0.5 : 1));
    });
  }
}

const wantedWaist = ({ setting, plan }: State): number => setting.parameters.waistWidth + plan.waistMore;

/** What the taper would be by the flat sum under a plan. */
const plannedTaper = (state: State, panel: PlanPanel): number =>
  panel.surplus - state.plan.dartCount * state.plan.dartIntake - state.plan.centreIn - state.plan.waistMore;

function begin(setting: PanelSetting, gave: RiseGave): State {
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
    darts: [],
    beyond: 0,
  };
}

/** Where the side's waist end lies to begin with: by the flat sum. */
function firstSide(state: State): number {
  const { seat, sideHip } = layOut(state);
  if (upright(state)) return sideHip.x;
  const { parameters: p } = state.setting;
  const rise = -p.sideLift - state.shift.sideWaist - seat.waistEnd.y;
  const whole = wantedWaist(state) + state.plan.dartCount * state.plan.dartIntake;
  return seat.waistEnd.x - Math.sqrt(Math.max(100, whole ** 2 - rise ** 2));
}

/** Moves a panel toward what it has to meet by what the round missed. */
function approach(state: State, drawn: Drawn): void {
  const { setting } = state;
  const { parameters: p } = setting;
  const over = drawn.waist.length - wantedWaist(state);
  state.darts = drawn.waist.darts;
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
function approachSeams(front: Drawn, back: Drawn, state: State): void {
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
 * Lets both panels settle together (docs/trade/parameters.md): the waist plan over both, each waist to its width with its
 * darts closed, the side seams and inseams walked, the crease in the middle of the drawn crotch width.
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
  let rounds = new FixedPoint();
  for (let round = 0; ; round++) {
    const tried = unknownsOf(states);
    const drawnFront = drawRound(front);
    if (!drawnFront.ok) return drawnFront;
    const drawnBack = drawRound(back);
    if (!drawnBack.ok) return drawnBack;
    const drawn = [drawnFront.value, drawnBack.value] as const;
    for (const [i, state] of states.entries()) approach(state, drawn[i] as Drawn);
    if (rules.trueSeams) approachSeams(drawn[0], drawn[1], back);
    const given = unknownsOf(states);
    if (round === 0) level(states, drawn);
    const planned = round < PLANNED && replanned(states, drawn, rules);
    const moved = round === 0 || planned || tried.length !== given.length ? Infinity : farthest(tried, given);
    if (moved > SETTLED && round < ROUNDS) {
      if (moved === Infinity) rounds = new FixedPoint();
      else takeUnknowns(states, rounds.next(tried, given));
      continue;
    }
    const fault = faultIn(states, drawn);
    if (fault) return fault;
    const inseams = drawInseams(states, drawn, rules.trueSeams);
    if (!inseams.ok) return inseams;
    return good([seamsOf(front, drawn[0], inseams.value[0]), seamsOf(back, drawn[1], inseams.value[1])]);
  }
}

/** All that settles from round to round, as one row of figures in mm. */
function unknownsOf(states: readonly State[]): number[] {
  return states.flatMap(({ sideX, sideCrotchX, centre, crotchX, shift, darts }) => [
    sideX,
    sideCrotchX,
    centre,
    crotchX,
    shift.sideHip,
    shift.sideWaist,
    ...darts.flatMap(({ depth, leg }) => [depth, leg]),
  ]);
}

function takeUnknowns(states: readonly State[], figures: readonly number[]): void {
  let next = 0;
  const take = (): number => figures[next++] as number;
  for (const state of states) {
    state.sideX = take();
    state.sideCrotchX = take();
    state.centre = take();
    state.crotchX = take();
    const most = state.setting.mostMoved;
    const held = (value: number): number => Math.min(most, Math.max(-most, value));
    state.shift = { crotchPoint: 0, sideHip: held(take()), sideWaist: held(take()) };
    state.darts = state.darts.map(() => ({ depth: take(), leg: take() }));
  }
}

function farthest(a: readonly number[], b: readonly number[]): number {
  let most = 0;
  for (let i = 0; i < a.length; i++) most = Math.max(most, Math.abs((a[i] as number) - (b[i] as number)));
  return most;
}

/** Plans anew on what was drawn: a closed cone makes the taper differ from the flat sum. True where the plan changed. */
function replanned(states: readonly [State, State], drawn: readonly Drawn[], rules: DraftRules): boolean {
  const before = states.map((state) => state.plan);
  for (const [i, state] of states.entries()) {
    if (upright(state)) continue;
    const is = state.sideX - (drawn[i] as Drawn).sideHip.x;
    state.beyond += is - plannedTaper(state, planPanel(state));
  }
  replan(...states, rules);
  let changed = false;
  for (const [i, state] of states.entries()) {
    const was = before[i] as PanelPlan;
    const { dartCount, dartIntake, centreIn, waistMore } = state.plan;
    const more = dartCount * dartIntake + waistMore - was.dartCount * was.dartIntake - was.waistMore;
    if (!upright(state)) state.sideX -= more + centreIn - was.centreIn;
    if (Math.abs(more) + Math.abs(centreIn - was.centreIn) > 0.01) changed = true;
  }
  return changed;
}

/** Each may be off square by this and what is left for the pair, radians. */
const MOST_LEVELLED = (2.8 * Math.PI) / 180;

/** Lets front and back waist run level into one another at the side: each is as far off square as the other the other way. */
function level([front, back]: readonly [State, State], drawn: readonly [Drawn, Drawn]): void {
  const apart = (drawn[0].waist.closed.offSquare - drawn[1].waist.closed.offSquare) / 2;
  const most = MOST_LEVELLED;
  front.offSquare = Math.max(-most, Math.min(most, apart));
  back.offSquare = -front.offSquare;
}

const seamsOf = ({ plan, shift }: State, drawn: Drawn, inseam: Inseam): PanelSeams => ({
  ...drawn,
  inseam,
  crotchPoint: point(drawn.crotchPoint.x, drawn.crotchPoint.y + shift.crotchPoint),
  plan,
  shift,
});

function faultIn(states: readonly State[], drawn: readonly Drawn[]): Outcome<never> | undefined {
  for (const [i, state] of states.entries()) {
    const { waist } = drawn[i] as Drawn;
    const { setting } = state;
    const { name } = setting;
    if (!waist.apart) {
      return refused(
        refusePanel(
          setting,
          ['dartAt', 'dartIntake', 'dartCount', 'dartLength', 'waistWidth'],
          `The ${name} darts have no room on the waist.`,
          'Give a smaller intake, fewer darts, or another place.',
        ),
      );
    }
    if (!(Math.abs(waist.length - wantedWaist(state)) < 0.5) && !upright(state)) {
      return refused(
        refusePanel(
          setting,
          ['centreLift', 'sideLift', 'waistWidth'],
          `The ${name} waist does not reach from the centre to the side.`,
          'Give a smaller lift, or a larger waist width.',
        ),
      );
    }
  }
  return undefined;
}

/** True where the leg is not as long as the body's: it is cut from the full leg at the crotch line. */
export const isCut = (levels: Levels, full: Levels): boolean =>
  Math.abs(levels.hemLevel - full.hemLevel) > 0.01 || hasKnee(levels) !== hasKnee(full);
