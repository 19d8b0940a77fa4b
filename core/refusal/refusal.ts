import type { Reader } from './reader.js';
import { ALTER_SAID } from './said/alter.js';
import { DRAFT_SAID } from './said/draft.js';
import { MEASURE_SAID } from './said/measure.js';
import { METHOD_SAID } from './said/method.js';
import { STYLE_SAID } from './said/style.js';
import { refusalMaker, refusalSayer, type RefusalIn } from './refusals-of.js';

/** Every refusal of a draft and how it is said. */
const SAID = { ...MEASURE_SAID, ...METHOD_SAID, ...DRAFT_SAID, ...ALTER_SAID, ...STYLE_SAID };

/** Why something entered into a draft cannot be used. */
export type Refusal = RefusalIn<typeof SAID>;

/** Why a panel cannot be drawn, where the panel is all that is to be said. */
export type PanelCode = Exclude<keyof typeof DRAFT_SAID, 'tooSmall' | 'centreLift' | 'levelOrder'>;

/** Why an alteration cannot be done. */
export type AlterationFault = keyof typeof ALTER_SAID;

/** Why a component of a style cannot be made. */
export type StyleFault = keyof typeof STYLE_SAID;

/** A refusal of what was entered in a field. */
export const refusal = refusalMaker<typeof SAID>();

/** A refusal in words: what is the matter, and the way out, in the reader's unit. */
export const refusalWords = refusalSayer(SAID);

/** A refusal as one plain sentence or two: what is the matter, and what to do, in the reader's unit. */
export const refusalSentence = (r: Refusal, reader: Reader): string => refusalWords(r, reader).join(' ');

/** Several refusals as one text, in the reader's unit. */
export const refusalsSentence = (refusals: readonly Refusal[], reader: Reader): string =>
  refusals.map((r) => refusalSentence(r, reader)).join(' ');
