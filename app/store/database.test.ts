import { DEMO_WORKBOOK } from '../../core/demo/index.js';
import 'fake-indexeddb/auto';
import { IDBFactory } from 'fake-indexeddb';
import { openDB } from 'idb';
import { readFileSync } from 'node:fs';
import { describe, expect, it, beforeEach, vi } from 'vitest';
import { newDraft, newPerson } from '../../core/kept/index.js';

const now = new Date('2026-11-23T10:00:00Z');
let n = 0;
const id = (): string => `id-${++n}`;

/** The store afresh, as a window that is opened anew meets it. */
async function store() {
  vi.resetModules();
  return import('./database.js');
}

beforeEach(() => {
  globalThis.indexedDB = new IDBFactory();
});

/** A draft as it was kept while allowances were five figures. */
const flat = (draft: (typeof DEMO_WORKBOOK.drafts)[number]): object => ({
  ...draft,
  allowances: draft.allowances.profile,
});

describe('what is kept', () => {
  it('fills the demo room once and keeps it apart from one’s own', async () => {
    const db = await store();
    expect((await db.readShelf('demo')).drafts).toHaveLength(DEMO_WORKBOOK.drafts.length);
    expect((await db.readShelf('own')).drafts).toHaveLength(0);
    await db.changeShelf('demo', { remove: { drafts: ['bargee-shorts'] } });
    const again = await store();
    expect((await again.readShelf('demo')).drafts).toHaveLength(DEMO_WORKBOOK.drafts.length - 1);
    await again.resetDemo();
    expect((await again.readShelf('demo')).drafts).toHaveLength(DEMO_WORKBOOK.drafts.length);
  });

  it('saves work with its person, and refuses to overwrite what another window wrote', async () => {
    const [here, there] = [await store(), await store()];
    const person = newPerson(id, 'Somebody', 'cm', now);
    const draft = newDraft(id, person, 'Trousers', now);
    const first = await here.saveWork('own', { person, draft }, { person: 0, draft: 0 });
    expect(first.ok).toBe(true);
    if (!first.ok) return;
    const other = await there.saveWork('own', { person, draft: { ...draft, name: 'Other' } }, first.revisions);
    expect(other).toMatchObject({ ok: true, revisions: { person: first.revisions.person } });
    expect(await here.saveWork('own', { person, draft: { ...draft, name: 'Mine' } }, first.revisions)).toEqual({
      ok: false,
    });
    expect((await here.readShelf('own')).drafts[0]?.value.name).toBe('Other');
    expect(await here.saveWork('own', { person, draft: { ...draft, name: 'Mine' } }, undefined)).toMatchObject({
      ok: true,
    });
    expect((await there.readShelf('own')).drafts[0]?.value.name).toBe('Mine');
  });

  it('marks what is put on the shelf as later than what was there, even where it was deleted between', async () => {
    const db = await store();
    // All of it within one millisecond.
    const clock = vi.spyOn(Date, 'now').mockReturnValue(now.getTime());
    const person = newPerson(id, 'Somebody', 'cm', now);
    const draft = newDraft(id, person, 'Trousers', now);
    const saved = await db.saveWork('own', { person, draft }, { person: 0, draft: 0 });
    if (!saved.ok) throw new Error('must save');
    await db.changeShelf('own', { put: { drafts: [{ ...draft, name: 'Renamed on the shelf' }] } });
    expect(await db.saveWork('own', { person, draft }, saved.revisions)).toEqual({ ok: false });
    await db.changeShelf('own', { remove: { drafts: [draft.id] } });
    await db.changeShelf('own', { put: { drafts: [draft] } });
    expect((await db.readShelf('own')).drafts[0]?.revision).toBeGreaterThan(saved.revisions.draft);
    clock.mockRestore();
  });

  it('saves a person who is only being measured, and no draft', async () => {
    const db = await store();
    const person = newPerson(id, 'Somebody', 'cm', now);
    const saved = await db.saveWork(
      'own',
      { person, draft: newDraft(id, person, 'Trousers', now) },
      { person: 0, draft: 0 },
      false,
    );
    expect(saved).toMatchObject({ ok: true, revisions: { draft: 0 } });
    const shelf = await db.readShelf('own');
    expect([shelf.people.length, shelf.drafts.length]).toEqual([1, 0]);
  });

  it('brings a room of the first version along, each record with its revision', async () => {
    const book = JSON.parse(readFileSync('core/older/version-1.upstride.json', 'utf8')) as {
      people: { id: string }[];
      drafts: { id: string }[];
    };
    const old = await openDB('upstride-own', 1, {
      upgrade(db) {
        db.createObjectStore('people', { keyPath: 'id' });
        db.createObjectStore('drafts', { keyPath: 'id' });
        db.createObjectStore('meta');
      },
    });
    for (const kind of ['people', 'drafts'] as const) {
      for (const value of book[kind]) await old.put(kind, { id: value.id, revision: 7, value });
    }
    old.close();
    const shelf = await (await store()).readShelf('own');
    expect(shelf.people.map((p) => [p.revision, p.value.sets.length, p.value.build.seat])).toEqual([
      [7, 1, 'average'],
      [7, 2, 'average'],
    ]);
    expect(shelf.drafts.map((d) => d.value.fit.stretch)).toEqual([0, 0]);
    expect(shelf.charts).toEqual([]);
  });

  it('brings a room of the second version along, its drafts drawn as they were', async () => {
    const old = await openDB('upstride-own', 2, {
      upgrade(db) {
        for (const name of ['people', 'drafts', 'charts']) db.createObjectStore(name, { keyPath: 'id' });
        db.createObjectStore('meta');
      },
    });
    const [person] = DEMO_WORKBOOK.people;
    const draft = DEMO_WORKBOOK.drafts.find((d) => d.personId === person?.id);
    if (!person || !draft) throw new Error('The demo is empty');
    const built = { ...person, build: { seat: 'full', stomach: 'average', thigh: 'average' } };
    await old.put('people', { id: person.id, revision: 4, value: built });
    const rules = { ...draft.rules, waistPlan: false };
    await old.put('drafts', { id: draft.id, revision: 5, value: { ...flat(draft), rules, choices: {} } });
    old.close();
    const shelf = await (await store()).readShelf('own');
    expect(shelf.drafts[0]).toMatchObject({
      revision: 5,
      value: { rules: { waistPlan: 'off', hipKept: true }, choices: { seat: 'average' } },
    });
    expect(shelf.people[0]).toMatchObject({ revision: 4, value: { build: { seat: 'full' } } });
  });

  it('brings a room of the third version along, with no alterations and no traces yet', async () => {
    const old = await openDB('upstride-own', 3, {
      upgrade(db) {
        for (const name of ['people', 'drafts', 'charts']) db.createObjectStore(name, { keyPath: 'id' });
        db.createObjectStore('meta');
      },
    });
    const draft = DEMO_WORKBOOK.drafts.find((d) => d.id === 'cellist-dress');
    const person = DEMO_WORKBOOK.people.find((p) => p.id === draft?.personId);
    if (!person || !draft) throw new Error('The demo is empty');
    const without = (record: object, name: string): object =>
      Object.fromEntries(Object.entries(record).filter(([key]) => key !== name));
    await old.put('people', { id: person.id, revision: 2, value: without(person, 'traces') });
    await old.put('drafts', { id: draft.id, revision: 3, value: without(flat(draft), 'alterations') });
    old.close();
    const shelf = await (await store()).readShelf('own');
    expect(shelf.people[0]).toMatchObject({ revision: 2, value: { ...person, traces: [] } });
    expect(shelf.drafts[0]).toMatchObject({ revision: 3, value: { ...draft, alterations: [] } });
  });

  it('brings a room of the last version along: the allowances stay, as a profile', async () => {
    const old = await openDB('upstride-own', 5, {
      upgrade(db) {
        for (const name of ['people', 'drafts', 'charts']) db.createObjectStore(name, { keyPath: 'id' });
        db.createObjectStore('meta');
      },
    });
    const [draft] = DEMO_WORKBOOK.drafts;
    if (!draft) throw new Error('The demo is empty');
    await old.put('drafts', { id: draft.id, revision: 9, value: flat(draft) });
    old.close();
    const shelf = await (await store()).readShelf('own');
    expect(shelf.drafts.map((d) => [d.revision, d.value])).toEqual([[9, draft]]);
  });

  it('changes people, drafts and charts together or not at all', async () => {
    const db = await store();
    const chart = { id: 'house', name: 'House', note: '', figure: 'woman' as const, sizes: [] };
    await db.changeShelf('own', { put: { ...DEMO_WORKBOOK, charts: [chart] } });
    const before = await db.readShelf('own');
    expect([before.people.length, before.charts.map((c) => c.value)]).toEqual([8, [chart]]);
    // A record that cannot be stored stops the whole change: nothing of it is there afterwards.
    const bad = { ...chart, id: 'bad', name: () => 'not data' } as unknown as typeof chart;
    await expect(
      db.changeShelf('own', { remove: { people: ['cook'] }, put: { charts: [{ ...chart, id: 'good' }, bad] } }),
    ).rejects.toThrow();
    expect(await db.readShelf('own')).toEqual(before);
    await db.changeShelf('own', { remove: { people: ['cook'], charts: ['house'] } });
    const after = await db.readShelf('own');
    expect([after.people.length, after.charts.length]).toEqual([7, 0]);
  });

  it('puts and removes whole shelves', async () => {
    const db = await store();
    await db.changeShelf('own', { put: DEMO_WORKBOOK });
    expect((await db.readShelf('own')).people).toHaveLength(8);
    await db.clearShelf('own');
    expect((await db.readShelf('own')).people).toHaveLength(0);
  });
});
