import { createStore } from 'zustand/vanilla';

/** How the store of this browser stands: whether another window holds it in an older shape. */
export const storage = createStore<{ readonly blocked: boolean }>()(() => ({ blocked: false }));

let asked = false;

/** Asks the browser, once, to keep what is stored until its maker deletes it, though space should run short. */
export function askToPersist(): void {
  if (asked) return;
  asked = true;
  if ('navigator' in globalThis && 'storage' in navigator) void navigator.storage.persist().catch(() => false);
}
