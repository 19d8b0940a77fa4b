import { dayOf } from './day.js';
import { measuredOfPair, type Measured, type MeasurementId } from '../measure/index.js';
import type { Unit } from '../units/index.js';
import type { MeasurementSet, Person } from '../workbook/index.js';

const NOT_SAID: Person['build'] = { seat: 'average', stomach: 'average', thigh: 'average' };

/** An empty set of measurements dated `now`. */
export function newSet(newId: () => string, unit: Unit, now: Date, source: MeasurementSet['source']): MeasurementSet {
  return {
    id: newId(),
    date: dayOf(now),
    taker: '',
    unit,
    note: '',
    source,
    waistSits: 'natural',
    waistBelow: 0,
    inseamTo: 'floor',
    values: {},
    adopted: {},
    heights: [],
    corrected: [],
  };
}

/** A new person with an empty set of measurements dated `now`. */
export const newPerson = (newId: () => string, name: string, unit: Unit, now: Date): Person => ({
  id: newId(),
  name,
  figure: 'unknown',
  unit,
  note: '',
  build: { ...NOT_SAID },
  sets: [newSet(newId, unit, now, 'body')],
  traces: [],
});

const derived = new WeakMap<MeasurementSet, Measured>();

/** The figures of a set in mm: as measured, or for a finished pair what it gives, with what was measured beside it. */
export function valuesOf(set: MeasurementSet): Measured {
  let found = derived.get(set);
  if (!found) {
    const entered = Object.fromEntries(Object.entries(set.values).filter(([, mm]) => mm !== undefined)) as Measured;
    found = set.source === 'pair' && set.pair ? { ...entered, ...measuredOfPair(set.pair) } : entered;
    derived.set(set, found);
  }
  return found;
}

/** A person's sets, newest first; of one day the one added last comes first. */
export const newestFirst = (person: Person): MeasurementSet[] =>
  person.sets
    .map((set, i) => [set, i] as const)
    .sort(([a, i], [b, k]) => b.date.localeCompare(a.date) || k - i)
    .map(([set]) => set);

/** The newest set of a person that is newer than `set` and comes from the same source, if there is one. */
export function newerSet(person: Person, set: MeasurementSet): MeasurementSet | undefined {
  const newest = newestFirst(person).find((s) => s.source === set.source);
  return newest && newest.id !== set.id && newest.date >= set.date ? newest : undefined;
}

/** The set of the same source that was taken before `set`. */
export function setBefore(person: Person, set: MeasurementSet): MeasurementSet | undefined {
  const all = newestFirst(person).filter((s) => s.source === set.source);
  return all[all.findIndex((s) => s.id === set.id) + 1];
}

/** Corrections of one figure this close together are one correction, in ms. */
const ONE_CORRECTION = 10 * 60 * 1000;

/** A set with a figure entered, in mm, or taken out. A figure that was there before is kept in the set's history. */
export function withFigure(set: MeasurementSet, id: MeasurementId, mm: number | undefined, now: Date): MeasurementSet {
  const was = set.values[id];
  if (was === mm) return set;
  const values = { ...set.values, [id]: mm };
  if (mm === undefined) delete values[id];
  if (was === undefined) return { ...set, values };
  const last = set.corrected.findLast((c) => c.id === id);
  const same = last && now.getTime() - Date.parse(last.at) < ONE_CORRECTION;
  const corrected = same ? set.corrected : [...set.corrected, { at: now.toISOString(), id, was }];
  return { ...set, values, corrected };
}

/** A set with a rule adopted for a figure that is missing, or with none. */
export function withRule(set: MeasurementSet, id: MeasurementId, ruleId: string | undefined): MeasurementSet {
  const adopted = { ...set.adopted, [id]: ruleId };
  if (ruleId === undefined) delete adopted[id];
  return { ...set, adopted };
}

/** A person with one of their sets in the place of the set of the same id. */
export const withSet = (person: Person, set: MeasurementSet): Person => ({
  ...person,
  sets: person.sets.map((s) => (s.id === set.id ? set : s)),
});

/** The set that counts for a person now: the newest that was taken from the body, else the newest. */
export function currentSet(person: Person): MeasurementSet {
  const sets = newestFirst(person);
  const found = sets.find((s) => s.source === 'body' && Object.keys(s.values).length > 0) ?? sets[0];
  if (!found) throw new Error('A person without a set of measurements');
  return found;
}
