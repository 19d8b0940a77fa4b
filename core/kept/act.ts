import { clashesWith, patched, patchesBetween, reversed, same, valueAt, type Patch } from './patch.js';
import type { KeptChart, KeptDraft, KeptStyle, Person, Practice } from '../workbook/index.js';

/** What is kept of each kind. */
export interface KeptOf {
  readonly person: Person;
  readonly draft: KeptDraft;
  readonly chart: KeptChart;
  readonly practice: Practice;
  readonly style: KeptStyle;
}

/** A kind of record. */
export type RecordKind = keyof KeptOf;

/** A record by its kind and id. */
export interface RecordRef {
  readonly kind: RecordKind;
  readonly id: string;
}

/** Any record. */
export type KeptRecord = KeptOf[RecordKind];

/** What an act changes of one record. */
export interface RecordChange extends RecordRef {
  readonly patches: readonly Patch[];
  /** The revision of the record that it gave. */
  readonly revision?: number;
}

/** Something a maker did, as the change log keeps it: where, when, what it is called and what it changed. */
export interface Act {
  readonly id: string;
  /** Where it was done, and so where it can be undone: at a draft, on the shelf, in the crew, at the size charts. */
  readonly place: string;
  /** The moment, as an ISO date; and its rank among all acts. */
  readonly at: string;
  readonly rank: number;
  /** What it is called, where that does not follow from what it changed. */
  readonly said: string;
  readonly changes: readonly RecordChange[];
  readonly undone: boolean;
}

/** What follows from the rest of a draft, and is nothing that a maker changed. */
const FOLLOWS: ReadonlySet<string> = new Set(['changed', 'outline']);

const withoutFollowing = (record: object): object =>
  Object.fromEntries(Object.entries(record).filter(([key]) => !FOLLOWS.has(key)));

/** What was changed of a record from one state to another, nothing where it is the same; `undefined` is no record. */
export function changeOf(ref: RecordRef, was: object | undefined, is: object | undefined): RecordChange | undefined {
  const patches = was && is ? patchesBetween(withoutFollowing(was), withoutFollowing(is)) : patchesBetween(was, is);
  return patches.length > 0 ? { ...ref, patches } : undefined;
}

/** A change that takes another back. */
export const changeBack = ({ kind, id, patches }: RecordChange): RecordChange => ({
  kind,
  id,
  patches: reversed(patches),
});

const isWhole = (p: Patch): boolean => p.at.length === 0;

/**
 * What of a change does not fit a record as it is now (see `clashesWith`). A whole record is put in the place of none,
 * or taken away, only where it is what it was: a draft that has been worked on since is not undone away.
 */
export function clashesOf(record: object | undefined, { patches }: RecordChange): Patch[] {
  const now = record && withoutFollowing(record);
  return patches.flatMap((p): Patch[] => {
    if (!isWhole(p) || 'order' in p) return clashesWith(now, [p]);
    const fits = [p.was, p.is].some((whole) =>
      same(now, typeof whole === 'object' && whole !== null ? withoutFollowing(whole) : undefined),
    );
    return fits ? [] : [p];
  });
}

/**
 * What of a change does not fit a record as it is now, from what is there to what was wanted; nothing where all fits. Of
 * a record that has gone, the whole.
 */
export function clashOf(record: object | undefined, change: RecordChange): RecordChange | undefined {
  const patches = clashesOf(record, change);
  if (patches.length === 0) return undefined;
  const { kind, id } = change;
  if (!record) return { kind, id, patches: [{ at: [], was: undefined, is: {} }] };
  return {
    kind,
    id,
    patches: patches.map((p) => ('order' in p ? p : { ...p, was: valueAt(record, p.at) })),
  };
}

/** A record with a change made to it; nothing where it was taken away. */
export const recordWith = (record: object | undefined, { patches }: RecordChange): object | undefined =>
  patched(record, patches) as object | undefined;
