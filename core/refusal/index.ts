/**
 * Why something entered cannot be used: the field, what stood in it, the reason, and the way out.
 * Refusals are data; the last good draft stays where it is.
 */
export interface Refusal {
  readonly field: string;
  readonly value: string;
  readonly reason: string;
  readonly wayOut: string;
}

/** Either a value or the refusals that stand in its way. */
export type Outcome<T> =
  { readonly ok: true; readonly value: T } | { readonly ok: false; readonly refusals: readonly Refusal[] };

/** A good outcome. */
export const good = <T>(value: T): Outcome<T> => ({ ok: true, value });

/** A refused outcome. */
export const refused = (...refusals: readonly Refusal[]): Outcome<never> => ({ ok: false, refusals });

/** A refusal as one plain sentence or two: what is the matter, and what to do. */
export const refusalSentence = (r: Refusal): string => `${r.reason} ${r.wayOut}`;
