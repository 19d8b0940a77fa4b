import type {
  KeptChart,
  KeptDraft,
  KeptStyle,
  MeasurementSet,
  Person,
  Practice,
  Trace,
  WorkbookContent,
} from '../workbook/index.js';

/** Which side of a conflict is kept. Keeping both is always possible; nothing is lost unless a maker says so. */
export type Side = 'mine' | 'theirs' | 'both';

/** Something that is here and in a file, and differs. */
export interface Conflict {
  readonly id: string;
  readonly kind: 'person' | 'set' | 'draft' | 'chart' | 'style' | 'name';
  /** What it is about: `Cellist`, `Cellist, measured 2026-05-07`. */
  readonly about: string;
  /** What differs, as one reads it. */
  readonly differs: readonly string[];
}

/** How the sides of conflicts were decided, by the conflict's id. What is not there keeps both. */
export type Decisions = ReadonlyMap<string, Side>;

/** A merge to be carried out: what will be put on the shelf, and what has to be asked. */
export interface Merge {
  readonly conflicts: readonly Conflict[];
  readonly fresh: Readonly<Record<'people' | 'sets' | 'drafts' | 'charts' | 'styles', number>>;
}

const same = (a: unknown, b: unknown): boolean => JSON.stringify(a) === JSON.stringify(b);
const plainName = (name: string): string => name.trim().toLocaleLowerCase();

const FACTS = ['name', 'figure', 'unit', 'note', 'build'] as const;

function sortedKeys(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(sortedKeys);
  if (typeof value !== 'object' || value === null) return value;
  return Object.fromEntries(
    Object.entries(value)
      .filter(([, v]) => v !== undefined)
      .sort(([a], [b]) => (a < b ? -1 : 1))
      .map(([k, v]) => [k, sortedKeys(v)]),
  );
}

const differing = (mine: object, theirs: object, keys: readonly string[]): string[] =>
  keys.filter((key) => {
    const [a, b] = [mine, theirs].map((x) => sortedKeys((x as Record<string, unknown>)[key]));
    return !same(a, b);
  });

/** What follows from the rest, and is no difference that a maker made. */
const FOLLOWS: ReadonlySet<string> = new Set(['changed', 'outline']);

const allKeys = (a: object, b: object): string[] =>
  [...new Set([...Object.keys(a), ...Object.keys(b)])].filter((k) => !FOLLOWS.has(k));

/** What is one and the same by its id alone. */
type ById = KeptDraft | KeptChart | KeptStyle;
const BY_ID = [
  ['draft', 'drafts'],
  ['chart', 'charts'],
  ['style', 'styles'],
] as const;

/** Finds the person here that one in a file is: by id, or by an equal name that nobody in the file has by id. */
function partnersIn(mine: WorkbookContent, theirs: WorkbookContent): (person: Person) => Person | undefined {
  const theirIds = new Set(theirs.people.map((p) => p.id));
  const byId = new Map(mine.people.map((p) => [p.id, p]));
  const byName = new Map(
    mine.people.filter((p) => !theirIds.has(p.id) && plainName(p.name) !== '').map((p) => [plainName(p.name), p]),
  );
  return (person) => byId.get(person.id) ?? byName.get(plainName(person.name));
}

/** What a merge of a file into what is here would ask and add. Nothing is changed. */
export function planMerge(mine: WorkbookContent, theirs: WorkbookContent): Merge {
  const conflicts: Conflict[] = [];
  const fresh = { people: 0, sets: 0, drafts: 0, charts: 0, styles: 0 };
  const partnerOf = partnersIn(mine, theirs);
  for (const person of theirs.people) {
    const partner = partnerOf(person);
    if (!partner) {
      fresh.people += 1;
      fresh.sets += person.sets.length;
      continue;
    }
    if (partner.id !== person.id) {
      conflicts.push({
        id: `name ${person.id}`,
        kind: 'name',
        about: person.name,
        differs: [`${partner.sets.length} sets here, ${person.sets.length} in the file`],
      });
      continue;
    }
    const facts = differing(partner, person, FACTS);
    if (facts.length > 0) {
      conflicts.push({ id: `person ${person.id}`, kind: 'person', about: partner.name, differs: facts });
    }
    for (const set of person.sets) {
      const here = partner.sets.find((s) => s.id === set.id);
      if (!here) {
        fresh.sets += 1;
        continue;
      }
      const keys = differing(here, set, allKeys(here, set));
      if (keys.length > 0) {
        const figures = differing(here.values, set.values, allKeys(here.values, set.values));
        conflicts.push({
          id: `set ${person.id} ${set.id}`,
          kind: 'set',
          about: `${partner.name}, measured ${here.date}`,
          differs: figures.length > 0 ? figures : keys,
        });
      }
    }
  }
  for (const [kind, list] of BY_ID) {
    const known = new Map<string, ById>(mine[list].map((record) => [record.id, record]));
    for (const record of theirs[list]) {
      const here = known.get(record.id);
      const keys = here ? differing(here, record, allKeys(here, record)) : [];
      if (!here) fresh[list] += 1;
      else if (keys.length > 0) {
        conflicts.push({ id: `${kind} ${record.id}`, kind, about: here.name, differs: keys });
      }
    }
  }
  return { conflicts, fresh };
}

const factInWords = (person: Person, fact: string): string => {
  const value = person[fact as (typeof FACTS)[number]];
  return typeof value === 'string'
    ? `${fact} ${value}`
    : `${fact} ${Object.entries(value)
        .map(([part, weight]) => `${part} ${weight}`)
        .join(', ')}`;
};

/** The sets, or the traces, of two people as one: none twice, none lost. */
function joined<T extends MeasurementSet | Trace>(mine: readonly T[], theirs: readonly T[], newId: () => string): T[] {
  const added = theirs.flatMap((set): T[] => {
    const here = mine.find((m) => m.id === set.id);
    if (!here) return [set];
    return differing(here, set, allKeys(here, set)).length === 0 ? [] : [{ ...set, id: newId() }];
  });
  return [...mine, ...added];
}

/** Both sides of a person: the facts by decision, every set of both, none lost. */
function mergePerson(mine: Person, theirs: Person, decided: (id: string) => Side, newId: () => string): Person {
  const facts = differing(mine, theirs, FACTS);
  const side = facts.length > 0 ? decided(`person ${theirs.id}`) : 'mine';
  const sets: MeasurementSet[] = [...mine.sets];
  const traces = joined(mine.traces, theirs.traces, newId);
  for (const set of theirs.sets) {
    const at = sets.findIndex((s) => s.id === set.id);
    const here = sets[at];
    if (!here) {
      sets.push(set);
      continue;
    }
    if (differing(here, set, allKeys(here, set)).length === 0) continue;
    const kept = decided(`set ${theirs.id} ${set.id}`);
    if (kept === 'theirs') sets[at] = set;
    else if (kept === 'both') sets.push({ ...set, id: newId(), note: `${set.note} (from the file)`.trim() });
  }
  if (side === 'theirs') return { ...theirs, sets, traces };
  if (side === 'mine') return { ...mine, sets, traces };
  const told = facts.map((fact) => factInWords(theirs, fact)).join('; ');
  return { ...mine, note: `${mine.note} From the file: ${told}.`.trim().slice(0, 2000), sets, traces };
}

function mergeById<T extends ById>(
  kind: (typeof BY_ID)[number][0],
  mine: readonly T[],
  theirs: readonly T[],
  decided: (id: string) => Side,
  newId: () => string,
): T[] {
  const byId = new Map(mine.map((m) => [m.id, m]));
  return theirs.flatMap((item): T[] => {
    const here = byId.get(item.id);
    if (!here) return [item];
    if (differing(here, item, allKeys(here, item)).length === 0) return [];
    const side = decided(`${kind} ${item.id}`);
    if (side === 'mine') return [];
    if (side === 'theirs') return [item];
    return [{ ...item, id: newId(), name: `${item.name} (from the file)` }];
  });
}

/** Practice of both sides as one: of each item, that which was practised last. */
function mergePractice(mine: readonly Practice[], theirs: readonly Practice[]): Practice[] {
  const here = new Map(mine.map((p) => [p.id, p]));
  return theirs.flatMap((there): Practice[] => {
    const known = here.get(there.id);
    if (!known) return [there];
    const items = { ...known.items };
    for (const [id, item] of Object.entries(there.items)) {
      if ((items[id]?.last ?? '') < item.last) items[id] = item;
    }
    return same(sortedKeys(items), sortedKeys(known.items)) ? [] : [{ ...known, items }];
  });
}

/**
 * What has to be put on the shelf to merge a file into what is here: people are one person by id, or by name where a
 * maker says so; every set of both sides is kept. What is not decided keeps both sides.
 */
export function mergeWorkbooks(
  mine: WorkbookContent,
  theirs: WorkbookContent,
  decisions: Decisions,
  newId: () => string,
): WorkbookContent {
  const decided = (id: string): Side => decisions.get(id) ?? 'both';
  const partnerOf = partnersIn(mine, theirs);
  const people: Person[] = [];
  const movedTo = new Map<string, string>();
  for (const person of theirs.people) {
    const partner = partnerOf(person);
    if (!partner) people.push(person);
    else if (partner.id === person.id) {
      const merged = mergePerson(partner, person, decided, newId);
      if (!same(sortedKeys(merged), sortedKeys(partner))) people.push(merged);
    } else if (decided(`name ${person.id}`) === 'both') people.push(person);
    else {
      // One person under two ids: the sets of both stand under the id that is here.
      movedTo.set(person.id, partner.id);
      const base = decided(`name ${person.id}`) === 'theirs' ? person : partner;
      people.push({
        ...base,
        id: partner.id,
        sets: joined(partner.sets, person.sets, newId),
        traces: joined(partner.traces, person.traces, newId),
      });
    }
  }
  const drafts = mergeById('draft', mine.drafts, theirs.drafts, decided, newId).map((draft) => {
    const personId = movedTo.get(draft.personId);
    return personId === undefined ? draft : { ...draft, personId };
  });
  return {
    people,
    drafts,
    charts: mergeById('chart', mine.charts, theirs.charts, decided, newId),
    practice: mergePractice(mine.practice, theirs.practice),
    styles: mergeById('style', mine.styles, theirs.styles, decided, newId),
    // A photo never changes: what is here already is the same.
    ...(theirs.photos && { photos: theirs.photos }),
  };
}
