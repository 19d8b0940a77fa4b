import { areaOf, boundsOf } from './polygon.js';
import type { LayCloth, LayShape } from './job.js';

/** Parts of more than this, in mm², are legs: how they lie side by side makes the length of a lay. */
const LEG_AREA = 100_000;
/** How far legs nest: their share of the way from the box about them to their mean width. */
const NEST = { oneWay: 0.3, eitherWay: 0.5 };
/** What of the cloth is used at most where nothing else holds a lay up. */
const MOST_USED = 0.82;
/** Legs that do not fit side by side begin a second row: so much of it is added as soon as they are over by this share. */
const SECOND_ROW = 0.9;
const RAMP = 0.2;
/** Rows of legs lie in one another by so much. */
const ROWS_NEST = 0.9;

/** The net area of all copies of shapes, in mm². */
export const layAreaOf = (shapes: readonly LayShape[]): number =>
  shapes.reduce((sum, { outline, count }) => sum + count * Math.abs(areaOf(outline)), 0);

/**
 * How long a lay will be, in mm, told from the shapes alone before any is searched for: by the rows that the legs make
 * across the cloth, the longest part, and what of the cloth is used at most (docs/trade/lay.md). An estimate.
 */
export function estimatedLength(shapes: readonly LayShape[], width: number): number {
  const parts = shapes.map(({ outline, count, turns }) => {
    const { left, right, low, high } = boundsOf(outline);
    return { count, turns, long: right - left, wide: high - low, area: Math.abs(areaOf(outline)) };
  });
  const longest = Math.max(0, ...parts.map((p) => p.long));
  const legs = parts.filter((p) => p.area > LEG_AREA);
  const across = legs.reduce((sum, { count, turns, long, wide, area }) => {
    const nest = turns.length > 1 ? NEST.eitherWay : NEST.oneWay;
    return sum + count * ((1 - nest) * wide + (nest * area) / long);
  }, 0);
  const leg = Math.max(0, ...legs.map((p) => p.long));
  const rows = across / width;
  const legsLong =
    rows <= 1 ? leg : rows < 2 ? leg * (1 + SECOND_ROW * Math.min(1, (rows - 1) / RAMP)) : leg * rows * ROWS_NEST;
  return Math.max(longest, legsLong, layAreaOf(shapes) / width / MOST_USED);
}

/** Where an answer to “how much cloth?” comes from. */
export type LengthFrom = 'lay' | 'figures' | 'estimate';

/** What is remembered of a lay: its length and net area, and under which terms it was laid. */
export interface LastLay {
  readonly length: number;
  readonly area: number;
  readonly under: string;
}

/** The terms of a lay, as a text: the cloth, and which copies may lie which way. Only under the same does a length hold. */
export const laidUnder = (shapes: readonly LayShape[], cloth: LayCloth): string =>
  JSON.stringify([cloth, shapes.map(({ id, count, turns, mirrored }) => [id, count, turns.length, mirrored])]);

/**
 * How much cloth shapes need, at once: the length of the last lay where nothing has changed, that length by how the area
 * grew where only figures changed, else an estimate.
 */
export function quickLength(
  shapes: readonly LayShape[],
  cloth: LayCloth,
  last: LastLay | undefined,
): { readonly length: number; readonly from: LengthFrom } {
  if (last?.under !== laidUnder(shapes, cloth))
    return { length: estimatedLength(shapes, cloth.width), from: 'estimate' };
  const grown = layAreaOf(shapes) / last.area;
  return Math.abs(grown - 1) < 1e-6
    ? { length: last.length, from: 'lay' }
    : { length: last.length * grown, from: 'figures' };
}
