import { z } from 'zod';
import { good, refused, type Outcome } from '../refusal/index.js';
import { migrate } from '../older/index.js';
import {
  draftSchema,
  personSchema,
  sizeChartSchema,
  WORKBOOK_FORMAT,
  WORKBOOK_VERSION,
  workbookSchema,
  type KeptChart,
  type KeptDraft,
  type Person,
  type Workbook,
} from './schema.js';

const refuse = (value: string, reason: string, wayOut: string): Outcome<never> =>
  refused({ field: 'workbook', value, reason, wayOut });

const OLDER_COPY = 'Open an older copy of it.';

/** References that lead nowhere: a draft without its person or set, or an id used twice. */
function brokenReference(book: Pick<Workbook, 'people' | 'drafts' | 'charts'>): string | undefined {
  const people = new Map(book.people.map((p) => [p.id, p]));
  if (people.size !== book.people.length) return 'two people share one id';
  if (new Set(book.drafts.map((d) => d.id)).size !== book.drafts.length) return 'two drafts share one id';
  if (new Set(book.charts.map((c) => c.id)).size !== book.charts.length) return 'two size charts share one id';
  for (const p of book.people) {
    if (new Set(p.sets.map((s) => s.id)).size !== p.sets.length) return `two sets of “${p.name}” share one id`;
  }
  for (const d of book.drafts) {
    const person = people.get(d.personId);
    if (!person) return `the draft “${d.name}” belongs to nobody in the file`;
    if (!person.sets.some((s) => s.id === d.setId)) return `the draft “${d.name}” has no measurements in the file`;
  }
  return undefined;
}

const headSchema = workbookSchema.omit({ people: true, drafts: true, charts: true }).extend({
  people: z.array(z.unknown()),
  drafts: z.array(z.unknown()),
  charts: z.array(z.unknown()),
});

function damaged(path: readonly PropertyKey[], message: string | undefined): Outcome<never> {
  const place = path.join('.');
  return refuse(place, `This workbook is damaged at “${place}”: ${message ?? 'it has another shape'}.`, OLDER_COPY);
}

/** How often progress is told while the records of a file are read. */
const TOLD_EVERY = 50;

/**
 * Reads a workbook file, of this version or an older one. Damaged, foreign and newer files are refused with one
 * sentence; nothing is half read. `progress` is told the share of the records that have been read.
 */
export function readWorkbook(text: string, progress?: (share: number) => void): Outcome<Workbook> {
  let json: unknown;
  try {
    json = JSON.parse(text);
  } catch {
    return refuse(
      '',
      'This file is damaged or is not a workbook: it cannot be read.',
      'Choose a file that ends in .upstride.json.',
    );
  }
  const raw = typeof json === 'object' && json !== null ? (json as Record<string, unknown>) : {};
  if (raw['format'] !== WORKBOOK_FORMAT) {
    return refuse('', 'This file is not an Upstride workbook.', 'Choose a file that ends in .upstride.json.');
  }
  if (typeof raw['version'] === 'number' && raw['version'] > WORKBOOK_VERSION) {
    return refuse(
      String(raw['version']),
      `This workbook was written by a newer Upstride (version ${raw['version']} of the file; this one reads ${WORKBOOK_VERSION}).`,
      'Open it in the newer one.',
    );
  }
  const head = headSchema.safeParse(migrate(raw));
  if (!head.success) {
    const issue = head.error.issues[0];
    return damaged(issue?.path ?? [], issue?.message);
  }
  const total = head.data.people.length + head.data.drafts.length + head.data.charts.length;
  let done = 0;
  const readAll = <T>(name: string, items: readonly unknown[], schema: z.ZodType<T>): Outcome<T[]> => {
    const found: T[] = [];
    for (const [i, item] of items.entries()) {
      const read = schema.safeParse(item);
      if (!read.success) {
        const issue = read.error.issues[0];
        return damaged([name, i, ...(issue?.path ?? [])], issue?.message);
      }
      found.push(read.data);
      done += 1;
      if (progress && done % TOLD_EVERY === 0) progress(done / total);
    }
    return good(found);
  };
  const people = readAll<Person>('people', head.data.people, personSchema);
  if (!people.ok) return people;
  const drafts = readAll<KeptDraft>('drafts', head.data.drafts, draftSchema);
  if (!drafts.ok) return drafts;
  const charts = readAll<KeptChart>('charts', head.data.charts, sizeChartSchema);
  if (!charts.ok) return charts;
  const book: Workbook = { ...head.data, people: people.value, drafts: drafts.value, charts: charts.value };
  const broken = brokenReference(book);
  if (broken !== undefined) return refuse('', `This workbook is damaged: ${broken}.`, OLDER_COPY);
  return good(book);
}

/** What a workbook holds, beside the head of the file. */
export interface WorkbookContent {
  readonly people: readonly Person[];
  readonly drafts: readonly KeptDraft[];
  readonly charts: readonly KeptChart[];
}

/** A workbook as the text of a file. */
export const writeWorkbook = (book: WorkbookContent, written: Date): string =>
  `${JSON.stringify({ format: WORKBOOK_FORMAT, version: WORKBOOK_VERSION, written: written.toISOString(), people: book.people, drafts: book.drafts, charts: book.charts }, undefined, 2)}\n`;
