import type { Work } from '../../core/kept/index.js';
import { startAutosave, type Autosave } from '../store/autosave.js';
import type { Revisions } from '../store/database.js';
import type { RoomId } from '../store/rooms.js';
import { openWork, type OpenWork } from '../store/work-store.js';

/** Work that is open, and the saving of it. */
export interface Opened {
  readonly open: OpenWork;
  readonly autosave: Autosave;
}

/** Work that was opened stays open while the program runs, so that its undo reaches back across visits. */
const opened = new Map<string, Opened>();

function openOnce(room: RoomId, work: Work, revisions: Revisions, keepsDraft: boolean): Opened {
  const key = `${room} ${work.draft.id}`;
  const known = opened.get(key);
  if (known) return known;
  const open = openWork(work);
  const fresh = { open, autosave: startAutosave(room, open, revisions, keepsDraft) };
  opened.set(key, fresh);
  return fresh;
}

/** Forgets what was open in a room, after its shelf was changed from outside the board. */
export function closeWork(room: RoomId, draftId: string): void {
  const key = `${room} ${draftId}`;
  opened.get(key)?.autosave.stop();
  opened.delete(key);
}

/**
 * Opens work from the shelf. What is still open is used as it is, with its undo, unless the shelf has moved on while it
 * lay untouched: renamed, undone, opened from a file, or changed in another window. `keepsDraft` false opens a person
 * who is only being measured: the draft beside them is not saved.
 */
export function openFromShelf(room: RoomId, shelved: Work, revisions: Revisions, keepsDraft = true): Opened {
  const known = opened.get(`${room} ${shelved.draft.id}`);
  if (known?.autosave.state.getState().save === 'saved') {
    const last = known.autosave.revisions();
    if (revisions.draft > last.draft || revisions.person > last.person) closeWork(room, shelved.draft.id);
  }
  return openOnce(room, shelved, revisions, keepsDraft);
}
