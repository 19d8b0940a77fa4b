import { EMPTY_INPUT, type DraftInput } from '../chain/index.js';
import { houseAllowances } from '../piece/index.js';
import type { Unit } from '../units/index.js';
import type { KeptDraft, MeasurementSet, Person } from '../workbook/index.js';

/** A person, one of their sets, and a draft: what one works on at the board. */
export interface Work {
  readonly person: Person;
  readonly draft: KeptDraft;
}

/** The set a draft is made from; a draft always has one. */
export function setOf({ person, draft }: Work): MeasurementSet {
  const found = person.sets.find((s) => s.id === draft.setId) ?? person.sets[0];
  if (!found) throw new Error('A person without a set of measurements');
  return found;
}

/** The input of the chain that a kept draft stands for. */
export function inputOf(work: Work): DraftInput {
  const { draft, person } = work;
  const measured = Object.fromEntries(Object.entries(setOf(work).values).filter(([, mm]) => mm !== undefined));
  return {
    method: draft.method,
    figure: person.figure,
    measured,
    settings: draft.settings,
    choices: draft.choices,
    rules: draft.rules,
    set: draft.set,
  };
}

/** A new person with an empty set of measurements dated `now`. */
export function newPerson(newId: () => string, name: string, unit: Unit, now: Date): Person {
  const date = now.toISOString().slice(0, 10);
  const set: MeasurementSet = { id: newId(), date, taker: '', unit, note: '', values: {} };
  return { id: newId(), name, figure: 'unknown', unit, note: '', sets: [set] };
}

/** A new draft for a person from their newest set, by the default method. */
export function newDraft(newId: () => string, person: Person, name: string, now: Date): KeptDraft {
  const newest = [...person.sets].sort((a, b) => b.date.localeCompare(a.date))[0];
  const { method, settings, choices, rules, set } = EMPTY_INPUT;
  const stamp = now.toISOString();
  return {
    id: newId(),
    name,
    personId: person.id,
    setId: newest?.id ?? '',
    method,
    settings: { ...settings },
    choices: { ...choices },
    rules: { ...rules },
    set: { ...set },
    allowances: { ...houseAllowances(person.unit) },
    created: stamp,
    changed: stamp,
  };
}
