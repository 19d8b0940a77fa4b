export * from './panel-parameters.js';
export { parseFormula, checkFormula, evaluate, namesIn, typeset, type Node, type FormulaError } from './formula.js';
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
  showSum,
  lineLabel,
  type MethodInput,
  type LedgerLine,
  type Source,
  type Sum,
  type Worked,
} from './ledger.js';
export { SHEETS, sheetById } from './sheets/index.js';
