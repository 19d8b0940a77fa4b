import type { Cloth } from '../garment/index.js';
import { toMm, type Unit } from '../units/index.js';

/** The cloths of a garment, in the order in which they are told. */
export const CLOTHS: readonly Cloth[] = ['shell', 'lining', 'pocketing', 'interfacing'];

/** What each cloth of a garment is called. */
export const CLOTH_LABELS: Readonly<Record<Cloth, string>> = {
  shell: 'Shell',
  lining: 'Lining',
  pocketing: 'Pocketing',
  interfacing: 'Interfacing',
};

/** Which way parts may lie: all one way, or either way. */
export type Nap = 'one-way' | 'two-way';

/** Cloth lies open, or folded along its length with the right sides in. */
export type Fold = 'open' | 'folded';

/** A place of the cloth that nothing may be cut from, from its cut end and its edge on, in mm. */
export interface Flaw {
  readonly id: string;
  readonly along: number;
  readonly across: number;
  readonly length: number;
  readonly width: number;
}

/** So many layers of cloth are cut at once at most. */
export const MOST_LAYERS = 100;

/** A cloth as it lies on the table: what is known of it, lengths in mm. */
export interface ClothData {
  /** What its maker calls it; a named cloth is offered to the other garments of the room. */
  readonly name: string;
  /** Usable width, from selvedge to selvedge. */
  readonly width: number;
  /** How much there is of it, where it was bought already. */
  readonly inHand?: number | undefined;
  readonly fold: Fold;
  /** How many of it lie on one another and are cut at once; one where nothing is said. */
  readonly layers?: number | undefined;
  readonly nap: Nap;
  /** What is kept free between two parts. */
  readonly gap: number;
  /** How far apart its bars lie along the cloth and its stripes across it; 0 where there are none. */
  readonly barRepeat: number;
  readonly stripeRepeat: number;
  readonly flaws: readonly Flaw[];
  /** Price of a metre, in any money; nothing where it is not known. */
  readonly price?: number | undefined;
  /** What it shrinks by, as shares of its length and its width. */
  readonly shrinkLength: number;
  readonly shrinkWidth: number;
}

/** The cloths of a garment as far as anything was said of them. */
export type Cloths = Readonly<Partial<Record<Cloth, ClothData | undefined>>>;

/** Widths in which cloth is mostly sold, by the unit of the trade it is bought in. */
const WIDTHS: Readonly<Record<Cloth, { readonly cm: number; readonly in: number }>> = {
  shell: { cm: 150, in: 60 },
  lining: { cm: 140, in: 54 },
  pocketing: { cm: 140, in: 54 },
  interfacing: { cm: 90, in: 36 },
};

/** A cloth of which nothing was said: so wide as it is mostly sold, open, all parts one way (docs/trade/lay.md). */
export function houseCloth(kind: Cloth, unit: Unit): ClothData {
  const own = unit === 'in' ? 'in' : 'cm';
  return {
    name: '',
    width: toMm(WIDTHS[kind][own], own),
    fold: 'open',
    nap: 'one-way',
    gap: 2,
    barRepeat: 0,
    stripeRepeat: 0,
    flaws: [],
    shrinkLength: 0,
    shrinkWidth: 0,
  };
}

/** A cloth of a garment: as it was said, or as the house has it. */
export const clothOf = (cloths: Cloths | undefined, kind: Cloth, unit: Unit): ClothData =>
  cloths?.[kind] ?? houseCloth(kind, unit);

/** How much a cloth shrinks, as shares of its length (along the grain line) and its width. */
export interface Shrinkage {
  readonly length: number;
  readonly width: number;
}

/**
 * What the parts of a cloth are grown by: what it shrinks; a cloth of which nothing was said goes with the shell, since it
 * is sewn or fused to it.
 */
export function shrinkageOf(cloths: Cloths | undefined, kind: Cloth): Shrinkage {
  const { shrinkLength = 0, shrinkWidth = 0 } = cloths?.[kind] ?? cloths?.shell ?? {};
  return { length: shrinkLength, width: shrinkWidth };
}

/** The width that parts are laid on: all of it, or half where the cloth lies folded. */
export const laidWidth = ({ width, fold }: ClothData): number => (fold === 'folded' ? width / 2 : width);

/** A garment as far as cloth is at hand through it: what it is cut of, and what was kept of that. */
interface ClothOwner {
  readonly changed: string;
  readonly cloths?: Cloths | undefined;
  readonly remnants?: readonly ClothData[] | undefined;
}

/** The named cloths of other garments and what was kept of them, each once, the newest of a name. */
export function clothsAtHand(garments: readonly ClothOwner[]): readonly ClothData[] {
  const named = new Map<string, ClothData>();
  for (const { cloths, remnants = [] } of [...garments].sort((a, b) => a.changed.localeCompare(b.changed))) {
    for (const remnant of remnants) named.set(remnant.name, remnant);
    for (const kind of CLOTHS) {
      const cloth = cloths?.[kind];
      if (cloth && cloth.name !== '') named.set(cloth.name, cloth);
    }
  }
  return [...named.values()].sort((a, b) => a.name.localeCompare(b.name));
}

/** How many layers of a cloth are cut at once. */
export const layersOf = ({ layers = 1 }: ClothData): number => layers;

/** A cloth as it lies on the table: what there is of it in hand, parted among its layers. */
export const spread = (cloth: ClothData): ClothData =>
  cloth.inHand === undefined ? cloth : { ...cloth, inHand: cloth.inHand / layersOf(cloth) };

/**
 * A rectangle that is left of a cloth, as a cloth of its own: so wide, and what there is of it in hand; of folded cloth,
 * or of one in layers, each of them has it. Lengths in mm.
 */
export function remnantOf(
  cloth: ClothData,
  left: { readonly length: number; readonly width: number },
  name: string,
): ClothData {
  const all = layersOf(cloth) * (cloth.fold === 'folded' ? 2 : 1);
  return {
    ...cloth,
    name,
    width: left.width,
    inHand: left.length * all,
    fold: 'open',
    layers: all > 1 ? all : undefined,
    flaws: [],
    price: undefined,
  };
}
