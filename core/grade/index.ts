export { gradedPattern } from './graded-pattern.js';
export { gradeRuleOf, movesBetween, type GradedPlace, type GradedSize, type GradeRule } from './grade-rule.js';
export type { PlaceId } from './grade-places.js';
