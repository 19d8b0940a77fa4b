import { describe, expect, it } from 'vitest';
import { newDraft, newPerson } from '../../core/kept/index.js';
import { savedSaid, shelfEntries, shelfLines } from './shelf-rows.js';

let n = 0;
const newId = (): string => `id-${(n += 1)}`;
const day = (d: number): Date => new Date(Date.UTC(2026, 2, d, 12));

const anna = newPerson(newId, 'Usher', 'cm', day(1));
const bert = newPerson(newId, 'Baker', 'cm', day(1));
const idle = newPerson(newId, 'Prompter', 'cm', day(1));
const drafts = [
  newDraft(newId, anna, 'Work trousers', day(2)),
  { ...newDraft(newId, anna, 'Shorts', day(9)), note: 'Wants a deep pocket' },
  newDraft(newId, bert, 'Aprons and trousers', day(5)),
];
const { entries, idle: without } = shelfEntries({
  people: [anna, bert, idle].map((value) => ({ id: value.id, value })),
  drafts: drafts.map((value) => ({ value })),
});
const names = (...how: Parameters<typeof shelfLines> extends [unknown, ...infer R] ? R : never): string[] =>
  shelfLines(entries, ...how).map((e) => e.draft.name);

describe('the shelf', () => {
  it('stands by what was changed last, by name, or by person', () => {
    expect(names('', 'changed')).toEqual(['Shorts', 'Aprons and trousers', 'Work trousers']);
    expect(names('', 'name')).toEqual(['Aprons and trousers', 'Shorts', 'Work trousers']);
    expect(names('', 'person')).toEqual(['Aprons and trousers', 'Shorts', 'Work trousers']);
  });

  it('says whose the rows are once for each person, and only by person', () => {
    expect(shelfLines(entries, '', 'person').map((l) => l.heads)).toEqual([true, true, false]);
    expect(shelfLines(entries, '', 'changed').some((l) => l.heads)).toBe(false);
  });

  it('is searched by draft, person and note', () => {
    expect(names('usher short', 'changed')).toEqual(['Shorts']);
    expect(names('deep POCKET', 'changed')).toEqual(['Shorts']);
    expect(names('baker shorts', 'changed')).toEqual([]);
  });

  it('names the people without a draft', () => {
    expect(without.map((p) => p.name)).toEqual(['Prompter']);
  });

  it('reminds after a fortnight of changes that stand in no file', () => {
    expect(savedSaid(undefined, entries, day(10))).toEqual({ words: 'Not saved to a file yet.', due: false });
    expect(savedSaid(undefined, entries, day(20)).due).toBe(true);
    const later = savedSaid(day(6).toISOString(), entries, day(22));
    expect(later.words).toContain('1 changed since');
    expect(later.due).toBe(false);
    expect(savedSaid(day(10).toISOString(), entries, day(31))).toMatchObject({ due: false });
    expect(savedSaid(day(6).toISOString(), entries, day(25)).due).toBe(true);
  });
});
