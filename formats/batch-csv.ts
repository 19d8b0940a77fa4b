import type { RowTold } from '../core/batch/index.js';
import { clothWords, toBuy } from '../core/lay/index.js';
import type { Unit } from '../core/units/index.js';
import { writeTable } from './csv/index.js';

/** What a table of a batch says of one body. */
export interface BatchLine {
  readonly name: string;
  readonly measured: string;
  /** The file that was written for it; nothing where there is none. */
  readonly file: string;
  readonly row: RowTold;
  /** What its lengths are told in. */
  readonly unit: Unit;
}

const HEADER = ['name', 'measured', 'file', 'out of band', 'near', 'estimated', 'shell', 'problem'];

/** What could not be done, in sentences. */
export const problemOf = (row: RowTold): string =>
  row.ok ? (row.leftOut.length > 0 ? `Left out: ${row.leftOut.join(' ')}` : '') : row.sentence;

/** A batch as CSV: one row a body, with what is out of band, what was estimated, how much cloth it takes, what is wrong. */
export const batchCsv = (lines: readonly BatchLine[]): string =>
  writeTable(
    HEADER,
    lines.map(({ name, measured, file, row, unit }) => {
      const named = (verdict: 'out' | 'near'): string =>
        row.ok
          ? row.asks
              .filter((a) => a.verdict === verdict)
              .map((a) => a.label)
              .join('; ')
          : '';
      const shell = row.ok ? row.cloth.find((c) => c.kind === 'shell') : undefined;
      return [
        name,
        measured,
        file,
        named('out'),
        named('near'),
        row.ok ? row.estimated.join('; ') : '',
        shell ? `about ${clothWords(toBuy(shell.length, unit), unit)}` : '',
        problemOf(row),
      ];
    }),
  );
