export {
  workbookSchema,
  WORKBOOK_VERSION,
  WORKBOOK_FORMAT,
  type Workbook,
  type Person,
  type Photo,
  type MeasurementSet,
  type DraftVersion,
  type Fitting,
  type KeptDraft,
  type KeptChart,
  type KeptGradeRule,
  type Run,
  type Trace,
} from './schema.js';
export { MOST_REMNANTS, MOST_TOGETHER, type KeptStyle } from './making-schema.js';
export { lessonSchema, type ItemProgress, type Lesson, type Practice } from './practice-schema.js';
export { readWorkbook, writeWorkbook, type WorkbookContent } from './read.js';
export { alterationWork } from './alteration-schema.js';
export { readSheet, writeSheet } from './sheet-schema.js';
