import type { DBSchema } from 'idb';
import type { Act, KeptChart, KeptDraft, Person, Practice } from '../../core/kept/index.js';

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
  practice: { key: string; value: Versioned<Practice> };
  acts: { key: string; value: Act; indexes: { place: [string, number] } };
  meta: { key: string; value: string };
}
