import type { Fitting } from '../../core/kept/index.js';

/** How a fitting may be closed. */
export const VERDICTS: readonly (readonly [NonNullable<Fitting['closed']>, string])[] = [
  ['fits', 'It fits'],
  ['toileAgain', 'Again in toile'],
  ['bastedAgain', 'Again in basted cloth'],
  ['enough', 'Enough for this cloth'],
];

/** What a fitting may be tried in. */
export const CLOTHS: readonly (readonly [Fitting['cloth'], string])[] = [
  ['toile', 'Toile'],
  ['basted', 'Basted cloth'],
  ['finished', 'Finished'],
];
