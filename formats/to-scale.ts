import { mapPath, type Point } from '../core/geometry/index.js';
import type { Drawing, Mark } from '../core/drawing/index.js';
import type { Paper } from './tiles.js';

/** Scales in which a drawing is shown on one page: one to so many. */
const SCALES = [5, 10, 15, 20, 25, 30, 40, 50, 75, 100];
/** Free about the drawing, and for the words above it, in mm. */
const MARGIN = 12;
const HEAD = 26;
const WORDS = 4.2;
/** No words of the drawing are smaller on the page, in mm. */
const LEAST_WORDS = 1.8;

/**
 * A drawing to a whole scale on one page laid broad, with words above it that say the scale; as a drawing of the page's
 * own size, in mm. The largest scale that fits is taken.
 */
export function drawingToScale(drawing: Drawing, paper: Paper, words: readonly string[]): Drawing {
  const [width, height] = [Math.max(paper.width, paper.height), Math.min(paper.width, paper.height)];
  const room = { width: width - 2 * MARGIN, height: height - HEAD - 2 * MARGIN };
  const needed = Math.max(drawing.width / room.width, drawing.height / room.height);
  const one = SCALES.find((s) => s >= needed) ?? Math.ceil(needed);
  const to = (p: Point): Point => ({ x: MARGIN + p.x / one, y: MARGIN + HEAD + p.y / one });
  const marks = drawing.marks.map((mark): Mark =>
    mark.kind === 'line'
      ? { ...mark, path: mapPath(mark.path, to) }
      : { ...mark, at: to(mark.at), size: Math.max(LEAST_WORDS, mark.size / one) },
  );
  const said = [...words, `Scale 1 : ${one}. Not for cutting.`];
  return {
    width,
    height,
    marks: [
      ...said.map((text, i): Mark => ({
        kind: 'text',
        at: { x: MARGIN, y: MARGIN + WORDS * 1.5 * (i + 1) },
        text,
        size: WORDS,
        turn: 0,
        bold: i === 0,
      })),
      ...marks,
    ],
  };
}
