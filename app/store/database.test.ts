import { DEMO_WORKBOOK } from '../../core/demo/index.js';
import 'fake-indexeddb/auto';
import { IDBFactory } from 'fake-indexeddb';
import { openDB } from 'idb';
import { readFileSync } from 'node:fs';
import { describe, expect, it, beforeEach, vi } from 'vitest';

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
    const log = await import('./change-log.js');
    const [draft] = DEMO_WORKBOOK.drafts.filter((d) => d.id === 'bargee-shorts');
    const gone = { kind: 'draft', id: 'bargee-shorts', patches: [{ at: [], was: draft, is: undefined }] } as const;
    await log.writeBatch('demo', { changes: [gone], put: [log.newAct('shelf', 'Deleted', [gone])], drop: [] });
    expect(await db.readActs('demo', 'shelf')).toHaveLength(1);
    const again = await store();
    expect((await again.readShelf('demo')).drafts).toHaveLength(DEMO_WORKBOOK.drafts.length - 1);
    await again.resetDemo();
    expect((await again.readShelf('demo')).drafts).toHaveLength(DEMO_WORKBOOK.drafts.length);
    expect(await again.readActs('demo', 'shelf')).toEqual([]);
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
});
