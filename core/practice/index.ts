export { SLIP_KINDS, SLIP_LABELS, type Slip, type SlipKind } from './slip.js';
export { methodSums, type Given, type SetSum, type SumStep } from './sums.js';
export { judgeLength, judgeSum, type Judged } from './judge-sum.js';
export {
  LEVEL_LABELS,
  LEVELS_OF_FIGURES,
  practiceBody,
  unitOfLevel,
  wrongTape,
  type FigureLevel,
  type PracticeBody,
  type WrongTape,
} from './bodies.js';
export { SUBJECT_IDS, subjectSums, subjectWords, type SubjectId } from './subject-sums.js';
export {
  curveTasks,
  drawnCurve,
  judgeCurve,
  judgePoint,
  pointTasks,
  type CurveTask,
  type JudgedLine,
  type PointTask,
} from './lines.js';
export { comesBack, dueItems, practised, slipsMade, sumOf, type Outcome, type ProgressSum } from './progress.js';
export {
  COURSE,
  readLessonFile,
  writeLesson,
  writeResult,
  type LessonAnswer,
  type LessonFile,
  type LessonResult,
} from './lesson.js';
export type { Lesson } from '../workbook/index.js';
export { exercisesOn, judgeTape, tapesFor, type Exercise } from './exercises.js';
export { lessonOn, stepsToAsk, type LessonOnBody } from './lesson-draft.js';
export { bodyPutRight, pieceOfLesson } from './piece-of-lesson.js';
