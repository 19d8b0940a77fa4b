import { computeDraft, EMPTY_INPUT, type Draft } from '../chain/index.js';
import type { Measured } from '../measure/index.js';
import { formulaFor, SHEETS_OWN_FIT, type Fit, type Sheet } from '../method/index.js';
import { snapTo } from '../units/index.js';
import type { Lesson } from '../workbook/index.js';
import { practiceBody, unitOfLevel } from './bodies.js';
import { exercisesOn, type Exercise } from './exercises.js';
import { stepOf } from './paper-sum.js';

/** A lesson on a body: its figures, its draft, and what is asked. */
export interface LessonOnBody {
  readonly seed: number;
  readonly measured: Measured;
  readonly fit: Fit;
  /** As it is laid off; trued where the lesson begins with a whole pair. */
  readonly draft: Draft;
  readonly exercises: readonly Exercise[];
}

/** How far a knit for practice stretches, as a share. */
const KNIT_STRETCH = 0.5;
/** What is held against the body, finished and laid on cloth is the trued pair; all else is seen as it is laid off. */
const seenTrued = ({ subject }: Lesson): boolean => subject !== undefined && subject !== 'truing';

/** So many bodies are tried until one gives something to ask. */
const TRIES = 40;

/** A pair of about a body's size, for a method that drafts from one, in mm. */
const pairOf = (hip: number, step: number): Measured => ({
  pairFrontThigh: snapTo(0.29 * hip, step),
  pairThigh: snapTo(0.665 * hip, step),
});

/** The figures of a seed's body: those that the lesson brings on its own seed, made up on any other. */
function bodyAt(sheet: Sheet, { level, seed: own, figures }: Lesson, seed: number, step: number): Measured {
  if (figures && seed === own) return figures;
  const body = practiceBody(seed, level, sheet.meantFor);
  return sheet.needs.some((id) => id.startsWith('pair')) ? { ...body, ...pairOf(body.hip, step) } : body;
}

/** What a lesson by a sheet may ask for, step by step: by its body, or by that of the first seed that is drafted. */
export function stepsToAsk(sheet: Sheet, lesson: Lesson): readonly { readonly id: string; readonly title: string }[] {
  const on = lessonOn(sheet, { ...lesson, steps: undefined }, lesson.seed ?? 1);
  // What both seams ask together stands under one title, sums and lowered points.
  const steps = new Map<string, string>();
  for (const { step, title } of on?.exercises ?? []) if (!steps.has(title)) steps.set(title, step);
  return [...steps].map(([title, id]) => ({ id, title }));
}

/**
 * A lesson by a sheet on the body of a seed, all of it or `only` some items; on the next body that gives something to ask.
 * Nothing where none does.
 */
export function lessonOn(
  sheet: Sheet,
  lesson: Lesson,
  seed: number,
  only?: ReadonlySet<string>,
): LessonOnBody | undefined {
  const step = stepOf(unitOfLevel(lesson.level));
  const choices = lesson.choices ?? {};
  const knit = formulaFor(sheet.fitClass, choices) === 'knit' || sheet.fitClass === 'knit';
  const fit: Fit = knit ? { stretch: KNIT_STRETCH } : SHEETS_OWN_FIT;
  for (let i = 0; i < TRIES; i += 1) {
    const measured = bodyAt(sheet, lesson, seed + i, step);
    const input = { ...EMPTY_INPUT, sheet, measured, fit, choices };
    const trued = computeDraft(input);
    const laid = computeDraft({ ...input, rules: { ...input.rules, trueSeams: false } });
    if (!trued.ok || !laid.ok) continue;
    const drafts = { laid: laid.value, trued: trued.value };
    const exercises = exercisesOn(drafts, lesson).filter(({ id }) => only?.has(id) ?? true);
    const draft = seenTrued(lesson) ? drafts.trued : drafts.laid;
    if (exercises.length > 0) return { seed: seed + i, measured, fit, draft, exercises };
  }
  return undefined;
}
