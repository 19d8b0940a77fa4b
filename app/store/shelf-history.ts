import { create } from 'zustand';
import type { KeptDraft, Person, WorkbookContent } from '../../core/kept/index.js';
import type { ShelfChange } from './database.js';
import type { RoomId } from './rooms.js';

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
  backward: { remove: { drafts: [draft.id], ...(isNewPerson ? { people: [person.id] } : {}) } },
});

/** Takes a draft from the shelf. */
export const removeAct = (draft: KeptDraft): ShelfAct => ({
  said: `Deleted “${draft.name}”`,
  forward: { remove: { drafts: [draft.id] } },
  backward: { put: { drafts: [draft] } },
});

/** Puts another version of a draft in its place. */
export const replaceAct = (said: string, before: KeptDraft, after: KeptDraft): ShelfAct => ({
  said,
  forward: { put: { drafts: [after] } },
  backward: { put: { drafts: [before] } },
});

/** Puts something in the place of what was there: undoing puts that back, and takes away what is new. */
export function changeAct(said: string, before: WorkbookContent, put: Partial<WorkbookContent>): ShelfAct {
  const kinds = ['people', 'drafts', 'charts'] as const;
  const ids = (items: readonly { readonly id: string }[] = []): Set<string> => new Set(items.map((i) => i.id));
  const backPut: Record<string, unknown> = {};
  const backRemove: Record<string, string[]> = {};
  for (const kind of kinds) {
    const touched = ids(put[kind]);
    backPut[kind] = before[kind].filter((item) => touched.has(item.id));
    const had = ids(before[kind]);
    backRemove[kind] = [...touched].filter((id) => !had.has(id));
  }
  return { said, forward: { put }, backward: { put: backPut, remove: backRemove } };
}

/** Takes people, drafts and charts away; undoing puts them back. */
export function takeAwayAct(said: string, gone: Partial<WorkbookContent>): ShelfAct {
  const ids = (items: readonly { readonly id: string }[] = []): string[] => items.map((i) => i.id);
  return {
    said,
    forward: { remove: { people: ids(gone.people), drafts: ids(gone.drafts), charts: ids(gone.charts) } },
    backward: { put: gone },
  };
}
