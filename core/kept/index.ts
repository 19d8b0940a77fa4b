export { inputOf, newDraft, newPerson, setOf, type Work } from './kept.js';
export { DEMO_WORKBOOK } from './demo.js';
export type { KeptDraft, MeasurementSet, Person, Workbook } from '../workbook/index.js';
