import type { RecordChange, RecordRef } from '../../core/kept/index.js';
import type { KeptNow } from './change-log.js';
import { database } from './database.js';
import type { RoomId } from './rooms.js';
import { wholly } from './wholly.js';

/**
 * Forgets a person for good: their record with its sets and traces, their drafts with all photos, and what the change log holds of any
 * of them; gives what was taken away. It cannot be undone. Rejects where the browser does not store it.
 */
export async function forgetPerson(room: RoomId, personId: string): Promise<readonly KeptNow[]> {
  const db = await database(room);
  const tx = db.transaction(['people', 'drafts', 'photos', 'acts'], 'readwrite', { durability: 'strict' });
  const [people, drafts, acts] = [tx.objectStore('people'), tx.objectStore('drafts'), tx.objectStore('acts')];
  const [allDrafts, allActs] = await Promise.all([drafts.getAll(), acts.getAll()]);
  const ids = allDrafts.filter(({ value }) => value.personId === personId).map(({ id }) => id);
  const photos = tx.objectStore('photos');
  const pictures = (await Promise.all(ids.map((id) => photos.index('draft').getAllKeys(id)))).flat();
  const gone: readonly RecordRef[] = [
    { kind: 'person', id: personId },
    ...ids.map((id) => ({ kind: 'draft' as const, id })),
  ];
  const isGone = (ref: RecordRef): boolean => gone.some(({ kind, id }) => kind === ref.kind && id === ref.id);
  await wholly(tx, [
    () => people.delete(personId),
    ...ids.map((id) => () => drafts.delete(id)),
    ...pictures.map((id) => () => photos.delete(id)),
    ...allActs.flatMap((act) => {
      const left = act.changes.filter((change) => !isGone(change) && !namesPerson(change, personId));
      if (left.length === act.changes.length) return [];
      // What an act was called may hold a name: it goes by what is left of it.
      return [() => (left.length > 0 ? acts.put({ ...act, said: '', changes: left }) : acts.delete(act.id))];
    }),
  ]);
  return gone.map((ref) => ({ ...ref, record: undefined }));
}

/** True where a change holds a whole draft of a person, one that was deleted before among them. */
const namesPerson = ({ patches }: RecordChange, personId: string): boolean =>
  patches.some(
    (p) =>
      !('order' in p) &&
      [p.was, p.is].some(
        (value) => typeof value === 'object' && value !== null && 'personId' in value && value.personId === personId,
      ),
  );
