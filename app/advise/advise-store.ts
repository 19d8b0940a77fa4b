import { create } from 'zustand';
import type { Wish } from '../../core/advise/index.js';

interface AdviseState {
  readonly wish: Pick<Wish, 'use' | 'cloth'>;
  readonly set: (wish: Partial<AdviseState['wish']>) => void;
}

/** What was asked of the advisor; kept while the program runs. */
export const useAdvise = create<AdviseState>()((set) => ({
  wish: { use: undefined, cloth: undefined },
  set: (wish) => {
    set((state) => ({ wish: { ...state.wish, ...wish } }));
  },
}));
