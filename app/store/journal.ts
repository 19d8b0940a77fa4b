import { writeBatch, type Batch } from './change-log.js';
import type { RoomId } from './rooms.js';

const keyOf = (room: RoomId, place: string): string => `upstride-unwritten ${room} ${place}`;

/**
 * Notes what is not written yet as the page goes away, where nothing can be waited for: the browser takes this down at
 * once. What does not go in is left to the database alone.
 */
export function noteUnwritten(room: RoomId, place: string, batch: Batch): void {
  try {
    localStorage.setItem(keyOf(room, place), JSON.stringify(batch));
  } catch {
    // Too much, or no room for it: the write that is under way has to do.
  }
}

/** Crosses out what was noted, once it is written. */
export function crossOut(room: RoomId, place: string): void {
  localStorage.removeItem(keyOf(room, place));
}

/**
 * Writes what was noted as the page went away, where that had not come to be written. Written twice it is the same;
 * where it no longer fits what is there by now, it is left out.
 */
export async function writeNoted(room: RoomId, place: string): Promise<void> {
  const noted = localStorage.getItem(keyOf(room, place));
  if (noted === null) return;
  await writeBatch(room, JSON.parse(noted) as Batch);
  crossOut(room, place);
}
