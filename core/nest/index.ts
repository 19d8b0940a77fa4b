export { gradeOf, UNEVEN, type GradedEdge, type GradedPoint, type GradeStep, type PartGrade } from './grade.js';
export {
  anchorOf,
  NEST_ALIGNMENTS,
  nestOf,
  sharedPoints,
  type NestAlignment,
  type NestBody,
  type NestPart,
  type NestPoint,
  type NestSize,
} from './nest.js';
export { nestSheet, sizePen, type NestLabels, type NestLines } from './nest-sheet.js';
