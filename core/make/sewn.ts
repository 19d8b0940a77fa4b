import type { SpecLine } from './spec.js';

/** A point of measure of a sewn garment held against its spec; lengths in mm. */
export interface SewnPoint {
  readonly id: string;
  readonly label: string;
  readonly measured: number;
  /** How far it is over the figure, or under it (below 0). */
  readonly off: number;
  readonly out: boolean;
}

/** A figure read at the very edge of a tolerance is within it: a tape is read to no less, in mm. */
const READ_TO = 0.05;

/** A sewn garment held against the spec of its size: each point that was measured, and whether it is out of tolerance. */
export const sewnAgainst = (
  lines: readonly SpecLine[],
  figures: Readonly<Partial<Record<string, number>>>,
): readonly SewnPoint[] =>
  lines.flatMap(({ id, label, mm, tolerance }): SewnPoint[] => {
    const measured = figures[id];
    if (measured === undefined) return [];
    const off = measured - mm;
    return [{ id, label, measured, off, out: Math.abs(off) > tolerance + READ_TO }];
  });
