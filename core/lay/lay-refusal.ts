import { clothFault } from '../cloth/index.js';
import { LayJob, type LayCloth, type LayShape } from './job.js';
import { boundsOf, tidied, type Corner } from './polygon.js';

/** More copies than this are no lay of trousers. */
const MOST_COPIES = 500;

/** What keeps shapes from being laid, in a sentence with the way out, lengths said by `length`; nothing where all can be. */
export function layFault(
  shapes: readonly LayShape[],
  cloth: LayCloth,
  length: (mm: number) => string,
): string | undefined {
  const { width, gap, flaws, barRepeat = 0, stripeRepeat = 0 } = cloth;
  const flawed = flaws?.map((f, i) => ({ ...f, id: String(i) })) ?? [];
  const fault = clothFault({ width, gap, flaws: flawed, barRepeat, stripeRepeat }, length);
  if (fault) return fault.told;
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
  return stripeRepeat > 0 ? unmatched(shapes, cloth, length) : undefined;
}

/** What cannot lie on a stripe, since no stripe leaves it room. */
function unmatched(shapes: readonly LayShape[], cloth: LayCloth, length: (mm: number) => string): string | undefined {
  const job = new LayJob(
    shapes.map((s) => ({ ...s, outline: boxOf(s.outline), match: s.match })),
    cloth,
  );
  const stuck = job.copies.find(
    (copy, i) => job.isLaid(i) && copy.ways.every((way) => !job.settled(way, 0, 0, Infinity)),
  );
  return stuck
    ? `The part “${job.idOf(stuck)}” finds no stripe on cloth ${length(cloth.width)} wide: stripes lie ${length(cloth.stripeRepeat ?? 0)} apart. Take wider cloth, or set the repeat across to 0 and match by hand.`
    : undefined;
}

/** The box about an outline, as an outline. */
function boxOf(outline: readonly Corner[]): Corner[] {
  const { left, right, low, high } = boundsOf(outline);
  return [
    [left, low],
    [right, low],
    [right, high],
    [left, high],
  ];
}
