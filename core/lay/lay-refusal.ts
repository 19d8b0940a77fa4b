import type { LayCloth, LayShape } from './job.js';
import { boundsOf, tidied } from './polygon.js';

/** Cloth narrower or wider than this, in mm, is none. */
const NARROWEST = 50;
const WIDEST = 10_000;
/** More copies than this are no lay of trousers. */
const MOST_COPIES = 500;
const MOST_GAP = 50;

/** What keeps shapes from being laid, in a sentence with the way out, lengths said by `length`; nothing where all can be. */
export function layFault(
  shapes: readonly LayShape[],
  { width, gap }: LayCloth,
  length: (mm: number) => string,
): string | undefined {
  if (!(width >= NARROWEST && width <= WIDEST))
    return `The cloth is ${length(width)} wide. Give a usable width between ${length(NARROWEST)} and ${length(WIDEST)}.`;
  if (!(gap >= 0 && gap <= MOST_GAP))
    return `The gap between parts is ${length(gap)}. Give one between ${length(0)} and ${length(MOST_GAP)}.`;
  if (shapes.length === 0) return 'There is nothing to lay. Name at least one part.';
  const copies = shapes.reduce((sum, s) => sum + s.count, 0);
  if (copies > MOST_COPIES) return `There are ${copies} parts to lay. Lay ${MOST_COPIES} at most at once.`;
  for (const { id, outline } of shapes) {
    const net = tidied(outline);
    if (net.length < 3) return `The part “${id}” has no area. Give an outline of at least three corners.`;
    const { low, high } = boundsOf(net);
    if (high - low > width + 1e-6)
      return `The part “${id}” is ${length(high - low)} across, the cloth ${length(width)}. Take wider cloth, or join the part.`;
  }
  return undefined;
}
