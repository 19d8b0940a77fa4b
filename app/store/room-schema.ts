import type { DBSchema } from 'idb';
import type { Act, KeptChart, KeptDraft, KeptStyle, Person, Practice } from '../../core/kept/index.js';

/** A record with a mark that grows at every write, so that two windows never overwrite one another unseen. */
export interface Versioned<T> {
  readonly id: string;
  readonly revision: number;
  readonly value: T;
}

/** A photo of a fitting: it is written once and never changes. */
export interface KeptPhoto {
  readonly id: string;
  readonly draft: string;
  readonly jpeg: Uint8Array;
}

/** The database of a room: its records by kind, its photos, its acts by their place and rank, and what is to be known of it. */
export interface Schema extends DBSchema {
  people: { key: string; value: Versioned<Person> };
  drafts: { key: string; value: Versioned<KeptDraft> };
  charts: { key: string; value: Versioned<KeptChart> };
  practice: { key: string; value: Versioned<Practice> };
  styles: { key: string; value: Versioned<KeptStyle> };
  photos: { key: string; value: KeptPhoto; indexes: { draft: string } };
  acts: { key: string; value: Act; indexes: { place: [string, number] } };
  meta: { key: string; value: string };
}
