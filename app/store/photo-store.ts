import type { Photo, WorkbookContent } from '../../core/kept/index.js';
import { database } from './database.js';
import type { KeptPhoto } from './room-schema.js';
import type { RoomId } from './rooms.js';
import { wholly } from './wholly.js';

/** So many bytes are written as letters at once: a call takes only so many arguments. */
const AT_ONCE = 8192;

/** Bytes as base64 text. */
export function inLetters(bytes: Uint8Array): string {
  let letters = '';
  for (let i = 0; i < bytes.length; i += AT_ONCE) letters += String.fromCharCode(...bytes.subarray(i, i + AT_ONCE));
  return btoa(letters);
}

function inBytes(base64: string): Uint8Array {
  const letters = atob(base64);
  const bytes = new Uint8Array(letters.length);
  for (let i = 0; i < letters.length; i++) bytes[i] = letters.charCodeAt(i);
  return bytes;
}

/** Keeps photos. Rejects where the browser does not store them. */
export async function putPhotos(room: RoomId, photos: readonly KeptPhoto[]): Promise<void> {
  if (photos.length === 0) return;
  const tx = (await database(room)).transaction('photos', 'readwrite', { durability: 'strict' });
  await wholly(
    tx,
    photos.map((photo) => () => tx.store.put(photo)),
  );
}

/** Keeps the photos of a workbook that was opened. */
export const putBookPhotos = (room: RoomId, { photos = [] }: Pick<WorkbookContent, 'photos'>): Promise<void> =>
  putPhotos(
    room,
    photos.map(({ id, draft, jpeg }) => ({ id, draft, jpeg: inBytes(jpeg) })),
  );

/** All photos of a room, for a workbook file. */
export async function roomPhotos(room: RoomId): Promise<Photo[]> {
  const photos = await (await database(room)).getAll('photos');
  return photos.map(({ id, draft, jpeg }) => ({ id, draft, jpeg: inLetters(jpeg) }));
}
