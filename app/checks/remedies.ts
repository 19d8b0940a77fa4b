import type { Check } from '../../core/check/index.js';

/** A place where a check can be answered or corrected: a station, or a view of one, and what is done there. */
export interface Remedy {
  readonly at: string;
  readonly label: string;
}

/** Where a check that asks for something leads; nothing where it is corrected where one stands. */
export function remedyOf({ id, verdict }: Check): Remedy | undefined {
  if (verdict === 'unknown') return { at: 'measure', label: 'Measure it' };
  if (verdict === 'in') return undefined;
  if (id === 'riseShape') return { at: 'true/curve', label: 'Lay the body’s curve over the rise' };
  if (id === 'fitClass' || id === 'riseCharacter') return { at: 'choose', label: 'Choose ease, fit or method' };
  if (id === 'inseamWalk' || id === 'inseamWalkBelow' || id === 'sideWalk' || id === 'waistRun' || id === 'crotchJoin')
    return { at: 'true/walk', label: 'Walk the seams' };
  return undefined;
}
