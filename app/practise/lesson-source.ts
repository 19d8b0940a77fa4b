import { useQuery } from '@tanstack/react-query';
import type { Practice, WorkbookContent } from '../../core/kept/index.js';
import { DEFAULT_SHEET, loadSheet, SHEET_LIST, type Sheet } from '../../core/method/index.js';
import {
  COURSE,
  dueItems,
  LEVELS_OF_FIGURES,
  SUBJECT_IDS,
  subjectWords,
  type Lesson,
} from '../../core/practice/index.js';

/** What a lesson's method begins with where it is the own sheet of a draft. */
const OWN = 'own:';

/** What can be practised: the methods, a maker's own sheets, and what is practised beside them. */
export function whatToPractise({ drafts }: Pick<WorkbookContent, 'drafts'>): {
  readonly methods: readonly (readonly [id: string, name: string])[];
  readonly subjects: readonly (readonly [id: string, name: string])[];
} {
  return {
    methods: [
      ...SHEET_LIST.map(([id, name]) => [id, name] as const),
      ...drafts.flatMap((d) => (d.sheet ? [[`${OWN}${d.id}`, `${d.sheet.name}, of “${d.name}”`] as const] : [])),
    ],
    subjects: [['measuring', 'The wrong tape'], ...SUBJECT_IDS.map((id) => [id, subjectWords(id).label] as const)],
  };
}

/** The address of a lesson that is put together: its method or subject, figures and way. */
export function lessonPath(
  room: string,
  lesson: Pick<Lesson, 'method' | 'subject' | 'level' | 'choices' | 'ask'>,
): string {
  const query = new URLSearchParams({ level: lesson.level });
  if (lesson.method !== undefined) query.set('method', lesson.method);
  if (lesson.subject !== undefined) query.set('subject', lesson.subject);
  if (lesson.ask) query.set('ask', lesson.ask.join(' '));
  for (const [id, value] of Object.entries(lesson.choices ?? {})) query.set(`choice.${id}`, value);
  return `/${room}/practise/own?${query.toString()}`;
}

/** A lesson from an address; what is not understood is left at what the house has. */
export function lessonFrom(query: URLSearchParams, shelf: Pick<WorkbookContent, 'drafts'>): Lesson {
  const { methods, subjects } = whatToPractise(shelf);
  const all = [...methods, ...subjects];
  const subject = subjects.find(([id]) => id === query.get('subject'))?.[0] as Lesson['subject'];
  const method = query.get('method') ?? DEFAULT_SHEET.id;
  const level = LEVELS_OF_FIGURES.find((l) => l === query.get('level')) ?? 'eighths';
  const ask = (['sums', 'points', 'curves'] as const).filter((a) => query.get('ask')?.split(' ').includes(a));
  const choices = Object.fromEntries(
    [...query].flatMap(([key, value]) => (key.startsWith('choice.') ? [[key.slice('choice.'.length), value]] : [])),
  );
  const title = all.find(([id]) => id === (subject ?? method))?.[1] ?? method;
  return {
    id: subject ?? method,
    title,
    about: '',
    level,
    ...(subject === 'measuring' ? { subject } : { method, ...(subject && { subject }) }),
    ...(ask.length > 0 && { ask }),
    ...(Object.keys(choices).length > 0 && { choices }),
  };
}

/** A lesson with the record its answers are counted in, and what of it is asked, where that is not all. */
export interface NamedLesson {
  readonly lesson: Lesson;
  readonly record: Practice;
  readonly only?: ReadonlySet<string>;
}

/** What is kept of a lesson that was handed over; apart from methods and subjects, whatever it calls itself. */
export const recordOfHanded = (lesson: Lesson): Practice => ({
  id: `lesson ${lesson.id}`,
  name: lesson.title,
  items: {},
  lesson,
});

/** The record of a method or a subject as it is kept; an empty one where it was not practised yet. */
function recordOf(lesson: Lesson, shelf: Pick<WorkbookContent, 'drafts' | 'practice'>): Practice {
  const { methods, subjects } = whatToPractise(shelf);
  const id = lesson.subject ?? lesson.method ?? DEFAULT_SHEET.id;
  const name = [...methods, ...subjects].find(([known]) => known === id)?.[1] ?? id;
  return { ...(shelf.practice.find((p) => p.id === id) ?? { id, items: {} }), name };
}

/** So many tables of figures are gone through at most. */
const MOST_TABLES = 50;

/** What has come back of a record, as a lesson on other figures, as hard as they were last. */
function dueLesson(of: string, shelf: Pick<WorkbookContent, 'drafts' | 'practice'>): NamedLesson | undefined {
  const record = shelf.practice.find((p) => p.id === of);
  if (!record) return undefined;
  const only = new Set(dueItems(record, new Date()));
  const isSubject = whatToPractise(shelf).subjects.some(([id]) => id === of);
  const plain = lessonFrom(new URLSearchParams(isSubject ? { subject: of } : { method: of }), shelf);
  const { level = plain.level, choices } = record;
  const times = Math.max(1, Math.min(MOST_TABLES, only.size));
  const lesson = record.lesson ?? { ...plain, level, ...(choices && { choices }), times };
  const title = `${record.name}: what comes back`;
  // On other figures than those that were missed, and wherever in the work they stand.
  return { lesson: { ...lesson, seed: undefined, steps: undefined, title }, record, only };
}

/** The lesson that an address names: of the course, one handed over, one put together, or what has come back. */
export function lessonNamed(
  id: string,
  query: URLSearchParams,
  shelf: Pick<WorkbookContent, 'drafts' | 'practice'>,
): NamedLesson | undefined {
  if (id === 'due') return dueLesson(query.get('of') ?? '', shelf);
  const handed = shelf.practice.find((p) => p.id === id && p.lesson);
  if (handed?.lesson) return { lesson: handed.lesson, record: handed };
  const lesson = id === 'own' ? lessonFrom(query, shelf) : COURSE.find((l) => l.id === id);
  return lesson && { lesson, record: recordOf(lesson, shelf) };
}

/** The sheet of a lesson: undefined while it is fetched, null where there is none of its name. */
export function useLessonSheet(
  lesson: Lesson | undefined,
  { drafts }: Pick<WorkbookContent, 'drafts'>,
): Sheet | null | undefined {
  const method = lesson?.method ?? DEFAULT_SHEET.id;
  const own =
    lesson?.sheet ??
    (method.startsWith(OWN) ? drafts.find((d) => d.id === method.slice(OWN.length))?.sheet : undefined);
  const query = useQuery({
    queryKey: ['sheet', method],
    queryFn: async () => (await loadSheet(method)) ?? null,
    enabled: own === undefined,
  });
  return own ?? (query.isError ? null : query.data);
}
