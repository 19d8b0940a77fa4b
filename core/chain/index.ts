export { bodyOf, computeDraft, EMPTY_INPUT, missingFigures, type Draft, type DraftInput } from './compute-draft.js';
export { readLevel, type LevelReading } from './level-reading.js';
export { ALIGNMENTS, alignedAt, compareMany, type Alignment, type ComparedRow, type RowGroup } from './lay-over.js';
export { compareDrafts, type DraftDifference } from './compare.js';
export { easeTable, extensionsFor, type EaseHeld, type EaseRow } from './ease.js';
