export { drawnInput, type BatchInput, type Grading, type RuleSize } from './graded-input.js';
export {
  appliedTo,
  finished,
  type Applied,
  type BatchBody,
  type BatchCloth,
  type BatchGarment,
  type Making,
} from './apply.js';
export { clothOfAll, rowAsks, rowOf, rowRank, toldOf, type BatchRow, type RowAsk, type RowTold } from './row.js';
