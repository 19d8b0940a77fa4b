import { expose } from 'comlink';
import regularUrl from '@fontsource/source-sans-3/files/source-sans-3-latin-400-normal.woff?url';
import boldUrl from '@fontsource/source-sans-3/files/source-sans-3-latin-600-normal.woff?url';
import type { Drawing, Paper } from '../../formats/index.js';
import { rollPdf, tiledPdf, type PdfFonts, type PdfHead } from '../../formats/pdf.js';

let fonts: Promise<PdfFonts> | undefined;

async function letters(url: string): Promise<Uint8Array> {
  const answer = await fetch(url);
  if (!answer.ok) throw new Error('The letters for the print could not be read');
  return new Uint8Array(await answer.arrayBuffer());
}

const loadFonts = (): Promise<PdfFonts> =>
  (fonts ??= Promise.all([letters(regularUrl), letters(boldUrl)]).then(([regular, bold]) => ({ regular, bold })));

const printer = {
  /** A drawing as a PDF on a paper, or on one sheet for a roll where no paper is given. */
  async pdf(
    drawing: Drawing,
    head: PdfHead,
    paper: Paper | undefined,
    onPage: (done: number, all: number) => void,
  ): Promise<Uint8Array> {
    const letter = await loadFonts();
    return paper ? tiledPdf(drawing, head, paper, letter, undefined, onPage) : rollPdf(drawing, head, letter);
  },
};

/** What the print worker does. */
export type Printer = typeof printer;

expose(printer);
