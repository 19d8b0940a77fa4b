import type { Figure, Measured } from '../measure/index.js';
import type { Unit } from '../units/index.js';
import type { MeasurementSet, Person } from '../workbook/index.js';
import { newPerson, newSet, valuesOf } from './person.js';

/** A person who arrives from a table, with the sets that stand under the name. Figures in mm. */
export interface Arrival {
  readonly name: string;
  readonly figure: Figure | undefined;
  readonly sets: readonly {
    readonly date: string | undefined;
    readonly taker: string;
    readonly note: string;
    readonly unit: Unit;
    readonly values: Measured;
  }[];
}

/** What enlisting does: the people to be kept, and how many are new, have further sets, or brought nothing new. */
export interface Enlisted {
  readonly people: readonly Person[];
  readonly added: number;
  readonly grown: number;
  readonly known: number;
}

const plainName = (name: string): string => name.trim().toLocaleLowerCase();

const sameFigures = (a: Measured, b: Measured): boolean => {
  const ids = new Set([...Object.keys(a), ...Object.keys(b)]) as Set<keyof Measured>;
  return [...ids].every((id) => Math.abs((a[id] ?? Infinity) - (b[id] ?? -Infinity)) < 0.01);
};

/**
 * People from a table among those who are here: an equal name is one person, whose sets are added to; a set that is
 * there already, of the same day with the same figures, is not added twice.
 */
export function enlist(
  here: readonly Person[],
  arrivals: readonly Arrival[],
  newId: () => string,
  now: Date,
): Enlisted {
  const byName = new Map(here.map((p) => [plainName(p.name), p]));
  const people: Person[] = [];
  let [added, grown, known] = [0, 0, 0];
  for (const arrival of arrivals) {
    const sets = arrival.sets.map((s): MeasurementSet => {
      const fresh = newSet(newId, s.unit, now, 'body');
      return { ...fresh, date: s.date ?? fresh.date, taker: s.taker, note: s.note, values: { ...s.values } };
    });
    const person = byName.get(plainName(arrival.name));
    if (!person) {
      const unit = sets[0]?.unit ?? 'cm';
      people.push({ ...newPerson(newId, arrival.name, unit, now), figure: arrival.figure ?? 'unknown', sets });
      added += 1;
      continue;
    }
    const fresh = sets.filter(
      (set) => !person.sets.some((s) => s.date === set.date && sameFigures(valuesOf(s), set.values)),
    );
    if (fresh.length === 0) {
      known += 1;
      continue;
    }
    // An empty set that nobody has measured into yet gives way to the first that arrives.
    const kept = person.sets.filter((s) => Object.keys(s.values).length > 0 || s.source !== 'body');
    const emptied = person.sets.length - kept.length;
    const [first, ...others] = fresh;
    const blank = person.sets.find((s) => Object.keys(s.values).length === 0 && s.source === 'body');
    const joined =
      emptied === 1 && blank && first ? [...kept, { ...first, id: blank.id }, ...others] : [...person.sets, ...fresh];
    people.push({ ...person, sets: joined });
    grown += 1;
  }
  return { people, added, grown, known };
}
