import { areaOf } from './polygon.js';
import type { LayCloth, LayShape } from './job.js';
import { rowLay } from './row-lay.js';

/**
 * How many rows the quick lay looks at: for one of many bodies, in a thousandth or two of a second; at once, in some more;
 * and closely, in a tenth of one.
 */
export const LOOKS = { ofMany: 50_000, atOnce: 100_000, closely: 3_000_000 } as const;

/** What a search finds is shorter than the quick lay by so much, where that is not as short as can be. */
const FOUND = 0.96;
/** On bars and stripes what lies on them cannot be moved by little, and nothing is gained. */
const FOUND_ON_CHECKS = 1;

/** The net area of all copies of shapes, in mm². */
export const layAreaOf = (shapes: readonly LayShape[]): number =>
  shapes.reduce((sum, { outline, count }) => sum + count * Math.abs(areaOf(outline)), 0);

/**
 * How long a lay will be, in mm, told before any is searched for: by a quick lay in rows, less what a search gains on it
 * (docs/trade/lay.md). An estimate, the better the more rows it may look at.
 */
export function estimatedLength(shapes: readonly LayShape[], cloth: LayCloth, looks: number): number {
  const { length, least } = rowLay(shapes, cloth, looks);
  const found = (cloth.barRepeat ?? 0) > 0 ? FOUND_ON_CHECKS : FOUND;
  return Math.max(Math.min(length, least), found * length);
}

/** Where an answer to “how much cloth?” comes from. */
export type LengthFrom = 'lay' | 'figures' | 'estimate';

/** What is remembered of a lay: its length and net area, and under which terms it was laid. */
export interface LastLay {
  readonly length: number;
  readonly area: number;
  readonly under: string;
  /** Whether it was only estimated, closely. */
  readonly estimated?: boolean | undefined;
}

/** The terms of a lay, as a text: the cloth, and which copies may lie which way. Only under the same does a length hold. */
export const laidUnder = (shapes: readonly LayShape[], cloth: LayCloth): string =>
  JSON.stringify([cloth, shapes.map(({ id, count, turns, mirrored }) => [id, count, turns.length, mirrored])]);

/**
 * How much cloth shapes need, at once: the length of the last lay where nothing has changed, that length by how the area
 * grew where only figures changed, else an estimate. What was estimated closely before stands in for a lay.
 */
export function quickLength(
  shapes: readonly LayShape[],
  cloth: LayCloth,
  last: LastLay | undefined,
): { readonly length: number; readonly from: LengthFrom } {
  if (last?.under !== laidUnder(shapes, cloth))
    return { length: estimatedLength(shapes, cloth, LOOKS.atOnce), from: 'estimate' };
  const grown = layAreaOf(shapes) / last.area;
  const same = Math.abs(grown - 1) < 1e-6;
  return {
    length: same ? last.length : last.length * grown,
    from: last.estimated ? 'estimate' : same ? 'lay' : 'figures',
  };
}
