import { findDoubts, type Doubt, type SetContext } from '../measure/index.js';
import type { Unit } from '../units/index.js';
import type { MeasurementSet, Person } from '../workbook/index.js';
import { setBefore, valuesOf } from './person.js';

const doubts = new WeakMap<
  MeasurementSet,
  { readonly before: unknown; readonly unit: Unit; readonly found: Doubt[] }
>();

/** What looks wrong in a set of a person, also beside the set before it. Remembered for as long as nothing changes. */
export function doubtsOf(person: Person, set: MeasurementSet, unit: Unit = person.unit): readonly Doubt[] {
  const before = setBefore(person, set);
  const known = doubts.get(set);
  if (known && known.before === before && known.unit === unit) return known.found;
  const context: SetContext = {
    sits: set.waistSits,
    inseamTo: set.inseamTo,
    byOneself: set.byOneself ?? false,
    ...(before ? { before: { date: before.date, values: valuesOf(before) } } : {}),
  };
  const found = findDoubts(valuesOf(set), unit, context);
  doubts.set(set, { before, unit, found });
  return found;
}
