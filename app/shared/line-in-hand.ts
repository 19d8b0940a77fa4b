import { create } from 'zustand';

interface LineInHand {
  /** The line whose field has the focus, or whose handle is out on the board, by its name in the ledger. */
  readonly line: string | undefined;
  /** Where on the bench its words stand. */
  readonly foot: HTMLElement | null;
  readonly set: (change: Partial<Omit<LineInHand, 'set'>>) => void;
}

/** The line in hand: its sum and meaning are told in one place of the bench, and of no other line at all. */
export const useLineInHand = create<LineInHand>()((set) => ({
  line: undefined,
  foot: null,
  set: (change) => {
    set(change);
  },
}));

/** Takes a line in hand; for the focus that comes into it. */
export const takeLine = (line: string) => (): void => {
  useLineInHand.getState().set({ line });
};
