import { create } from 'zustand';
import type { Alignment } from '../../core/compare/index.js';

/** How much of the pieces is looked at. */
export type Focus = 'whole' | 'top' | 'crotch';

interface CompareState {
  /** What is compared beside the draft in hand, by the ids of its candidates. */
  readonly beside: readonly string[];
  /** What is hidden for the moment. */
  readonly hidden: ReadonlySet<string>;
  readonly align: Alignment;
  readonly layout: 'over' | 'beside';
  readonly focus: Focus;
  readonly set: (change: Partial<Omit<CompareState, 'set'>>) => void;
}

/** What is compared, and how it is laid; kept while the program runs. */
export const useCompare = create<CompareState>()((set) => ({
  beside: [],
  hidden: new Set(),
  align: 'crease',
  layout: 'over',
  focus: 'whole',
  set: (change) => {
    set(change);
  },
}));

/** Shows what was hidden, or hides it. */
export const toggled = (hidden: ReadonlySet<string>, id: string): ReadonlySet<string> => {
  const next = new Set(hidden);
  if (!next.delete(id)) next.add(id);
  return next;
};
