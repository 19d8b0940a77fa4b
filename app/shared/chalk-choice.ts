import { CHALK_HOUSE, type ChalkChoice } from '../../core/chalk/index.js';
import type { Unit } from '../../core/units/index.js';
import type { Preferences } from '../store/preferences.js';

/** What a maker chooses of chalk sheets, by the tape of their unit; what was never chosen is as the house has it. */
export const chalkChoiceOf = (
  { line, back, points = CHALK_HOUSE.points, levels = CHALK_HOUSE.levels, in: inches, cm }: Preferences['chalk'],
  unit: Unit,
): ChalkChoice => ({ line, back, points, levels, tape: unit === 'in' ? inches : cm });
