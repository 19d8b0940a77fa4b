import type { WaistSchool } from './waist-plan.js';

/** The three rules that hold for every sheet and may be switched off or changed (handbook 2, section 5). */
export interface DraftRules {
  readonly hipKept: boolean;
  readonly trueSeams: boolean;
  readonly waistPlan: WaistSchool;
}

/** All three rules on, the surplus decided by darts: the default. */
export const HOUSE_RULES: DraftRules = { hipKept: true, trueSeams: true, waistPlan: 'darts' };
