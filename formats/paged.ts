import {
  DRAW_ALL,
  pagedSheet,
  pieceSheet,
  type Drawing,
  type Joins,
  type SheetChoice,
  type SheetLabels,
} from '../core/drawing/index.js';
import type { Piece } from '../core/piece/index.js';
import { carriedBy, fewestPages, moved, pageStep, type Paper } from './tiles.js';

/**
 * The pieces for an office paper: as they lie, or each from a page's join on, whichever takes fewer pages; with how many
 * pages that saves. Their words and figures are put where no join goes through them.
 */
export function pagedDrawing(
  pieces: readonly Piece[],
  labels: SheetLabels,
  paper: Paper,
  choice: SheetChoice = DRAW_ALL,
): { readonly drawing: Drawing; readonly saved: number } {
  const step = pageStep(paper);
  const laid = (joins?: Joins): readonly [Drawing, Drawing, Drawing] => {
    const words = joins ? { ...labels, joins } : labels;
    return [
      pieceSheet(pieces, words, choice, undefined, false),
      pagedSheet(pieces, words, step, choice),
      pagedSheet(pieces, words, step, choice, true),
    ];
  };
  const plain = laid();
  const { layout, shift, saved } = fewestPages(plain, paper);
  const first = moved(plain[layout] ?? plain[0], shift);
  const clear = laid({ x: -shift.x, y: -shift.y, step, carries: carriedBy(first, step) })[layout];
  return { drawing: clear ? moved(clear, shift) : first, saved };
}
