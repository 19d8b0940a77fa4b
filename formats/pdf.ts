import fontkit from '@cantoo/fontkit';
import {
  appendBezierCurve,
  beginMarkedContent,
  clip,
  concatTransformationMatrix,
  endMarkedContent,
  endPath,
  lineTo,
  moveTo,
  PDFDocument,
  PDFName,
  popGraphicsState,
  pushGraphicsState,
  rectangle,
  setDashPattern,
  setLineCap,
  setLineJoin,
  setLineWidth,
  stroke,
  degrees,
  LineCapStyle,
  LineJoinStyle,
  type PDFFont,
  type PDFOperator,
  type PDFPage,
} from '@cantoo/pdf-lib';
import { isStraight, type Path } from '../core/geometry/index.js';
import { LINE_STYLES, type Drawing, type LineRole, type Mark } from './drawing.js';
import { testSquares } from './piece-sheet.js';
import {
  boxesTouch,
  HOUSE_TILING,
  markBox,
  planTiles,
  type Paper,
  type Tile,
  type TilePlan,
  type Tiling,
} from './tiles.js';

/** Points of PDF in a millimetre: 72 to the inch. */
const PT = 72 / 25.4;
/** A page side may not be longer than this many points; beyond it the page's unit grows (PDF 1.6, UserUnit). */
const LONGEST_SIDE = 14400;

/** The letters for a PDF as font files (TTF or WOFF), embedded as far as they are used. */
export interface PdfFonts {
  readonly regular: Uint8Array;
  readonly bold: Uint8Array;
}

/** What stands at the head of a PDF. The date makes the file; the same input and date make the same bytes. */
export interface PdfHead {
  readonly title: string;
  readonly lines: readonly string[];
  readonly date: Date;
}

interface Faces {
  readonly regular: PDFFont;
  readonly bold: PDFFont;
}

async function newDocument(head: PdfHead, fonts: PdfFonts): Promise<{ pdf: PDFDocument; faces: Faces }> {
  const pdf = await PDFDocument.create();
  pdf.registerFontkit(fontkit);
  pdf.setTitle(head.title);
  pdf.setProducer('Upstride');
  pdf.setCreator('Upstride');
  pdf.setCreationDate(head.date);
  pdf.setModificationDate(head.date);
  const [regular, bold] = await Promise.all([
    pdf.embedFont(fonts.regular, { subset: true, customName: 'UpstrideRegular' }),
    pdf.embedFont(fonts.bold, { subset: true, customName: 'UpstrideBold' }),
  ]);
  return { pdf, faces: { regular, bold } };
}

function pathOperators(path: Path): PDFOperator[] {
  const ops: PDFOperator[] = [];
  let last: { x: number; y: number } | undefined;
  for (const c of path) {
    if (!last || Math.abs(last.x - c.p0.x) > 1e-6 || Math.abs(last.y - c.p0.y) > 1e-6) ops.push(moveTo(c.p0.x, c.p0.y));
    ops.push(
      isStraight(c) ? lineTo(c.p3.x, c.p3.y) : appendBezierCurve(c.p1.x, c.p1.y, c.p2.x, c.p2.y, c.p3.x, c.p3.y),
    );
    last = c.p3;
  }
  return ops;
}

/** Weight and dash of a role; a drawing made small keeps a pen that can be seen. */
function styleOperators(role: LineRole, scale: number): PDFOperator[] {
  const style = LINE_STYLES[role];
  return [setLineWidth(scale < 1 ? (style.weight * 0.5) / scale : style.weight), setDashPattern([...style.dash], 0)];
}

/** A PDF name may not hold blanks: `front.side` stays, `hip line` becomes `hip_line`. */
const tagOf = (name: string): string => name.replace(/[^A-Za-z0-9.]+/g, '_');

/** A place on a page: the drawing's point (ox, oy) comes to lie `left`, `top` mm from the page's upper left corner. */
interface Window {
  readonly ox: number;
  readonly oy: number;
  readonly left: number;
  readonly top: number;
  readonly scale: number;
}

function drawMarks(
  page: PDFPage,
  marks: readonly Mark[],
  window: Window,
  pageHeight: number,
  faces: Faces,
  pt: number,
): void {
  const { ox, oy, left, top, scale } = window;
  const k = pt * scale;
  const x0 = (left - ox * scale) * pt;
  const y0 = (pageHeight - top + oy * scale) * pt;
  const ops: PDFOperator[] = [
    pushGraphicsState(),
    concatTransformationMatrix(k, 0, 0, -k, x0, y0),
    setLineJoin(LineJoinStyle.Round),
    setLineCap(LineCapStyle.Butt),
  ];
  for (const mark of marks) {
    if (mark.kind !== 'line') continue;
    ops.push(
      beginMarkedContent(tagOf(mark.name)),
      ...styleOperators(mark.role, scale),
      ...pathOperators(mark.path),
      stroke(),
      endMarkedContent(),
    );
  }
  page.pushOperators(...ops, popGraphicsState());
  for (const mark of marks) {
    if (mark.kind !== 'text') continue;
    page.drawText(mark.text, {
      x: x0 + mark.at.x * k,
      y: y0 - mark.at.y * k,
      size: mark.size * k,
      font: mark.bold ? faces.bold : faces.regular,
      rotate: degrees(-mark.turn),
    });
  }
}

function clipTo(page: PDFPage, left: number, top: number, width: number, height: number, pageHeight: number): void {
  page.pushOperators(
    pushGraphicsState(),
    rectangle(left * PT, (pageHeight - top - height) * PT, width * PT, height * PT),
    clip(),
    endPath(),
  );
}

const text = (page: PDFPage, faces: Faces, words: string, x: number, y: number, size: number, bold = false): void => {
  const { height } = page.getSize();
  page.drawText(words, { x: x * PT, y: height - y * PT, size: size * PT, font: bold ? faces.bold : faces.regular });
};

function rule(page: PDFPage, x1: number, y1: number, x2: number, y2: number, weight: number): void {
  const { height } = page.getSize();
  page.pushOperators(
    pushGraphicsState(),
    setLineWidth(weight * PT),
    moveTo(x1 * PT, height - y1 * PT),
    lineTo(x2 * PT, height - y2 * PT),
    stroke(),
    popGraphicsState(),
  );
}

/** Trim marks at the corners of what is kept of a page, and the marks of its neighbours along the joins. */
function drawTileMarks(page: PDFPage, paper: Paper, tile: Tile, plan: TilePlan, tiling: Tiling, faces: Faces): void {
  const { margin, overlap } = tiling;
  const [l, t] = [margin, margin];
  const [r, b] = [paper.width - margin, paper.height - margin];
  for (const [x, y, sx, sy] of [
    [l, t, -1, -1],
    [r, t, 1, -1],
    [l, b, -1, 1],
    [r, b, 1, 1],
  ] as const) {
    rule(page, x, y, x + sx * 6, y, 0.2);
    rule(page, x, y, x, y + sy * 6, 0.2);
  }
  const hasRight = plan.tiles.some((o) => o.row === tile.row && o.column === tile.column + 1);
  const hasBelow = plan.tiles.some((o) => o.column === tile.column && o.row === tile.row + 1);
  const joinRight = r - overlap;
  const joinBelow = b - overlap;
  if (hasRight) {
    rule(page, joinRight, t, joinRight, b, 0.1);
    text(page, faces, `glue ${tile.mark.replace(/\d+$/, '')}${tile.column + 2} here`, joinRight + 1.5, t + 6, 3.2);
  }
  if (hasBelow) {
    rule(page, l, joinBelow, r, joinBelow, 0.1);
    const below = plan.tiles.find((o) => o.column === tile.column && o.row === tile.row + 1)?.mark ?? '';
    text(page, faces, `glue ${below} here`, l + 2, joinBelow + 5, 3.2);
  }
  text(page, faces, tile.mark, l + 2, t + 9, 9, true);
}

/** A line of text cut off to a width, in mm. */
function fitted(font: PDFFont, words: string, size: number, width: number): string {
  let shown = words;
  while (shown.length > 1 && font.widthOfTextAtSize(shown, size) > width) shown = shown.slice(0, -1);
  return shown === words ? words : `${shown.slice(0, -1)}…`;
}

function drawOverview(
  page: PDFPage,
  head: PdfHead,
  drawing: Drawing,
  paper: Paper,
  plan: TilePlan,
  faces: Faces,
  margin: number,
): void {
  const width = paper.width - 2 * margin;
  text(page, faces, fitted(faces.bold, head.title, 7, width), margin, margin + 7, 7, true);
  head.lines.forEach((l, i) => {
    text(page, faces, fitted(faces.regular, l, 3.6, width), margin, margin + 14 + i * 5, 3.6);
  });
  const top = margin + 14 + head.lines.length * 5 + 4;
  const squares = testSquares({ x: 0, y: 0 });
  const first = squares.slice(0, 2);
  const second = squares.slice(2);
  drawMarks(page, first, { ox: 0, oy: 0, left: margin, top, scale: 1 }, paper.height, faces, PT);
  drawMarks(page, second, { ox: 115, oy: 0, left: margin, top: top + 106, scale: 1 }, paper.height, faces, PT);
  const mapLeft = margin + 110;
  const mapWidth = paper.width - margin - mapLeft;
  const mapHeight = paper.height - margin - top - 30;
  const full = { width: plan.columns * plan.stepX + 12, height: plan.rows * plan.stepY + 12 };
  const scale = Math.min(mapWidth / full.width, mapHeight / full.height);
  const lines = drawing.marks.filter((m) => m.kind === 'line' && m.role === 'stitching');
  drawMarks(page, lines, { ox: 0, oy: 0, left: mapLeft, top, scale }, paper.height, faces, PT);
  for (const tile of plan.tiles) {
    const x = mapLeft + tile.box.minX * scale;
    const y = top + tile.box.minY * scale;
    const [w, h] = [plan.stepX * scale, plan.stepY * scale];
    rule(page, x, y, x + w, y, 0.1);
    rule(page, x, y + h, x + w, y + h, 0.1);
    rule(page, x, y, x, y + h, 0.1);
    rule(page, x + w, y, x + w, y + h, 0.1);
    text(page, faces, tile.mark, x + 1, y + 3.6, 2.8);
  }
  const foot = [
    'Print at 100 %, without fitting to the page.',
    'Measure both squares before you cut.',
    `${plan.tiles.length + 1} pages, this one included.`,
  ];
  foot.forEach((l, i) => {
    text(page, faces, l, mapLeft, top + full.height * scale + 8 + i * 5, 3.6);
  });
}

/** Nothing but the bytes of a PDF. */
const saved = (pdf: PDFDocument): Promise<Uint8Array> => pdf.save({ useObjectStreams: false });

/**
 * A drawing at full size on pages of an office paper: first an overview with the test squares, then the tiles with
 * trim marks, joins and row and column marks. `onPage` hears how many pages are done.
 */
export async function tiledPdf(
  drawing: Drawing,
  head: PdfHead,
  paper: Paper,
  fonts: PdfFonts,
  tiling: Tiling = HOUSE_TILING,
  onPage?: (done: number, all: number) => void,
): Promise<Uint8Array> {
  const { pdf, faces } = await newDocument(head, fonts);
  const plan = planTiles(drawing, paper, tiling);
  const size: [number, number] = [paper.width * PT, paper.height * PT];
  drawOverview(pdf.addPage(size), head, drawing, paper, plan, faces, tiling.margin);
  const boxed = drawing.marks.map((mark) => ({ mark, box: markBox(mark) }));
  for (const [i, tile] of plan.tiles.entries()) {
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
    );
    page.pushOperators(popGraphicsState());
    drawTileMarks(page, paper, tile, plan, tiling, faces);
    onPage?.(i + 1, plan.tiles.length);
  }
  return saved(pdf);
}

/** A drawing at full size on one page as large as the drawing: for a roll of paper. */
export async function rollPdf(drawing: Drawing, head: PdfHead, fonts: PdfFonts): Promise<Uint8Array> {
  const { pdf, faces } = await newDocument(head, fonts);
  const longest = Math.max(drawing.width, drawing.height) * PT;
  const unit = longest > LONGEST_SIDE ? Math.ceil((longest / LONGEST_SIDE) * 10) / 10 : 1;
  const pt = PT / unit;
  const page = pdf.addPage([drawing.width * pt, drawing.height * pt]);
  if (unit > 1) page.node.set(PDFName.of('UserUnit'), pdf.context.obj(unit));
  drawMarks(page, drawing.marks, { ox: 0, oy: 0, left: 0, top: 0, scale: 1 }, drawing.height, faces, pt);
  return saved(pdf);
}
