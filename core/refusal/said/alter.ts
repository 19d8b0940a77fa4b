import type { Said } from '../reader.js';

/** Refusals of alterations. */
export const ALTER_SAID = {
  cutTooShort: (): Said => ['The cut is too short to be opened.', 'Draw it from one seam to another.'],
  meetsDart: (): Said => [
    'The cut or the new waist meets a dart.',
    'Take a level below the point of the dart, or change the dart first.',
  ],
  tooMuch: (): Said => ['So much cannot be taken here.', 'Give a smaller amount.'],
  foldBeyond: (): Said => ['The fold would reach beyond the piece.', 'Give a smaller amount.'],
  alteredCrosses: (): Said => ['The piece would cross itself.', 'Give a smaller amount, or switch it off.'],
  noPlace: (): Said => ['The seam does not reach the place of the cut.', 'Choose a place on the seam.'],
  noLevel: (): Said => ['The seam does not reach these levels.', 'Choose levels on the seam.'],
  noDart: (): Said => ['This piece has no such dart.', 'Choose another dart, or remove the alteration.'],
  tookTooLong: (): Said => [
    'The alterations take too long to be done together.',
    'Switch some of them off, or remove those that undo one another.',
  ],
  noRoom: (): Said => ['There is no room for it on this seam.', 'Choose another place.'],
};
