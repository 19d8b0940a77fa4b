import { Zip, ZipDeflate, ZipPassThrough, strToU8 } from 'fflate';
import { finished, toldOf, type BatchInput, type Making } from '../core/batch/index.js';
import { chalkPages, chalkSheet, type ChalkChoice } from '../core/chalk/index.js';
import { grownWords } from '../core/cloth/index.js';
import { DRAW_ALL, pieceSheet } from '../core/drawing/index.js';
import { specOf, specPage } from '../core/make/index.js';
import { cutListOf } from '../core/piece/index.js';
import { formatFigure, tapeFor } from '../core/units/index.js';
import { batchCsv, type BatchLine } from './batch-csv.js';
import { cutListCsv } from './cut-list-csv.js';
import { toDxf } from './dxf/release-12.js';
import { fileNames, plainName } from './file-name.js';
import { pagedDrawing } from './paged.js';
import type { Ink, LetterSource, PdfHead } from './pdf-marks.js';
import { rollPdf, tiledPdf } from './pdf.js';
import { sheetsPdf } from './sheet-pdf.js';
import { toSvg } from './svg.js';
import type { Paper } from './tiles.js';

/** What may be written for each body. */
export const BATCH_KINDS = ['pdf', 'dxf', 'svg', 'chalk', 'cutList', 'spec'] as const;

/** A kind of file of a batch. */
export type BatchKind = (typeof BATCH_KINDS)[number];

/** A body whose files are written. */
export interface BatchFile {
  readonly name: string;
  /** When it was measured, or the chart that it is of. */
  readonly note: string;
  readonly input: BatchInput;
  readonly making: Making;
}

/** How the files of a batch are written. */
export interface BatchPrint {
  readonly title: string;
  readonly date: Date;
  readonly kinds: readonly BatchKind[];
  /** The paper of the full size print; one sheet for a roll without it. */
  readonly paper: Paper | undefined;
  /** The paper of written sheets. */
  readonly sheets: Paper;
  readonly ink: Ink;
  readonly chalk: ChalkChoice;
  /** Other files that go along, by their names. */
  readonly along: readonly { readonly name: string; readonly text: string }[];
}

const day = (date: Date): string => date.toISOString().slice(0, 10);

/** The files of one body by the end of their names. */
async function filesOf(
  { name, note, input, making }: BatchFile,
  print: BatchPrint,
  letters: LetterSource,
): Promise<{ readonly told: BatchLine['row']; readonly files: readonly (readonly [string, string | Uint8Array])[] }> {
  const applied = finished(making, input);
  const told = toldOf(applied, making.unit);
  if (!applied.ok) return { told, files: [] };
  const { draft, styled, pieces } = applied;
  const { unit, allowances } = making;
  const person = note === '' ? name : `${name}, ${note}`;
  const method = draft.worked.sheet.name + grownWords(making.cloths);
  const head: PdfHead = { title: print.title, lines: [person, method], date: print.date };
  const labels = {
    title: print.title,
    person,
    method,
    date: day(print.date),
    allowance: (mm: number) => formatFigure(mm, tapeFor(unit)),
  };
  const make: Readonly<Record<BatchKind, () => Promise<readonly [string, string | Uint8Array]>>> = {
    pdf: async () => [
      '.pdf',
      print.paper
        ? await tiledPdf(pagedDrawing(pieces, labels, print.paper).drawing, head, print.paper, letters, {
            ink: print.ink,
          })
        : await rollPdf(pieceSheet(pieces, labels), head, letters, print.ink),
    ],
    dxf: () => Promise.resolve(['.dxf', toDxf(pieceSheet(pieces, labels, DRAW_ALL))]),
    svg: () => Promise.resolve(['.svg', toSvg(pieceSheet(pieces, labels, DRAW_ALL), `${print.title}, ${name}`)]),
    chalk: async () => {
      const sheet = chalkSheet({ draft, styled, pieces, allowances, unit }, print.chalk);
      return [' chalk sheet.pdf', await sheetsPdf([chalkPages(sheet)], head, print.sheets, letters)];
    },
    cutList: () => Promise.resolve([' cut list.csv', cutListCsv(cutListOf(pieces), styled.trimmings)]),
    spec: async () => {
      const page = specPage([{ name, lines: specOf(styled, unit) }], unit);
      return [' spec sheet.pdf', await sheetsPdf([page], head, print.sheets, letters)];
    },
  };
  const files: (readonly [string, string | Uint8Array])[] = [];
  for (const kind of print.kinds) files.push(await make[kind]());
  return { told, files };
}

/**
 * Files of many bodies in one zip: those of each body under its name, a table that tells of all, and what goes along.
 * `onDone` is told how many bodies are done. Rejects where a letter of the print cannot be read.
 */
export async function batchFiles(
  bodies: readonly BatchFile[],
  print: BatchPrint,
  letters: LetterSource,
  onDone: (done: number) => void,
): Promise<Uint8Array<ArrayBuffer>> {
  const parts: Uint8Array[] = [];
  let fault: Error | undefined;
  const zip = new Zip((error, data) => {
    if (error) fault = error;
    else parts.push(data);
  });
  const add = (name: string, content: string | Uint8Array): void => {
    const bytes = typeof content === 'string' ? strToU8(content) : content;
    // A PDF is packed already.
    const file = name.endsWith('.pdf') ? new ZipPassThrough(name) : new ZipDeflate(name, { level: 6 });
    file.mtime = print.date;
    zip.add(file);
    file.push(bytes, true);
  };
  const SUMMARY = 'summary.csv';
  const fileFor = fileNames([SUMMARY, ...print.along.map((f) => f.name)]);
  const lines: BatchLine[] = [];
  for (const [i, body] of bodies.entries()) {
    const { told, files } = await filesOf(body, print, letters);
    const stem = fileFor(plainName(body.name, 'person'), '');
    for (const [ending, content] of files) add(`${stem}${ending}`, content);
    const file = files.map(([ending]) => `${stem}${ending}`).join('; ');
    lines.push({ name: body.name, measured: body.note, file, row: told, unit: body.making.unit });
    onDone(i + 1);
  }
  add(SUMMARY, batchCsv(lines));
  for (const { name, text } of print.along) add(name, text);
  zip.end();
  if (fault) throw fault;
  const all = new Uint8Array(parts.reduce((sum, p) => sum + p.length, 0));
  let at = 0;
  for (const part of parts) {
    all.set(part, at);
    at += part.length;
  }
  return all;
}
