import { createStore } from 'zustand/vanilla';
import type { RoomId } from './rooms.js';

/** Work that was left: where, what it is called, and where it is opened again. */
export interface Left {
  readonly room: RoomId;
  readonly place: string;
  readonly name: string;
  readonly path: string;
}

/** Work that was left and holds changes that could not be stored. */
export const unsettled = createStore<{ readonly left: readonly Left[] }>()(() => ({ left: [] }));
