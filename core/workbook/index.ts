export {
  workbookSchema,
  WORKBOOK_VERSION,
  WORKBOOK_FORMAT,
  type Workbook,
  type Person,
  type MeasurementSet,
  type KeptDraft,
} from './schema.js';
export { readWorkbook, writeWorkbook } from './read.js';
