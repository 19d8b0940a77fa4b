import { cubicLength, mapPath, pathBox, pointAt, type Box, type Path, type Point } from '../core/geometry/index.js';
import type { Drawing, Mark } from '../core/drawing/index.js';

/** A paper: its name and its size upright, in mm. */
export interface Paper {
  readonly id: 'a4' | 'letter';
  readonly label: string;
  readonly width: number;
  readonly height: number;
}

/** The office papers on which pieces are tiled. */
export const PAPERS: readonly Paper[] = [
  { id: 'a4', label: 'A4', width: 210, height: 297 },
  { id: 'letter', label: 'Letter', width: 215.9, height: 279.4 },
];

/** How a drawing is cut into tiles, in mm: the margin a printer needs, and how far neighbouring tiles lap. */
export interface Tiling {
  readonly margin: number;
  readonly overlap: number;
}

/** Margins and overlap for a common office printer. */
export const HOUSE_TILING: Tiling = { margin: 12, overlap: 12 };

/** One page: its row (A, B, …) and column (1, 2, …) and the part of the drawing on it, in mm. */
export interface Tile {
  readonly row: number;
  readonly column: number;
  readonly mark: string;
  readonly box: Box;
}

/** All tiles that carry anything, and the grid they come from. */
export interface TilePlan {
  readonly rows: number;
  readonly columns: number;
  readonly stepX: number;
  readonly stepY: number;
  readonly tiles: readonly Tile[];
}

/** The letter of a row: A to Z, then AA. */
export const rowLetter = (row: number): string =>
  row < 26 ? String.fromCharCode(65 + row) : rowLetter(Math.floor(row / 26) - 1) + rowLetter(row % 26);

/** The box a mark covers, in mm; texts are taken as a rough box. */
export function markBox(mark: Mark): Box {
  if (mark.kind === 'line') return pathBox(mark.path);
  const width = mark.text.length * mark.size * 0.55;
  return { minX: mark.at.x, minY: mark.at.y - mark.size, maxX: mark.at.x + width, maxY: mark.at.y + mark.size * 0.3 };
}

/** True where two boxes share any part. */
export const boxesTouch = (a: Box, b: Box): boolean =>
  a.minX <= b.maxX && b.minX <= a.maxX && a.minY <= b.maxY && b.minY <= a.maxY;

/** How closely lines are looked at when it is asked which tiles they cross, in mm. */
const LOOK = 4;

/** Points along a line, close enough that none of it is passed over. */
function pointsAlong(path: Path): Point[] {
  return path.flatMap((c) => {
    const steps = Math.max(1, Math.ceil(cubicLength(c) / LOOK));
    return Array.from({ length: steps + 1 }, (_, i) => pointAt(c, i / steps));
  });
}

/** The places that make a page worth printing: all lines but those of the frame, and the texts. */
const placesOf = (drawing: Drawing): Point[] =>
  drawing.marks.flatMap((mark) => {
    if (mark.kind === 'line') return mark.role === 'construction' ? [] : pointsAlong(mark.path);
    const { minX, minY, maxX, maxY } = markBox(mark);
    return [
      { x: minX, y: minY },
      { x: maxX, y: maxY },
    ];
  });

/** The pages that a drawing lies on, by how many joins lie before them: `carries(column, row)`. */
export function carriedBy(
  drawing: Drawing,
  step: { readonly x: number; readonly y: number },
): (column: number, row: number) => boolean {
  const cells = new Set(placesOf(drawing).map((p) => `${Math.floor(p.x / step.x)} ${Math.floor(p.y / step.y)}`));
  return (column, row) => cells.has(`${column} ${row}`);
}

/** What is kept of a page, from one join to the next, in mm. */
export const pageStep = (paper: Paper, tiling: Tiling = HOUSE_TILING): { readonly x: number; readonly y: number } => ({
  x: paper.width - 2 * tiling.margin - tiling.overlap,
  y: paper.height - 2 * tiling.margin - tiling.overlap,
});

/** A drawing is tried so many times along each side of a page, each time moved by as much of it. */
const SHIFTS = 5;

/** How far a drawing is best moved on its pages so that the fewest carry anything, with how many those are. */
function bestShift(
  drawing: Drawing,
  step: { readonly x: number; readonly y: number },
): Point & { readonly pages: number } {
  const places = placesOf(drawing);
  let best = { x: 0, y: 0, pages: Infinity };
  for (let i = 0; i < SHIFTS; i++) {
    for (let j = 0; j < SHIFTS; j++) {
      const [x, y] = [(step.x * i) / SHIFTS, (step.y * j) / SHIFTS];
      const pages = new Set(places.map((p) => Math.floor((p.y + y) / step.y) * 1000 + Math.floor((p.x + x) / step.x)))
        .size;
      if (pages < best.pages) best = { x, y, pages };
    }
  }
  return best;
}

/** A drawing moved on its sheet, in mm. */
export function moved(drawing: Drawing, { x, y }: Point): Drawing {
  if (x === 0 && y === 0) return drawing;
  const move = (p: Point): Point => ({ x: p.x + x, y: p.y + y });
  return {
    width: drawing.width + x,
    height: drawing.height + y,
    marks: drawing.marks.map((m) =>
      m.kind === 'line' ? { ...m, path: mapPath(m.path, move) } : { ...m, at: move(m.at) },
    ),
  };
}

/** Which of several layouts takes the fewest pages, how far it is moved on them, and how many pages that saves. */
export interface FewestPages {
  readonly layout: number;
  readonly shift: Point;
  readonly saved: number;
}

/**
 * Of several layouts of the same pieces the one that takes the fewest pages of a paper, and how it is moved on them so
 * that the fewest carry anything; with how many pages that saves over the first as it lies.
 */
export function fewestPages(layouts: readonly [Drawing, ...Drawing[]], paper: Paper): FewestPages {
  const step = pageStep(paper);
  const pages = (d: Drawing): number => planTiles(d, paper).tiles.length;
  const plain = pages(layouts[0]);
  let best: FewestPages = { layout: 0, shift: { x: 0, y: 0 }, saved: 0 };
  for (const [layout, drawing] of layouts.entries()) {
    const shift = bestShift(drawing, step);
    if (plain - shift.pages <= best.saved) continue;
    const saved = plain - pages(moved(drawing, shift));
    if (saved > best.saved) best = { layout, shift, saved };
  }
  return best;
}

/**
 * Cuts a drawing into tiles for a paper, row by row. Each place of the drawing belongs to one tile, the overlap to the
 * tile before; a tile to which nothing belongs is left out.
 */
export function planTiles(drawing: Drawing, paper: Paper, tiling: Tiling = HOUSE_TILING): TilePlan {
  const { x: stepX, y: stepY } = pageStep(paper, tiling);
  const count = (size: number, step: number): number => Math.max(1, Math.ceil((size - tiling.overlap) / step));
  const columns = count(drawing.width, stepX);
  const rows = count(drawing.height, stepY);
  const cell = (at: number, step: number, most: number): number =>
    Math.min(most - 1, Math.max(0, Math.floor(at / step)));
  const used = new Set(placesOf(drawing).map((p) => cell(p.y, stepY, rows) * columns + cell(p.x, stepX, columns)));
  const tiles = [...used]
    .sort((a, b) => a - b)
    .map((index): Tile => {
      const row = Math.floor(index / columns);
      const column = index % columns;
      const minX = column * stepX;
      const minY = row * stepY;
      const box = { minX, minY, maxX: minX + stepX + tiling.overlap, maxY: minY + stepY + tiling.overlap };
      return { row, column, mark: `${rowLetter(row)}${column + 1}`, box };
    });
  return { rows, columns, stepX, stepY, tiles };
}
