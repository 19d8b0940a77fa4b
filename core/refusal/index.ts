import type { Refusal } from './refusal.js';

export type { Reader, Said } from './reader.js';
export {
  refusal,
  refusalSentence,
  refusalsSentence,
  refusalWords,
  type AlterationFault,
  type PanelCode,
  type PlainCode,
  type Refusal,
  type RefusalCode,
} from './refusal.js';

/** Either a value or the refusals that stand in its way. */
export type Outcome<T> =
  { readonly ok: true; readonly value: T } | { readonly ok: false; readonly refusals: readonly Refusal[] };

/** A good outcome. */
export const good = <T>(value: T): Outcome<T> => ({ ok: true, value });

/** A refused outcome. */
export const refused = (...refusals: readonly Refusal[]): Outcome<never> => ({ ok: false, refusals });
