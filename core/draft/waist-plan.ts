/** How the surplus of hip over waist leaves the panel. Lengths in mm. */
export interface WaistPlan {
  readonly dartCount: number;
  readonly dartIntake: number;
  /** Taken further in at the centre. */
  readonly centreIn: number;
  /** What the plan changed, in words; empty where the sheet's dart stands. */
  readonly told: readonly ('narrowed' | 'dropped' | 'widened' | 'second dart' | 'centre in' | 'side steep')[];
}

/** The most that may taper away at the side, waist to hip. */
export const MOST_TAPER = 35;
const WIDEST_DART = 30;
const NARROWEST_DART = 6;
const MOST_CENTRE_IN = 10;

/**
 * The waist plan (handbook 2, section 5): the sheet's dart is taken where it leaves a taper of 0 to 3.5 cm at the
 * side. With too little surplus it narrows, and under 6 mm goes; with too much it widens to 3 cm, then a second dart
 * comes, then the centre takes up to 1 cm. `undarted` is the taper, in mm, that would remain without any dart.
 */
export function planWaist(undarted: number, count: number, intake: number): WaistPlan {
  const asked: WaistPlan = { dartCount: count, dartIntake: intake, centreIn: 0, told: [] };
  const taper = undarted - count * intake;
  if (taper < 0 && count > 0) {
    for (let n = count; n > 0; n--) {
      const each = undarted / n;
      if (each >= NARROWEST_DART) {
        return { ...asked, dartCount: n, dartIntake: Math.min(each, intake), told: ['narrowed'] };
      }
    }
    return { ...asked, dartCount: 0, dartIntake: 0, told: ['dropped'] };
  }
  if (taper <= MOST_TAPER) return asked;

  const toLose = undarted - MOST_TAPER;
  const first = Math.max(count, 1);
  if (toLose <= first * Math.max(WIDEST_DART, intake)) {
    return { ...asked, dartCount: first, dartIntake: toLose / first, told: ['widened'] };
  }
  const more = Math.max(first, 2);
  const each = Math.min(WIDEST_DART, toLose / more);
  const rest = toLose - more * each;
  const centreIn = Math.min(rest, MOST_CENTRE_IN);
  const told: WaistPlan['told'][number][] = [more > first ? 'second dart' : 'widened'];
  if (centreIn > 0) told.push('centre in');
  if (rest > centreIn) told.push('side steep');
  return { dartCount: more, dartIntake: each, centreIn, told };
}
