import type { WaistSchool } from './waist-plan.js';

/** The three rules that hold for every sheet and may be switched off or changed (docs/trade/parameters.md). */
export interface DraftRules {
  readonly hipKept: boolean;
  readonly trueSeams: boolean;
  readonly waistPlan: WaistSchool;
}

/** All three rules on, the surplus placed as the method's makers do: the default. */
export const HOUSE_RULES: DraftRules = { hipKept: true, trueSeams: true, waistPlan: 'method' };
