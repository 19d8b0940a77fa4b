import { create } from 'zustand';

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

/** True where a key that acts alone is meant for what has the focus. */
export const isTyping = (target: EventTarget | null): boolean =>
  target instanceof HTMLInputElement || target instanceof HTMLSelectElement || target instanceof HTMLTextAreaElement;

/** Opens what a key asks for on every page: Ctrl K finds, `?` shows the keys. True where the key was one of them. */
export function dialogByKey(event: KeyboardEvent): boolean {
  const { show } = useDialogs.getState();
  if ((event.ctrlKey || event.metaKey) && event.key.toLowerCase() === 'k') show('find');
  else if (event.key === '?' && !isTyping(event.target) && !event.ctrlKey && !event.altKey) show('keys');
  else return false;
  event.preventDefault();
  return true;
}
