import type { Draft } from '../chain/index.js';
import { measurementLabel, type MeasurementId } from '../measure/index.js';
import { stepsOf } from '../steps/index.js';
import type { Unit } from '../units/index.js';
import type { Lesson } from '../workbook/index.js';
import { unitOfLevel, wrongTape, type WrongTape } from './bodies.js';
import { curveTasks, loweredTasks, pointTasks, type CurveTask, type PointTask } from './lines.js';
import { subjectSums, subjectWords, type SubjectId } from './subject-sums.js';
import { GIRTHS, methodSums, stepTitle, type SetSum } from './sums.js';

/** One thing that is asked: a sum, a point, a curve, or the wrong tape among figures. */
export type Exercise = {
  readonly id: string;
  readonly step: string;
  /** Where in the work it stands: `Front: put the crotch point`. */
  readonly title: string;
  /** What is usually done wrong there. */
  readonly usual: string;
} & (
  | { readonly kind: 'sum'; readonly sum: SetSum }
  | { readonly kind: 'point'; readonly task: PointTask }
  | { readonly kind: 'curve'; readonly task: CurveTask }
  | { readonly kind: 'tape'; readonly tape: WrongTape }
);

const ALL = ['sums', 'points', 'curves'] as const;

/** A draft as a lesson goes through it: as it is laid off, line by line, and trued. */
export interface LaidAndTrued {
  readonly laid: Draft;
  readonly trued: Draft;
}

type SumExercise = Extract<Exercise, { kind: 'sum' }>;

/** A sum of truing is asked where it comes to what the draft itself does, to so many mm. */
const AS_DRAWN = 2;

function subjectExercises(id: SubjectId, { laid, trued }: LaidAndTrued, unit: Unit): SumExercise[] {
  const { label, about } = subjectWords(id);
  const what = { step: id, title: label, usual: about };
  return subjectSums(id, trued, unit, laid).map((sum) => ({ ...what, id: sum.id, kind: 'sum' as const, sum }));
}

/** What both seams ask once all lines are drawn: what one has more than the other, and where the back is lowered to. */
function truing(drafts: LaidAndTrued, unit: Unit, points: boolean): Exercise[] {
  const { label: title, about: usual } = subjectWords('truing');
  const lowered = points ? loweredTasks(drafts.laid, drafts.trued) : [];
  const [was, is] = [drafts.laid.block.back.points.crotchPoint, drafts.trued.block.back.points.crotchPoint];
  // A back that is trued otherwise, as a knit's is, has no such sum.
  const asDrawn = ({ id, sum }: SumExercise): boolean =>
    id !== 'crotchDown' || Math.abs(sum.right - (is.y - was.y)) < AS_DRAWN;
  return [
    ...subjectExercises('truing', drafts, unit).filter(asDrawn),
    ...lowered.map((task): Exercise => ({ step: task.step, title, usual, id: task.id, kind: 'point', task })),
  ];
}

/** What a lesson asks on a draft, in the order of the work. */
export function exercisesOn(drafts: LaidAndTrued, lesson: Lesson): Exercise[] {
  const unit = unitOfLevel(lesson.level);
  if (lesson.subject === 'truing') return truing(drafts, unit, true);
  if (lesson.subject !== undefined && lesson.subject !== 'measuring')
    return subjectExercises(lesson.subject, drafts, unit);
  const draft = drafts.laid;
  const ask: readonly (typeof ALL)[number][] = lesson.ask ?? ALL;
  const wanted = (step: string): boolean => lesson.steps?.includes(step) ?? true;
  const sums = ask.includes('sums') ? methodSums(draft, unit) : [];
  const points = ask.includes('points') ? pointTasks(draft, unit) : [];
  const curves = ask.includes('curves') ? curveTasks(draft, unit) : [];
  const steps = [
    { ...GIRTHS, slip: '' },
    ...stepsOf(draft, unit).map((step) => ({ id: step.id, title: stepTitle(step), slip: step.slip })),
  ];
  const drawn = steps
    .filter(({ id }) => wanted(id))
    .flatMap(({ id: step, title, slip }): Exercise[] => {
      const about = { step, title, usual: slip };
      return [
        ...sums
          .filter((s) => s.step === step)
          .flatMap((s) => s.sums)
          .map((sum): Exercise => ({ ...about, id: sum.id, kind: 'sum', sum })),
        ...points
          .filter((p) => p.step === step)
          .map((task): Exercise => ({ ...about, id: task.id, kind: 'point', task })),
        ...curves
          .filter((c) => c.step === step)
          .map((task): Exercise => ({ ...about, id: task.id, kind: 'curve', task })),
      ];
    });
  // A whole pair ends trued.
  return wanted('truing') && ask.includes('sums') ? [...drawn, ...truing(drafts, unit, ask.includes('points'))] : drawn;
}

/** So many tables of figures are gone through where nothing else is said. */
const TABLES = 3;

/** Tables of figures, each with one that is wrong, by a seed. */
export const tapesFor = (lesson: Lesson, seed: number): Exercise[] =>
  Array.from({ length: lesson.times ?? TABLES }, (_, i) => {
    const tape = wrongTape(seed + i * 101, lesson.level);
    return {
      id: `tape.${tape.wrong}`,
      step: 'measuring',
      title: 'Measuring',
      usual: 'A figure is written down and never held against the others.',
      kind: 'tape' as const,
      tape,
    };
  });

/** The measurement that was picked as the wrong one, held against the one that is. */
export function judgeTape(
  { wrong, said, shows }: WrongTape,
  picked: MeasurementId,
): { readonly verdict: 'right' | 'wrong'; readonly said: string } {
  const name = measurementLabel(wrong).toLowerCase();
  const why = `${said} ${shows}`;
  return picked === wrong
    ? { verdict: 'right', said: `Right, the ${name}. ${why}` }
    : { verdict: 'wrong', said: `The ${measurementLabel(picked).toLowerCase()} is sound; it is the ${name}. ${why}` };
}
