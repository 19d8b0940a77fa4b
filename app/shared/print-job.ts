import { proxy } from 'comlink';
import type { Drawing, WrittenPage } from '../../core/drawing/index.js';
import type { Paper } from '../../formats/index.js';
import type { Ink, PdfHead } from '../../formats/pdf.js';
import type { Printer } from '../workers/print.worker.js';
import { runJob, type Job } from './job.js';

const printer = (): Worker => new Worker(new URL('../workers/print.worker.ts', import.meta.url), { type: 'module' });

/** What is chosen of a print: its ink, and the pages where not all are wanted. */
export interface PrintWish {
  readonly ink: Ink;
  readonly only?: readonly number[] | undefined;
}

/** Has a PDF made in a worker, so that the room stays at hand meanwhile. */
export const startPrint = (
  drawing: Drawing,
  head: PdfHead,
  paper: Paper | undefined,
  wish: PrintWish,
  onPage: (done: number, all: number) => void,
): Job<Uint8Array> =>
  runJob<Printer, Uint8Array>(printer, 'The print could not be made', (at) =>
    at.pdf(drawing, head, paper, wish, proxy(onPage)),
  );

/** Has written pages made a PDF in a worker. */
export const startSheets = (
  pages: readonly WrittenPage[],
  head: PdfHead,
  paper: Paper,
  onBlock: (done: number, all: number) => void,
): Job<Uint8Array> =>
  runJob<Printer, Uint8Array>(printer, 'The sheet could not be made', (at) =>
    at.sheets(pages, head, paper, proxy(onBlock)),
  );
