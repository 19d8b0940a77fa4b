export * from './panel-parameters.js';
export { parseFormula, type Node, type FormulaError } from './formula.js';
export { checkFormula, evaluate, namesIn, typeset } from './formula-value.js';
export {
  checkSheet,
  formulaFor,
  lineKind,
  type Sheet,
  type Line,
  type Setting,
  type Choice,
  type SheetFault,
} from './sheet.js';
export {
  workOut,
  lineLabel,
  fitClassOf,
  type MethodInput,
  type LedgerLine,
  type Source,
  type Worked,
} from './ledger.js';
export { SHEETS, sheetById } from './sheets/index.js';
export { showSum, type Sum } from './show-sum.js';
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
