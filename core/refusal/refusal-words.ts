import type { Reader } from './reader.js';
import type { DraftSaid, Refusal } from './refusal.js';
import { refusalSayer } from './refusals-of.js';
import { ALTER_SAID } from './said/alter.js';
import { DRAFT_SAID } from './said/draft.js';
import { MEASURE_SAID } from './said/measure.js';
import { METHOD_SAID } from './said/method.js';
import { STYLE_SAID } from './said/style.js';

const SAID: DraftSaid = { ...MEASURE_SAID, ...METHOD_SAID, ...DRAFT_SAID, ...ALTER_SAID, ...STYLE_SAID };

/** A refusal in words: what is the matter, and the way out, in the reader's unit. */
export const refusalWords = refusalSayer(SAID);

/** A refusal as one plain sentence or two: what is the matter, and what to do, in the reader's unit. */
export const refusalSentence = (r: Refusal, reader: Reader): string => refusalWords(r, reader).join(' ');

/** Several refusals as one text, in the reader's unit. */
export const refusalsSentence = (refusals: readonly Refusal[], reader: Reader): string =>
  refusals.map((r) => refusalSentence(r, reader)).join(' ');
