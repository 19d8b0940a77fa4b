import { openDB, type DBSchema, type IDBPDatabase, type IDBPTransaction, type StoreNames } from 'idb';
import { type KeptChart, type KeptDraft, type Person, type Work, type WorkbookContent } from '../../core/kept/index.js';
import {
  draftFrom1,
  draftFrom2,
  draftFrom3,
  draftFrom5,
  draftFrom6,
  personFrom1,
  personFrom2,
  personFrom3,
} from '../../core/older/index.js';
import type { RoomId } from './rooms.js';
import { knock } from './windows.js';

/** A record with a mark that grows at every write, so that two windows never overwrite one another unseen. */
export interface Versioned<T> {
  readonly id: string;
  readonly revision: number;
  readonly value: T;
}

interface Schema extends DBSchema {
  people: { key: string; value: Versioned<Person> };
  drafts: { key: string; value: Versioned<KeptDraft> };
  charts: { key: string; value: Versioned<KeptChart> };
  meta: { key: string; value: string };
}

/** Everything kept in a room. */
export interface Shelf {
  readonly people: readonly Versioned<Person>[];
  readonly drafts: readonly Versioned<KeptDraft>[];
  readonly charts: readonly Versioned<KeptChart>[];
}

/** The revisions a piece of work was read at. */
export interface Revisions {
  readonly person: number;
  readonly draft: number;
}

/** How a save ended: with new revisions, or because another window wrote first. */
export type Saved = { readonly ok: true; readonly revisions: Revisions } | { readonly ok: false };

const VERSION = 6;
/** How often a page that waits for its database knocks at the others. */
const KNOCK_MS = 400;
const open = new Map<RoomId, Promise<IDBPDatabase<Schema>>>();

type Raw = Readonly<Record<string, unknown>>;

/** Brings every record of an older version into the shape of this one, each keeping its revision. */
async function renew(tx: IDBPTransaction<Schema, StoreNames<Schema>[], 'versionchange'>, from: number): Promise<void> {
  const people = new Map<unknown, Raw>();
  const rewrite = async (name: 'people' | 'drafts', change: (value: Raw) => Raw): Promise<void> => {
    const store = tx.objectStore(name);
    for (const record of await store.getAll()) {
      const value = change(record.value);
      if (name === 'people') people.set(value['id'], value);
      await store.put({ ...record, value } as never);
    }
  };
  const personTo3 = (person: Raw): Raw => personFrom2(from < 2 ? personFrom1(person) : person);
  if (from < 4) await rewrite('people', (person) => personFrom3(from < 3 ? personTo3(person) : person));
  const draftTo4 = (draft: Raw): Raw => {
    if (from >= 3) return draftFrom3(draft);
    return draftFrom3(draftFrom2(from < 2 ? draftFrom1(draft) : draft, people.get(draft['personId'])));
  };
  const draftTo6 = (draft: Raw): Raw => (from < 5 ? draftFrom5(from < 4 ? draftTo4(draft) : draft) : draft);
  await rewrite('drafts', (draft) => draftFrom6(draftTo6(draft)));
}

function database(room: RoomId): Promise<IDBPDatabase<Schema>> {
  let found = open.get(room);
  if (!found) {
    found = openDB<Schema>(`upstride-${room}`, VERSION, {
      upgrade(db, from, _, tx) {
        if (from < 1) {
          db.createObjectStore('people', { keyPath: 'id' });
          db.createObjectStore('drafts', { keyPath: 'id' });
          db.createObjectStore('meta');
        }
        if (from < 2) db.createObjectStore('charts', { keyPath: 'id' });
        // A room that cannot be brought along stays whole as it was.
        if (from >= 1 && from < VERSION) {
          renew(tx, from).catch(() => {
            tx.abort();
          });
        }
      },
      blocking(_, __, event) {
        // A newer Upstride in another window waits to renew the database: let go of it.
        (event.target as IDBDatabase).close();
        open.delete(room);
      },
      terminated() {
        open.delete(room);
      },
    });
    open.set(room, found);
    knock();
    const knocking = setInterval(knock, KNOCK_MS);
    void found.catch(() => open.delete(room)).finally(() => clearInterval(knocking));
  }
  return found;
}

let latest = 0;

/**
 * A mark later than `before` and than any that was deleted, within the same millisecond too: the clock, held to grow.
 */
function nextRevision(before: number): number {
  latest = Math.max(before + 1, latest + 1, Date.now());
  return latest;
}

/** A transaction that is over once everything in it is, and that nothing of which stays where any part fails. */
async function wholly(
  tx: { readonly done: Promise<void>; readonly abort: () => void },
  writes: readonly (() => Promise<unknown>)[],
): Promise<void> {
  const begun: Promise<unknown>[] = [];
  try {
    for (const write of writes) begun.push(write());
    await Promise.all(begun);
  } catch (fault) {
    // What was begun fails with the transaction; the one reason that counts is told.
    for (const promise of [tx.done, ...begun]) promise.catch(() => undefined);
    try {
      tx.abort();
    } catch {
      // It has ended by itself already.
    }
    throw fault;
  }
  await tx.done;
}

/** A change of a room: what is put there, replacing what has the same id, and the ids of what is taken away. */
export interface ShelfChange {
  readonly put?: Partial<WorkbookContent>;
  readonly remove?: { readonly [Kind in keyof WorkbookContent]?: readonly string[] };
}

async function change(room: RoomId, { put = {}, remove = {} }: ShelfChange, clear: boolean): Promise<void> {
  const { people = [], drafts = [], charts = [] } = put;
  const db = await database(room);
  const tx = db.transaction(['people', 'drafts', 'charts', 'meta'], 'readwrite');
  const stores = {
    people: tx.objectStore('people'),
    drafts: tx.objectStore('drafts'),
    charts: tx.objectStore('charts'),
  };
  const [peopleBefore, draftsBefore, chartsBefore] = await Promise.all([
    stores.people.getAll(),
    stores.drafts.getAll(),
    stores.charts.getAll(),
  ]);
  const later = (list: readonly Versioned<unknown>[]): ((id: string) => number) => {
    const known = new Map(list.map((r) => [r.id, r.revision]));
    return (id) => nextRevision(known.get(id) ?? 0);
  };
  const [person, draft, chart] = [later(peopleBefore), later(draftsBefore), later(chartsBefore)];
  await wholly(tx, [
    ...(clear ? [() => stores.people.clear(), () => stores.drafts.clear(), () => stores.charts.clear()] : []),
    ...(remove.people ?? []).map((id) => () => stores.people.delete(id)),
    ...(remove.drafts ?? []).map((id) => () => stores.drafts.delete(id)),
    ...(remove.charts ?? []).map((id) => () => stores.charts.delete(id)),
    ...people.map((value) => () => stores.people.put({ id: value.id, revision: person(value.id), value })),
    ...drafts.map((value) => () => stores.drafts.put({ id: value.id, revision: draft(value.id), value })),
    ...charts.map((value) => () => stores.charts.put({ id: value.id, revision: chart(value.id), value })),
    () => tx.objectStore('meta').put('yes', 'filled'),
  ]);
}

/** Reads a whole room. The demo room is filled with the demo workbook when it is first entered. */
export async function readShelf(room: RoomId): Promise<Shelf> {
  const db = await database(room);
  if (room === 'demo' && (await db.get('meta', 'filled')) === undefined) await resetDemo();
  const [people, drafts, charts] = await Promise.all([db.getAll('people'), db.getAll('drafts'), db.getAll('charts')]);
  return { people, drafts, charts };
}

/** Puts the demo room back as it came. */
export const resetDemo = async (): Promise<void> =>
  change('demo', { put: (await import('../../core/demo/index.js')).DEMO_WORKBOOK }, true);

/** Empties a room. */
export const clearShelf = (room: RoomId): Promise<void> => change(room, {}, true);

/** Changes what is kept in a room, complete or not at all. */
export const changeShelf = (room: RoomId, what: ShelfChange): Promise<void> => change(room, what, false);

/**
 * Saves a piece of work in one transaction: both records or neither; `keepsDraft` false leaves the draft out, while a
 * person is only being measured. Where another window has written either since `known`, nothing is written and the
 * answer says so. `known` left out overwrites on purpose.
 */
export async function saveWork(
  room: RoomId,
  work: Work,
  known: Revisions | undefined,
  keepsDraft = true,
): Promise<Saved> {
  const db = await database(room);
  const tx = db.transaction(['people', 'drafts'], 'readwrite');
  const [people, drafts] = [tx.objectStore('people'), tx.objectStore('drafts')];
  const [person, draft] = await Promise.all([people.get(work.person.id), drafts.get(work.draft.id)]);
  const draftBehind = keepsDraft && (draft?.revision ?? 0) !== known?.draft;
  if (known && (draftBehind || (person?.revision ?? 0) !== known.person)) {
    await tx.done;
    return { ok: false };
  }
  const samePerson = person && JSON.stringify(person.value) === JSON.stringify(work.person);
  const revisions = {
    person: samePerson ? person.revision : nextRevision(person?.revision ?? 0),
    draft: keepsDraft ? nextRevision(draft?.revision ?? 0) : 0,
  };
  await wholly(tx, [
    () => people.put({ id: work.person.id, revision: revisions.person, value: work.person }),
    ...(keepsDraft ? [() => drafts.put({ id: work.draft.id, revision: revisions.draft, value: work.draft })] : []),
  ]);
  return { ok: true, revisions };
}
