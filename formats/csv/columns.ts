import { isMeasurementId, MEASUREMENTS, type MeasurementId } from '../../core/measure/index.js';
import type { Unit } from '../../core/units/index.js';

/** What a column of a table holds; `ignore` is passed over. */
export type ColumnMeaning = MeasurementId | 'name' | 'date' | 'taker' | 'note' | 'unit' | 'figure' | 'ignore';

/** A column: what it holds, and the unit its figures are written in where the header says so. */
export interface Column {
  readonly meaning: ColumnMeaning;
  readonly unit: Unit | undefined;
}

const WORDS: readonly (readonly [Exclude<ColumnMeaning, MeasurementId | 'ignore'>, readonly string[]])[] = [
  ['name', ['name', 'person', 'role', 'size', 'who', 'performer', 'client', 'size name']],
  ['date', ['date', 'measured', 'taken on', 'measured on', 'day']],
  ['taker', ['taker', 'taken by', 'measured by', 'by']],
  ['note', ['note', 'notes', 'remark', 'remarks', 'comment']],
  ['unit', ['unit', 'units']],
  ['figure', ['figure', 'body', 'for']],
];

/** Other words for measurements that are met at the head of a column. */
const SYNONYMS: Readonly<Record<string, MeasurementId>> = {
  'waist girth': 'waist',
  hips: 'hip',
  'hip girth': 'hip',
  seat: 'hip',
  'body rise': 'crotchDepth',
  depth: 'crotchDepth',
  'inside leg': 'inseam',
  inleg: 'inseam',
  'outside leg': 'outseam',
  outleg: 'outseam',
  'side length': 'outseam',
  'waist to hip': 'hipDepth',
  'waist to knee': 'kneeDepth',
  'thigh girth': 'thigh',
  'knee girth': 'knee',
  'calf girth': 'calf',
  'ankle girth': 'ankle',
  foot: 'footLength',
  'whole rise': 'crotchLength',
  'across front hip': 'frontHip',
  'across front waist': 'frontWaist',
  'seat depth': 'seatHeight',
};

const plain = (text: string): string =>
  text
    .replace(/([a-z])([A-Z])/g, '$1 $2')
    .toLowerCase()
    .replace(/[^\p{L}\p{N}]+/gu, ' ')
    .trim();

/** What a column holds by the words at its head: `Waist (cm)`, `crotch depth`, `Inside leg, in`. */
export function columnOf(header: string): Column {
  const unitSaid = /(?:^|[\s(,[/])(cm|mm|in|inch|inches)[)\].\s]*$/i.exec(header.trim())?.[1]?.toLowerCase();
  const unit: Unit | undefined =
    unitSaid === undefined ? undefined : unitSaid.startsWith('in') ? 'in' : unitSaid === 'mm' ? 'mm' : 'cm';
  const words = plain(
    unitSaid === undefined ? header : header.trim().replace(/[\s(,[/]*(cm|mm|in|inch|inches)[)\].\s]*$/i, ''),
  );
  const bare = header.trim();
  if (isMeasurementId(bare)) return { meaning: bare, unit };
  for (const { id, label } of MEASUREMENTS.values()) {
    if (plain(label) === words || plain(id) === words) return { meaning: id, unit };
  }
  const other = SYNONYMS[words];
  if (other) return { meaning: other, unit };
  const found = WORDS.find(([, said]) => said.includes(words));
  return { meaning: found ? found[0] : 'ignore', unit };
}

/** What every column holds; a measurement is taken once, from the first column that names it. */
export function columnsOf(header: readonly string[]): Column[] {
  const taken = new Set<ColumnMeaning>();
  return header.map((words) => {
    const column = columnOf(words);
    if (column.meaning !== 'ignore' && taken.has(column.meaning)) return { ...column, meaning: 'ignore' };
    taken.add(column.meaning);
    return column;
  });
}
