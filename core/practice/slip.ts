/** A kind of slip in a sum, as it is counted in a learner's progress. */
export const SLIP_KINDS = [
  'leftOut',
  'twice',
  'turned',
  'divideAgain',
  'divideLess',
  'undivided',
  'partDivided',
  'rest',
  'otherMeasure',
  'otherPanel',
  'otherUnit',
  'answerUnit',
  'fractionWhole',
  'fractionLost',
  'digits',
  'tenfold',
  'eighths',
  'limit',
  'term',
] as const;

/** The name of a kind of slip. */
export type SlipKind = (typeof SLIP_KINDS)[number];

/** True where a word is the name of a kind of slip. */
export const isSlipKind = (word: string): word is SlipKind => (SLIP_KINDS as readonly string[]).includes(word);

/** A slip that can be made in one sum: what it gives, in mm, and what it is, in a sentence in the learner's unit. */
export interface Slip {
  readonly kind: SlipKind;
  readonly mm: number;
  readonly said: string;
}

/** What each kind of slip is called in a list of progress. */
export const SLIP_LABELS: Readonly<Record<SlipKind, string>> = {
  leftOut: 'An allowance, ease or share left out',
  twice: 'Something taken twice',
  turned: 'Added where it is taken off, or the other way',
  divideAgain: 'Divided once too often',
  divideLess: 'Divided once too little',
  undivided: 'Not divided at all',
  partDivided: 'Only a part of it divided',
  rest: 'The rest taken for the share',
  otherMeasure: 'Another measure taken',
  otherPanel: 'The other panel’s figure taken',
  otherUnit: 'A constant read in the other unit',
  answerUnit: 'Answered in the other unit',
  fractionWhole: 'The fraction not divided',
  fractionLost: 'The fraction forgotten',
  digits: 'Two digits swapped',
  tenfold: 'The decimal point moved',
  eighths: 'Tenths read as eighths',
  limit: 'A limit passed over',
  term: 'What the build or the leg adds left out',
};
