import { changeOf, type RecordChange, type RecordKind, type WorkbookContent } from '../../core/kept/index.js';
import { STORE_OF } from './database.js';

/** What is to be put into a room, in the place of what has the same id, and the ids of what is to be taken away. */
export interface ShelfChange {
  readonly put?: Partial<WorkbookContent>;
  readonly remove?: { readonly [Kind in keyof WorkbookContent]?: readonly string[] };
}

/** A change of a room as the change log keeps it: what differs of each record from what is here. */
export const shelfChanges = (here: WorkbookContent, { put = {}, remove = {} }: ShelfChange): RecordChange[] =>
  (Object.keys(STORE_OF) as RecordKind[]).flatMap((kind) => {
    const list = STORE_OF[kind];
    const known = new Map<string, object>(here[list].map((record) => [record.id, record]));
    const is = new Map<string, object | undefined>([
      ...(remove[list] ?? []).map((id) => [id, undefined] as const),
      ...(put[list] ?? []).map((record) => [record.id, record] as const),
    ]);
    return [...is].flatMap(([id, record]) => changeOf({ kind, id }, known.get(id), record) ?? []);
  });
