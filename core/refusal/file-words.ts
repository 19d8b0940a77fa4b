import type { FileRefusal } from './file-refusal.js';
import type { Reader } from './reader.js';
import { refusalSayer } from './refusals-of.js';
import { FILES_SAID } from './said/files.js';

const words = refusalSayer(FILES_SAID);

/** Refusals of a file as one text, in the reader's unit. */
export const fileRefusalsSentence = (refusals: readonly FileRefusal[], reader: Reader): string =>
  refusals.map((r) => words(r, reader).join(' ')).join(' ');
