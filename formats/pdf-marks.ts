import fontkit from '@cantoo/fontkit';
import {
  appendBezierCurve,
  beginText,
  beginMarkedContent,
  clip,
  concatTransformationMatrix,
  endMarkedContent,
  endPath,
  endText,
  lineTo,
  moveTo,
  PDFDocument,
  PDFHexString,
  type PDFName,
  popGraphicsState,
  pushGraphicsState,
  rectangle,
  setDashPattern,
  setLineCap,
  setLineJoin,
  setLineWidth,
  setFontAndSize,
  setStrokingRgbColor,
  setTextMatrix,
  showText,
  stroke,
  LineCapStyle,
  LineJoinStyle,
  type PDFFont,
  type PDFOperator,
  type PDFPage,
} from '@cantoo/pdf-lib';
import { isStraight, type Path } from '../core/geometry/index.js';
import { penOf, type LineRole, type LineStyle, type Mark } from '../core/drawing/index.js';
import { alphabetsFor, UNKNOWN_LETTER, type Alphabet } from './letters.js';

/** Points of PDF in a millimetre: 72 to the inch. */
export const PT = 72 / 25.4;

/** The files (TTF or WOFF) of one part of the face. */
export interface LetterFiles {
  readonly regular: Uint8Array;
  readonly bold: Uint8Array;
}

/** Reads one part of the face; only what a print wants is asked for, and embedded as far as it is used. */
export type LetterSource = (alphabet: Alphabet) => Promise<LetterFiles>;

/** What stands at the head of a PDF. The date makes the file; the same input and date make the same bytes. */
export interface PdfHead {
  readonly title: string;
  readonly lines: readonly string[];
  readonly date: Date;
}

/** One weight of the face: its parts, each with the letters that it has. */
export type Face = readonly { readonly font: PDFFont; readonly has: ReadonlySet<number> }[];

/** The letters of a document. */
export interface Faces {
  readonly regular: Face;
  readonly bold: Face;
}

/**
 * Letters are set one by one: what a face would draw together or move toward one another is left, which a PDF of this
 * kind does not carry and which takes half of its time.
 */
const PLAIN = Object.fromEntries(
  ['liga', 'clig', 'rlig', 'calt', 'ccmp', 'locl', 'kern', 'mark', 'mkmk', 'rclt', 'curs', 'dist', 'abvm', 'blwm'].map(
    (feature) => [feature, false],
  ),
);

/** A new document with the letters embedded that its head and its words want. */
export async function newDocument(
  head: PdfHead,
  words: readonly string[],
  letters: LetterSource,
): Promise<{ pdf: PDFDocument; faces: Faces }> {
  const pdf = await PDFDocument.create();
  pdf.registerFontkit(fontkit);
  pdf.setTitle(head.title);
  pdf.setProducer('Upstride');
  pdf.setCreator('Upstride');
  pdf.setCreationDate(head.date);
  pdf.setModificationDate(head.date);
  const files = await Promise.all(alphabetsFor([head.title, ...head.lines, ...words]).map(letters));
  const face = (weight: keyof LetterFiles): Promise<Face> =>
    Promise.all(
      files.map(async (file, i) => {
        const font = await pdf.embedFont(file[weight], {
          subset: true,
          customName: `Upstride-${weight}-${i}`,
          features: PLAIN,
        });
        return { font, has: new Set(font.getCharacterSet()) };
      }),
    );
  const [regular, bold] = [await face('regular'), await face('bold')];
  return { pdf, faces: { regular, bold } };
}

/** Words parted by the part of the face that has their letters; a letter that none has is told by another. */
function runsOf(face: Face, words: string): { readonly font: PDFFont; text: string }[] {
  const runs: { readonly font: PDFFont; text: string }[] = [];
  for (const letter of words.normalize('NFC')) {
    const code = letter.codePointAt(0) ?? 0;
    const part = face.find(({ has }) => has.has(code));
    const font = (part ?? face[0])?.font;
    if (!font) break;
    const text = part ? letter : UNKNOWN_LETTER;
    const last = runs[runs.length - 1];
    if (last?.font === font) last.text += text;
    else runs.push({ font, text });
  }
  return runs;
}

/** Words of a face that were measured before, at a size of 1: most stand on a sheet many times. */
const measured = new WeakMap<Face, Map<string, number>>();

function widthOfWord(face: Face, word: string): number {
  let known = measured.get(face);
  if (!known) {
    known = new Map();
    measured.set(face, known);
  }
  let width = known.get(word);
  if (width === undefined) {
    width = runsOf(face, word).reduce((sum, { font, text: part }) => sum + font.widthOfTextAtSize(part, 1), 0);
    known.set(word, width);
  }
  return width;
}

/** How wide words come out, in the unit of `size`; letters are set one after the other, and never drawn together over a gap. */
export const wordsWidth = (face: Face, words: string, size: number): number => {
  const parts = words.split(' ');
  const gaps = (parts.length - 1) * widthOfWord(face, ' ');
  return size * parts.reduce((sum, part) => sum + (part === '' ? 0 : widthOfWord(face, part)), gaps);
};

/** The codes of words that a font was asked for before: asking is what takes time. */
const coded = new WeakMap<PDFFont, Map<string, string>>();

/** Words in the codes of a font, word by word: letters are set one after the other, so a word has the same codes anywhere. */
function codesOf(font: PDFFont, words: string): string {
  let known = coded.get(font);
  if (!known) {
    known = new Map();
    coded.set(font, known);
  }
  const codeOf = (word: string): string => {
    let code = known.get(word);
    if (code === undefined) {
      code = font.encodeText(word).asString();
      known.set(word, code);
    }
    return code;
  };
  const parts = words.split(' ');
  const gap = parts.length > 1 ? codeOf(' ') : '';
  return parts.map((part) => (part === '' ? '' : codeOf(part))).join(gap);
}

/** The names that a page has its fonts by. */
const named = new WeakMap<PDFPage, Map<PDFFont, PDFName>>();

function nameOn(page: PDFPage, font: PDFFont): PDFName {
  let names = named.get(page);
  if (!names) {
    names = new Map();
    named.set(page, names);
  }
  let name = names.get(font);
  if (!name) {
    name = page.node.newFontDictionary(font.name, font.ref);
    names.set(font, name);
  }
  return name;
}

/** Draws words from a point of the page, in its own units, turned by degrees against the clock. */
function drawWords(page: PDFPage, face: Face, words: string, x: number, y: number, size: number, turned = 0): void {
  const angle = (turned * Math.PI) / 180;
  const [cos, sin] = [Math.cos(angle), Math.sin(angle)];
  let run = 0;
  const runs = runsOf(face, words);
  for (const [i, { font, text: part }] of runs.entries()) {
    page.pushOperators(
      beginText(),
      setFontAndSize(nameOn(page, font), size),
      setTextMatrix(cos, sin, -sin, cos, x + run * cos, y + run * sin),
      showText(PDFHexString.of(codesOf(font, part))),
      endText(),
    );
    if (i < runs.length - 1) run += font.widthOfTextAtSize(part, size);
  }
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

/** Weight and dash of a line; a drawing made small keeps a pen that can be seen. */
function styleOperators(style: LineStyle, scale: number): PDFOperator[] {
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

/** How a print tells lines apart: by weight and dash alone, or by colour as well. */
export type Ink = 'black' | 'colour';

/** The colours of a print, each as red, green and blue of 1; what is not named is black. */
const COLOURS: Readonly<Partial<Record<LineRole, readonly [number, number, number]>>> = {
  stitching: [0.1, 0.25, 0.6],
  construction: [0.45, 0.45, 0.45],
  crease: [0.45, 0.45, 0.45],
  grain: [0.1, 0.4, 0.2],
  dart: [0.1, 0.25, 0.6],
  fold: [0.55, 0.2, 0.1],
  placement: [0.4, 0.15, 0.5],
};

/** Draws marks on a page; every line is marked with its name, so that a reader can find it again. */
export function drawMarks(
  page: PDFPage,
  marks: readonly Mark[],
  window: Window,
  pageHeight: number,
  faces: Faces,
  pt: number,
  ink: Ink = 'black',
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
      ...styleOperators(penOf(mark), scale),
      ...(ink === 'colour' ? [setStrokingRgbColor(...(COLOURS[mark.role] ?? [0, 0, 0]))] : []),
      ...pathOperators(mark.path),
      stroke(),
      endMarkedContent(),
    );
  }
  page.pushOperators(...ops, popGraphicsState());
  for (const mark of marks) {
    if (mark.kind !== 'text') continue;
    const face = mark.bold ? faces.bold : faces.regular;
    drawWords(page, face, mark.text, x0 + mark.at.x * k, y0 - mark.at.y * k, mark.size * k, -mark.turn);
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
  drawWords(page, bold ? faces.bold : faces.regular, words, x * PT, height - y * PT, size * PT);
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
