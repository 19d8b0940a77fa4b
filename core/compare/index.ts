export { compareDrafts, type DraftDifference } from './compare.js';
export { ALIGNMENTS, alignedAt, compareMany, type Alignment, type ComparedRow, type RowGroup } from './lay-over.js';
