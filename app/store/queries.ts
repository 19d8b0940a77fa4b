import { QueryClient, useMutation, useQuery, type UseMutationResult, type UseQueryResult } from '@tanstack/react-query';
import { changeShelf, clearShelf, readShelf, resetDemo, type Shelf, type ShelfChange } from './database.js';
import type { RoomId } from './rooms.js';
import { onChanged, tellChanged } from './windows.js';

/**
 * The one query client; everything is on this machine, so nothing waits for a network and nothing goes stale by time.
 */
export const queryClient = new QueryClient({
  defaultOptions: {
    queries: { networkMode: 'always', staleTime: Infinity, retry: false },
    mutations: { networkMode: 'always', retry: false },
  },
});

const keyOf = (room: RoomId): readonly string[] => ['shelf', room];

onChanged((room) => void queryClient.invalidateQueries({ queryKey: keyOf(room) }));

/** Reads a room anew here and tells the other windows to do so. */
export async function shelfChanged(room: RoomId): Promise<void> {
  tellChanged(room);
  await queryClient.invalidateQueries({ queryKey: keyOf(room) });
}

/** Everything kept in a room. */
export const useShelf = (room: RoomId): UseQueryResult<Shelf> =>
  useQuery({ queryKey: keyOf(room), queryFn: () => readShelf(room) });

/** Carries out a change of the shelf. */
export function useShelfChange(room: RoomId): UseMutationResult<void, Error, ShelfChange> {
  return useMutation({
    mutationFn: (change: ShelfChange) => changeShelf(room, change),
    onSuccess: () => shelfChanged(room),
  });
}

/** Empties one's own room, or puts the demo room back as it came. */
export function useStartOver(room: RoomId): UseMutationResult<void, Error, void> {
  return useMutation({
    mutationFn: () => (room === 'demo' ? resetDemo() : clearShelf(room)),
    onSuccess: () => shelfChanged(room),
  });
}
