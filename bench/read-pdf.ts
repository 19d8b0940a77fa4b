import { getDocument, OPS } from 'pdfjs-dist/legacy/build/pdf.mjs';
import type { Cubic, Path, Point } from '../core/geometry/index.js';

/** Millimetres in a point of PDF. */
const MM = 25.4 / 72;

/** A named line of a page, in mm from the page's upper left corner. */
export interface PageLine {
  readonly name: string;
  readonly path: Path;
}

/** Words of a page and where they begin, in mm from the page's upper left corner. */
export interface PageWords {
  readonly text: string;
  readonly at: Point;
}

/** A page as an independent reader finds it, in mm. */
export interface ReadPage {
  readonly pages: number;
  readonly width: number;
  readonly height: number;
  readonly lines: readonly PageLine[];
  readonly words: readonly PageWords[];
}

type Matrix = readonly [number, number, number, number, number, number];

const within = (m: Matrix, n: Matrix): Matrix => [
  m[0] * n[0] + m[2] * n[1],
  m[1] * n[0] + m[3] * n[1],
  m[0] * n[2] + m[2] * n[3],
  m[1] * n[2] + m[3] * n[3],
  m[0] * n[4] + m[2] * n[5] + m[4],
  m[1] * n[4] + m[3] * n[5] + m[5],
];

/**
 * Reads a page of a PDF back with a package that had no part in writing it: every named line and all words, in place.
 */
export async function readPage(bytes: Uint8Array, pageNumber: number): Promise<ReadPage> {
  const document = await getDocument({ data: bytes.slice(), useSystemFonts: true, verbosity: 0 }).promise;
  const page = await document.getPage(pageNumber);
  const [, , width = 0, height = 0] = page.view;
  const { fnArray, argsArray } = await page.getOperatorList();
  const lines: PageLine[] = [];
  let name = '';
  let matrix: Matrix = [1, 0, 0, 1, 0, 0];
  const stack: Matrix[] = [];
  const onPage = (x: number, y: number): Point => ({
    x: (matrix[0] * x + matrix[2] * y + matrix[4]) * MM,
    y: (height - (matrix[1] * x + matrix[3] * y + matrix[5])) * MM,
  });
  for (const [i, fn] of fnArray.entries()) {
    const args = argsArray[i] as unknown[];
    if (fn === OPS.save) stack.push(matrix);
    else if (fn === OPS.restore) matrix = stack.pop() ?? matrix;
    else if (fn === OPS.transform) matrix = within(matrix, args as unknown as Matrix);
    else if (fn === OPS.beginMarkedContent) name = (args[0] as { name: string }).name;
    else if (fn === OPS.endMarkedContent) name = '';
    else if (fn === OPS.constructPath && name !== '') {
      const [ops, figures] = args as [number[], number[]];
      const path: Cubic[] = [];
      let [at, here] = [0, { x: 0, y: 0 }];
      const next = (): Point => onPage(figures[at++] ?? NaN, figures[at++] ?? NaN);
      for (const op of ops) {
        if (op === OPS.moveTo) here = next();
        else if (op === OPS.lineTo) {
          const p3 = next();
          path.push({ p0: here, p1: here, p2: p3, p3 });
          here = p3;
        } else if (op === OPS.curveTo) {
          const c: Cubic = { p0: here, p1: next(), p2: next(), p3: next() };
          path.push(c);
          here = c.p3;
        }
      }
      lines.push({ name, path });
    }
  }
  const { items } = await page.getTextContent();
  const words = items.flatMap((item): PageWords[] => {
    if (!('str' in item)) return [];
    const [, , , , x = 0, y = 0] = item.transform as number[];
    return [{ text: item.str, at: { x: x * MM, y: (height - y) * MM } }];
  });
  return { pages: document.numPages, width: width * MM, height: height * MM, lines, words };
}
