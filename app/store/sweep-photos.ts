import { z } from 'zod';
import { database } from './database.js';
import type { RoomId } from './rooms.js';
import { wholly } from './wholly.js';

/** A photo that nothing names is taken away once nothing has named it for so long, in ms: one is kept before it is named. */
const LOOSE_MS = 24 * 60 * 60 * 1000;
const KEY = 'loose-photos';

const looseSince = z.record(z.string(), z.number());

/**
 * Takes away photos that no draft and no act names any more: their fitting was taken out, or their draft deleted, so
 * long ago that it can no longer be undone. Gives how many. Rejects where nothing can be stored.
 */
export async function sweepPhotos(room: RoomId, now: number): Promise<number> {
  const db = await database(room);
  const tx = db.transaction(['drafts', 'acts', 'photos', 'meta'], 'readwrite');
  const [photos, meta] = [tx.objectStore('photos'), tx.objectStore('meta')];
  const ids = await photos.getAllKeys();
  if (ids.length === 0) return 0;
  const [drafts, acts, noted] = await Promise.all([
    tx.objectStore('drafts').getAll(),
    tx.objectStore('acts').getAll(),
    meta.get(KEY),
  ]);
  const named = JSON.stringify([drafts.map(({ value }) => value), acts]);
  const before = looseSince.safeParse(noted === undefined ? {} : JSON.parse(noted)).data ?? {};
  const loose = ids.filter((id) => !named.includes(JSON.stringify(id)));
  const gone = loose.filter((id) => now - (before[id] ?? now) >= LOOSE_MS);
  const still = Object.fromEntries(loose.filter((id) => !gone.includes(id)).map((id) => [id, before[id] ?? now]));
  await wholly(tx, [...gone.map((id) => () => photos.delete(id)), () => meta.put(JSON.stringify(still), KEY)]);
  return gone.length;
}
