export {
  appliedTo,
  finished,
  type Applied,
  type BatchBody,
  type BatchCloth,
  type BatchGarment,
  type Making,
} from './apply.js';
export { clothOfAll, rowAsks, rowOf, rowRank, type BatchRow, type RowAsk } from './row.js';
