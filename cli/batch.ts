import { mkdir, rename, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import Papa from 'papaparse';
import { appliedTo, type Applied } from '../core/batch/index.js';
import { checkLabel } from '../core/check/index.js';
import { clothWords, toBuy } from '../core/lay/index.js';
import { measurementLabel } from '../core/measure/index.js';
import { orderRefusalsSentence } from '../core/refusal/index.js';
import { readerIn, type Unit } from '../core/units/index.js';
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
const HEADER = ['name', 'measured', 'file', 'out of band', 'near', 'estimated', 'shell', 'problem'];

/** Letters that a file name may have anywhere. */
const plainName = (name: string): string =>
  name
    .normalize('NFC')
    .replace(/[\\/:*?"<>|\p{Cc}]/gu, ' ')
    .replace(/\s+/g, ' ')
    .replace(/^[. ]+|[. ]+$/g, '')
    .slice(0, 80) || 'person';

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

function summaryOf(applied: Extract<Applied, { ok: true }>, unit: Unit): string[] {
  const named = (verdict: 'out' | 'near'): string =>
    applied.asks
      .filter((c) => c.verdict === verdict)
      .map((c) => checkLabel(c, unit))
      .join('; ');
  const shell = applied.cloth.find((c) => c.kind === 'shell');
  return [
    named('out'),
    named('near'),
    applied.estimated.map(measurementLabel).join('; '),
    shell ? `about ${clothWords(toBuy(shell.length, unit), unit)}` : '',
  ];
}

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
  const taken = new Set<string>([SUMMARY]);
  const rows: string[][] = [HEADER];
  const wrong = [...damaged, ...problems].map((p) => `Row ${p.row}: ${p.sentence}`);
  let done = 0;
  for (const person of people) {
    const set = newest(person);
    const when = set?.date ?? '';
    const fail = (row: number | undefined, sentence: string): void => {
      wrong.push(`${row === undefined ? '' : `Row ${row}, `}${person.name}: ${sentence}`);
      rows.push([person.name, when, '', '', '', '', '', sentence]);
    };
    if (!set) {
      fail(undefined, 'There are no figures. Enter them.');
      continue;
    }
    const applied = appliedTo(garment, { figure: person.figure, measured: set.values });
    if (!applied.ok) {
      fail(set.row, orderRefusalsSentence(applied.refusals.slice(0, 1), readerIn(set.unit)));
      continue;
    }
    let name = plainName(person.name);
    for (let n = 2; taken.has(`${name.toLocaleLowerCase()}.${format}`); n++) name = `${plainName(person.name)} ${n}`;
    taken.add(`${name.toLocaleLowerCase()}.${format}`);
    const file = `${name}.${format}`;
    const own = { ...order, input: { ...input, measured: set.values } };
    const titled = { title: 'Upstride batch', person: when === '' ? person.name : `${person.name}, measured ${when}` };
    await written(folder, file, await rendered(own, applied.draft, format, paper, titled));
    const leftOut = applied.leftOut.map((r) => orderRefusalsSentence([r], readerIn(set.unit)));
    const problem = leftOut.length > 0 ? `Left out: ${leftOut.join(' ')}` : '';
    if (problem !== '') wrong.push(`Row ${set.row}, ${person.name}: ${problem}`);
    rows.push([person.name, when, file, ...summaryOf(applied, set.unit), problem]);
    done += 1;
  }
  await written(folder, SUMMARY, `${Papa.unparse(rows, { newline: '\r\n', escapeFormulae: true })}\r\n`);
  const said = `${done} of ${people.length} done, in ${folder}; ${SUMMARY} tells of all.`;
  return { told: [said, ...wrong].join('\n'), failed: wrong.length > 0 };
}
