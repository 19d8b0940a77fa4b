import {
  clashOf,
  recordWith,
  type Act,
  type KeptDraft,
  type KeptRecord,
  type RecordChange,
  type RecordRef,
} from '../../core/kept/index.js';
import { database, nextRevision, RECORD_STORES, STORE_OF } from './database.js';
import type { Versioned } from './room-schema.js';
import type { RoomId } from './rooms.js';
import { wholly } from './wholly.js';

/** So many acts of a place are kept; the oldest give way. */
export const MOST_ACTS = 200;

/** What is written at once: changes of records, and the acts of the log that they belong to. */
export interface Batch {
  readonly changes: readonly RecordChange[];
  /** Acts that are new, grown or undone. */
  readonly put: readonly Act[];
  /** Acts that can no longer be done again, by their ids. */
  readonly drop: readonly string[];
  /** What follows from the rest of the draft that is changed, and when it was changed. */
  readonly follows?: Partial<Pick<KeptDraft, 'outline' | 'changed'>>;
}

/** A record as it is kept now; nothing where it was taken away. */
export interface KeptNow extends RecordRef {
  readonly record: Versioned<KeptRecord> | undefined;
}

/**
 * What became of a batch: the records as they are now; or the changes that no longer fit them, each with what is there
 * instead, and nothing written.
 */
export type Written =
  | { readonly ok: true; readonly records: readonly KeptNow[] }
  | { readonly ok: false; readonly clashes: readonly RecordChange[] };

/** An act that is done now, at a place, with what it changes. */
export function newAct(place: string, said: string, changes: readonly RecordChange[]): Act {
  const rank = nextRevision();
  return { id: crypto.randomUUID(), place, at: new Date(rank).toISOString(), rank, said, changes, undone: false };
}

const isWhole = ({ patches }: RecordChange): boolean => patches.some((p) => p.at.length === 0);

/**
 * Writes a batch in one transaction, complete or not at all, on the records as they are now: what another window or
 * another place has changed meanwhile stays, unless both changed the same; then nothing is written and the answer says
 * what does not fit. With `instead` it is written all the same, and a record that has gone is put back as that gives
 * it. Rejects where the browser does not store it.
 */
export async function writeBatch(
  room: RoomId,
  { changes, put, drop, follows = {} }: Batch,
  instead?: (ref: RecordRef) => KeptRecord | undefined,
): Promise<Written> {
  const db = await database(room);
  const tx = db.transaction([...RECORD_STORES, 'acts', 'meta'], 'readwrite', {
    durability: 'strict',
  });
  const found = await Promise.all(
    changes.map(async (change) => ({
      change,
      before: (await tx.objectStore(STORE_OF[change.kind]).get(change.id)) as Versioned<KeptRecord> | undefined,
    })),
  );
  const clashes = instead ? [] : found.flatMap(({ change, before }) => clashOf(before?.value, change) ?? []);
  if (clashes.length > 0) {
    await tx.done;
    return { ok: false, clashes };
  }
  const records = found.map(({ change, before }): KeptNow => {
    const { kind, id } = change;
    const gone = before === undefined && !isWhole(change);
    const made = gone ? instead?.(change) : recordWith(before?.value, change);
    const value = (kind === 'draft' && made && !isWhole(change) ? { ...made, ...follows } : made) as
      KeptRecord | undefined;
    return { kind, id, record: value && { id, revision: nextRevision(before?.revision), value } };
  });
  const revisionOf = ({ kind, id }: RecordRef): number | undefined =>
    records.find((r) => r.kind === kind && r.id === id)?.record?.revision;
  const acts = tx.objectStore('acts');
  const marked = (act: Act): Act => ({
    ...act,
    changes: act.changes.map((change) => {
      const revision = revisionOf(change) ?? change.revision;
      return revision === undefined ? change : { ...change, revision };
    }),
  });
  await wholly(tx, [
    ...records.map(
      ({ kind, id, record }) =>
        () =>
          record ? tx.objectStore(STORE_OF[kind]).put(record as never) : tx.objectStore(STORE_OF[kind]).delete(id),
    ),
    ...put.map((act) => () => acts.put(marked(act))),
    ...drop.map((id) => () => acts.delete(id)),
    ...[...new Set(put.map(({ place }) => place))].map((place) => async () => {
      const ofPlace = IDBKeyRange.bound([place, -Infinity], [place, Infinity]);
      const over = (await acts.index('place').count(ofPlace)) - MOST_ACTS;
      if (over <= 0) return;
      const oldest = await acts.index('place').getAllKeys(ofPlace, over);
      await Promise.all(oldest.map((id) => acts.delete(id)));
    }),
    () => tx.objectStore('meta').put('yes', 'filled'),
  ]);
  return { ok: true, records };
}
