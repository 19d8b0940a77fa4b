import { z } from 'zod';
import { fileRefusal, good, refused, type FileRefusal, type Outcome } from '../refusal/index.js';
import { lessonSchema, type Lesson } from '../workbook/index.js';
import course from './course.json' with { type: 'json' };

/** What marks a file as a lesson, and as what came of one. */
const LESSON_FORMAT = 'upstride-lesson';
const RESULT_FORMAT = 'upstride-lesson-result';
const VERSION = 1;

const words = z.string().max(2000);

const answerSchema = z.strictObject({
  item: z.string().max(200),
  asked: words,
  answer: words,
  verdict: z.enum(['right', 'near', 'slip', 'wrong']),
  said: words,
  hints: z.number().int().min(0).max(3),
});

/** What came of a lesson: every answer in order, with what was told of it. */
export const lessonResultSchema = z.strictObject({
  format: z.literal(RESULT_FORMAT),
  version: z.literal(VERSION),
  lesson: lessonSchema,
  learner: words,
  ended: z.iso.datetime(),
  answers: z.array(answerSchema).max(5000),
});

/** One answer of a lesson. */
export type LessonAnswer = z.infer<typeof answerSchema>;
/** What came of a lesson. */
export type LessonResult = z.infer<typeof lessonResultSchema>;

/** The lessons of the course, in their order. */
export const COURSE: readonly Lesson[] = z.array(lessonSchema).parse(course);

const lessonFileSchema = z.strictObject({
  format: z.literal(LESSON_FORMAT),
  version: z.literal(VERSION),
  lesson: lessonSchema,
});

/** A lesson as the text of a file. */
export const writeLesson = (lesson: Lesson): string =>
  `${JSON.stringify({ format: LESSON_FORMAT, version: VERSION, lesson }, undefined, 2)}\n`;

/** What came of a lesson as the text of a file. */
export const writeResult = (result: Pick<LessonResult, 'lesson' | 'learner' | 'ended' | 'answers'>): string =>
  `${JSON.stringify({ format: RESULT_FORMAT, version: VERSION, ...result }, undefined, 2)}\n`;

/** A file that was handed over: a lesson, or what came of one. */
export type LessonFile =
  { readonly kind: 'lesson'; readonly lesson: Lesson } | { readonly kind: 'result'; readonly result: LessonResult };

/** Reads a file that a teacher or a learner handed over; refused with what is wrong with it. */
export function readLessonFile(text: string): Outcome<LessonFile, FileRefusal> {
  let json: unknown;
  try {
    json = JSON.parse(text);
  } catch {
    return refused(fileRefusal('lesson', 'lessonUnread'));
  }
  const format = typeof json === 'object' && json !== null && 'format' in json ? json.format : undefined;
  if (format !== LESSON_FORMAT && format !== RESULT_FORMAT) return refused(fileRefusal('lesson', 'lessonForeign'));
  if (format === LESSON_FORMAT) {
    const read = lessonFileSchema.safeParse(json);
    return read.success ? good({ kind: 'lesson', lesson: read.data.lesson }) : damaged(read.error);
  }
  const read = lessonResultSchema.safeParse(json);
  return read.success ? good({ kind: 'result', result: read.data }) : damaged(read.error);
}

function damaged({ issues }: z.ZodError): Outcome<never, FileRefusal> {
  const [issue] = issues;
  return refused(
    fileRefusal('lesson', 'lessonDamaged', { place: (issue?.path ?? []).join('.'), fault: issue?.message ?? '' }),
  );
}
