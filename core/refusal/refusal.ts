import type { Reader, Said } from './reader.js';
import { ALTER_SAID } from './said/alter.js';
import { DRAFT_SAID } from './said/draft.js';
import { FILES_SAID } from './said/files.js';
import { MEASURE_SAID } from './said/measure.js';
import { METHOD_SAID } from './said/method.js';
import { ORDER_SAID } from './said/order.js';

/** Every refusal and how it is said: the one place where a refusal becomes a sentence. */
const SAID = { ...MEASURE_SAID, ...METHOD_SAID, ...DRAFT_SAID, ...ALTER_SAID, ...FILES_SAID, ...ORDER_SAID };

/** What a refusal is about. */
export type RefusalCode = keyof typeof SAID;

type FiguresOf<C extends RefusalCode> =
  Parameters<(typeof SAID)[C]> extends [] ? Readonly<Record<string, never>> : Parameters<(typeof SAID)[C]>[0];

/**
 * Why something entered cannot be used: the field, what is the matter, and the figures of it (lengths in mm). Refusals are
 * data, said with `refusalSentence`; the last good draft stays where it is.
 */
export type Refusal = {
  [C in RefusalCode]: { readonly field: string; readonly code: C; readonly figures: FiguresOf<C> };
}[RefusalCode];

/** Codes of refusals that need no figure beside the code. */
export type PlainCode = { [C in RefusalCode]: Parameters<(typeof SAID)[C]> extends [] ? C : never }[RefusalCode];

/** Why a panel cannot be drawn, where the panel is all that is to be said. */
export type PanelCode = Exclude<keyof typeof DRAFT_SAID, 'tooSmall' | 'centreLift' | 'levelOrder'>;

/** Why an alteration cannot be done. */
export type AlterationFault = keyof typeof ALTER_SAID;

/** A refusal of what was entered in `field`. */
export const refusal = <C extends RefusalCode>(
  field: string,
  code: C,
  ...[figures]: C extends PlainCode ? [] : [figures: FiguresOf<C>]
): Refusal => ({ field, code, figures: figures ?? {} }) as Refusal;

/** A refusal in words: what is the matter, and the way out, in the reader's unit. */
export const refusalWords = ({ code, figures }: Refusal, reader: Reader): Said =>
  (SAID[code] as (figures: unknown, reader: Reader) => Said)(figures, reader);

/** A refusal as one plain sentence or two: what is the matter, and what to do, in the reader's unit. */
export const refusalSentence = (r: Refusal, reader: Reader): string => refusalWords(r, reader).join(' ');

/** Several refusals as one text, in the reader's unit. */
export const refusalsSentence = (refusals: readonly Refusal[], reader: Reader): string =>
  refusals.map((r) => refusalSentence(r, reader)).join(' ');
