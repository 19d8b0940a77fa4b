import { create } from 'zustand';

interface StepsState {
  /** The step that is shown, from 0. */
  readonly at: number;
  readonly playing: boolean;
  readonly set: (change: Partial<Omit<StepsState, 'set'>>) => void;
}

/** Where one is in the worked steps; kept while the program runs. */
export const useSteps = create<StepsState>()((set) => ({
  at: 0,
  playing: false,
  set: (change) => {
    set(change);
  },
}));
