import { create } from 'zustand';
import type { KeyActs } from '../shared/keymap.js';

/** What may lie over any page: find, settings, the sheet of keys, the words of the trade. */
export type DialogId = 'find' | 'settings' | 'keys' | 'words';

interface DialogState {
  readonly open: DialogId | undefined;
  /** The term that is shown among the words of the trade. */
  readonly term: string | undefined;
  readonly show: (open: DialogId | undefined, term?: string) => void;
}

/** Which dialog is open; pages and keys open one, the head shows it. */
export const useDialogs = create<DialogState>()((set) => ({
  open: undefined,
  term: undefined,
  show: (open, term) => {
    set({ open, term });
  },
}));

/** The keys that every page answers: Ctrl K finds, `?` shows the keys. */
export const DIALOG_KEYS: KeyActs = {
  '$mod+k': () => {
    useDialogs.getState().show('find');
  },
  '?': () => {
    useDialogs.getState().show('keys');
  },
};
