import type { LeftOut } from '../../core/reference/index.js';

/** Counts what a reader leaves out, by what it is. */
export interface Tally {
  readonly add: (what: string, count?: number) => void;
  /** What was left out, the most frequent first. */
  readonly list: () => LeftOut[];
}

/** An empty tally. */
export function newTally(): Tally {
  const counts = new Map<string, number>();
  return {
    add: (what, count = 1) => {
      counts.set(what, (counts.get(what) ?? 0) + count);
    },
    list: () => [...counts].map(([what, count]) => ({ what, count })).sort((a, b) => b.count - a.count),
  };
}
