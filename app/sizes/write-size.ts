import {
  measurementLabel,
  refuseMeasurement,
  type ChartSize,
  type MeasurementId,
  type SizeChart,
} from '../../core/measure/index.js';
import { refusalSentence } from '../../core/refusal/index.js';
import { readLength, readerIn, type Unit } from '../../core/units/index.js';

/** A chart with a cell written into, or why it was not taken over, in a sentence. */
export function writeSize(
  chart: SizeChart,
  at: number,
  field: 'name' | MeasurementId,
  text: string,
  unit: Unit,
): { readonly ok: true; readonly chart: SizeChart } | { readonly ok: false; readonly sentence: string } {
  const size = chart.sizes[at];
  const typed = text.trim();
  if (!size) return { ok: false, sentence: 'There is no such size. Add it first.' };
  const put = (next: ChartSize): { readonly ok: true; readonly chart: SizeChart } => ({
    ok: true,
    chart: { ...chart, sizes: chart.sizes.map((s, i) => (i === at ? next : s)) },
  });
  if (field === 'name') {
    if (typed === '' || chart.sizes.some((s, i) => i !== at && s.name === typed)) {
      return { ok: false, sentence: `Size “${typed}” is empty or stands there already. Give it a name of its own.` };
    }
    return put({ ...size, name: typed.slice(0, 200) });
  }
  const values: Partial<Record<MeasurementId, number>> = { ...size.values };
  delete values[field];
  if (typed === '') return put({ ...size, values });
  const read = readLength(typed, unit);
  const label = measurementLabel(field);
  if (!read.ok)
    return { ok: false, sentence: `Size ${size.name}, ${label}: ${read.reason}. Write it as 27.3 or 10 3/4.` };
  const refusal = refuseMeasurement(field, read.mm);
  if (refusal) return { ok: false, sentence: `Size ${size.name}: ${refusalSentence(refusal, readerIn(unit))}` };
  return put({ ...size, values: { ...size.values, [field]: read.mm } });
}
