import type { Act, Work } from '../../core/kept/index.js';
import { startAutosave, type Autosave } from './autosave.js';
import { readActs, readRecord } from './database.js';
import { writeNoted } from './journal.js';
import type { RoomId } from './rooms.js';
import { unsettled, type Left } from './unsettled.js';
import { openWork, type OpenWork } from './open-work.js';

/** Work that is open, and the saving of it. */
export interface Opened {
  readonly room: RoomId;
  readonly open: OpenWork;
  readonly autosave: Autosave;
}

/** A draft with its person and with what was done to it, as they are kept. */
export interface Shelved {
  readonly work: Work;
  readonly acts: readonly Act[];
}

/** What is open, by its place: on the board, or left while it could not be stored yet. */
const opened = new Map<string, Opened>();

const keyOf = (room: RoomId, place: string): string => `${room} ${place}`;

/** Reads a draft, its person and what was done to it; nothing where either is not there. */
export async function readShelved(room: RoomId, draftId: string): Promise<Shelved | null> {
  await writeNoted(room, `draft:${draftId}`);
  const draft = await readRecord(room, 'draft', draftId);
  const person = draft && (await readRecord(room, 'person', draft.value.personId));
  if (!draft || !person) return null;
  return {
    work: { person: person.value, draft: draft.value },
    acts: await readActs(room, `draft:${draftId}`),
  };
}

/**
 * Opens work from the shelf. What was left before it could be stored is taken up as it is, with its changes.
 * `keepsDraft` false opens a person who is only being measured: the draft beside them is not saved.
 */
export function openFromShelf(room: RoomId, { work, acts }: Shelved, place: string, keepsDraft = true): Opened {
  const key = keyOf(room, place);
  const known = opened.get(key);
  if (known) {
    unsettled.setState(({ left }) => ({ left: left.filter((l) => l.room !== room || l.place !== place) }));
    return known;
  }
  const open = openWork(work, acts, place);
  const fresh = { room, open, autosave: startAutosave(room, open, keepsDraft) };
  opened.set(key, fresh);
  return fresh;
}

const leftOf = ({ room, open }: Opened): Left => {
  const { person, draft } = open.state.getState().work;
  const { place } = open;
  return place === `draft:${draft.id}`
    ? { room, place, name: `“${draft.name}”`, path: `/${room}/draft/${draft.id}/draft` }
    : { room, place, name: person.name, path: `/${room}/person/${person.id}` };
};

/** How many views hold a piece of work open. */
const holders = new Map<Opened, number>();

/** Holds work open until it is let go of by what is given back. */
export function holdWork(held: Opened): () => void {
  holders.set(held, (holders.get(held) ?? 0) + 1);
  return () => {
    holders.set(held, (holders.get(held) ?? 1) - 1);
    // A view that is only laid out anew takes hold again at once.
    setTimeout(() => {
      leaveWork(held);
    });
  };
}

/** Leaves work that nobody holds: it is forgotten once everything is stored, and told of on the shelf until it is. */
function leaveWork(left: Opened): void {
  const { room, open, autosave } = left;
  const key = keyOf(room, open.place);
  const isLeft = (): boolean => (holders.get(left) ?? 0) === 0 && opened.get(key) === left;
  if (!isLeft()) return;
  autosave.flush();
  const settle = (): boolean => {
    const { save } = autosave.state.getState();
    if (save === 'saving' && isLeft()) return false;
    if (isLeft() && save === 'saved') {
      autosave.stop();
      opened.delete(key);
      holders.delete(left);
    } else if (isLeft()) unsettled.setState(({ left: others }) => ({ left: [...others, leftOf(left)] }));
    return true;
  };
  if (settle()) return;
  const end = autosave.state.subscribe(() => {
    if (settle()) end();
  });
}
