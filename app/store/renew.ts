import type { IDBPTransaction, StoreNames } from 'idb';
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
import type { Schema } from './room-schema.js';

type Raw = Readonly<Record<string, unknown>>;

/** Brings every record of an older version into the shape of this one, each keeping its revision. */
export async function renew(
  tx: IDBPTransaction<Schema, StoreNames<Schema>[], 'versionchange'>,
  from: number,
): Promise<void> {
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
