import { expose } from 'comlink';
import type { Drawing, WrittenPage } from '../../core/drawing/index.js';
import type { Paper } from '../../formats/index.js';
import { rollPdf, tiledPdf, type Ink, type PdfHead } from '../../formats/pdf.js';
import { sheetsPdf } from '../../formats/sheet-pdf.js';
import { letterFiles } from './letter-files.js';

const printer = {
  /** A drawing as a PDF on a paper, or on one sheet for a roll where no paper is given. */
  pdf(
    drawing: Drawing,
    head: PdfHead,
    paper: Paper | undefined,
    choice: { readonly ink: Ink; readonly only?: readonly number[] | undefined },
    onPage: (done: number, all: number) => void,
  ): Promise<Uint8Array> {
    return paper
      ? tiledPdf(drawing, head, paper, letterFiles, { ...choice, onPage })
      : rollPdf(drawing, head, letterFiles, choice.ink);
  },
  /** Written pages as a PDF. */
  sheets(
    pages: readonly WrittenPage[],
    head: PdfHead,
    paper: Paper,
    onBlock: (done: number, all: number) => void,
  ): Promise<Uint8Array> {
    return sheetsPdf(pages, head, paper, letterFiles, onBlock);
  },
};

/** What the print worker does. */
export type Printer = typeof printer;

expose(printer);
