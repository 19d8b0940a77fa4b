import type { Reader, Said } from './reader.js';
import type { Refusal } from './refusal.js';
import { refusalWords } from './refusal-words.js';
import { refusalMaker, refusalSayer, type RefusalIn } from './refusals-of.js';
import { ORDER_SAID } from './said/order.js';

/** Why an order to the command cannot be used. */
export type OrderRefusal = RefusalIn<typeof ORDER_SAID> | Refusal;

const words = refusalSayer(ORDER_SAID);

/** A refusal of something in an order. */
export const orderRefusal = refusalMaker<typeof ORDER_SAID>();

const ofOrder = (r: OrderRefusal): r is RefusalIn<typeof ORDER_SAID> => Object.hasOwn(ORDER_SAID, r.code);

/** A refusal of an order in words, in the order's unit. */
export const orderRefusalWords = (r: OrderRefusal, reader: Reader): Said =>
  ofOrder(r) ? words(r, reader) : refusalWords(r, reader);

/** Refusals of an order as one text, in the order's unit. */
export const orderRefusalsSentence = (refusals: readonly OrderRefusal[], reader: Reader): string =>
  refusals.map((r) => orderRefusalWords(r, reader).join(' ')).join(' ');
