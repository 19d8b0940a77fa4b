import { refusalMaker, type RefusalIn } from './refusals-of.js';
import type { FILES_SAID } from './said/files.js';

/** Why a workbook, a method sheet, an outline or a trace cannot be used. */
export type FileRefusal = RefusalIn<typeof FILES_SAID>;

/** A refusal of what was read from a file or a trace. */
export const fileRefusal = refusalMaker<typeof FILES_SAID>();
