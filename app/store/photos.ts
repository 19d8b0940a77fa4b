import { useQuery, type UseQueryResult } from '@tanstack/react-query';
import { database } from './database.js';
import { inLetters } from './photo-store.js';
import type { RoomId } from './rooms.js';

/** One photo as a picture address; nothing where it is not kept here. */
export const photoQuery = (
  room: RoomId,
  id: string,
): { readonly queryKey: readonly string[]; readonly queryFn: () => Promise<string | null> } => ({
  queryKey: ['photo', room, id],
  queryFn: async () => {
    const found = await (await database(room)).get('photos', id);
    return found ? `data:image/jpeg;base64,${inLetters(found.jpeg)}` : null;
  },
});

/** The picture of a photo; nothing where it is not kept here. */
export const usePhoto = (room: RoomId, id: string): UseQueryResult<string | null> => useQuery(photoQuery(room, id));
