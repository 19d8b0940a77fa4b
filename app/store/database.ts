import { openDB, type DBSchema, type IDBPDatabase } from 'idb';
import { DEMO_WORKBOOK, type KeptDraft, type Person, type Work } from '../../core/kept/index.js';
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
  meta: { key: string; value: string };
}

/** Everything kept in a room. */
export interface Shelf {
  readonly people: readonly Versioned<Person>[];
  readonly drafts: readonly Versioned<KeptDraft>[];
}

/** The revisions a piece of work was read at. */
export interface Revisions {
  readonly person: number;
  readonly draft: number;
}

/** How a save ended: with new revisions, or because another window wrote first. */
export type Saved = { readonly ok: true; readonly revisions: Revisions } | { readonly ok: false };

const VERSION = 1;
/** How often a page that waits for its database knocks at the others. */
const KNOCK_MS = 400;
const open = new Map<RoomId, Promise<IDBPDatabase<Schema>>>();

function database(room: RoomId): Promise<IDBPDatabase<Schema>> {
  let found = open.get(room);
  if (!found) {
    found = openDB<Schema>(`upstride-${room}`, VERSION, {
      upgrade(db, from) {
        if (from < 1) {
          db.createObjectStore('people', { keyPath: 'id' });
          db.createObjectStore('drafts', { keyPath: 'id' });
          db.createObjectStore('meta');
        }
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

/** A mark later than `before` and than any that was deleted: the clock, held to grow. */
const nextRevision = (before: number): number => Math.max(before + 1, Date.now());

async function fill(room: RoomId, book: typeof DEMO_WORKBOOK, clear: boolean): Promise<void> {
  const db = await database(room);
  const tx = db.transaction(['people', 'drafts', 'meta'], 'readwrite');
  const people = tx.objectStore('people');
  const drafts = tx.objectStore('drafts');
  const [peopleBefore, draftsBefore] = await Promise.all([people.getAll(), drafts.getAll()]);
  const later = (list: readonly Versioned<unknown>[], id: string): number =>
    nextRevision(list.find((r) => r.id === id)?.revision ?? 0);
  if (clear) await Promise.all([people.clear(), drafts.clear()]);
  await Promise.all([
    ...book.people.map((value) => people.put({ id: value.id, revision: later(peopleBefore, value.id), value })),
    ...book.drafts.map((value) => drafts.put({ id: value.id, revision: later(draftsBefore, value.id), value })),
    tx.objectStore('meta').put('yes', 'filled'),
    tx.done,
  ]);
}

/** Reads a whole room. The demo room is filled with the demo workbook when it is first entered. */
export async function readShelf(room: RoomId): Promise<Shelf> {
  const db = await database(room);
  if (room === 'demo' && (await db.get('meta', 'filled')) === undefined) await fill(room, DEMO_WORKBOOK, true);
  const [people, drafts] = await Promise.all([db.getAll('people'), db.getAll('drafts')]);
  return { people, drafts };
}

/** Puts the demo room back as it came. */
export const resetDemo = (): Promise<void> => fill('demo', DEMO_WORKBOOK, true);

/** Empties a room. */
export async function clearShelf(room: RoomId): Promise<void> {
  await fill(room, { people: [], drafts: [] }, true);
}

/** Puts people and drafts into a room, complete or not at all; what has the same id is replaced. */
export const putShelf = (room: RoomId, people: readonly Person[], drafts: readonly KeptDraft[]): Promise<void> =>
  fill(room, { people: [...people], drafts: [...drafts] }, false);

/** Takes drafts, and people, from a room. */
export async function removeFrom(
  room: RoomId,
  draftIds: readonly string[],
  personIds: readonly string[],
): Promise<void> {
  const db = await database(room);
  const tx = db.transaction(['people', 'drafts'], 'readwrite');
  await Promise.all([
    ...draftIds.map((id) => tx.objectStore('drafts').delete(id)),
    ...personIds.map((id) => tx.objectStore('people').delete(id)),
    tx.done,
  ]);
}

/**
 * Saves a piece of work in one transaction: both records or neither. Where another window has written either since
 * `known`, nothing is written and the answer says so. `known` left out overwrites on purpose.
 */
export async function saveWork(room: RoomId, work: Work, known: Revisions | undefined): Promise<Saved> {
  const db = await database(room);
  const tx = db.transaction(['people', 'drafts'], 'readwrite');
  const [people, drafts] = [tx.objectStore('people'), tx.objectStore('drafts')];
  const [person, draft] = await Promise.all([people.get(work.person.id), drafts.get(work.draft.id)]);
  const behind = known && ((draft?.revision ?? 0) !== known.draft || (person?.revision ?? 0) !== known.person);
  if (behind) {
    await tx.done;
    return { ok: false };
  }
  const samePerson = person && JSON.stringify(person.value) === JSON.stringify(work.person);
  const revisions = {
    person: samePerson ? person.revision : nextRevision(person?.revision ?? 0),
    draft: nextRevision(draft?.revision ?? 0),
  };
  await Promise.all([
    people.put({ id: work.person.id, revision: revisions.person, value: work.person }),
    drafts.put({ id: work.draft.id, revision: revisions.draft, value: work.draft }),
    tx.done,
  ]);
  return { ok: true, revisions };
}
