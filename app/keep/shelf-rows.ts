import { dayOf, type KeptDraft, type Person, type Work } from '../../core/kept/index.js';
import type { Preferences } from '../store/preferences.js';

/** A draft on the shelf with its person. */
export interface ShelfEntry {
  readonly draft: KeptDraft;
  readonly person: Person;
  readonly work: Work;
  /** What is searched: names and notes in small letters. */
  readonly words: string;
}

/** A row of the shelf; the first of a person says whose the rows are, where the shelf stands by person. */
export interface ShelfLine extends ShelfEntry {
  readonly heads: boolean;
}

interface Kept {
  readonly people: readonly { readonly id: string; readonly value: Person }[];
  readonly drafts: readonly { readonly value: KeptDraft }[];
}

/** Every draft with its person, and the people who have none. */
export function shelfEntries({ people, drafts }: Kept): { readonly entries: ShelfEntry[]; readonly idle: Person[] } {
  const known = new Map(people.map((p) => [p.id, p.value]));
  const entries = drafts.flatMap(({ value: draft }): ShelfEntry[] => {
    const person = known.get(draft.personId);
    const words = `${draft.name} ${person?.name ?? ''} ${draft.note ?? ''}`.toLocaleLowerCase();
    return person ? [{ draft, person, work: { draft, person }, words }] : [];
  });
  const drafted = new Set(entries.map((e) => e.person.id));
  return { entries, idle: people.map((p) => p.value).filter((p) => !drafted.has(p.id)) };
}

/** Whether every word that is sought stands in a text; the text in small letters. */
export const goesBy = (sought: string, text: string): boolean =>
  sought
    .toLocaleLowerCase()
    .split(/\s+/)
    .every((word) => text.includes(word));

const latest = (a: ShelfEntry, b: ShelfEntry): number => b.draft.changed.localeCompare(a.draft.changed);
const BY: Readonly<Record<Preferences['shelfOrder'], (a: ShelfEntry, b: ShelfEntry) => number>> = {
  changed: latest,
  name: (a, b) => a.draft.name.localeCompare(b.draft.name) || latest(a, b),
  person: (a, b) =>
    a.person.name.localeCompare(b.person.name) || a.person.id.localeCompare(b.person.id) || latest(a, b),
};

/** The rows of the shelf: those that go by what is sought, in their order. */
export const shelfLines = (
  entries: readonly ShelfEntry[],
  sought: string,
  order: Preferences['shelfOrder'],
): ShelfLine[] =>
  entries
    .filter((e) => goesBy(sought, e.words))
    .sort(BY[order])
    .map((e, i, all) => ({ ...e, heads: order === 'person' && all[i - 1]?.person.id !== e.person.id }));

/** After so many days of changes that stand in no file the shelf reminds. */
const FORTNIGHT = 14 * 24 * 3600 * 1000;

/** When the room was last saved to a file, in words, and whether it is time to save it again. */
export function savedSaid(
  savedAt: string | undefined,
  entries: readonly ShelfEntry[],
  now: Date,
): { readonly words: string; readonly due: boolean } {
  const changed = entries.filter((e) => savedAt === undefined || e.draft.changed > savedAt).map((e) => e.draft.changed);
  const first = changed.sort()[0];
  const due = first !== undefined && now.getTime() - new Date(first).getTime() > FORTNIGHT;
  const since = changed.length === 0 ? 'nothing changed since' : `${changed.length} changed since`;
  return {
    words: savedAt === undefined ? 'Not saved to a file yet.' : `Last saved to a file ${dayOf(savedAt)}, ${since}.`,
    due,
  };
}
