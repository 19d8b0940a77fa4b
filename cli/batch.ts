import { mkdir, rename, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import { appliedTo, toldOf, type RowTold } from '../core/batch/index.js';
import type { Unit } from '../core/units/index.js';
import { batchCsv, problemOf, type BatchLine } from '../formats/batch-csv.js';
import { fileNames, plainName } from '../formats/index.js';
import { columnsOf, readPeople, readTable, type ReadPerson } from '../formats/csv/index.js';
import type { Order } from './order.js';
import { Fault, rendered } from './rendered.js';

/** What a batch writes for each person. */
export const BATCH_FORMATS = ['pdf', 'dxf', 'svg', 'json'] as const;

/** Where a batch puts its files, and how it writes them. */
export interface BatchTo {
  readonly folder: string;
  readonly format: (typeof BATCH_FORMATS)[number];
  readonly paper: string;
}

/** The table that tells of all of them. */
const SUMMARY = 'summary.csv';

/** A file is there whole or not at all. */
async function written(folder: string, name: string, content: string | Uint8Array): Promise<void> {
  const part = join(folder, `.${name}.part`);
  await writeFile(part, content);
  await rename(part, join(folder, name));
}

/** The newest set of a person: the last of those with the latest date. */
const newest = ({ sets }: ReadPerson): ReadPerson['sets'][number] | undefined =>
  sets.reduce<ReadPerson['sets'][number] | undefined>(
    (last, set) => (!last || (set.date ?? '') >= (last.date ?? '') ? set : last),
    undefined,
  );

/**
 * Applies an order to every person of a table and writes a file for each, and a table that tells of all. What is wrong with
 * a row is told with its row, and the others are done. Files are whole or not there.
 */
export async function batchRun(
  order: Order,
  text: string,
  unit: Unit,
  { folder, format, paper }: BatchTo,
): Promise<{ readonly told: string; readonly failed: boolean }> {
  const { table, problems: damaged } = readTable(text);
  const { people, problems } = readPeople(table, columnsOf(table.header), unit);
  if (people.length === 0)
    throw new Fault('The table names nobody. Give it a first row with name, waist, hip, crotch depth and inseam.');
  await mkdir(folder, { recursive: true });
  const { input, style, allowances } = order;
  const garment = { input, style, allowances, cloths: undefined, unit: order.unit };
  const fileFor = fileNames([SUMMARY]);
  const lines: BatchLine[] = [];
  const wrong = [...damaged, ...problems].map((p) => `Row ${p.row}: ${p.sentence}`);
  let done = 0;
  for (const person of people) {
    const set = newest(person);
    const own = set?.unit ?? unit;
    const tell = (row: RowTold, file: string): void => {
      lines.push({ name: person.name, measured: set?.date ?? '', file, row, unit: own });
      const problem = problemOf(row);
      if (problem !== '') wrong.push(`${set ? `Row ${set.row}, ` : ''}${person.name}: ${problem}`);
    };
    if (!set) {
      tell({ ok: false, sentence: 'There are no figures. Enter them.' }, '');
      continue;
    }
    const applied = appliedTo(garment, { figure: person.figure, measured: set.values });
    const row = toldOf(applied, own);
    if (!applied.ok) {
      tell(row, '');
      continue;
    }
    const file = fileFor(plainName(person.name, 'person'), `.${format}`);
    const who = set.date === undefined ? person.name : `${person.name}, measured ${set.date}`;
    const titled = { title: 'Upstride batch', person: who };
    const ordered = { ...order, input: { ...input, measured: set.values } };
    await written(folder, file, await rendered(ordered, applied.draft, format, paper, titled));
    tell(row, file);
    done += 1;
  }
  await written(folder, SUMMARY, batchCsv(lines));
  const said = `${done} of ${people.length} done, in ${folder}; ${SUMMARY} tells of all.`;
  return { told: [said, ...wrong].join('\n'), failed: wrong.length > 0 };
}
