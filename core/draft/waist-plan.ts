/** The schools of parting with the surplus of hip over waist; `off` leaves the sheet's darts as they are. */
export const WAIST_SCHOOLS = ['darts', 'shared', 'centre', 'off'] as const;

/** The name of a school. */
export type WaistSchool = (typeof WAIST_SCHOOLS)[number];

/** How the surplus of hip over waist leaves the panel. Lengths in mm. */
export interface WaistPlan {
  readonly dartCount: number;
  readonly dartIntake: number;
  /** Taken further in at the centre. */
  readonly centreIn: number;
  /** What the plan changed, in words; empty where the sheet's dart stands. */
  readonly told: readonly ('narrowed' | 'dropped' | 'widened' | 'second dart' | 'centre in' | 'side steep')[];
}

/** The house's limits of the plan, in mm. */
export interface WaistLimits {
  /** The most that may taper away at the side, waist to hip. */
  readonly mostTaper: number;
  readonly narrowestDart: number;
  readonly widestDart: number;
  readonly mostCentreIn: number;
  /** How many darts a panel may have; none for a child or a pull-on. */
  readonly mostDarts: number;
  /** How far in the centre may go altogether where it takes a share of the surplus: a seat line leans no further. */
  readonly mostLean: number;
}

/**
 * The waist plan (handbook 2, section 5). `undarted` is the taper, in mm, that would remain at the side without any
 * dart. By darts: the sheet's dart is taken where it leaves a taper of nothing to the most allowed. With too little
 * surplus it narrows, and when too narrow goes; with too much it widens, then a second dart comes, then the centre
 * takes some. Shared: half at the side, half at the centre. Centre: all at the centre, the side straight.
 */
export function planWaist(
  undarted: number,
  count: number,
  intake: number,
  limits: WaistLimits,
  school: WaistSchool = 'darts',
): WaistPlan {
  if (school === 'off') return { dartCount: count, dartIntake: intake, centreIn: 0, told: [] };
  if (school !== 'darts') return withoutDarts(undarted, school === 'shared' ? 0.5 : 1, limits);
  const most = Math.min(count, limits.mostDarts);
  const asked: WaistPlan = { dartCount: most, dartIntake: most === 0 ? 0 : intake, centreIn: 0, told: [] };
  const taper = undarted - most * intake;
  if (taper < 0 && most > 0) return { ...asked, ...fewer(undarted, most, intake, limits) };
  if (taper <= limits.mostTaper || limits.mostDarts === 0) return asked;

  const toLose = undarted - limits.mostTaper;
  const first = Math.max(most, 1);
  if (most === 0 && toLose < limits.narrowestDart) return asked;
  if (toLose <= first * Math.max(limits.widestDart, intake)) {
    return { ...asked, dartCount: first, dartIntake: toLose / first, told: ['widened'] };
  }
  const more = Math.min(Math.max(first, 2), limits.mostDarts);
  const each = Math.min(limits.widestDart, toLose / more);
  const rest = toLose - more * each;
  const centreIn = Math.min(rest, limits.mostCentreIn);
  const told: WaistPlan['told'][number][] = [more > first ? 'second dart' : 'widened'];
  if (centreIn > 0) told.push('centre in');
  if (rest > centreIn) told.push('side steep');
  return { dartCount: more, dartIntake: each, centreIn, told };
}

function fewer(undarted: number, count: number, intake: number, limits: WaistLimits): Partial<WaistPlan> {
  for (let n = count; n > 0; n--) {
    const each = undarted / n;
    if (each >= limits.narrowestDart) return { dartCount: n, dartIntake: Math.min(each, intake), told: ['narrowed'] };
  }
  return { dartCount: 0, dartIntake: 0, told: ['dropped'] };
}

function withoutDarts(undarted: number, share: number, limits: WaistLimits): WaistPlan {
  const wanted = Math.max(0, undarted * share);
  const centreIn = Math.min(wanted, Math.max(0, limits.mostLean));
  const told: WaistPlan['told'][number][] = centreIn > 0 ? ['centre in'] : [];
  if (wanted - centreIn > 0.5) told.push('side steep');
  return { dartCount: 0, dartIntake: 0, centreIn, told };
}
