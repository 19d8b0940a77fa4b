import { useQuery } from '@tanstack/react-query';
import type { WorkbookContent } from '../../core/kept/index.js';
import { DEFAULT_SHEET, loadSheet, SHEET_LIST, type Sheet } from '../../core/method/index.js';
import { COURSE, dueItems, LEVELS_OF_FIGURES, SUBJECT_IDS, subjectWords } from '../../core/practice/index.js';
import type { Lesson } from '../../core/practice/index.js';

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

/** A lesson with what of it is asked, where that is not all. */
export interface NamedLesson {
  readonly lesson: Lesson;
  readonly only?: ReadonlySet<string>;
}

/** So many tables of figures are gone through at most. */
const MOST_TABLES = 50;

/** What has come back of a method, a subject or a lesson, as a lesson on other figures. */
function dueLesson(of: string, shelf: Pick<WorkbookContent, 'drafts' | 'practice'>): NamedLesson | undefined {
  const found = shelf.practice.find((p) => p.id === of);
  if (!found) return undefined;
  const only = new Set(dueItems(found, new Date()));
  const { subjects } = whatToPractise(shelf);
  const isSubject = subjects.some(([id]) => id === of);
  const query = new URLSearchParams(isSubject ? { subject: of } : { method: of });
  const times = Math.max(1, Math.min(MOST_TABLES, only.size));
  const lesson = found.lesson ?? { ...lessonFrom(query, shelf), times };
  // On other figures than those that were missed, and wherever in the work they stand.
  return { lesson: { ...lesson, seed: undefined, steps: undefined, title: `${found.name}: what comes back` }, only };
}

/** The lesson that an address names: of the course, one handed over, one put together, or what has come back. */
export function lessonNamed(
  id: string,
  query: URLSearchParams,
  shelf: Pick<WorkbookContent, 'drafts' | 'practice'>,
): NamedLesson | undefined {
  if (id === 'own') return { lesson: lessonFrom(query, shelf) };
  if (id === 'due') return dueLesson(query.get('of') ?? '', shelf);
  const lesson = COURSE.find((l) => l.id === id) ?? shelf.practice.find((p) => p.lesson?.id === id)?.lesson;
  return lesson && { lesson };
}

/** The sheet of a lesson: undefined while it is fetched, null where there is none of its name. */
export function useLessonSheet(
  lesson: Lesson | undefined,
  { drafts }: Pick<WorkbookContent, 'drafts'>,
): Sheet | null | undefined {
  const method = lesson?.method ?? DEFAULT_SHEET.id;
  const own = method.startsWith(OWN) ? drafts.find((d) => d.id === method.slice(OWN.length))?.sheet : undefined;
  const query = useQuery({
    queryKey: ['sheet', method],
    queryFn: async () => (await loadSheet(method)) ?? null,
    enabled: own === undefined,
  });
  return own ?? (query.isError ? null : query.data);
}
