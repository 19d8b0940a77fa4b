import type { ClothData } from './cloth.js';

/** Cloth narrower or wider than this, in mm, is none. */
const NARROWEST = 50;
const WIDEST = 10_000;
const MOST_GAP = 50;
/** A repeat below this cannot be matched by hand, in mm. */
const LEAST_REPEAT = 2;
/** Cloth shrinks by no more than this share. */
const MOST_SHRINKAGE = 0.3;

/** The fields of a cloth in which something can be wrong. */
export type ClothField = 'width' | 'inHand' | 'gap' | 'barRepeat' | 'stripeRepeat' | 'flaws' | 'shrinkage';

/** What is wrong with a cloth: the field and a sentence with the way out. */
export interface ClothFault {
  readonly field: ClothField;
  readonly told: string;
}

/** What keeps a cloth from being laid on, lengths said by `length`; nothing where all is well. */
export function clothFault(
  cloth: Pick<ClothData, 'width' | 'gap'> & Partial<ClothData>,
  length: (mm: number) => string,
): ClothFault | undefined {
  const { width, gap, inHand, barRepeat = 0, stripeRepeat = 0, flaws = [], shrinkLength = 0, shrinkWidth = 0 } = cloth;
  const fault = (field: ClothField, told: string): ClothFault => ({ field, told });
  if (!(width >= NARROWEST && width <= WIDEST))
    return fault(
      'width',
      `The cloth is ${length(width)} wide. Give a usable width between ${length(NARROWEST)} and ${length(WIDEST)}.`,
    );
  if (!(gap >= 0 && gap <= MOST_GAP))
    return fault(
      'gap',
      `The gap between parts is ${length(gap)}. Give one between ${length(0)} and ${length(MOST_GAP)}.`,
    );
  if (inHand !== undefined && !(inHand > 0))
    return fault('inHand', `There are ${length(inHand)} of cloth in hand. Give a length, or leave it empty.`);
  for (const [field, repeat, most, along] of [
    ['barRepeat', barRepeat, inHand ?? WIDEST, 'along the cloth'],
    ['stripeRepeat', stripeRepeat, width, 'across the cloth'],
  ] as const) {
    if (repeat === 0) continue;
    if (!(repeat >= LEAST_REPEAT && repeat <= most))
      return fault(
        field,
        `The repeat ${along} is ${length(repeat)}, the cloth ${length(most)}. Give a repeat between ${length(LEAST_REPEAT)} and ${length(most)}, or 0 for none.`,
      );
  }
  for (const [i, f] of flaws.entries()) {
    if (!(f.length > 0 && f.width > 0 && f.along >= 0 && f.across >= 0 && f.across < width))
      return fault(
        'flaws',
        `Flaw ${i + 1} does not lie on the cloth. Give its place from the cut end and the edge, and a size above ${length(0)}.`,
      );
    if (f.across <= 0 && f.across + f.width >= width && f.along <= 0)
      return fault('flaws', `Flaw ${i + 1} takes the whole width at the cut end. Cut it off and measure from there.`);
  }
  if (![shrinkLength, shrinkWidth].every((s) => s >= 0 && s <= MOST_SHRINKAGE))
    return fault('shrinkage', `The cloth shrinks by more than ${MOST_SHRINKAGE * 100} %. Wash it before it is cut.`);
  return undefined;
}
