import { MEASUREMENT_IDS, MEASUREMENTS, type ChartSize, type SizeChart } from '../../core/measure/index.js';
import { fromMm, type Unit } from '../../core/units/index.js';
import type { Column } from './columns.js';
import { figuresOfRow } from './figures.js';
import { writeTable, type RowProblem, type Table } from './table.js';

/** The sizes of a table, one a row, and a sentence for whatever could not be taken over. Figures in mm. */
export function readChart(
  table: Table,
  columns: readonly Column[],
  unit: Unit,
): { readonly sizes: readonly ChartSize[]; readonly problems: readonly RowProblem[] } {
  const problems: RowProblem[] = [];
  const sizes = new Map<string, ChartSize>();
  const nameAt = columns.findIndex((c) => c.meaning === 'name');
  for (const row of table.rows) {
    const name = nameAt === -1 ? '' : (row.cells[nameAt] ?? '');
    if (name === '') {
      problems.push({
        row: row.number,
        sentence: `Row ${row.number} has no size. Put the size's name in it; it was left out.`,
      });
      continue;
    }
    const { values, problems: wrong } = figuresOfRow(row, columns, unit);
    problems.push(...wrong);
    if (Object.keys(values).length === 0) {
      problems.push({
        row: row.number,
        sentence: `Row ${row.number}, size ${name}: no figure could be read. It was left out.`,
      });
      continue;
    }
    if (sizes.has(name)) {
      problems.push({
        row: row.number,
        sentence: `Row ${row.number}: size ${name} stands there already. The first was kept; give this one another name.`,
      });
      continue;
    }
    sizes.set(name, { name: name.slice(0, 200), values });
  }
  return { sizes: [...sizes.values()], problems };
}

/** A chart as the text of a CSV file: a row a size, figures as plain numbers in `unit`, which every header names. */
export function writeChart(chart: SizeChart, unit: Unit): string {
  const ids = MEASUREMENT_IDS.filter((id) => chart.sizes.some((size) => size.values[id] !== undefined));
  return writeTable(
    ['Size', ...ids.map((id) => `${MEASUREMENTS.get(id)?.label ?? id} (${unit})`)],
    chart.sizes.map((size) => [
      size.name,
      ...ids.map((id) => {
        const mm = size.values[id];
        return mm === undefined ? '' : Number(fromMm(mm, unit).toFixed(unit === 'in' ? 4 : 2));
      }),
    ]),
  );
}
