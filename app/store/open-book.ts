import { proxy, wrap } from 'comlink';
import type { Decisions, WorkbookContent } from '../../core/kept/index.js';
import type { BookReader, Opened } from '../workers/book.worker.js';

/** A workbook file being opened in a worker: what it asks, what it brings, and the way to stop it. */
export interface OpeningBook {
  readonly asked: Promise<Opened>;
  readonly merged: (decisions: Decisions) => Promise<WorkbookContent>;
  readonly stop: () => void;
}

/** Opens a workbook file in a worker, so that the room stays at hand; nothing is kept until it is merged. */
export function openBook(file: File, here: WorkbookContent, onProgress: (share: number) => void): OpeningBook {
  const worker = new Worker(new URL('../workers/book.worker.ts', import.meta.url), { type: 'module' });
  const reader = wrap<BookReader>(worker);
  const asked = new Promise<Opened>((done, fail) => {
    worker.onerror = () => {
      fail(new Error('The workbook could not be read'));
    };
    file
      .text()
      .then((text) => reader.read(text, here, proxy(onProgress)) as Promise<Opened>)
      .then(done, fail);
  });
  return {
    asked,
    merged: (decisions) => reader.merged(decisions),
    stop: () => {
      worker.terminate();
    },
  };
}
