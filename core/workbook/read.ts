import { good, refused, type Outcome } from '../refusal/index.js';
import { workbookSchema, WORKBOOK_FORMAT, WORKBOOK_VERSION, type Workbook } from './schema.js';

const refuse = (value: string, reason: string, wayOut: string): Outcome<never> =>
  refused({ field: 'workbook', value, reason, wayOut });

/** References that lead nowhere: a draft without its person or set, or an id used twice. */
function brokenReference(book: Workbook): string | undefined {
  const people = new Map(book.people.map((p) => [p.id, p]));
  if (people.size !== book.people.length) return 'two people share one id';
  if (new Set(book.drafts.map((d) => d.id)).size !== book.drafts.length) return 'two drafts share one id';
  for (const d of book.drafts) {
    const person = people.get(d.personId);
    if (!person) return `the draft “${d.name}” belongs to nobody in the file`;
    if (!person.sets.some((s) => s.id === d.setId)) return `the draft “${d.name}” has no measurements in the file`;
  }
  return undefined;
}

/**
 * Reads a workbook file. Damaged, foreign and newer files are refused with one sentence; nothing is half read.
 */
export function readWorkbook(text: string): Outcome<Workbook> {
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
  const head = typeof json === 'object' && json !== null ? (json as Record<string, unknown>) : {};
  if (head['format'] !== WORKBOOK_FORMAT) {
    return refuse('', 'This file is not an Upstride workbook.', 'Choose a file that ends in .upstride.json.');
  }
  if (typeof head['version'] === 'number' && head['version'] > WORKBOOK_VERSION) {
    return refuse(
      String(head['version']),
      `This workbook was written by a newer Upstride (version ${head['version']} of the file; this one reads ${WORKBOOK_VERSION}).`,
      'Open it in the newer one.',
    );
  }
  const parsed = workbookSchema.safeParse(json);
  if (!parsed.success) {
    const issue = parsed.error.issues[0];
    const place = issue?.path.join('.') ?? '';
    return refuse(
      place,
      `This workbook is damaged at “${place}”: ${issue?.message ?? 'it has another shape'}.`,
      'Open an older copy of it.',
    );
  }
  const broken = brokenReference(parsed.data);
  if (broken !== undefined) return refuse('', `This workbook is damaged: ${broken}.`, 'Open an older copy of it.');
  return good(parsed.data);
}

/** A workbook as the text of a file. */
export const writeWorkbook = (book: Pick<Workbook, 'people' | 'drafts'>, written: Date): string =>
  `${JSON.stringify({ format: WORKBOOK_FORMAT, version: WORKBOOK_VERSION, written: written.toISOString(), people: book.people, drafts: book.drafts }, undefined, 2)}\n`;
