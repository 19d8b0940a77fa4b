import { toMm } from '../../units/index.js';
import type { SizeChart } from '../size-chart.js';
import { isMeasurementId, type Figure, type MeasurementId } from '../vocabulary.js';
import children from './children.json' with { type: 'json' };
import men from './men.json' with { type: 'json' };
import women from './women.json' with { type: 'json' };

interface Table {
  readonly id: string;
  readonly name: string;
  readonly note: string;
  readonly figure: string;
  readonly columns: readonly string[];
  readonly rows: readonly (readonly (string | number)[])[];
}

function chartOf(table: Table): SizeChart {
  const sizes = table.rows.map(([name, ...figures]) => {
    const values: Partial<Record<MeasurementId, number>> = {};
    table.columns.forEach((id, i) => {
      const cm = figures[i];
      if (isMeasurementId(id) && typeof cm === 'number') values[id] = toMm(cm, 'cm');
    });
    return { name: String(name), values };
  });
  return { id: table.id, name: table.name, note: table.note, figure: table.figure as Figure, sizes };
}

/** The charts that come with Upstride; every figure is made up (docs/trade/measuring.md). */
export const SHIPPED_CHARTS: readonly SizeChart[] = [children, women, men].map(chartOf);
