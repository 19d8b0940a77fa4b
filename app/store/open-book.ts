import { proxy } from 'comlink';
import type { Decisions, WorkbookContent } from '../../core/kept/index.js';
import { takeHand } from '../shared/job.js';
import type { BookReader, Opened } from '../workers/book.worker.js';

/** A workbook file being opened in a worker: what it asks, what it brings, and the way to stop it. */
export interface OpeningBook {
  readonly asked: Promise<Opened>;
  readonly merged: (decisions: Decisions) => Promise<WorkbookContent>;
  readonly stop: () => void;
}

/** Opens a workbook file in a worker, so that the room stays at hand; nothing is kept until it is merged. */
export function openBook(file: File, here: WorkbookContent, onProgress: (share: number) => void): OpeningBook {
  const hand = takeHand<BookReader>(
    () => new Worker(new URL('../workers/book.worker.ts', import.meta.url), { type: 'module' }),
    'The workbook could not be read',
  );
  return {
    asked: hand.ask(async (reader) => await reader.read(file, here, proxy(onProgress))),
    merged: (decisions) => hand.ask((reader) => reader.merged(decisions)),
    stop: hand.stop,
  };
}
