import { openDB, type DBSchema, type IDBPDatabase, type IDBPTransaction, type StoreNames } from 'idb';
import type { Act, KeptChart, KeptDraft, KeptOf, Person, RecordKind, WorkbookContent } from '../../core/kept/index.js';
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

/** The database of a room: its records by kind, its acts by their place and rank, and what is to be known of it. */
export interface Schema extends DBSchema {
  people: { key: string; value: Versioned<Person> };
  drafts: { key: string; value: Versioned<KeptDraft> };
  charts: { key: string; value: Versioned<KeptChart> };
  acts: { key: string; value: Act; indexes: { place: [string, number] } };
  meta: { key: string; value: string };
}

/** The store that holds the records of a kind. */
export const STORE_OF = { person: 'people', draft: 'drafts', chart: 'charts' } as const satisfies Record<
  RecordKind,
  StoreNames<Schema>
>;

/** Everything kept in a room. */
export interface Shelf {
  readonly people: readonly Versioned<Person>[];
  readonly drafts: readonly Versioned<KeptDraft>[];
  readonly charts: readonly Versioned<KeptChart>[];
}

/** What is kept in a room, without its revisions. */
export const contentOf = (shelf: Shelf | undefined): WorkbookContent => ({
  people: shelf?.people.map((p) => p.value) ?? [],
  drafts: shelf?.drafts.map((d) => d.value) ?? [],
  charts: shelf?.charts.map((c) => c.value) ?? [],
});

const VERSION = 7;
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

/** The database of a room, opened once. Rejects where the browser does not let it be opened. */
export function database(room: RoomId): Promise<IDBPDatabase<Schema>> {
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
        if (from < 7) db.createObjectStore('acts', { keyPath: 'id' }).createIndex('place', ['place', 'rank']);
        // A room that cannot be brought along stays whole as it was.
        if (from >= 1 && from < 6) {
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
export function nextRevision(before = 0): number {
  latest = Math.max(before + 1, latest + 1, Date.now());
  return latest;
}

/** A transaction that is over once everything in it is, and that nothing of which stays where any part fails. */
export async function wholly(
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

/** Reads a whole room. The demo room is filled with the demo workbook when it is first entered. */
export async function readShelf(room: RoomId): Promise<Shelf> {
  const db = await filled(room);
  const [people, drafts, charts] = await Promise.all([db.getAll('people'), db.getAll('drafts'), db.getAll('charts')]);
  return { people, drafts, charts };
}

/** One record of a room; nothing where it is not there. */
export async function readRecord<K extends RecordKind>(
  room: RoomId,
  kind: K,
  id: string,
): Promise<Versioned<KeptOf[K]> | undefined> {
  const found: unknown = await (await filled(room)).get(STORE_OF[kind], id);
  return found as Versioned<KeptOf[K]> | undefined;
}

/** The acts of a place that are kept, oldest first. */
export async function readActs(room: RoomId, place: string): Promise<Act[]> {
  const db = await filled(room);
  return db.getAllFromIndex('acts', 'place', IDBKeyRange.bound([place, -Infinity], [place, Infinity]));
}

async function filled(room: RoomId): Promise<IDBPDatabase<Schema>> {
  const db = await database(room);
  if (room === 'demo' && (await db.get('meta', 'filled')) === undefined) await resetDemo();
  return db;
}

/** Puts the demo room back as it came, with nothing in its change log. */
export async function resetDemo(): Promise<void> {
  const { DEMO_WORKBOOK } = await import('../../core/demo/index.js');
  const db = await database('demo');
  const tx = db.transaction(['people', 'drafts', 'charts', 'acts', 'meta'], 'readwrite');
  const [people, drafts, charts] = [tx.objectStore('people'), tx.objectStore('drafts'), tx.objectStore('charts')];
  const revision = nextRevision();
  await wholly(tx, [
    ...[people, drafts, charts, tx.objectStore('acts')].map((store) => () => store.clear()),
    ...DEMO_WORKBOOK.people.map((value) => () => people.put({ id: value.id, revision, value })),
    ...DEMO_WORKBOOK.drafts.map((value) => () => drafts.put({ id: value.id, revision, value })),
    ...DEMO_WORKBOOK.charts.map((value) => () => charts.put({ id: value.id, revision, value })),
    () => tx.objectStore('meta').put('yes', 'filled'),
  ]);
}
