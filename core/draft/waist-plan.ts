/**
 * The schools of parting with the surplus of hip over waist: as the method's makers place it, by the plan over both
 * panels, half side half centre, all at the centre, or the sheet's darts as they are.
 */
export const WAIST_SCHOOLS = ['method', 'plan', 'shared', 'centre', 'off'] as const;

/** The name of a school. */
export type WaistSchool = (typeof WAIST_SCHOOLS)[number];

/** One panel as the plan sees it. Lengths in mm. */
export interface PlanPanel {
  /** The taper, waist to hip, that would remain at the side without any dart. */
  readonly surplus: number;
  readonly dartCount: number;
  readonly dartIntake: number;
  /** Darts set by hand stay as they are. */
  readonly dartsHeld: boolean;
  /** A centre set by hand takes nothing. */
  readonly centreHeld: boolean;
  /** How much further in the centre may go: a seat line leans no further. */
  readonly mostLean: number;
}

/** The house's limits of the plan, in mm. */
export interface PlanLimits {
  /** The most that may taper away at the side; and what its lean at the waist allows. */
  readonly mostTaper: number;
  readonly leanTaper: number;
  readonly narrowestDart: number;
  readonly widestDart: number;
  readonly mostCentreIn: number;
  /** How many darts the back may have; none for a child or a pull-on. */
  readonly mostDarts: number;
  /** A waist set by hand on either panel is not moved. */
  readonly waistHeld: boolean;
}

/** What of the surplus leaves a panel where. Lengths in mm. */
export interface PanelPlan {
  readonly dartCount: number;
  readonly dartIntake: number;
  /** Taken further in at the centre; leaned out where it is negative. */
  readonly centreIn: number;
  /** Added to the panel's waist width: moved over from the other panel, or left in the waist. */
  readonly waistMore: number;
}

/** The plan for both panels, and what no step could take, in mm of the whole of two panels. */
export interface WaistPlan {
  readonly front: PanelPlan;
  readonly back: PanelPlan;
  readonly left: number;
}

/** What the sides take before darts are widened. */
const FIRST_TAPER = 25;
/** A front dart is no wider than this while another way is open. */
const FRONT_DART = 20;
/** What the centre takes where no dart is allowed. */
const CENTRE_PLAIN = { front: 15, back: 30 } as const;
/** Waist width that may move between the panels, and the difference of tapers that may stay. */
const MOST_MOVED = 25;
const TAPERS_APART = 2;
/** A waist larger than the hip: what the centre front and the sides take. */
const STOMACH = 40;
const SIDE_OUT = 15;

/**
 * The waist plan over both panels (docs/trade/waist-plan.md): the sheet's darts as far as the surplus goes, the back's
 * never less than the front's; then the sides alike; then wider darts and a second one behind; then more at the sides;
 * then the centre. A waist larger than the hip goes to the centre front first, then to both sides alike.
 */
export function planWaist(front: PlanPanel, back: PlanPanel, limits: PlanLimits): WaistPlan {
  const whole = front.surplus + back.surplus;
  if (whole < 0 && !front.dartsHeld && !back.dartsHeld) return planStomach(front, back, limits);
  const darts = placeDarts(front, back, whole, limits);
  let rest = whole - darts.front - darts.back;
  const most = Math.max(0, Math.min(limits.mostTaper, limits.leanTaper));
  const side = Math.max(0, Math.min(FIRST_TAPER, most, rest / 2));
  rest -= 2 * side;
  if (rest > 0) {
    const wider = widened(front, back, darts, rest, limits);
    rest -= wider.front + wider.back - darts.front - darts.back;
    Object.assign(darts, wider);
  }
  const more = Math.max(0, Math.min(rest / 2, most - side));
  rest -= 2 * more;
  const centreOf = (panel: PlanPanel, name: 'front' | 'back'): number => {
    if (panel.centreHeld || rest <= 0) return 0;
    const plain = panel.dartCount === 0 || limits.mostDarts === 0;
    const taken = Math.max(0, Math.min(rest, plain ? CENTRE_PLAIN[name] : limits.mostCentreIn, panel.mostLean));
    rest -= taken;
    return taken;
  };
  const backIn = centreOf(back, 'back');
  const frontIn = centreOf(front, 'front');
  const left = Math.max(0, rest);
  return shared(
    front,
    back,
    { ...darts, frontIn, backIn, left },
    limits.waistHeld ? 0 : MOST_MOVED,
    limits.narrowestDart,
  );
}

interface Darts {
  front: number;
  back: number;
  frontCount: number;
  backCount: number;
}

function placeDarts(front: PlanPanel, back: PlanPanel, whole: number, limits: PlanLimits): Darts {
  const asked = (panel: PlanPanel): number =>
    panel.dartsHeld
      ? panel.dartCount * panel.dartIntake
      : limits.mostDarts === 0
        ? 0
        : Math.min(panel.dartCount, limits.mostDarts) * panel.dartIntake;
  const kept = (total: number, panel: PlanPanel): number => {
    const each = panel.dartCount > 0 ? total / panel.dartCount : 0;
    return each < limits.narrowestDart ? 0 : total;
  };
  const backTotal = back.dartsHeld ? asked(back) : kept(Math.max(0, Math.min(asked(back), whole)), back);
  const frontTotal = front.dartsHeld
    ? asked(front)
    : kept(Math.max(0, Math.min(asked(front), backTotal, whole - backTotal)), front);
  return {
    front: frontTotal,
    back: backTotal,
    frontCount: frontTotal > 0 ? front.dartCount : 0,
    backCount: backTotal > 0 ? back.dartCount : 0,
  };
}

function widened(front: PlanPanel, back: PlanPanel, darts: Darts, more: number, limits: PlanLimits): Darts {
  const next = { ...darts };
  let rest = more;
  const widen = (name: 'front' | 'back', to: number): void => {
    const by = Math.max(0, Math.min(rest, to - next[name]));
    next[name] += by;
    rest -= by;
  };
  const backFree = !back.dartsHeld && next.backCount > 0;
  const frontFree = !front.dartsHeld && next.frontCount > 0;
  const { widestDart } = limits;
  if (backFree) widen('back', next.backCount * widestDart);
  if (frontFree) widen('front', Math.min(next.frontCount * FRONT_DART, next.back));
  if (backFree && rest > 0 && next.backCount === 1 && limits.mostDarts > 1) {
    next.backCount = 2;
    widen('back', 2 * widestDart);
  }
  if (frontFree) widen('front', Math.min(next.frontCount * widestDart, next.back));
  return next;
}

function shared(
  front: PlanPanel,
  back: PlanPanel,
  placed: Darts & { frontIn: number; backIn: number; left: number },
  mostMoved: number,
  narrowest: number,
): WaistPlan {
  const frontTaper = front.surplus - placed.front - placed.frontIn - placed.left / 2;
  const backTaper = back.surplus - placed.back - placed.backIn - placed.left / 2;
  const apart = backTaper - frontTaper;
  const toMove = Math.abs(apart) <= TAPERS_APART ? 0 : (apart - Math.sign(apart) * TAPERS_APART) / 2;
  const moved = Math.max(-mostMoved, Math.min(mostMoved, toMove));
  // Where no more waist may move, the side that tapers less gives up dart until both taper alike.
  const still = apart - 2 * moved;
  const most = Math.abs(still) - TAPERS_APART;
  if (most > 0.5 && narrowest < Infinity) {
    const [name, panel] = still < 0 ? (['back', back] as const) : (['front', front] as const);
    const cut = panel.dartsHeld ? 0 : Math.min(most, placed[name]);
    if (cut > 0) {
      const total = placed[name] - cut;
      const dropped = total < narrowest ? placed[name] : cut;
      const next = { ...placed, [name]: placed[name] - dropped };
      if (next.back < next.front && !front.dartsHeld) next.front = next.back;
      next.frontCount = next.front > 0 ? placed.frontCount : 0;
      next.backCount = next.back > 0 ? placed.backCount : 0;
      return shared(front, back, next, mostMoved, Infinity);
    }
  }
  const each = (total: number, count: number): number => (count > 0 ? total / count : 0);
  return {
    front: {
      dartCount: placed.frontCount,
      dartIntake: each(placed.front, placed.frontCount),
      centreIn: placed.frontIn,
      waistMore: placed.left / 2 - moved,
    },
    back: {
      dartCount: placed.backCount,
      dartIntake: each(placed.back, placed.backCount),
      centreIn: placed.backIn,
      waistMore: placed.left / 2 + moved,
    },
    left: placed.left,
  };
}

function planStomach(front: PlanPanel, back: PlanPanel, limits: PlanLimits): WaistPlan {
  const whole = -(front.surplus + back.surplus);
  const frontOut = front.centreHeld ? 0 : Math.min(whole, STOMACH);
  const rest = whole - frontOut;
  const side = Math.min(rest / 2, SIDE_OUT);
  const backOut = back.centreHeld ? 0 : rest - 2 * side;
  const darts: Darts = { front: 0, back: 0, frontCount: 0, backCount: 0 };
  const placed = { ...darts, frontIn: -frontOut, backIn: -backOut, left: 0 };
  return shared(front, back, placed, limits.waistHeld ? 0 : STOMACH, limits.narrowestDart);
}

/**
 * What leaves a panel by the schools without darts: a share of its own surplus at the centre, as far as it may lean.
 */
export function withoutDarts(panel: PlanPanel, share: number): PanelPlan {
  const centreIn = Math.max(0, Math.min(panel.surplus * share, panel.mostLean));
  return { dartCount: 0, dartIntake: 0, centreIn: panel.centreHeld ? 0 : centreIn, waistMore: 0 };
}

/** The sheet's own darts, as they are. */
export const asTheSheet = ({ dartCount, dartIntake }: PlanPanel): PanelPlan => ({
  dartCount,
  dartIntake: dartCount > 0 ? dartIntake : 0,
  centreIn: 0,
  waistMore: 0,
});

/**
 * The sheets' own darts, of whose tapers so much is moved to the other panel's waist as a fair side cannot take and the
 * other has room for; the rest stays in the waist.
 */
export function withinLean(
  panels: readonly [PlanPanel, PlanPanel],
  mostTaper: readonly [number, number],
): readonly [PanelPlan, PanelPlan] {
  const plans = [asTheSheet(panels[0]), asTheSheet(panels[1])] as const;
  const over = plans.map(
    (plan, i) => (panels[i] as PlanPanel).surplus - plan.dartCount * plan.dartIntake - (mostTaper[i] as number),
  );
  const more = over.map((o, i) => {
    const other = over[1 - i] as number;
    if (o > 0) return o;
    return other > 0 && Number.isFinite(o) ? -Math.min(other, -o) : 0;
  });
  return [
    { ...plans[0], waistMore: more[0] as number },
    { ...plans[1], waistMore: more[1] as number },
  ];
}
