import { boxOf, flatten, pathBox, point, type Box } from '../geometry/index.js';
import type { Part } from '../garment/index.js';
import type { Piece } from '../piece/index.js';
import type { Drawing, Mark } from './drawing.js';
import { layOnPages, type PageStep } from './paged-layout.js';
import { pieceMarks, type Move, type SheetChoice, type SheetLabels } from './piece-marks.js';
import { testSquares } from './test-squares.js';

export type { SheetChoice, SheetLabels } from './piece-marks.js';

/** Everything drawn: both lines and the frame. */
export const DRAW_ALL: SheetChoice = { stitching: true, cut: true, construction: true };

/** Room between two pieces and about them, in mm. */
const GAP = 15;
/** What is kept clear about a piece on its pages, in mm: a line on the very trim would be cut away by half. */
const PAGE_CLEAR = 3;
/** The longer side of the larger test square, in mm. */
const SQUARE = 101.6;

/** A piece that is to be placed: as it is cut, turned over or not. */
interface Placeable {
  readonly piece: Piece;
  readonly box: Box;
  readonly turnedOver: boolean;
}

/** A piece in a row: its left edge and its top on the sheet, in mm. */
interface Laid extends Placeable {
  readonly x: number;
  readonly y: number;
}

const widthOf = ({ box }: Placeable): number => box.maxX - box.minX;
const heightOf = ({ box }: Placeable): number => box.maxY - box.minY;

const moveOf =
  ({ box, turnedOver, x, y }: Laid): Move =>
  (p) => ({ x: turnedOver ? x + box.maxX - p.x : x + p.x - box.minX, y: y + p.y - box.minY });

/** True where the side of a part lies left of its middle. */
function sideIsLeft({ edges }: Part): boolean {
  const side = edges.find(({ role }) => role === 'side');
  if (!side) return false;
  const [one, all] = [pathBox(side.path), boxOf(edges.flatMap(({ path }) => flatten(path, 1)))];
  return one.minX + one.maxX < all.minX + all.maxX;
}

/**
 * The pieces on the frame lie with their sides toward one another: the first with its side to the right, the rest to
 * the left. A single piece of one leg lies with the right side of the cloth up: turned over it would be the other leg's.
 */
function placeable(piece: Piece, i: number): Placeable {
  const box = pathBox(piece.cut);
  const { part } = piece;
  if (part.like !== undefined) return { piece, box, turnedOver: part.up === 'wrong' };
  const hasSide = part.onFrame && part.edges.some(({ role }) => role === 'side');
  return { piece, box, turnedOver: hasSide && sideIsLeft(part) === (i === 0) };
}

/** Pieces in rows no wider than `widest`, in mm, as many in a row as it holds. */
function inRows(pieces: readonly Placeable[], widest: number): Placeable[][] {
  const rows: Placeable[][] = [];
  let width = Infinity;
  for (const piece of pieces) {
    width += widthOf(piece) + GAP;
    const row = rows[rows.length - 1];
    if (row && width <= widest) row.push(piece);
    else {
      rows.push([piece]);
      width = 2 * GAP + widthOf(piece);
    }
  }
  return rows;
}

/** A row of pieces laid from the left, `top` mm below the edge of the sheet; those on the frame share its levels. */
function laidRow(row: readonly Placeable[], top: number): Laid[] {
  const highest = Math.min(...row.map(({ piece, box }) => (piece.part.onFrame ? box.minY : Infinity)));
  let x = GAP;
  return row.map((piece) => {
    const y = piece.piece.part.onFrame ? top + piece.box.minY - highest : top;
    const laid = { ...piece, x, y };
    x += widthOf(piece) + GAP;
    return laid;
  });
}

const sizeOf = (piece: Placeable): { width: number; height: number } => ({
  width: widthOf(piece) + 2 * PAGE_CLEAR,
  height: heightOf(piece) + 2 * PAGE_CLEAR,
});

/**
 * All pieces at full size, each from a join of the pages on, so that as few pages as can be carry them; `step` is what
 * is kept of a page, in mm; `close` as of `layOnPages`. Without test squares: those stand on the overview.
 */
export function pagedSheet(
  pieces: readonly Piece[],
  labels: SheetLabels,
  step: PageStep,
  choice: SheetChoice = DRAW_ALL,
  close = false,
): Drawing {
  const all = pieces.map(placeable);
  const at = layOnPages(all.map(sizeOf), step, 0, close);
  const laid = all.map((piece, i): Laid => ({
    ...piece,
    x: (at[i]?.x ?? 0) + PAGE_CLEAR,
    y: (at[i]?.y ?? 0) + PAGE_CLEAR,
  }));
  return {
    width: Math.max(...laid.map((p) => p.x + widthOf(p))) + PAGE_CLEAR,
    height: Math.max(...laid.map((p) => p.y + heightOf(p))) + PAGE_CLEAR,
    marks: laid.flatMap((p) => pieceMarks(p.piece, labels, choice, moveOf(p), p.turnedOver)),
  };
}

/**
 * All pieces at full size on one sheet: those on the frame in a row, side seams toward one another, the others in rows
 * below; one above the other where `widest` (mm) does not hold a row. A test square of 100 mm stands below them on
 * single sheets (`square`).
 */
export function pieceSheet(
  pieces: readonly Piece[],
  labels: SheetLabels,
  choice: SheetChoice = DRAW_ALL,
  widest = Infinity,
  square = true,
): Drawing {
  const all = pieces.map(placeable);
  const frame = inRows(
    all.filter(({ piece }) => piece.part.onFrame),
    widest,
  );
  const rowWidths = frame.map((row) => row.reduce((sum, p) => sum + widthOf(p) + GAP, GAP));
  const others = inRows(
    all.filter(({ piece }) => !piece.part.onFrame),
    rowWidths.length > 0 ? Math.max(...rowWidths) : widest,
  );
  const laid: Laid[] = [];
  let height = GAP;
  for (const row of [...frame, ...others]) {
    const placed = laidRow(row, height);
    laid.push(...placed);
    height = Math.max(...placed.map((p) => p.y + heightOf(p))) + GAP;
  }
  const marks: Mark[] = laid.flatMap((p) => pieceMarks(p.piece, labels, choice, moveOf(p), p.turnedOver));
  const width = Math.max(...laid.map((p) => p.x + widthOf(p))) + GAP;
  if (square) {
    marks.push(...testSquares(point(GAP, height)));
    height += SQUARE + GAP;
  }
  return { width, height, marks };
}
