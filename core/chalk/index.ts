export {
  chalkSheet,
  CHALK_HOUSE,
  type BackBy,
  type ChalkChoice,
  type ChalkSheet,
  type ChalkSource,
} from './chalk-sheet.js';
export { chalkedOutline, type ChalkedPart, type ChalkedStretch } from './chalked.js';
export type { ClothFor, ClothPlan, Offcut } from './cloth.js';
export type { ChalkedLine } from './laid.js';
export type { ChalkMove, MoveKind } from './chalk-move.js';
export { ROUNDED, type RoundedFigure, type Rounding } from './rounding.js';
export { CHALK_TAPES, chalkFigure, chalkTape, chalkTapesFor, stepOf, type ChalkTape } from './tape.js';
export { chalkPages, chalkSketch, ROUNDED_LABELS, roundingRows } from './chalk-pages.js';
