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
import { LINE_STYLES, type LineRole, type Mark } from './drawing.js';

/** Points of PDF in a millimetre: 72 to the inch. */
export const PT = 72 / 25.4;

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

/** The letters of a document. */
export interface Faces {
  readonly regular: PDFFont;
  readonly bold: PDFFont;
}

/** A new document with its letters embedded. */
export async function newDocument(head: PdfHead, fonts: PdfFonts): Promise<{ pdf: PDFDocument; faces: Faces }> {
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
export interface Window {
  readonly ox: number;
  readonly oy: number;
  readonly left: number;
  readonly top: number;
  readonly scale: number;
}

/** Draws marks on a page; every line is marked with its name, so that a reader can find it again. */
export function drawMarks(
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

/** Holds what follows to a box, in mm from the upper left corner of the page; to be restored by the caller. */
export function clipTo(
  page: PDFPage,
  left: number,
  top: number,
  width: number,
  height: number,
  pageHeight: number,
): void {
  page.pushOperators(
    pushGraphicsState(),
    rectangle(left * PT, (pageHeight - top - height) * PT, width * PT, height * PT),
    clip(),
    endPath(),
  );
}

/** Words on a page, in mm from its upper left corner. */
export const text = (
  page: PDFPage,
  faces: Faces,
  words: string,
  x: number,
  y: number,
  size: number,
  bold = false,
): void => {
  const { height } = page.getSize();
  page.drawText(words, { x: x * PT, y: height - y * PT, size: size * PT, font: bold ? faces.bold : faces.regular });
};

/** A straight line on a page, in mm from its upper left corner. */
export function rule(page: PDFPage, x1: number, y1: number, x2: number, y2: number, weight: number): void {
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
