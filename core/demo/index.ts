import type { WorkbookContent } from '../workbook/index.js';
import { DRAFTS } from './drafts.js';
import { PEOPLE } from './people.js';
import { STYLES } from './styles.js';

/** The demo workroom as a workbook. */
export const DEMO_WORKBOOK: WorkbookContent = {
  people: [...PEOPLE],
  drafts: [...DRAFTS],
  charts: [],
  practice: [],
  styles: [...STYLES],
};
