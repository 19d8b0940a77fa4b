import { z } from 'zod';
import { good, fileRefusal, refused, type Outcome, type FileRefusal } from '../refusal/index.js';
import { migrate } from '../older/index.js';
import {
  draftSchema,
  personSchema,
  photoSchema,
  sizeChartSchema,
  WORKBOOK_FORMAT,
  WORKBOOK_VERSION,
  workbookSchema,
  type KeptChart,
  type KeptDraft,
  type Person,
  type Photo,
  type Workbook,
} from './schema.js';
import { keptStyleSchema, type KeptStyle } from './making-schema.js';
import { practiceSchema, type Practice } from './practice-schema.js';

const twice = (what: string): FileRefusal => fileRefusal('workbook', 'workbookIdTwice', { what });

/** References that lead nowhere: a draft without its person or set, or an id used twice. */
function brokenReference(
  book: Pick<Workbook, 'people' | 'drafts' | 'charts' | 'practice' | 'styles'>,
): FileRefusal | undefined {
  const people = new Map(book.people.map((p) => [p.id, p]));
  if (people.size !== book.people.length) return twice('people');
  if (new Set(book.drafts.map((d) => d.id)).size !== book.drafts.length) return twice('drafts');
  if (new Set(book.charts.map((c) => c.id)).size !== book.charts.length) return twice('size charts');
  if (new Set(book.practice.map((p) => p.id)).size !== book.practice.length) return twice('practice');
  if (new Set(book.styles.map((s) => s.id)).size !== book.styles.length) return twice('styles');
  for (const p of book.people) {
    if (new Set(p.sets.map((s) => s.id)).size !== p.sets.length) return twice(`sets of “${p.name}”`);
  }
  for (const d of book.drafts) {
    const person = people.get(d.personId);
    if (!person) return fileRefusal('workbook', 'draftOfNobody', { draft: d.name });
    if (!person.sets.some((s) => s.id === d.setId)) {
      return fileRefusal('workbook', 'draftWithoutSet', { draft: d.name });
    }
  }
  return undefined;
}

const RECORDS = { people: true, drafts: true, charts: true, practice: true, styles: true, photos: true } as const;
const headSchema = workbookSchema.omit(RECORDS).extend({
  people: z.array(z.unknown()),
  drafts: z.array(z.unknown()),
  charts: z.array(z.unknown()),
  practice: z.array(z.unknown()),
  styles: z.array(z.unknown()),
  photos: z.array(z.unknown()).optional(),
});

const damaged = (path: readonly PropertyKey[], fault: string | undefined): Outcome<never, FileRefusal> =>
  refused(fileRefusal('workbook', 'workbookDamaged', { place: path.join('.'), fault }));

/** How often progress is told while the records of a file are read. */
const TOLD_EVERY = 50;

/**
 * Reads a workbook file, of this version or an older one. Damaged, foreign and newer files are refused with one
 * sentence; nothing is half read. `progress` is told the share of the records that have been read.
 */
export function readWorkbook(text: string, progress?: (share: number) => void): Outcome<Workbook, FileRefusal> {
  let json: unknown;
  try {
    json = JSON.parse(text);
  } catch {
    return refused(fileRefusal('workbook', 'workbookUnread'));
  }
  const raw = typeof json === 'object' && json !== null ? (json as Record<string, unknown>) : {};
  if (raw['format'] !== WORKBOOK_FORMAT) {
    return refused(fileRefusal('workbook', 'workbookForeign'));
  }
  if (typeof raw['version'] === 'number' && raw['version'] > WORKBOOK_VERSION) {
    return refused(fileRefusal('workbook', 'workbookNewer', { version: raw['version'], reads: WORKBOOK_VERSION }));
  }
  const head = headSchema.safeParse(migrate(raw));
  if (!head.success) {
    const issue = head.error.issues[0];
    return damaged(issue?.path ?? [], issue?.message);
  }
  const { data } = head;
  const total = [data.people, data.drafts, data.charts, data.practice, data.styles].reduce(
    (sum, list) => sum + list.length,
    0,
  );
  let done = 0;
  const readAll = <T>(name: string, items: readonly unknown[], schema: z.ZodType<T>): Outcome<T[], FileRefusal> => {
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
  const people = readAll<Person>('people', data.people, personSchema);
  if (!people.ok) return people;
  const drafts = readAll<KeptDraft>('drafts', data.drafts, draftSchema);
  if (!drafts.ok) return drafts;
  const charts = readAll<KeptChart>('charts', data.charts, sizeChartSchema);
  if (!charts.ok) return charts;
  const practice = readAll<Practice>('practice', data.practice, practiceSchema);
  if (!practice.ok) return practice;
  const styles = readAll<KeptStyle>('styles', data.styles, keptStyleSchema);
  if (!styles.ok) return styles;
  const photos = readAll<Photo>('photos', data.photos ?? [], photoSchema);
  if (!photos.ok) return photos;
  const { photos: raws, ...rest } = data;
  const book: Workbook = {
    ...rest,
    ...(raws && { photos: photos.value }),
    people: people.value,
    drafts: drafts.value,
    charts: charts.value,
    practice: practice.value,
    styles: styles.value,
  };
  const broken = brokenReference(book);
  if (broken) return refused(broken);
  return good(book);
}

/** What a workbook holds, beside the head of the file. */
export interface WorkbookContent {
  readonly people: readonly Person[];
  readonly drafts: readonly KeptDraft[];
  readonly charts: readonly KeptChart[];
  readonly practice: readonly Practice[];
  readonly styles: readonly KeptStyle[];
  /** Photos of fittings, where they are asked for. */
  readonly photos?: readonly Photo[] | undefined;
}

/** A workbook as the text of a file. */
export const writeWorkbook = (book: WorkbookContent, written: Date): string =>
  `${JSON.stringify({ format: WORKBOOK_FORMAT, version: WORKBOOK_VERSION, written: written.toISOString(), people: book.people, drafts: book.drafts, charts: book.charts, practice: book.practice, styles: book.styles, photos: book.photos }, undefined, 2)}\n`;
