import type { Sheet } from '../sheet.js';
import close from './close.json' with { type: 'json' };
import frontFirst from './front-first.json' with { type: 'json' };
import quarterAndHalf from './quarter-and-half.json' with { type: 'json' };
import sixteenths from './sixteenths.json' with { type: 'json' };
import skirtLeg from './skirt-leg.json' with { type: 'json' };
import thirds from './thirds.json' with { type: 'json' };

type SheetData = Omit<Sheet, 'meantFor' | 'needs'> & {
  readonly meantFor: Record<keyof Sheet['meantFor'], number[]>;
  readonly needs: readonly string[];
};

/** A sheet read from its data file: JSON widens pairs to lists and names to words, so both are put back. */
function sheetFrom(data: unknown): Sheet {
  const sheet = data as SheetData;
  const pair = (list: readonly number[]): readonly [number, number] => [list[0] ?? 0, list[1] ?? Infinity];
  const { hip, drop, crotchDepth } = sheet.meantFor;
  const meantFor = { hip: pair(hip), drop: pair(drop), crotchDepth: pair(crotchDepth) };
  return { ...sheet, needs: sheet.needs as Sheet['needs'], meantFor };
}

/** The method sheets that come with Upstride, the default first. */
export const SHEETS: readonly Sheet[] = [quarterAndHalf, close, sixteenths, thirds, frontFirst, skirtLeg].map(
  sheetFrom,
);

/** The shipped sheet with an id, or nothing. */
export const sheetById = (id: string): Sheet | undefined => SHEETS.find((s) => s.id === id);
