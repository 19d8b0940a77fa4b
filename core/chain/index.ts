export {
  altered,
  bodyOf,
  computeDraft,
  drawDraft,
  drawUnaltered,
  EMPTY_INPUT,
  missingFigures,
  type Draft,
  type Drafted,
  type DraftInput,
  type Unaltered,
} from './compute-draft.js';
export { spoiltLines } from './spoilt-lines.js';
export { readLevel, type LevelReading } from './level-reading.js';
export { easeTable, extensionsFor, type EaseHeld, type EaseRow } from './ease.js';
