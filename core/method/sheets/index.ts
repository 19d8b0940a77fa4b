import type { Sheet } from '../sheet.js';
import quarterAndHalf from './quarter-and-half.json' with { type: 'json' };

/** A sheet read from its data file: JSON widens pairs to lists, so the ranges are put back as pairs. */
function sheetFrom(
  data: Omit<Sheet, 'meantFor'> & { readonly meantFor: Record<keyof Sheet['meantFor'], number[]> },
): Sheet {
  const pair = (list: readonly number[]): readonly [number, number] => [list[0] ?? 0, list[1] ?? Infinity];
  const { hip, drop, crotchDepth } = data.meantFor;
  return { ...data, meantFor: { hip: pair(hip), drop: pair(drop), crotchDepth: pair(crotchDepth) } };
}

/** The method sheets that come with Upstride, the default first. */
export const SHEETS: readonly Sheet[] = [sheetFrom(quarterAndHalf)];

/** The shipped sheet with an id, or nothing. */
export const sheetById = (id: string): Sheet | undefined => SHEETS.find((s) => s.id === id);
