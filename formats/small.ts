import { mapPath, scale as scaled, type Point } from '../core/geometry/index.js';
import type { Drawing, Mark } from '../core/drawing/index.js';

/** How much smaller a print for teaching and trying is. */
export const SMALL_PRINTS = [
  { id: 'quarter', label: '1/4, not for cutting', share: 1 / 4 },
  { id: 'fifth', label: '1/5, not for cutting', share: 1 / 5 },
] as const;

/** Words of a small print are at least so high, in mm. */
const LEAST_WORDS = 2;
/** What stands across a small print, so high, in mm. */
const WARNING = 7;

/** A drawing made smaller for teaching and trying, which says on itself that it is not to be cut by. */
export function smallDrawing(drawing: Drawing, share: number): Drawing {
  const to = (p: Point): Point => scaled(p, share);
  const name = SMALL_PRINTS.find((s) => s.share === share)?.label ?? 'not for cutting';
  const marks = drawing.marks.map((mark): Mark =>
    mark.kind === 'line'
      ? { ...mark, path: mapPath(mark.path, to) }
      : { ...mark, at: to(mark.at), size: Math.max(LEAST_WORDS, mark.size * share) },
  );
  const [width, height] = [drawing.width * share, drawing.height * share + 2 * WARNING];
  return {
    width,
    height,
    marks: [
      ...marks,
      { kind: 'text', at: { x: 0, y: height - WARNING / 2 }, text: name, size: WARNING, turn: 0, bold: true },
    ],
  };
}
