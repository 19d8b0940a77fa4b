import { QueryClient, useQuery, type UseQueryResult } from '@tanstack/react-query';
import type { Act, KeptRecord, RecordRef } from '../../core/kept/index.js';
import type { KeptNow } from './change-log.js';
import { readActs, readRecord, readShelf, resetDemo, STORE_OF, type Shelf } from './database.js';
import type { Versioned } from './room-schema.js';
import type { RoomId } from './rooms.js';
import { askToPersist } from './storage.js';
import { onChanged, tellChanged } from './windows.js';

/**
 * The one query client; everything is on this machine, so nothing waits for a network and nothing goes stale by time.
 */
export const queryClient = new QueryClient({
  defaultOptions: {
    queries: { networkMode: 'always', staleTime: Infinity, retry: false },
  },
});

/** The key under which a whole room is kept once it was read. */
export const shelfKey = (room: RoomId): readonly string[] => ['shelf', room];
const actsKey = (room: RoomId, place?: string): readonly string[] => ['acts', room, ...(place ? [place] : [])];

/** Told of records that were written, with the window that wrote them: this one, or another. */
type Listener = (room: RoomId, records: readonly KeptNow[], by: 'here' | 'elsewhere') => void;
const listeners = new Set<Listener>();

/** Calls `then` whenever records of any room were written; gives the way to end it. */
export function onWritten(then: Listener): () => void {
  listeners.add(then);
  return () => {
    listeners.delete(then);
  };
}

/** A shelf with records in the place of those of their ids, at the end where there are none, or without them. */
function withRecords(shelf: Shelf, records: readonly KeptNow[]): Shelf {
  const stores = new Map<keyof Shelf, Map<string, Versioned<KeptRecord>>>();
  for (const { kind, id, record } of records) {
    const store = STORE_OF[kind];
    const list = stores.get(store) ?? new Map(shelf[store].map((r) => [r.id, r]));
    if (record) list.set(id, record);
    else list.delete(id);
    stores.set(store, list);
  }
  return { ...shelf, ...Object.fromEntries([...stores].map(([store, list]) => [store, [...list.values()]])) };
}

/**
 * Puts what was written where it is shown. A reading under way may have begun before the writing and would put the state
 * before it in its place: it is given up, and begun again.
 */
function put<T>(key: readonly string[], change: (now: T | undefined) => T | undefined): void {
  const reading = queryClient.getQueryCache().find({ queryKey: key })?.promise;
  const underway = queryClient.isFetching({ queryKey: key, exact: true }) > 0;
  queryClient.setQueryData<T>(key, change);
  if (!underway) return;
  const again = (): void => {
    void queryClient.invalidateQueries({ queryKey: key, exact: true });
  };
  // A first reading, which nothing is shown of yet, is let come to its end.
  if (queryClient.getQueryData(key) === undefined) void reading?.then(again, again);
  else again();
}

/** Puts written records where they are shown: nothing is read again. */
function show(room: RoomId, records: readonly KeptNow[], by: 'here' | 'elsewhere'): void {
  put<Shelf>(shelfKey(room), (shelf) => shelf && withRecords(shelf, records));
  for (const listener of listeners) listener(room, records, by);
}

/** Takes note of records that this window has written, and tells the other windows of them. */
export function wroteRecords(room: RoomId, records: readonly KeptNow[]): void {
  if (room === 'own') askToPersist();
  show(room, records, 'here');
  tellChanged({ room, records: records.map(({ kind, id }) => ({ kind, id })) });
}

/** Takes note of records that were forgotten, with what the change log held of them. */
export function forgotRecords(room: RoomId, records: readonly KeptNow[]): void {
  wroteRecords(room, records);
  void queryClient.invalidateQueries({ queryKey: actsKey(room) });
}

async function readAgain(room: RoomId, refs: readonly RecordRef[]): Promise<void> {
  const records = await Promise.all(
    refs.map(async ({ kind, id }): Promise<KeptNow> => ({ kind, id, record: await readRecord(room, kind, id) })),
  );
  show(room, records, 'elsewhere');
  await queryClient.invalidateQueries({ queryKey: actsKey(room) });
}

/** Reads a room anew, with everything that was read of it. */
async function readAllAgain(room: RoomId): Promise<void> {
  await Promise.all([
    queryClient.invalidateQueries({ queryKey: shelfKey(room) }),
    queryClient.invalidateQueries({ queryKey: actsKey(room) }),
  ]);
}

onChanged(({ room, records }) => void (records ? readAgain(room, records) : readAllAgain(room)));

/** Everything kept in a room: for lists, and for what asks for others than the draft in hand. */
export const useShelf = (room: RoomId, enabled = true): UseQueryResult<Shelf> =>
  useQuery({ queryKey: shelfKey(room), queryFn: () => readShelf(room), enabled });

/** The acts of a place of a room, oldest first. */
export const useActs = (room: RoomId, place: string): UseQueryResult<Act[]> =>
  useQuery({ queryKey: actsKey(room, place), queryFn: () => readActs(room, place), refetchOnMount: 'always' });

/** The acts of a place as they are known now, oldest first. */
export const actsNow = (room: RoomId, place: string): readonly Act[] =>
  queryClient.getQueryData<Act[]>(actsKey(room, place)) ?? [];

/** Puts acts of a place where they are shown, as they are now; those named are gone. */
export function showActs(room: RoomId, place: string, done: readonly Act[], drop: readonly string[]): void {
  put<Act[]>(actsKey(room, place), (acts = []) => {
    const changed = new Map(done.map((act) => [act.id, act]));
    const known = new Set(acts.map(({ id }) => id));
    return [...acts.map((act) => changed.get(act.id) ?? act), ...done.filter(({ id }) => !known.has(id))].filter(
      ({ id }) => !drop.includes(id),
    );
  });
}

/** Puts the demo room back as it came, here and in every other window. Rejects where nothing is stored. */
export async function resetDemoRoom(): Promise<void> {
  await resetDemo();
  tellChanged({ room: 'demo' });
  await readAllAgain('demo');
}
