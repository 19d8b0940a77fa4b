import type { PDFDocument, PDFPage } from '@cantoo/pdf-lib';
import { wordsOfPage, type WrittenBlock, type WrittenPage, type WrittenRow } from '../core/drawing/index.js';
import {
  drawMarks,
  newDocument,
  PT,
  rule,
  text,
  wordsWidth,
  type Face,
  type Faces,
  type LetterSource,
  type PdfHead,
} from './pdf-marks.js';
import type { Paper } from './tiles.js';

/** Margins of a written page, and the room between its columns, in mm. */
const MARGIN = 12;
const GUTTER = 6;
/** Letters and the lines they stand on, in mm. */
const TITLE = 6;
const HEADING = 3.9;
const BODY = 3.1;
const NOTE = 2.6;
const LEADING = 1.22;
/** The number of a row stands in so much of its width, a box to tick in so much, in mm. */
const MARK_WIDTH = 9;
const BOX = 3;
/** Rows, blocks and headings stand so far apart, in mm. */
const ROW_GAP = 0.7;
const BLOCK_GAP = 2.2;
/** The foot of a page, in mm from its lower edge. */
const FOOT = 6;

/** Words in lines no wider than `width`, in mm; a word that is wider is parted by its letters. */
function linesOf(face: Face, words: string, size: number, width: number): string[] {
  const widthOf = (text: string): number => wordsWidth(face, text, size);
  const gap = widthOf(' ');
  const lines: string[] = [];
  let line = '';
  let long = 0;
  for (const word of words.split(/\s+/).filter(Boolean)) {
    const more = widthOf(word);
    if (line !== '' && long + gap + more <= width) {
      line += ` ${word}`;
      long += gap + more;
      continue;
    }
    if (line !== '') lines.push(line);
    if (more <= width) {
      [line, long] = [word, more];
      continue;
    }
    line = '';
    for (const letter of word) {
      if (line !== '' && widthOf(line + letter) > width) {
        lines.push(line);
        line = '';
      }
      line += letter;
    }
    long = widthOf(line);
  }
  if (line !== '') lines.push(line);
  return lines;
}

/** Where the next thing stands: on which page, in which column, how far down. */
class Flow {
  page: PDFPage;
  private column = 0;
  y = 0;
  readonly pages: PDFPage[] = [];

  constructor(
    private readonly pdf: PDFDocument,
    private readonly paper: Paper,
    private readonly columns: 1 | 2,
    private top: number,
  ) {
    this.page = this.newPage();
    this.y = top;
  }

  get width(): number {
    return (this.paper.width - 2 * MARGIN - (this.columns - 1) * GUTTER) / this.columns;
  }

  get left(): number {
    return MARGIN + this.column * (this.width + GUTTER);
  }

  private get bottom(): number {
    return this.paper.height - MARGIN - FOOT;
  }

  private newPage(): PDFPage {
    const page = this.pdf.addPage([this.paper.width * PT, this.paper.height * PT]);
    this.pages.push(page);
    return page;
  }

  /** Goes on to the next column or page where `height` mm are not left; true where it did. */
  need(height: number): boolean {
    if (this.y + height <= this.bottom || this.y <= this.top) return false;
    if (this.column + 1 < this.columns) this.column++;
    else {
      this.page = this.newPage();
      this.column = 0;
      this.top = MARGIN;
    }
    this.y = this.top;
    return true;
  }
}

function writeLines(
  flow: Flow,
  faces: Faces,
  lines: readonly string[],
  size: number,
  indent: number,
  bold = false,
): void {
  for (const words of lines) {
    flow.need(size * LEADING);
    flow.y += size * LEADING;
    text(flow.page, faces, words, flow.left + indent, flow.y - size * (LEADING - 1), size, bold);
  }
}

function writeRow(flow: Flow, faces: Faces, { mark, words, note, box }: WrittenRow): void {
  const indent = (mark === undefined ? 0 : MARK_WIDTH) + (box ? BOX + 2 : 0);
  const width = flow.width - indent;
  const lines = linesOf(faces.regular, words, BODY, width);
  const small = note === undefined ? [] : linesOf(faces.regular, note, NOTE, width);
  flow.need((lines.length * BODY + small.length * NOTE) * LEADING);
  const top = flow.y;
  if (mark !== undefined) text(flow.page, faces, mark, flow.left, top + BODY, BODY, true);
  if (box) {
    const left = flow.left + (mark === undefined ? 0 : MARK_WIDTH);
    const [right, low] = [left + BOX, top + 0.4 + BOX];
    rule(flow.page, left, top + 0.4, right, top + 0.4, 0.2);
    rule(flow.page, left, low, right, low, 0.2);
    rule(flow.page, left, top + 0.4, left, low, 0.2);
    rule(flow.page, right, top + 0.4, right, low, 0.2);
  }
  writeLines(flow, faces, lines, BODY, indent);
  writeLines(flow, faces, small, NOTE, indent);
  flow.y += ROW_GAP;
}

/** How wide the columns of a table are, in mm: by their longest words, shrunk alike where they are too wide. */
function columnWidths(faces: Faces, rows: readonly (readonly string[])[], width: number): number[] {
  const count = Math.max(...rows.map((r) => r.length));
  const wanted = Array.from({ length: count }, (_, i) =>
    Math.max(...rows.map((r) => wordsWidth(faces.bold, r[i] ?? '', BODY) + 3)),
  );
  const all = wanted.reduce((sum, w) => sum + w, 0);
  return all <= width ? wanted : wanted.map((w) => (w * width) / all);
}

function writeTable(flow: Flow, faces: Faces, head: readonly string[], rows: readonly (readonly string[])[]): void {
  const widths = columnWidths(faces, [head, ...rows], flow.width);
  const write = (row: readonly string[], bold: boolean): void => {
    const face = bold ? faces.bold : faces.regular;
    const cells = row.map((words, i) => linesOf(face, words, BODY, (widths[i] ?? 0) - 1));
    const high = Math.max(1, ...cells.map((c) => c.length)) * BODY * LEADING;
    flow.need(high);
    let left = flow.left;
    cells.forEach((lines, i) => {
      lines.forEach((words, j) => {
        text(flow.page, faces, words, left, flow.y + BODY + j * BODY * LEADING, BODY, bold);
      });
      left += widths[i] ?? 0;
    });
    flow.y += high + 0.5;
  };
  write(head, true);
  rule(flow.page, flow.left, flow.y, flow.left + flow.width, flow.y, 0.15);
  flow.y += 0.6;
  for (const row of rows) write(row, false);
}

/** How high a sketch comes out in a column, in mm. */
function sketchSize(flow: Flow, block: WrittenBlock | undefined): number {
  if (block?.as !== 'sketch') return 0;
  return block.drawing.height * Math.min(1 / block.scale, flow.width / block.drawing.width);
}

/** The longer side of a picture on a page at the most, in mm. */
const PICTURE = 110;

/** A picture with what is said of it below, no larger than the column. */
async function writePicture(
  flow: Flow,
  faces: Faces,
  { jpeg, width, height, label }: Extract<WrittenBlock, { as: 'picture' }>,
  paper: Paper,
): Promise<void> {
  const scale = Math.min(PICTURE / Math.max(width, height), flow.width / width);
  const [wide, high] = [width * scale, height * scale];
  const words = linesOf(faces.regular, label, NOTE, flow.width);
  flow.need(high + words.length * NOTE * LEADING);
  const image = await flow.page.doc.embedJpg(jpeg);
  flow.page.drawImage(image, {
    x: flow.left * PT,
    y: (paper.height - flow.y - high) * PT,
    width: wide * PT,
    height: high * PT,
  });
  flow.y += high;
  writeLines(flow, faces, words, NOTE, 0);
  flow.y += BLOCK_GAP;
}

async function writeBlock(
  flow: Flow,
  faces: Faces,
  block: WrittenBlock,
  next: WrittenBlock | undefined,
  paper: Paper,
): Promise<void> {
  if (block.as === 'heading') {
    const lines = linesOf(faces.bold, block.words, HEADING, flow.width);
    // A heading does not stand alone at the foot of a column.
    if (!flow.need(lines.length * HEADING * LEADING + 6 * BODY + sketchSize(flow, next))) flow.y += BLOCK_GAP;
    writeLines(flow, faces, lines, HEADING, 0, true);
    flow.y += 0.8;
  } else if (block.as === 'paragraph') {
    writeLines(flow, faces, linesOf(faces.regular, block.words, BODY, flow.width), BODY, 0);
    flow.y += BLOCK_GAP;
  } else if (block.as === 'list') {
    for (const row of block.rows) writeRow(flow, faces, row);
    flow.y += BLOCK_GAP - ROW_GAP;
  } else if (block.as === 'table') {
    writeTable(flow, faces, block.head, block.rows);
    flow.y += BLOCK_GAP;
  } else if (block.as === 'picture') {
    await writePicture(flow, faces, block, paper);
  } else {
    const scale = Math.min(1 / block.scale, flow.width / block.drawing.width);
    const high = sketchSize(flow, block);
    flow.need(high);
    const window = { ox: 0, oy: 0, left: flow.left, top: flow.y, scale };
    drawMarks(flow.page, block.drawing.marks, window, paper.height, faces, PT);
    flow.y += high + BLOCK_GAP;
  }
}

/**
 * Pages of words, figures and sketches as a PDF on an office paper, each of them begun on a page of its own; every page
 * says at its foot what it is of and which of how many. `onBlock` hears how far it is.
 */
export async function sheetsPdf(
  written: readonly WrittenPage[],
  head: PdfHead,
  paper: Paper,
  letters: LetterSource,
  onBlock?: (done: number, all: number) => void,
): Promise<Uint8Array> {
  const { pdf, faces } = await newDocument(head, written.flatMap(wordsOfPage), letters);
  const all = written.reduce((sum, { blocks }) => sum + blocks.length, 0);
  let done = 0;
  const pages: PDFPage[] = [];
  for (const { title, columns, blocks } of written) {
    const lines = [title, head.title].filter((l, i, all) => all.indexOf(l) === i);
    const top = MARGIN + TITLE * LEADING + head.lines.length * BODY * LEADING + BLOCK_GAP;
    const flow = new Flow(pdf, paper, columns, top);
    text(flow.page, faces, lines.join(': '), MARGIN, MARGIN + TITLE, TITLE, true);
    head.lines.forEach((l, i) => {
      text(flow.page, faces, l, MARGIN, MARGIN + TITLE * LEADING + (i + 1) * BODY * LEADING, BODY);
    });
    for (const [i, block] of blocks.entries()) {
      await writeBlock(flow, faces, block, blocks[i + 1], paper);
      done += 1;
      onBlock?.(done, all);
    }
    pages.push(...flow.pages);
  }
  pages.forEach((page, i) => {
    const foot = `${head.title} · ${head.lines.at(-1) ?? ''} · page ${i + 1} of ${pages.length}`;
    text(page, faces, foot, MARGIN, paper.height - FOOT, NOTE);
  });
  return pdf.save({ useObjectStreams: false });
}
