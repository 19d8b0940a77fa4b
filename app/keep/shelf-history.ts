import { create } from 'zustand';
import type { KeptDraft, Person } from '../../core/kept/index.js';
import type { ShelfChange } from '../store/queries.js';
import type { RoomId } from '../store/rooms.js';

/** An act on the shelf with what undoes it. */
export interface ShelfAct {
  readonly said: string;
  readonly forward: ShelfChange;
  readonly backward: ShelfChange;
}

interface ShelfHistory {
  readonly past: Readonly<Record<RoomId, readonly ShelfAct[]>>;
  readonly future: Readonly<Record<RoomId, readonly ShelfAct[]>>;
  readonly did: (room: RoomId, act: ShelfAct) => void;
  /** Takes the last act off and gives it back to be undone. */
  readonly takeBack: (room: RoomId) => ShelfAct | undefined;
  /** Takes the last undone act and gives it back to be done again. */
  readonly takeAgain: (room: RoomId) => ShelfAct | undefined;
}

const NONE: Readonly<Record<RoomId, readonly ShelfAct[]>> = { own: [], demo: [] };

/** What was done to the shelves, so that every act can be undone and done again. */
export const useShelfHistory = create<ShelfHistory>()((set, get) => ({
  past: NONE,
  future: NONE,
  did: (room, act) => {
    const { past, future } = get();
    set({ past: { ...past, [room]: [...past[room], act] }, future: { ...future, [room]: [] } });
  },
  takeBack: (room) => {
    const { past, future } = get();
    const act = past[room].at(-1);
    if (act)
      set({
        past: { ...past, [room]: past[room].slice(0, -1) },
        future: { ...future, [room]: [...future[room], act] },
      });
    return act;
  },
  takeAgain: (room) => {
    const { past, future } = get();
    const act = future[room].at(-1);
    if (act)
      set({
        past: { ...past, [room]: [...past[room], act] },
        future: { ...future, [room]: future[room].slice(0, -1) },
      });
    return act;
  },
}));

/** Puts a person and a draft on the shelf. */
export const putAct = (said: string, person: Person, draft: KeptDraft, isNewPerson: boolean): ShelfAct => ({
  said,
  forward: { put: { people: isNewPerson ? [person] : [], drafts: [draft] } },
  backward: { removeDrafts: [draft.id], ...(isNewPerson ? { removePeople: [person.id] } : {}) },
});

/** Takes a draft from the shelf. */
export const removeAct = (draft: KeptDraft): ShelfAct => ({
  said: `Deleted “${draft.name}”`,
  forward: { removeDrafts: [draft.id] },
  backward: { put: { people: [], drafts: [draft] } },
});

/** Puts another version of a draft in its place. */
export const replaceAct = (said: string, before: KeptDraft, after: KeptDraft): ShelfAct => ({
  said,
  forward: { put: { people: [], drafts: [after] } },
  backward: { put: { people: [], drafts: [before] } },
});
