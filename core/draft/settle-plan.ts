import { layOut, upright, type DrawnPanel, type PanelState } from './panel-round.js';
import type { PanelSetting } from './panel-setting.js';
import type { DraftRules } from './rules.js';
import {
  asTheSheet,
  planWaist,
  withinLean,
  withoutDarts,
  type PanelPlan,
  type PlanPanel,
  type WaistSchool,
} from './waist-plan.js';

/** How far in the centre may go, of the hip width: further, and no crotch curve runs from it. */
const MOST_LEAN = { front: 0.16, back: 0.3 } as const;
/** A side cannot lean more than this at the waist; a fair one then tapers by this share of its height. */
const LEAN_TAPER = 0.65 * Math.tan((14.6 * Math.PI) / 180);

/** The flat taper without darts: what the slanted waist leaves at the side, in mm. */
function flatSurplus(state: PanelState): number {
  const { setting } = state;
  const { parameters: p } = setting;
  const { seat, sideHip } = layOut({ ...state, plan: NO_PLAN, centre: 0 });
  const rise = -p.sideLift - seat.waistEnd.y;
  return seat.waistEnd.x - Math.sqrt(Math.max(0, p.waistWidth ** 2 - rise ** 2)) - sideHip.x;
}

/** Nothing planned yet. */
export const NO_PLAN: PanelPlan = { dartCount: 0, dartIntake: 0, centreIn: 0, waistMore: 0 };

function planPanel(state: PanelState): PlanPanel {
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
const leanTaper = ({ setting: { parameters: p, levels } }: PanelState): number =>
  LEAN_TAPER * (levels.hipLevel + p.sideLift);

/** Plans both panels by the school that holds, on what their sides would taper by. */
export function replan(front: PanelState, back: PanelState, rules: DraftRules): void {
  const school = schoolOf(rules, front.setting);
  const panels = [planPanel(front), planPanel(back)] as const;
  const apply = (state: PanelState, plan: PanelPlan): void => {
    if (plan.dartCount !== state.plan.dartCount) {
      const { dartLength } = state.setting.parameters;
      state.dartDepths = new Array<number>(plan.dartCount).fill(dartLength);
    }
    state.plan = plan;
  };
  const whole = panels[0].surplus + panels[1].surplus;
  if (school === 'off' && !(whole < 0 && front.setting.leansOut)) {
    const most = (state: PanelState): number => (upright(state) ? Infinity : leanTaper(state));
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

/** The waist that a panel has to come to with its darts closed, in mm. */
export const wantedWaist = ({ setting, plan }: PanelState): number => setting.parameters.waistWidth + plan.waistMore;

/** What the taper would be by the flat sum under a plan. */
const plannedTaper = (state: PanelState, panel: PlanPanel): number =>
  panel.surplus - state.plan.dartCount * state.plan.dartIntake - state.plan.centreIn - state.plan.waistMore;

/**
 * Plans anew on what was drawn: a closed cone makes the taper differ from the flat sum. True where the plan changed.
 */
export function replanned(
  states: readonly [PanelState, PanelState],
  drawn: readonly DrawnPanel[],
  rules: DraftRules,
): boolean {
  const before = states.map((state) => state.plan);
  for (const [i, state] of states.entries()) {
    if (upright(state)) continue;
    const is = state.sideX - (drawn[i] as DrawnPanel).sideHip.x;
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
