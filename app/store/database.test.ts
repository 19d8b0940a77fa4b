import { DEMO_WORKBOOK } from '../../core/demo/index.js';
import { changeBack, changeOf } from '../../core/kept/index.js';
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

describe('photos', () => {
  it('are kept beside the drafts, go into a workbook and back, and are forgotten with their person', async () => {
    await store();
    const { putPhotos, putBookPhotos, roomPhotos } = await import('./photo-store.js');
    const { forgetPerson } = await import('./forget-person.js');
    const [draft, other] = ['rigger-work', 'cellist-dress'];
    const bytes = Uint8Array.from({ length: 70_000 }, (_, i) => (i * 7) % 256);
    await putPhotos('demo', [
      { id: 'p1', draft, jpeg: bytes },
      { id: 'p2', draft: other, jpeg: Uint8Array.of(255, 216, 255) },
    ]);
    const [first, second] = await roomPhotos('demo');
    expect(Buffer.from(first?.jpeg ?? '', 'base64')).toEqual(Buffer.from(bytes));
    expect(second).toEqual({ id: 'p2', draft: other, jpeg: '/9j/' });
    await putBookPhotos('own', { photos: await roomPhotos('demo') });
    expect(await roomPhotos('own')).toEqual([first, second]);
    const db = await import('./database.js');
    await db.resetDemo();
    expect(await roomPhotos('demo')).toEqual([]);
    await putBookPhotos('demo', { photos: await roomPhotos('own') });
    await forgetPerson('demo', 'stage-rigger');
    expect(await roomPhotos('demo')).toEqual([second]);
  });
});

describe('photos that nothing names any more', () => {
  const HOUR = 60 * 60 * 1000;

  it('go a day after the last draft and the last act that named them, not before', async () => {
    const db = await store();
    await db.readShelf('demo');
    const { putPhotos, roomPhotos } = await import('./photo-store.js');
    const { sweepPhotos } = await import('./sweep-photos.js');
    const log = await import('./change-log.js');
    const [draft] = DEMO_WORKBOOK.drafts.filter((d) => d.id === 'rigger-work');
    const fitting = draft?.fittings?.[0];
    if (!draft?.fittings || !fitting) throw new Error('not in the demo');
    const jpeg = Uint8Array.of(255, 216, 255);
    await putPhotos('demo', [
      { id: 'named', draft: draft.id, jpeg },
      { id: 'loose', draft: draft.id, jpeg },
    ]);
    const withPhoto = { ...draft, fittings: [{ ...fitting, photos: ['named'] }, ...draft.fittings.slice(1)] };
    const naming = changeOf({ kind: 'draft', id: draft.id }, draft, withPhoto);
    if (!naming) throw new Error('nothing is changed');
    await log.writeBatch('demo', { changes: [naming], put: [log.newAct(draft.id, '', [naming])], drop: [] });
    const left = async (): Promise<string[]> => (await roomPhotos('demo')).map(({ id }) => id).sort();

    expect(await sweepPhotos('demo', 0)).toBe(0);
    expect(await sweepPhotos('demo', 23 * HOUR)).toBe(0);
    expect(await left()).toEqual(['loose', 'named']);
    expect(await sweepPhotos('demo', 25 * HOUR)).toBe(1);
    expect(await left()).toEqual(['named']);

    // Taken out of the fitting: the act still names it, and it can be undone.
    const out = changeBack(naming);
    await log.writeBatch('demo', { changes: [out], put: [log.newAct(draft.id, '', [out])], drop: [] });
    await sweepPhotos('demo', 30 * HOUR);
    expect(await sweepPhotos('demo', 60 * HOUR)).toBe(0);
    expect(await left()).toEqual(['named']);
  });
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

  it('brings a room of the fifth version along: the allowances stay, as a profile', async () => {
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

  it.each([6, 7])(
    'brings a room of version %i along: what cloth shrinks by is kept with the cloth, in its acts too',
    async (version) => {
      const old = await openDB('upstride-own', version, {
        upgrade(db) {
          for (const name of ['people', 'drafts', 'charts']) db.createObjectStore(name, { keyPath: 'id' });
          db.createObjectStore('meta');
          if (version === 7) db.createObjectStore('acts', { keyPath: 'id' }).createIndex('place', ['place', 'rank']);
        },
      });
      const [draft] = DEMO_WORKBOOK.drafts;
      if (!draft) throw new Error('The demo is empty');
      const before = { ...draft, fit: { stretch: 0.1, shrinkLength: 0.03, shrinkWidth: 0 } };
      await old.put('drafts', { id: draft.id, revision: 4, value: before });
      const act = (id: string, rank: number, patches: readonly object[]): object => ({
        id,
        place: 'shelf',
        at: '2026-10-01T10:00:00.000Z',
        rank,
        said: id,
        changes: [{ kind: 'draft', id: draft.id, patches }],
        undone: false,
      });
      if (version === 7) {
        await old.put('acts', act('made', 1, [{ at: [], was: undefined, is: before }]));
        await old.put('acts', act('shrunk', 2, [{ at: ['fit', 'shrinkLength'], was: 0, is: 0.03 }]));
        await old.put('acts', act('named', 3, [{ at: ['name'], was: 'A', is: draft.name }]));
      }
      old.close();
      const db = await store();
      const [kept] = (await db.readShelf('own')).drafts;
      expect(kept).toMatchObject({
        revision: 4,
        value: { fit: { stretch: 0.1 }, cloths: { shell: { shrinkLength: 0.03 } } },
      });
      expect(kept?.value.fit).toEqual({ stretch: 0.1 });
      const acts = await db.readActs('own', 'shelf');
      expect(acts.map((a) => a.id)).toEqual(version === 7 ? ['made', 'named'] : []);
      if (version === 7) {
        expect(acts[0]?.changes[0]?.patches[0]).toMatchObject({ is: { cloths: { shell: { shrinkLength: 0.03 } } } });
      }
    },
  );
});
