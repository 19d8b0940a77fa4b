/** What takes longer than this, in ms, is stopped: the room must never stand still. */
export const LONGEST_MS = 2000;

/** Says from now on whether so many milliseconds are over. */
export function within(ms: number): () => boolean {
  const end = performance.now() + ms;
  return () => performance.now() > end;
}
