import type { PDFPage } from '@cantoo/pdf-lib';
import { testSquares, type Drawing } from '../core/drawing/index.js';
import { drawMarks, PT, rule, text, wordsWidth, type Face, type Faces, type PdfHead } from './pdf-marks.js';
import type { Paper, Tile, TilePlan, Tiling } from './tiles.js';

/** Trim marks at the corners of what is kept of a page, and the marks of its neighbours along the joins. */
export function drawTileMarks(
  page: PDFPage,
  paper: Paper,
  tile: Tile,
  plan: TilePlan,
  tiling: Tiling,
  faces: Faces,
): void {
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

/** No line of a page is longer than this, however small its letters. */
const MOST_LETTERS = 400;

/** A line of text cut off to a width, in mm. */
function fitted(face: Face, words: string, size: number, width: number): string {
  const letters = Array.from(words.slice(0, MOST_LETTERS));
  const begun = (count: number): string => `${letters.slice(0, count).join('')}…`;
  if (words.length <= MOST_LETTERS && wordsWidth(face, words, size) <= width) return words;
  let [fits, tooMany] = [0, letters.length];
  while (tooMany - fits > 1) {
    const count = (fits + tooMany) >> 1;
    if (wordsWidth(face, begun(count), size) <= width) fits = count;
    else tooMany = count;
  }
  return begun(fits);
}

/** The first page: title, both test squares, and the tiles over a small picture of the pieces. */
export function drawOverview(
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
