import type { Reader, Said } from './reader.js';

/** How each of a set of refusals is said, by its code, from its figures. */
type Table = Readonly<Record<string, (figures: never, reader: Reader) => Said>>;

type FiguresOf<T extends Table, C extends keyof T> =
  Parameters<T[C]> extends [] ? Readonly<Record<string, never>> : Parameters<T[C]>[0];

/** The codes of a table that need no figure beside the code. */
type PlainCode<T extends Table> = { [C in keyof T]: Parameters<T[C]> extends [] ? C : never }[keyof T];

/**
 * Why something entered cannot be used: the field, what is the matter, and the figures of it (lengths in mm). Refusals
 * are data; the last good draft stays where it is.
 */
export type RefusalIn<T extends Table> = {
  [C in keyof T]: { readonly field: string; readonly code: C; readonly figures: FiguresOf<T, C> };
}[keyof T];

/** Makes refusals of a table; the table itself is not needed for it. */
export const refusalMaker =
  <T extends Table>() =>
  <C extends keyof T>(
    field: string,
    code: C,
    ...[figures]: C extends PlainCode<T> ? [] : [figures: FiguresOf<T, C>]
  ): RefusalIn<T> =>
    ({ field, code, figures: figures ?? {} }) as RefusalIn<T>;

/** Says refusals by their table: the one place where they become sentences. */
export const refusalSayer =
  <T extends Table>(said: T) =>
  ({ code, figures }: RefusalIn<T>, reader: Reader): Said =>
    (said[code] as unknown as (figures: unknown, reader: Reader) => Said)(figures, reader);
