import { expose } from 'comlink';
import type { Drawing } from '../../core/drawing/index.js';
import type { Paper } from '../../formats/index.js';
import { rollPdf, tiledPdf, type PdfHead } from '../../formats/pdf.js';
import { letterFiles } from './letter-files.js';

const printer = {
  /** A drawing as a PDF on a paper, or on one sheet for a roll where no paper is given. */
  pdf(
    drawing: Drawing,
    head: PdfHead,
    paper: Paper | undefined,
    onPage: (done: number, all: number) => void,
  ): Promise<Uint8Array> {
    return paper ? tiledPdf(drawing, head, paper, letterFiles, undefined, onPage) : rollPdf(drawing, head, letterFiles);
  },
};

/** What the print worker does. */
export type Printer = typeof printer;

expose(printer);
