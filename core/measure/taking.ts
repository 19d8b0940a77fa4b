import type { MeasurementId } from './vocabulary.js';

/** How a measurement is taken, what goes wrong, and what it is good for. */
export interface Taking {
  readonly how: string;
  /** The usual mistake when it is taken. */
  readonly mistake: string;
  /** What a draft gains when it is measured and not estimated. */
  readonly sharpens: string;
  /** What is owed to the person before it is taken. */
  readonly care?: string;
}

const TAKING: Readonly<Record<MeasurementId, readonly [how: string, mistake: string, sharpens: string]>> = {
  waist: [
    'Girth where the trousers will sit, tape level, a finger under it. Bend sideways: the crease is the natural waist; a string tied there marks it for all depths.',
    'Taken at the natural waist while the trousers are to sit low, or with the belly held in.',
    'The waist of both pieces and every dart.',
  ],
  hip: [
    'Girth at the fullest part of the seat, tape level, standing with feet together. A string tied round the fullest place marks where the hip depth ends.',
    'The tape slips up at the back, or the feet are apart.',
    'The width of both pieces and the crotch extensions.',
  ],
  crotchDepth: [
    'Seated upright on a hard flat seat: from the waist line down the side to the seat surface.',
    'Taken on a soft seat, which swallows a centimetre or two, or from another waist line than the girth.',
    'The level of the crotch line, and with it both rises.',
  ],
  inseam: [
    'The body’s own: from the crotch down the inside of the leg to the floor, or to the ankle bone; say which.',
    'The wanted trouser length is written down in its place.',
    'The level of the hem and of the knee.',
  ],
  hipDepth: [
    'At the side, from the string at the waist to the string at the hip.',
    'Measured to the hip bone and not to where the hip girth was taken.',
    'Puts the hip line, where the side curve and the seat are widest.',
  ],
  outseam: [
    'At the side, from the waist line over the hip to the floor.',
    'The tape hangs straight and does not follow the hip.',
    'Proves the crotch depth, or stands in for the inseam.',
  ],
  kneeDepth: [
    'At the side, from the waist line over the hip to the middle of the kneecap.',
    'Taken to the top of the kneecap.',
    'Puts the knee line where the leg bends.',
  ],
  thigh: [
    'Girth at the top of one leg, level with the crotch, the weight on both feet; taken lower, say below by how much.',
    'Taken a hand lower, where the leg is already thinner, and not said.',
    'Lets the fit at the crotch line be judged: the class and the extensions.',
  ],
  midThigh: [
    'Girth halfway between crotch and knee.',
    'Taken too near the crotch.',
    'Lets a close or knit leg be judged.',
  ],
  knee: ['Girth round the middle of the knee, leg straight.', 'Taken on a bent knee.', 'Lets a slim knee be judged.'],
  calf: ['Girth at the fullest part of the calf.', 'Taken too low.', 'Lets a slim leg be judged below the knee.'],
  thighTakenAt: [
    'How far below the crotch the thigh was taken; left empty where it was taken at the crotch.',
    'Guessed from memory: hold the tape’s end at the crotch and read it at the other tape.',
    'Judges the thigh where it was taken, and carries it up to the crotch line.',
  ],
  ankle: ['Girth over the ankle bones.', 'Taken above the bones.', 'Sets the least hem of a slim or knit leg.'],
  heel: [
    'Girth round heel and instep, the foot pointed: what a hem must pass over.',
    'Taken round the ankle.',
    'Proves that the foot passes through the hem.',
  ],
  footLength: [
    'From the heel to the longest toe, standing.',
    'Read off a shoe.',
    'Gives a better estimate of the heel girth.',
  ],
  highHip: [
    'Girth 8 to 10 cm below the waist line, tape level.',
    'Taken too near the hip.',
    'Shows how a lowered top edge or a belly would sit.',
  ],
  crotchLength: [
    'From centre front waist between the legs to centre back waist, the tape lying on without pulling.',
    'The tape is pulled up into the body.',
    'Lets the whole rise be checked.',
  ],
  frontRise: [
    'The front part of the crotch length, down to where the inseam will sit; a pin marks the place.',
    'The pin sits too far back.',
    'Lets the front rise be checked.',
  ],
  backRise: [
    'The back part of the crotch length, up from where the inseam will sit.',
    'The tape is pulled tight over the seat.',
    'Lets the seat be checked.',
  ],
  backWaistHeight: [
    'How far centre back waist lies above (+) or below (−) the level of the side waist.',
    'Judged by a belt that has slipped.',
    'Says how much lift the seat line needs.',
  ],
  frontWaistHeight: [
    'How far centre front waist lies above (+) or below (−) the level of the side waist.',
    'Read off a band that is worn low under the belly.',
    'With the rises, lets the virtual toile speak of rise and balance.',
  ],
  apexSpan: [
    'The distance wanted between the two dart apexes, across the body.',
    'Measured on one side only.',
    'Puts the darts where the body is fullest.',
  ],
  frontWaist: [
    'At the waist, across the front only, from side seam to side seam of the body; strings hung from the waist mark the sides.',
    'The sides are set by eye, and lie too far forward.',
    'Parts the waist between front and back as the body is.',
  ],
  frontHip: [
    'At the level of the hip, across the front only, from side to side; strings hung from the waist mark the sides.',
    'Taken over the belly and not at the level of the hip.',
    'Parts the hip between front and back as the body is, for a full stomach or a full seat.',
  ],
  seatHeight: [
    'Seated upright on a hard flat seat: at centre back, from the waist line down to the seat surface.',
    'Taken with a round back, which draws the waist up.',
    'Lets the height of the seat behind be checked.',
  ],
  pairFrontThigh: [
    'Finished pair laid flat: across the front piece of one leg at the crotch, seam to seam.',
    'Taken to the pressed edge and not to the seam.',
    'Parts the leg into front and back as in the pair.',
  ],
  pairThigh: [
    'Finished pair: the whole leg at the crotch, front and back piece together.',
    'Given across and not doubled.',
    'The width of both pieces at the crotch line.',
  ],
  pairBand: [
    'Finished pair: depth of the waistband, top edge to waist seam.',
    'Left out, though the depths were taken from the top edge.',
    'Takes the band off the depths.',
  ],
};

/** What is said before a tape, a ruler or a foil goes between the legs (docs/trade/measuring.md). */
export const CARE =
  'Ask first. The person holds the end of the tape themselves, over close clothing; a child is measured with their adult present.';

const BETWEEN_THE_LEGS: ReadonlySet<MeasurementId> = new Set([
  'inseam',
  'thigh',
  'crotchLength',
  'frontRise',
  'backRise',
]);

/** How a measurement is taken (docs/trade/measuring.md). */
export function howTaken(id: MeasurementId): Taking {
  const [how, mistake, sharpens] = TAKING[id];
  return { how, mistake, sharpens, ...(BETWEEN_THE_LEGS.has(id) ? { care: CARE } : {}) };
}
