import type { Sheet } from '../sheet.js';
import quarterAndHalf from './quarter-and-half.json' with { type: 'json' };

type SheetData = Omit<Sheet, 'meantFor'> & { readonly meantFor: Record<keyof Sheet['meantFor'], number[]> };

/** A sheet read from its data file: JSON widens pairs to lists and names to words, so both are put back. */
export function sheetFrom(data: unknown): Sheet {
  const sheet = data as SheetData;
  const pair = (list: readonly number[]): readonly [number, number] => [list[0] ?? 0, list[1] ?? Infinity];
  const { hip, drop, crotchDepth } = sheet.meantFor;
  return { ...sheet, meantFor: { hip: pair(hip), drop: pair(drop), crotchDepth: pair(crotchDepth) } };
}

/** The method to take when only four measurements are known. */
export const DEFAULT_SHEET: Sheet = sheetFrom(quarterAndHalf);

/** The shipped methods by id and name, the default first. */
export const SHEET_LIST = [
  ['quarter-and-half', 'Quarter and half'],
  ['close', 'Close'],
  ['sixteenths', 'Sixteenths'],
  ['twentieth-and-tenth', 'Twentieth and tenth'],
  ['crease-centred', 'Crease-centred'],
  ['thirds', 'Thirds'],
  ['front-first', 'Front first'],
  ['skirt-leg', 'Skirt leg'],
  ['knit-leg', 'Knit leg'],
  ['finished-pair', 'From a finished pair'],
] as const;

/** The id of a shipped method. */
export type SheetId = (typeof SHEET_LIST)[number][0];

const DATA: Readonly<Record<Exclude<SheetId, 'quarter-and-half'>, () => Promise<{ default: unknown }>>> = {
  close: () => import('./close.json', { with: { type: 'json' } }),
  sixteenths: () => import('./sixteenths.json', { with: { type: 'json' } }),
  'twentieth-and-tenth': () => import('./twentieth-and-tenth.json', { with: { type: 'json' } }),
  'crease-centred': () => import('./crease-centred.json', { with: { type: 'json' } }),
  thirds: () => import('./thirds.json', { with: { type: 'json' } }),
  'front-first': () => import('./front-first.json', { with: { type: 'json' } }),
  'skirt-leg': () => import('./skirt-leg.json', { with: { type: 'json' } }),
  'knit-leg': () => import('./knit-leg.json', { with: { type: 'json' } }),
  'finished-pair': () => import('./finished-pair.json', { with: { type: 'json' } }),
};

/** Fetches a shipped sheet on its own, so that a page loads only the one it drafts by; nothing for an unknown id. */
export async function loadSheet(id: string): Promise<Sheet | undefined> {
  if (id === DEFAULT_SHEET.id) return DEFAULT_SHEET;
  if (!Object.hasOwn(DATA, id)) return undefined;
  return sheetFrom((await DATA[id as keyof typeof DATA]()).default);
}
