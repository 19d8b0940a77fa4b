import {
  isMeasurementId,
  measurementLabel,
  refuseMeasurement,
  type Measured,
  type MeasurementId,
} from '../../core/measure/index.js';
import { refusalSentence } from '../../core/refusal/index.js';
import { readLength, readerIn, toMm, type Unit } from '../../core/units/index.js';
import type { Column } from './columns.js';
import type { RowProblem, TableRow } from './table.js';

const PLAIN = /^[+-]?\d+(?:[.,]\d+)?$/;
/** What is written for a figure that was not taken. */
const NOT_TAKEN = /^(-|–|—|n\/?a|none|\?|\.)$/i;

/** A length as it is written in a cell, in mm, or why it cannot be read. */
function lengthIn(cell: string, unit: Unit): number | string {
  if (PLAIN.test(cell)) return toMm(Number(cell.replace(',', '.')), unit);
  const read = readLength(cell, unit);
  return read.ok ? read.mm : read.reason;
}

/** The figures of a row in mm, and a sentence for every cell that could not be taken over; the others are. */
export function figuresOfRow(
  row: TableRow,
  columns: readonly Column[],
  unit: Unit,
): { readonly values: Measured; readonly problems: readonly RowProblem[] } {
  const values: Partial<Record<MeasurementId, number>> = {};
  const problems: RowProblem[] = [];
  columns.forEach(({ meaning, unit: ofColumn }, i) => {
    const cell = row.cells[i] ?? '';
    if (!isMeasurementId(meaning) || cell === '' || NOT_TAKEN.test(cell)) return;
    const read = lengthIn(cell, ofColumn ?? unit);
    if (typeof read === 'string') {
      problems.push({
        row: row.number,
        sentence: `Row ${row.number}, ${measurementLabel(meaning)} “${cell.slice(0, 40)}”: ${read}. Write it as 98.5 or 38 3/4 in; the rest of the row was read.`,
      });
      return;
    }
    const refusal = refuseMeasurement(meaning, read);
    if (refusal) {
      const said = refusalSentence(refusal, readerIn(ofColumn ?? unit));
      problems.push({ row: row.number, sentence: `Row ${row.number}: ${said} The rest of the row was read.` });
      return;
    }
    values[meaning] = read;
  });
  return { values, problems };
}
