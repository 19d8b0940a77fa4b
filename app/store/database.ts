import { openDB, type IDBPDatabase, type StoreNames } from 'idb';
import type {
  Act,
  KeptChart,
  KeptDraft,
  KeptOf,
  KeptStyle,
  Person,
  Practice,
  RecordKind,
  WorkbookContent,
} from '../../core/kept/index.js';
import type { renew } from './renew.js';
import type { Schema, Versioned } from './room-schema.js';
import type { RoomId } from './rooms.js';
import { storage } from './storage.js';
import { knock } from './windows.js';

/** The store that holds the records of a kind. */
export const STORE_OF = {
  person: 'people',
  draft: 'drafts',
  chart: 'charts',
  practice: 'practice',
  style: 'styles',
} as const satisfies Record<RecordKind, StoreNames<Schema>>;

/** Everything kept in a room. */
export interface Shelf {
  readonly people: readonly Versioned<Person>[];
  readonly drafts: readonly Versioned<KeptDraft>[];
  readonly charts: readonly Versioned<KeptChart>[];
  readonly practice: readonly Versioned<Practice>[];
  readonly styles: readonly Versioned<KeptStyle>[];
}

/** The stores of records. */
export const RECORD_STORES = Object.values(STORE_OF);

/** What is kept in a room, without its revisions. */
export const contentOf = (shelf: Shelf | undefined): WorkbookContent =>
  Object.fromEntries(
    RECORD_STORES.map((store) => [store, shelf?.[store].map(({ value }) => value) ?? []]),
  ) as unknown as WorkbookContent;

const VERSION = 11;
/** How often a page that waits for its database knocks at the others. */
const KNOCK_MS = 400;
const open = new Map<RoomId, Promise<IDBPDatabase<Schema>>>();

/** The last version whose records were of another shape. */
const OTHER_SHAPE = 7;

/** What brings the records of a room along, where it was kept by a version whose records were of another shape. */
async function renewing(name: string): Promise<{ readonly renew: typeof renew } | undefined> {
  const known = (await indexedDB.databases()).find((db) => db.name === name);
  return known?.version !== undefined && known.version <= OTHER_SHAPE ? import('./renew.js') : undefined;
}

async function opened(room: RoomId): Promise<IDBPDatabase<Schema>> {
  const name = `upstride-${room}`;
  const older = await renewing(name);
  return openDB<Schema>(name, VERSION, {
    upgrade(db, from, _, tx) {
      if (from < 1) {
        db.createObjectStore('people', { keyPath: 'id' });
        db.createObjectStore('drafts', { keyPath: 'id' });
        db.createObjectStore('meta');
      }
      if (from < 2) db.createObjectStore('charts', { keyPath: 'id' });
      if (from < 7) db.createObjectStore('acts', { keyPath: 'id' }).createIndex('place', ['place', 'rank']);
      if (from < 9) db.createObjectStore('practice', { keyPath: 'id' });
      if (from < 10) db.createObjectStore('photos', { keyPath: 'id' }).createIndex('draft', 'draft');
      if (from < 11) db.createObjectStore('styles', { keyPath: 'id' });
      // A room that cannot be brought along stays whole as it was.
      older?.renew(tx, from).catch(() => {
        tx.abort();
      });
    },
    blocked() {
      storage.setState({ blocked: true });
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
}

/** The database of a room, opened once. Rejects where the browser does not let it be opened. */
export function database(room: RoomId): Promise<IDBPDatabase<Schema>> {
  let found = open.get(room);
  if (!found) {
    found = opened(room);
    open.set(room, found);
    knock();
    const knocking = setInterval(knock, KNOCK_MS);
    void found
      .then(() => {
        storage.setState({ blocked: false });
      })
      .catch(() => open.delete(room))
      .finally(() => clearInterval(knocking));
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

/** Reads a whole room. The demo room is filled with the demo workbook when it is first entered. */
export async function readShelf(room: RoomId): Promise<Shelf> {
  const db = await filled(room);
  const lists = await Promise.all(RECORD_STORES.map(async (store) => [store, await db.getAll(store)] as const));
  return Object.fromEntries(lists) as unknown as Shelf;
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
export const resetDemo = async (): Promise<void> =>
  (await import('./fill-demo.js')).fillDemo(await database('demo'), nextRevision());
