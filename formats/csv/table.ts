import Papa from 'papaparse';

/** A table read from a file or pasted from a spreadsheet: its header and its rows, each with its row number. */
export interface Table {
  readonly header: readonly string[];
  readonly rows: readonly TableRow[];
}

/** A row of cells as written, and its number in the file, counted from 1 with the header. */
export interface TableRow {
  readonly number: number;
  readonly cells: readonly string[];
}

/** Something wrong at a row, in one sentence. */
export interface RowProblem {
  readonly row: number;
  readonly sentence: string;
}

const DELIMITERS = ['\t', ';', ',', '|'] as const;

/** The delimiter that parts the first lines into the most columns alike; decimal commas do not mislead it. */
function delimiterOf(text: string): string {
  const sample = text
    .split('\n')
    .filter((line) => line.trim() !== '')
    .slice(0, 20);
  let best: { delimiter: string; score: number } = { delimiter: ',', score: 0 };
  for (const delimiter of DELIMITERS) {
    const counts = sample.map((line) => (Papa.parse<string[]>(line, { delimiter }).data[0] ?? []).length);
    const head = counts[0] ?? 1;
    if (head < 2) continue;
    // The header decides; lines that agree with it count for it.
    const score = head * (1 + counts.filter((c) => c === head).length / counts.length);
    if (score > best.score) best = { delimiter, score };
  }
  return best.delimiter;
}

/** A cell that holds a figure and names nothing. */
const FIGURE = /^[+-]?\d[\d.,/ ]*$/;

const clean = (cell: string): string => cell.replace(/\u00a0/g, ' ').trim();

/**
 * Reads a table from text: commas, semicolons, tabs or bars between the cells, any line ends, quoted cells, a
 * byte-order mark. Blank rows are passed over. A first row of figures is no header: the columns are numbered then. What
 * is damaged comes back as row problems; the rest is read.
 */
export function readTable(text: string): { readonly table: Table; readonly problems: readonly RowProblem[] } {
  const body = text
    .replace(/^\ufeff/, '')
    .replaceAll('\u0000', '')
    .replace(/\r\n?/g, '\n');
  const delimiter = delimiterOf(body);
  const parsed = Papa.parse<string[]>(body, { delimiter, skipEmptyLines: false });
  const problems: RowProblem[] = [];
  for (const error of parsed.errors) {
    if (error.code === 'UndetectableDelimiter') continue;
    const row = (error.row ?? 0) + 1;
    problems.push({
      row,
      sentence: `Row ${row}: a quotation mark is opened and not closed. Close it, or take it out; what follows may be read wrongly.`,
    });
  }
  let header: readonly string[] | undefined;
  const rows: TableRow[] = [];
  parsed.data.forEach((raw, i) => {
    const cells = raw.map(clean);
    if (cells.every((cell) => cell === '')) return;
    if (!header) {
      const named = cells.filter((cell) => cell !== '' && !FIGURE.test(cell)).length;
      const figures = cells.filter((cell) => FIGURE.test(cell)).length;
      if (figures <= named) {
        header = cells;
        return;
      }
      header = cells.map((_, at) => `Column ${at + 1}`);
    }
    const extra = cells.slice(header.length).filter((cell) => cell !== '');
    if (extra.length > 0) {
      problems.push({
        row: i + 1,
        sentence: `Row ${i + 1} has ${extra.length} more ${extra.length === 1 ? 'cell' : 'cells'} than the header: “${extra.join('”, “').slice(0, 60)}” left out. Look for a comma inside a figure.`,
      });
    }
    rows.push({ number: i + 1, cells: cells.slice(0, header.length) });
  });
  return { table: { header: header ?? [], rows }, problems };
}

/** Cells that a spreadsheet would take for a formula; a plain negative figure is none. */
const FORMULA = /^[=+@\t\r]|^-(?!\d*\.?\d+$)/;

/** A table as the text of a CSV file, with a byte-order mark so that every spreadsheet reads its letters. */
export const writeTable = (header: readonly string[], rows: readonly (readonly (string | number)[])[]): string =>
  `\ufeff${Papa.unparse({ fields: [...header], data: rows.map((r) => [...r]) }, { newline: '\r\n', escapeFormulae: FORMULA })}\r\n`;
