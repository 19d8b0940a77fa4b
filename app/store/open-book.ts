import { proxy } from 'comlink';
import type { Decisions, WorkbookContent } from '../../core/kept/index.js';
import { runJob, takeHand } from '../shared/job.js';
import type { BookKeeper, Opened } from '../workers/book.worker.js';
import type { RoomId } from './rooms.js';

const newWorker = (): Worker => new Worker(new URL('../workers/book.worker.ts', import.meta.url), { type: 'module' });

/** A workbook file being opened in a worker: what it asks, what it brings, and the way to stop it. */
export interface OpeningBook {
  readonly asked: Promise<Opened>;
  /** Puts the photos of the file into the room, and gives what else has to be put there. */
  readonly merged: (decisions: Decisions, room: RoomId) => Promise<WorkbookContent>;
  readonly stop: () => void;
}

/** Opens a workbook file in a worker, so that the room stays at hand; nothing is kept until it is merged. */
export function openBook(file: File, here: WorkbookContent, onProgress: (share: number) => void): OpeningBook {
  const hand = takeHand<BookKeeper>(newWorker, 'The workbook could not be read');
  return {
    asked: hand.ask(async (reader) => await reader.read(file, here, proxy(onProgress))),
    merged: (decisions, room) => hand.ask((reader) => reader.merged(decisions, room)),
    stop: hand.stop,
  };
}

/** Writes a workbook file in a worker, with the photos of the room where they are wanted. Rejects where it cannot be made. */
export const writeBook = (content: WorkbookContent, photosOf: RoomId | undefined): Promise<Blob> =>
  runJob<BookKeeper, Blob>(newWorker, 'The workbook could not be written', (keeper) => keeper.write(content, photosOf))
    .answer;
