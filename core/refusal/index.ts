import type { Refusal } from './refusal.js';

export type { Reader, Said } from './reader.js';
export { refusal, type AlterationFault, type PanelCode, type Refusal, type StyleFault } from './refusal.js';
export { refusalSentence, refusalsSentence, refusalWords } from './refusal-words.js';
export { fileRefusal, type FileRefusal } from './file-refusal.js';
export { fileRefusalsSentence } from './file-words.js';
export { orderRefusal, orderRefusalsSentence, orderRefusalWords, type OrderRefusal } from './order-refusal.js';

/** Either a value or the refusals that stand in its way. */
export type Outcome<T, R = Refusal> =
  { readonly ok: true; readonly value: T } | { readonly ok: false; readonly refusals: readonly R[] };

/** A good outcome. */
export const good = <T>(value: T): Outcome<T, never> => ({ ok: true, value });

/** A refused outcome. */
export const refused = <R>(...refusals: readonly R[]): Outcome<never, R> => ({ ok: false, refusals });
