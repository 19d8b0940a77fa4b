import type { BatchRow, RowAsk } from '../../core/batch/index.js';
import { formatLength, showsNothing, type Tape } from '../../core/units/index.js';

/** “Back rise 1.2 cm under”, “Front rise at its edge”, “Darts”. */
export function askWords({ label, off }: RowAsk, tape: Tape): string {
  if (off === undefined) return label;
  if (showsNothing(off, tape)) return `${label} at its edge`;
  return `${label} ${formatLength(Math.abs(off), tape)} ${off < 0 ? 'under' : 'over'}`;
}

/** What of a run is shown. */
export type RowFilter = 'all' | 'asks' | 'none';

/** Whether a row is shown by a filter. */
export const passes = (row: BatchRow | undefined, filter: RowFilter): boolean => {
  if (filter === 'all') return true;
  if (!row) return false;
  return filter === 'none' ? !row.ok : !row.ok || row.asks.length > 0 || row.leftOut.length > 0;
};
