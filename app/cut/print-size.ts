import { SMALL_PRINTS } from '../../formats/index.js';

/** How large a print is: full size to cut by, or small for teaching and trying. */
export type PrintSize = 'whole' | (typeof SMALL_PRINTS)[number]['id'];

/** Full size. */
export const WHOLE: PrintSize = 'whole';

/** The sizes of a print, with what each is for. */
export const PRINT_SIZES: readonly (readonly [PrintSize, string])[] = [
  [WHOLE, 'Full size'],
  ...SMALL_PRINTS.map(({ id, label }) => [id, label] as const),
];

/** How many times smaller a print is, as a share; nothing for full size. */
export const shareOf = (size: PrintSize): number | undefined => SMALL_PRINTS.find((s) => s.id === size)?.share;
