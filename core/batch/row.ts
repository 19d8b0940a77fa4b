import { checkLabel, type Check } from '../check/index.js';
import { outlineOf } from '../draft/index.js';
import type { Path } from '../geometry/index.js';
import { specOf, type SpecLine } from '../make/index.js';
import { measurementLabel } from '../measure/index.js';
import { refusalsSentence } from '../refusal/index.js';
import { readerIn, type Unit } from '../units/index.js';
import type { Applied, BatchCloth } from './apply.js';

/** A check of one body that is not in its band. */
export interface RowAsk {
  readonly id: Check['id'];
  readonly label: string;
  readonly verdict: 'out' | 'near';
  /** How far a length lies over its band, or under it (below 0), in mm; nothing where it is no length. */
  readonly off: number | undefined;
}

/** How far a length lies outside its band, in mm. */
function offOf({ kind, value, low = -Infinity, high = Infinity }: Check): number | undefined {
  if (kind !== 'length' || typeof value !== 'number') return undefined;
  return value < low ? value - low : value > high ? value - high : undefined;
}

/** What is told of a garment applied to one body, in words of the reader's unit; lengths in mm. */
export type RowTold =
  | {
      readonly ok: true;
      /** The worst first. */
      readonly asks: readonly RowAsk[];
      /** Names of the figures that it rests on and that nobody took. */
      readonly estimated: readonly string[];
      /** A sentence for each alteration that could not be done on this body. */
      readonly leftOut: readonly string[];
      readonly cloth: readonly BatchCloth[];
    }
  | { readonly ok: false; readonly sentence: string };

/** The same with the points of measure of the sewn garment and both pieces of the draft, in panel coordinates. */
export type BatchRow =
  | (Extract<RowTold, { ok: true }> & {
      readonly spec: readonly SpecLine[];
      readonly outlines: { readonly front: Path; readonly back: Path };
    })
  | Extract<RowTold, { ok: false }>;

/** What is told of a garment that was applied to a body. */
export function toldOf(applied: Applied, unit: Unit): RowTold {
  const reader = readerIn(unit);
  if (!applied.ok) return { ok: false, sentence: refusalsSentence(applied.refusals.slice(0, 1), reader) };
  const { asks, estimated, leftOut, cloth } = applied;
  return {
    ok: true,
    asks: asks.flatMap((check): RowAsk[] =>
      check.verdict === 'out' || check.verdict === 'near'
        ? [{ id: check.id, label: checkLabel(check, unit), verdict: check.verdict, off: offOf(check) }]
        : [],
    ),
    estimated: estimated.map(measurementLabel),
    leftOut: leftOut.map((r) => refusalsSentence([r], reader)),
    cloth,
  };
}

/** A garment that was applied to a body, as a row of a table has it. */
export function rowOf(applied: Applied, unit: Unit): BatchRow {
  const told = toldOf(applied, unit);
  if (!applied.ok || !told.ok) return told as Extract<RowTold, { ok: false }>;
  const { front, back } = applied.draft.block;
  return {
    ...told,
    spec: specOf(applied.styled, unit),
    outlines: { front: outlineOf(front), back: outlineOf(back) },
  };
}

/** Whether a row asks for something: a check out of its band or near its edge, an alteration left out, no garment at all. */
export const rowAsks = (row: RowTold): boolean => !row.ok || row.asks.length > 0 || row.leftOut.length > 0;

/** How a row stands among others: what could not be made, then what is out, near, left out; what asks for nothing last. */
export function rowRank(row: RowTold): number {
  if (!row.ok) return 1000;
  const out = row.asks.filter((a) => a.verdict === 'out').length;
  return 20 * Math.min(out, 40) + Math.min(row.asks.length - out, 18) + (row.leftOut.length > 0 ? 1 : 0);
}

/** How much of each cloth all rows take together, one garment after the other, in mm: what each takes, added up. */
export function clothOfAll(rows: readonly RowTold[]): readonly BatchCloth[] {
  const all = new Map<BatchCloth['kind'], BatchCloth>();
  for (const { kind, width, length } of rows.flatMap((row) => (row.ok ? row.cloth : []))) {
    all.set(kind, { kind, width, length: (all.get(kind)?.length ?? 0) + length });
  }
  return [...all.values()];
}
