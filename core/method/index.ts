export * from './panel-parameters.js';
export { parseFormula, type Node, type FormulaError } from './formula.js';
export { callInWords, checkFormula, evaluate, namesIn, typeset } from './formula-value.js';
export {
  checkSheet,
  formulaFor,
  lineKind,
  REDUCTION,
  settingsOf,
  type Sheet,
  type Line,
  type SheetFault,
  REQUIRED_LINES,
} from './sheet.js';
export { isLaidOn, keptDip, LAID_OUT_WORDS, laidOutOf } from './laid-out.js';
export {
  lineLabel,
  fitClassOf,
  type MethodInput,
  type LedgerLine,
  type AddedTerm,
  type Source,
  type Worked,
} from './ledger.js';
export { DEFAULT_SHEET, loadSheet, SHEET_LIST, sheetFrom } from './sheets/index.js';
export { choicesOf, COMMON, holds, termsFor, type Term } from './common.js';
export { nameInSum, showSum, type Sum } from './show-sum.js';
export {
  classEase,
  FIT_CLASSES,
  fitClass,
  fitClassById,
  knitReduction,
  SHEETS_OWN_FIT,
  type Fit,
  type FitClass,
  type FitClassId,
} from './fit.js';
export type { Choice, FormulaText, Setting } from './setting.js';
export {
  differences,
  mendedBy,
  namesBefore,
  ownCopy,
  withFormula,
  withReason,
  withSlider,
  type SheetDifference,
} from './own-sheet.js';
export { workOut } from './work-out.js';
export { warningSentence, type MethodWarning } from './warning.js';
