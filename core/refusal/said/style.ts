import type { Reader, Said } from '../reader.js';

type Limits = Readonly<Record<string, number>>;

const at = (f: Limits, name: string): number => f[name] ?? 0;

/** Refusals of a style's components. Lengths in mm. */
export const STYLE_SAID = {
  startBelowHem: (): Said => [
    'The leg ends above the place where this begins.',
    'Begin higher, or make the leg longer.',
  ],
  legTooNarrow: (f: Limits, reader: Reader): Said => [
    `The hem would be ${reader.length(at(f, 'hem'))} wide on one piece.`,
    `Take off ${reader.most(Math.max(0, at(f, 'most')))} a side at most.`,
  ],
  cutAboveCrotch: (f: Limits, reader: Reader): Said => [
    'The leg would end above the crotch line.',
    `Give an inside length of ${reader.least(at(f, 'least'))} or more.`,
  ],
  longerThanLeg: (f: Limits, reader: Reader): Said => [
    'The leg is not so long.',
    `Give ${reader.most(at(f, 'most'))} or less, or lengthen the leg at Draft.`,
  ],
  dropBelowHip: (f: Limits, reader: Reader): Said => [
    `The waist would be cut at or below the hip line, ${reader.length(at(f, 'hip'))} below it.`,
    `Give ${reader.most(at(f, 'most'))} or less.`,
  ],
  dartsOpen: (): Said => [
    'A shaped band is drawn from the pieces with the darts closed, and they are open.',
    'Close the darts for it.',
  ],
  flyTooLong: (f: Limits, reader: Reader): Said => [
    `The fly is longer than the front rise allows, which is ${reader.length(at(f, 'rise'))} to the crotch.`,
    `Give ${reader.most(at(f, 'most'))} or less.`,
  ],
  zipTooLong: (f: Limits, reader: Reader): Said => [
    'The zip is longer than the seam it is set into.',
    `Give ${reader.most(at(f, 'most'))} or less.`,
  ],
  pocketTooDeep: (f: Limits, reader: Reader): Said => [
    'The pocket reaches beyond the leg.',
    `Give ${reader.most(at(f, 'most'))} or less.`,
  ],
  pocketMeetsDart: (f: Limits, reader: Reader): Said => [
    'The pocket’s mouth would cut into a dart.',
    `Give ${reader.most(at(f, 'most'))} or less at the waist, or close the front dart at Choose.`,
  ],
  pocketTooWide: (f: Limits, reader: Reader): Said => [
    'The pocket is wider than the piece it is set on.',
    `Give ${reader.most(at(f, 'most'))} or less.`,
  ],
  noDartForPleat: (): Said => [
    'The front has no dart whose intake could fall as a pleat.',
    'Give the front a dart at Choose, or leave the pleats away.',
  ],
  noDartForWelt: (): Said => ['The back is too narrow for this welt.', 'Give a shorter welt.'],
  yokeOffPiece: (f: Limits, reader: Reader): Said => [
    'The yoke’s line does not run from the centre to the side above the hip line.',
    `Give ${reader.most(at(f, 'most'))} or less at both ends.`,
  ],
  sidesNotStraight: (): Said => [
    'Front and back can be joined only where both sides are one straight line of one length.',
    'Take a method with a straight side, or keep the side seam.',
  ],
  needsCasing: (): Said => ['A cord needs a casing to run in.', 'Add a casing at the waist first.'],
  halvesAtSide: (): Said => [
    'A band that opens at the side cannot be two halves.',
    'Cut it whole, or in front and back.',
  ],
  bandTooShort: (f: Limits, reader: Reader): Said => [
    `The band is ${reader.length(at(f, 'short'))} shorter than the waist it is sewn to: too much to ease in.`,
    `Give ${reader.least(at(f, 'least'))} or more, or leave the length to the waist.`,
  ],
  bandTooBent: (f: Limits, reader: Reader): Said => [
    'The band would bend so far that it does not lie flat on the body.',
    `Give ${reader.most(at(f, 'most'))} or less, or take the rest out of the darts.`,
  ],
  cannotBeWith: (f: Limits & { readonly other?: never }): Said => [
    'It cannot be together with another choice for the same place.',
    at(f, 'count') > 1 ? 'Take the others away first.' : 'Take the other away first.',
  ],
  outlineBroken: (): Said => ['The piece would cross itself.', 'Give smaller figures.'],
  hemCurved: (): Said => ['A curved hem cannot be folded and lie flat.', 'Face it, or take the curve away.'],
  slitTooHigh: (f: Limits, reader: Reader): Said => [
    'The slit is longer than the seam below the knee.',
    `Give ${reader.most(at(f, 'most'))} or less.`,
  ],
  outOfRange: (f: Limits, reader: Reader): Said => [
    `This is ${reader.exact(at(f, 'value'))}.`,
    `Give between ${reader.least(at(f, 'least'))} and ${reader.most(at(f, 'most'))}.`,
  ],
};
