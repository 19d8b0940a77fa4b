import type { MeasurementId } from './vocabulary.js';

/** How a measurement is taken, what goes wrong, and what it is good for. */
export interface Taking {
  readonly how: string;
  /** The usual mistake when it is taken. */
  readonly mistake: string;
  /** What a draft gains when it is measured and not estimated. */
  readonly sharpens: string;
}

const TAKING: Readonly<Record<MeasurementId, readonly [how: string, mistake: string, sharpens: string]>> = {
  waist: [
    'Girth where the trousers will sit, tape level, a finger under it.',
    'Taken at the natural waist while the trousers are to sit low, or with the belly held in.',
    'The waist of both pieces and every dart.',
  ],
  hip: [
    'Girth at the fullest part of the seat, tape level, standing with feet together.',
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
    'At the side, from the waist line to the level of the hip measure.',
    'Measured to the hip bone and not to where the hip girth was taken.',
    'Puts the hip line, where the side curve and the seat are widest.',
  ],
  outseam: [
    'At the side, from the waist line over the hip to the floor.',
    'The tape hangs straight and does not follow the hip.',
    'Proves the crotch depth, or stands in for the inseam.',
  ],
  kneeDepth: [
    'At the side, from the waist line to the middle of the knee.',
    'Taken to the top of the kneecap.',
    'Puts the knee line where the leg bends.',
  ],
  thigh: [
    'Girth at the top of one leg, level with the crotch, the weight on both feet.',
    'Taken a hand lower, where the leg is already thinner.',
    'Lets the fit at the crotch line be judged: the class and the extensions.',
  ],
  midThigh: [
    'Girth halfway between crotch and knee.',
    'Taken too near the crotch.',
    'Lets a close or knit leg be judged.',
  ],
  knee: ['Girth round the middle of the knee, leg straight.', 'Taken on a bent knee.', 'Lets a slim knee be judged.'],
  calf: ['Girth at the fullest part of the calf.', 'Taken too low.', 'Lets a slim leg be judged below the knee.'],
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
  apexSpan: [
    'The distance wanted between the two dart apexes, across the body.',
    'Measured on one side only.',
    'Puts the darts where the body is fullest.',
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

/** How a measurement is taken (docs/trade/measuring.md). */
export function howTaken(id: MeasurementId): Taking {
  const [how, mistake, sharpens] = TAKING[id];
  return { how, mistake, sharpens };
}
