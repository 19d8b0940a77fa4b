import type { IDBPTransaction, StoreNames } from 'idb';
import {
  draftFrom1,
  draftFrom2,
  draftFrom3,
  draftFrom5,
  draftFrom6,
  draftFrom12,
  personFrom1,
  personFrom2,
  personFrom3,
} from '../../core/older/index.js';
import type { Act, Patch } from '../../core/kept/index.js';
import type { Schema } from './room-schema.js';

type Raw = Readonly<Record<string, unknown>>;

const isRaw = (value: unknown): value is Raw => typeof value === 'object' && value !== null;

/**
 * An act of the seventh version as the eighth keeps it: whole drafts in its shape. One that changed what a cloth shrinks by
 * where that no longer stands is let go of.
 */
export function actFrom7(act: Act): Act | undefined {
  const changes = act.changes.map((change) => {
    if (change.kind !== 'draft') return change;
    const patches = change.patches.map((patch): Patch => {
      if (patch.at.length > 0 || !('is' in patch)) return patch;
      const renewed = (whole: unknown): unknown => (isRaw(whole) ? draftFrom12(whole) : whole);
      return { ...patch, was: renewed(patch.was), is: renewed(patch.is) };
    });
    return { ...change, patches };
  });
  const gone = (patch: Patch): boolean =>
    patch.at[0] === 'fit' && (patch.at.length === 1 || patch.at[1] === 'shrinkLength' || patch.at[1] === 'shrinkWidth');
  return changes.some((c) => c.kind === 'draft' && c.patches.some(gone)) ? undefined : { ...act, changes };
}

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
  const draftTo7 = (draft: Raw): Raw => (from < 6 ? draftFrom6(draftTo6(draft)) : draft);
  await rewrite('drafts', (draft) => draftFrom12(draftTo7(draft)));
  if (from < 7) return;
  const acts = tx.objectStore('acts');
  for (const act of await acts.getAll()) {
    const renewed = actFrom7(act);
    if (!renewed) await acts.delete(act.id);
    else if (renewed !== act) await acts.put(renewed);
  }
}
