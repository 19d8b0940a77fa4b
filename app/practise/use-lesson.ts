import { useState } from 'react';
import type { Sheet } from '../../core/method/index.js';
import {
  lessonOn,
  tapesFor,
  type Exercise,
  type Lesson,
  type LessonAnswer,
  type LessonOnBody,
  type Outcome,
  type SlipKind,
} from '../../core/practice/index.js';

/** An exercise in its place in a lesson; one that was missed stands once more at the end, on another body. */
interface Asked {
  readonly exercise: Exercise;
  readonly on: LessonOnBody | undefined;
  readonly again: boolean;
}

/** What came of the first answer to an exercise. */
export interface Answered {
  readonly outcome: Outcome;
  readonly verdict: LessonAnswer['verdict'];
  readonly slips: readonly SlipKind[];
  readonly answer: string;
  readonly asked: string;
  readonly said: string;
  readonly hints: number;
}

/** A lesson under way. */
export interface Lessoning {
  readonly seed: number;
  readonly asked: readonly Asked[];
  readonly at: number;
  readonly answers: readonly LessonAnswer[];
}

/** Another body is so many seeds away. */
const ANOTHER = 1009;

/** A lesson begun on the body of a seed, all of it or `only` some items; nothing where that gives nothing to ask. */
export function begun(lesson: Lesson, sheet: Sheet, seed: number, only?: ReadonlySet<string>): Lessoning | undefined {
  const first = lesson.seed ?? seed;
  if (lesson.subject === 'measuring') {
    const asked = tapesFor(lesson, first).map((exercise): Asked => ({ exercise, on: undefined, again: false }));
    return { seed: first, asked, at: 0, answers: [] };
  }
  const on = lessonOn(sheet, lesson, first, only);
  if (!on) return undefined;
  return { seed: on.seed, asked: on.exercises.map((exercise) => ({ exercise, on, again: false })), at: 0, answers: [] };
}

/** The same exercise on another body, where that sets it too. */
function onAnother(lesson: Lesson, sheet: Sheet, { exercise, on }: Asked, seed: number): Asked {
  if (exercise.kind === 'tape') {
    const [fresh = exercise] = tapesFor({ ...lesson, times: 1 }, seed + ANOTHER);
    return { exercise: fresh, on: undefined, again: true };
  }
  const other = lessonOn(sheet, lesson, seed + ANOTHER, new Set([exercise.id]));
  const [same] = other?.exercises ?? [];
  return same ? { exercise: same, on: other, again: true } : { exercise, on, again: true };
}

/** A lesson with the exercise in hand answered: what was missed comes back at its end. */
export function answered(
  now: Lessoning,
  lesson: Lesson,
  sheet: Sheet,
  { outcome, verdict, answer, asked: words, said, hints }: Answered,
): Lessoning {
  const asked = now.asked[now.at];
  if (!asked) return now;
  const line: LessonAnswer = { item: asked.exercise.id, asked: words, answer, verdict, said, hints };
  const back = outcome === 'missed' && !asked.again ? [onAnother(lesson, sheet, asked, now.seed)] : [];
  return { ...now, answers: [...now.answers, line], asked: [...now.asked, ...back] };
}

/** How far a lesson is, as the page's place in the browser's history keeps it: it is there after a reload, and by Back. */
export interface LessonPlace {
  readonly seed: number;
  readonly answers: readonly LessonAnswer[];
  /** What was due as it began, where that is all that is asked. */
  readonly only?: readonly string[];
}

const outcomeOf = (verdict: LessonAnswer['verdict']): Outcome =>
  verdict === 'right' || verdict === 'near' ? verdict : 'missed';

/** A lesson gone on with after the answers that were given. */
export function resumed(lesson: Lesson, sheet: Sheet, { seed, answers, only }: LessonPlace): Lessoning | undefined {
  const start = begun(lesson, sheet, seed, only && new Set(only));
  return answers.reduce<Lessoning | undefined>((now, { item, asked, ...what }) => {
    // What no longer stands there was answered under other rules: go on from before it.
    if (now?.asked[now.at]?.exercise.id !== item) return now;
    const next = answered(now, lesson, sheet, { ...what, asked, outcome: outcomeOf(what.verdict), slips: [] });
    return { ...next, at: now.at + 1 };
  }, start);
}

/** The place of a lesson, to be kept. */
export const placeOf = ({ seed, answers }: Lessoning, only?: ReadonlySet<string>): LessonPlace => ({
  seed,
  answers,
  ...(only && { only: [...only] }),
});

/** A lesson under way in a view, from the place where it was left; each answer is told as a place to be kept. */
export function useLesson(
  lesson: Lesson,
  sheet: Sheet,
  {
    from,
    only,
    onPlace,
  }: {
    readonly from: LessonPlace | undefined;
    readonly only: ReadonlySet<string> | undefined;
    readonly onPlace: (place: LessonPlace | undefined) => void;
  },
): {
  readonly now: Lessoning | undefined;
  readonly answer: (what: Answered) => void;
  readonly next: () => void;
  readonly again: () => void;
} {
  const [now, setNow] = useState(() => (from ? resumed(lesson, sheet, from) : begun(lesson, sheet, newSeed(), only)));
  return {
    now,
    answer: (what) => {
      if (!now) return;
      const then = answered(now, lesson, sheet, what);
      setNow(then);
      onPlace(placeOf(then, only));
    },
    next: () => {
      setNow((was) => was && { ...was, at: was.at + 1 });
    },
    again: () => {
      setNow(begun(lesson, sheet, newSeed(), only));
      onPlace(undefined);
    },
  };
}

const newSeed = (): number => crypto.getRandomValues(new Uint32Array(1))[0] ?? 1;
