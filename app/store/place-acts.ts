import { changeBack, type Act, type RecordChange } from '../../core/kept/index.js';
import { newAct, writeBatch, type Written } from './change-log.js';
import { contentOf, readActs, readShelf } from './database.js';
import { showActs, wroteRecords } from './queries.js';
import type { RoomId } from './rooms.js';
import { shelfChanges, type ShelfChange } from './shelf-change.js';

/** The acts of a place that can be undone, oldest first, and those that were, the next to be done again first. */
export function pastAndFuture(acts: readonly Act[]): {
  readonly past: readonly Act[];
  readonly future: readonly Act[];
} {
  return { past: acts.filter((a) => !a.undone), future: acts.filter((a) => a.undone) };
}

let turn: Promise<unknown> = Promise.resolve();

/**
 * Does one thing after the other, however fast a hand is: what is undone is then the last thing that was done, also where
 * that was still being written when undo was pressed.
 */
export function inTurn<T>(write: () => Promise<T>): Promise<T> {
  const done = turn.then(write);
  turn = done.catch(() => undefined);
  return done;
}

async function written(
  room: RoomId,
  changes: readonly RecordChange[],
  act: Act,
  drop: readonly string[],
): Promise<Written> {
  const follows = { changed: new Date().toISOString() };
  const outcome = await writeBatch(room, { changes, put: [act], drop, follows });
  if (outcome.ok) {
    showActs(room, act.place, [act], drop);
    wroteRecords(room, outcome.records);
  }
  return outcome;
}

/** Does something at a place; what was undone there can then no longer be done again. Rejects where nothing is stored. */
export const doAt = (
  room: RoomId,
  place: string,
  said: string,
  changes: readonly RecordChange[],
  acts: readonly Act[],
): Promise<Written> =>
  written(
    room,
    changes,
    newAct(place, said, changes),
    pastAndFuture(acts).future.map(({ id }) => id),
  );

/** Undoes an act, where what it changed is still as it left it. Rejects where nothing is stored. */
export const undoAct = (room: RoomId, act: Act): Promise<Written> =>
  written(room, act.changes.map(changeBack), { ...act, undone: true }, []);

/** Does an act again that was undone, where what it changes is as it found it. Rejects where nothing is stored. */
export const redoAct = (room: RoomId, act: Act): Promise<Written> =>
  written(room, act.changes, { ...act, undone: false }, []);

/**
 * Steps to the state after an act of a place, or before all of them: what was done later is undone, last first, or what
 * was undone is done again. Stops at the first that no longer fits and gives what became of it.
 */
export async function stepTo(
  room: RoomId,
  acts: readonly Act[],
  target: Act | undefined,
): Promise<Written | undefined> {
  let outcome: Written | undefined;
  for (const [step, act] of stepsTo(acts, target)) {
    outcome = await (step === 'undo' ? undoAct : redoAct)(room, act);
    if (!outcome.ok) break;
  }
  return outcome;
}

/** What has to be undone, last first, or done again for the state after an act, or before all of them. */
export function stepsTo(acts: readonly Act[], target: Act | undefined): (readonly ['undo' | 'redo', Act])[] {
  const { past, future } = pastAndFuture(acts);
  const at = (list: readonly Act[]): number => list.findIndex(({ id }) => id === target?.id);
  if (at(future) !== -1) return future.slice(0, at(future) + 1).map((act) => ['redo', act] as const);
  return past
    .slice(at(past) + 1)
    .reverse()
    .map((act) => ['undo', act] as const);
}

/** Does something on the shelf of a room from without, on what is kept there now. Rejects where nothing is stored. */
export async function doOnShelf(room: RoomId, said: string, change: ShelfChange): Promise<Written> {
  const [shelf, acts] = [await readShelf(room), await readActs(room, 'shelf')];
  return doAt(room, 'shelf', said, shelfChanges(contentOf(shelf), change), acts);
}
