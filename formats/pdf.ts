import { PDFName, popGraphicsState, type PDFDocument } from '@cantoo/pdf-lib';
import type { Drawing } from '../core/drawing/index.js';
import { clipTo, drawMarks, newDocument, PT, type Ink, type LetterSource, type PdfHead } from './pdf-marks.js';
import { drawOverview, drawTileMarks } from './pdf-pages.js';
import { boxesTouch, HOUSE_TILING, markBox, planTiles, type Paper, type Tiling } from './tiles.js';

export type { Ink, LetterFiles, LetterSource, PdfHead } from './pdf-marks.js';

/** A page side may not be longer than this many points; beyond it the page's unit grows (PDF 1.6, UserUnit). */
const LONGEST_SIDE = 14400;

const wordsOf = ({ marks }: Drawing): string[] => marks.flatMap((m) => (m.kind === 'text' ? [m.text] : []));

/** Nothing but the bytes of a PDF. */
const saved = (pdf: PDFDocument): Promise<Uint8Array> => pdf.save({ useObjectStreams: false });

/** What is chosen of a print. */
export interface PrintChoice {
  readonly tiling?: Tiling;
  /** Hears how many pages are done. */
  readonly onPage?: ((done: number, all: number) => void) | undefined;
  /** The pages that are printed, from 1, the overview; all where none are named. */
  readonly only?: readonly number[] | undefined;
  /** Lines told apart by colour as well, or by weight and dash alone. */
  readonly ink?: Ink;
}

/**
 * A drawing at full size on pages of an office paper: first an overview with the test squares, then the tiles with
 * trim marks, joins and row and column marks. A page that is printed singly is the very page of the whole print.
 */
export async function tiledPdf(
  drawing: Drawing,
  head: PdfHead,
  paper: Paper,
  letters: LetterSource,
  { tiling = HOUSE_TILING, onPage, only, ink = 'black' }: PrintChoice = {},
): Promise<Uint8Array> {
  const { pdf, faces } = await newDocument(head, wordsOf(drawing), letters);
  const plan = planTiles(drawing, paper, tiling);
  const size: [number, number] = [paper.width * PT, paper.height * PT];
  const wanted = (page: number): boolean => only === undefined || only.includes(page);
  if (wanted(1)) drawOverview(pdf.addPage(size), head, drawing, paper, plan, faces, tiling.margin, ink);
  const boxed = drawing.marks.map((mark) => ({ mark, box: markBox(mark) }));
  for (const [i, tile] of plan.tiles.entries()) {
    if (!wanted(i + 2)) continue;
    const page = pdf.addPage(size);
    const { margin } = tiling;
    clipTo(page, margin, margin, paper.width - 2 * margin, paper.height - 2 * margin, paper.height);
    const marks = boxed.filter(({ box }) => boxesTouch(box, tile.box)).map(({ mark }) => mark);
    drawMarks(
      page,
      marks,
      { ox: tile.box.minX, oy: tile.box.minY, left: margin, top: margin, scale: 1 },
      paper.height,
      faces,
      PT,
      ink,
    );
    page.pushOperators(popGraphicsState());
    drawTileMarks(page, paper, tile, plan, tiling, faces, head);
    onPage?.(i + 1, plan.tiles.length);
  }
  return saved(pdf);
}

/** A drawing at full size on one page as large as the drawing: for a roll of paper. */
export async function rollPdf(
  drawing: Drawing,
  head: PdfHead,
  letters: LetterSource,
  ink: Ink = 'black',
): Promise<Uint8Array> {
  const { pdf, faces } = await newDocument(head, wordsOf(drawing), letters);
  const longest = Math.max(drawing.width, drawing.height) * PT;
  const unit = longest > LONGEST_SIDE ? Math.ceil((longest / LONGEST_SIDE) * 10) / 10 : 1;
  const pt = PT / unit;
  const page = pdf.addPage([drawing.width * pt, drawing.height * pt]);
  if (unit > 1) page.node.set(PDFName.of('UserUnit'), pdf.context.obj(unit));
  drawMarks(page, drawing.marks, { ox: 0, oy: 0, left: 0, top: 0, scale: 1 }, drawing.height, faces, pt, ink);
  return saved(pdf);
}
