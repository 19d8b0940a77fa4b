import type { PDFPage } from '@cantoo/pdf-lib';
import { testSquares, type Drawing, type LineRole, type Mark } from '../core/drawing/index.js';
import { line } from '../core/geometry/index.js';
import { drawMarks, PT, rule, text, wordsWidth, type Face, type Faces, type Ink, type PdfHead } from './pdf-marks.js';
import type { Paper, Tile, TilePlan, Tiling } from './tiles.js';

/** Half the diagonal of a match mark, in mm, and where along a join they stand, as shares of it. */
const MATCH = 4;
const MATCHED_AT = [0.25, 0.75] as const;
/** A page says what it is so far above its lower edge, in letters so high, in mm. */
const FOOT_UP = 5;
const FOOT_SIZE = 2.8;

/** A diamond on a join: each of the two pages bears it, and laid on one another they cover. */
function matchMark(page: PDFPage, x: number, y: number): void {
  const corners = [
    [x, y - MATCH],
    [x + MATCH, y],
    [x, y + MATCH],
    [x - MATCH, y],
  ] as const;
  corners.forEach(([x1, y1], i) => {
    const [x2, y2] = corners[(i + 1) % 4] ?? [x1, y1];
    rule(page, x1, y1, x2, y2, 0.15);
  });
}

/**
 * Trim marks at the corners of what is kept of a page, match marks and the marks of its neighbours along the joins, and
 * at its foot what it is of.
 */
export function drawTileMarks(
  page: PDFPage,
  paper: Paper,
  tile: Tile,
  plan: TilePlan,
  tiling: Tiling,
  faces: Faces,
  head: PdfHead,
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
  const is = (row: number, column: number): boolean => plan.tiles.some((o) => o.row === row && o.column === column);
  for (const share of MATCHED_AT) {
    const [down, along] = [t + plan.stepY * share, l + plan.stepX * share];
    if (hasRight) matchMark(page, joinRight, down);
    if (is(tile.row, tile.column - 1)) matchMark(page, l, down);
    if (hasBelow) matchMark(page, along, joinBelow);
    if (is(tile.row - 1, tile.column)) matchMark(page, along, t);
  }
  const number = plan.tiles.indexOf(tile) + 2;
  const of = [head.title, ...head.lines.slice(0, 1)].join(', ');
  const place = `row ${tile.mark.replace(/\d+$/, '')}, column ${tile.column + 1}; page ${number} of ${plan.tiles.length + 1}`;
  const room = paper.width - 2 * margin - wordsWidth(faces.regular, `; ${place}`, FOOT_SIZE);
  const foot = `${fitted(faces.regular, of, FOOT_SIZE, room)}; ${place}`;
  text(page, faces, foot, l, paper.height - FOOT_UP, FOOT_SIZE);
}

/** The lines that a print has, in the order in which a maker needs them, with what each means. */
const LEGEND: readonly (readonly [LineRole, string])[] = [
  ['cut', 'cut line: cut here'],
  ['stitching', 'stitching line'],
  ['fold', 'fold'],
  ['grain', 'grain'],
  ['dart', 'dart, drill mark'],
  ['placement', 'what is set on here'],
  ['crease', 'crease line'],
  ['construction', 'frame'],
];
/** From one line of the legend to the next, how long its samples are, and how high its letters, in mm. */
const LEGEND_STEP = 5;
const SAMPLE = 22;
const LEGEND_SIZE = 3.2;

/** The lines of the print, each as it is drawn and with what it means. */
function drawLegend(page: PDFPage, left: number, top: number, pageHeight: number, faces: Faces, ink: Ink): void {
  const marks = LEGEND.flatMap(([role, words], i): Mark[] => {
    const y = i * LEGEND_STEP;
    return [
      { kind: 'line', role, name: 'legend', path: [line({ x: 0, y }, { x: SAMPLE, y })] },
      { kind: 'text', at: { x: SAMPLE + 3, y: y + 1 }, text: words, size: LEGEND_SIZE, turn: 0 },
    ];
  });
  drawMarks(page, marks, { ox: 0, oy: 0, left, top, scale: 1 }, pageHeight, faces, PT, ink);
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

/** The first page: title, both test squares, the tiles over a small picture of the pieces, and what its lines mean. */
export function drawOverview(
  page: PDFPage,
  head: PdfHead,
  drawing: Drawing,
  paper: Paper,
  plan: TilePlan,
  faces: Faces,
  margin: number,
  ink: Ink,
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
  const mapHeight = paper.height - margin - top - 30 - (LEGEND.length + 1) * LEGEND_STEP;
  const full = { width: plan.columns * plan.stepX + 12, height: plan.rows * plan.stepY + 12 };
  const scale = Math.min(mapWidth / full.width, mapHeight / full.height);
  const lines = drawing.marks.filter((m) => m.kind === 'line' && (m.role === 'stitching' || m.role === 'cut'));
  drawMarks(page, lines, { ox: 0, oy: 0, left: mapLeft, top, scale }, paper.height, faces, PT, ink);
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
  drawLegend(page, mapLeft, top + full.height * scale + 8 + foot.length * 5 + 4, paper.height, faces, ink);
}
