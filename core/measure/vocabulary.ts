/** The body measurements Upstride knows (handbook 2, section 2). All are lengths in mm. */
export const MEASUREMENT_IDS = [
  'waist',
  'hip',
  'crotchDepth',
  'inseam',
  'hipDepth',
  'outseam',
  'kneeDepth',
  'thigh',
  'midThigh',
  'knee',
  'calf',
  'ankle',
  'heel',
  'footLength',
  'highHip',
  'crotchLength',
  'frontRise',
  'backRise',
  'backWaistHeight',
  'apexSpan',
  'pairFrontThigh',
  'pairThigh',
  'pairBand',
] as const;

/** The name of a measurement. */
export type MeasurementId = (typeof MEASUREMENT_IDS)[number];

/** The four without which nothing is drafted. */
export const REQUIRED_IDS = ['waist', 'hip', 'crotchDepth', 'inseam'] as const satisfies readonly MeasurementId[];

/** What only a finished pair has, beside the figures it shares with a body. */
export const PAIR_IDS = ['pairFrontThigh', 'pairThigh', 'pairBand'] as const satisfies readonly MeasurementId[];

/** True where the text names a measurement. */
export const isMeasurementId = (name: string): name is MeasurementId =>
  (MEASUREMENT_IDS as readonly string[]).includes(name);

/** What a measurement is called, what it is, how it is taken, and what goes wrong. */
export interface MeasurementInfo {
  readonly id: MeasurementId;
  readonly label: string;
  readonly how: string;
  /** The usual mistake when it is taken. */
  readonly mistake: string;
  /** What a draft gains when it is measured and not estimated. */
  readonly sharpens: string;
  /** Least and greatest figure any figure from a child of three to a large adult can have, in mm. */
  readonly least: number;
  readonly most: number;
}

type Entry = readonly [
  label: string,
  limits: readonly [number, number],
  how: string,
  mistake: string,
  sharpens: string,
];

const ENTRIES: Readonly<Record<MeasurementId, Entry>> = {
  waist: [
    'Waist',
    [350, 2200],
    'Girth where the trousers will sit, tape level, a finger under it.',
    'Taken at the natural waist while the trousers are to sit low, or with the belly held in.',
    'The waist of both pieces and every dart.',
  ],
  hip: [
    'Hip',
    [400, 2400],
    'Girth at the fullest part of the seat, tape level, standing with feet together.',
    'The tape slips up at the back, or the feet are apart.',
    'The width of both pieces and the crotch extensions.',
  ],
  crotchDepth: [
    'Crotch depth',
    [110, 500],
    'Seated upright on a hard flat seat: from the waist line down the side to the seat surface.',
    'Taken on a soft seat, which swallows a centimetre or two, or from another waist line than the girth.',
    'The level of the crotch line, and with it both rises.',
  ],
  inseam: [
    'Inseam',
    [180, 1200],
    'The body’s own: from the crotch down the inside of the leg to the floor, or to the ankle bone; say which.',
    'The wanted trouser length is written down in its place.',
    'The level of the hem and of the knee.',
  ],
  hipDepth: [
    'Hip depth',
    [70, 400],
    'At the side, from the waist line to the level of the hip measure.',
    'Measured to the hip bone and not to where the hip girth was taken.',
    'Puts the hip line, where the side curve and the seat are widest.',
  ],
  outseam: [
    'Outseam',
    [300, 1600],
    'At the side, from the waist line over the hip to the floor.',
    'The tape hangs straight and does not follow the hip.',
    'Proves the crotch depth, or stands in for the inseam.',
  ],
  kneeDepth: [
    'Knee depth',
    [200, 950],
    'At the side, from the waist line to the middle of the knee.',
    'Taken to the top of the kneecap.',
    'Puts the knee line where the leg bends.',
  ],
  thigh: [
    'Thigh',
    [200, 1300],
    'Girth at the top of one leg, level with the crotch, the weight on both feet.',
    'Taken a hand lower, where the leg is already thinner.',
    'Lets the fit at the crotch line be judged: the class and the extensions.',
  ],
  midThigh: [
    'Mid-thigh',
    [180, 1200],
    'Girth halfway between crotch and knee.',
    'Taken too near the crotch.',
    'Lets a close or knit leg be judged.',
  ],
  knee: [
    'Knee',
    [150, 900],
    'Girth round the middle of the knee, leg straight.',
    'Taken on a bent knee.',
    'Lets a slim knee be judged.',
  ],
  calf: [
    'Calf',
    [140, 900],
    'Girth at the fullest part of the calf.',
    'Taken too low.',
    'Lets a slim leg be judged below the knee.',
  ],
  ankle: [
    'Ankle',
    [110, 600],
    'Girth over the ankle bones.',
    'Taken above the bones.',
    'Sets the least hem of a slim or knit leg.',
  ],
  heel: [
    'Heel',
    [150, 600],
    'Girth round heel and instep, the foot pointed: what a hem must pass over.',
    'Taken round the ankle.',
    'Proves that the foot passes through the hem.',
  ],
  footLength: [
    'Foot length',
    [100, 360],
    'From the heel to the longest toe, standing.',
    'Read off a shoe.',
    'Gives a better estimate of the heel girth.',
  ],
  highHip: [
    'High hip',
    [380, 2300],
    'Girth 8 to 10 cm below the waist line, tape level.',
    'Taken too near the hip.',
    'Shows how a lowered top edge or a belly would sit.',
  ],
  crotchLength: [
    'Crotch length',
    [300, 1400],
    'From centre front waist between the legs to centre back waist, the tape lying on without pulling.',
    'The tape is pulled up into the body.',
    'Lets the whole rise be checked.',
  ],
  frontRise: [
    'Front rise',
    [120, 700],
    'The front part of the crotch length, down to where the inseam will sit; a pin marks the place.',
    'The pin sits too far back.',
    'Lets the front rise be checked.',
  ],
  backRise: [
    'Back rise',
    [150, 800],
    'The back part of the crotch length, up from where the inseam will sit.',
    'The tape is pulled tight over the seat.',
    'Lets the seat be checked.',
  ],
  backWaistHeight: [
    'Back waist height',
    [-80, 80],
    'How far centre back waist lies above (+) or below (−) the level of the side waist.',
    'Judged by a belt that has slipped.',
    'Says how much lift the seat line needs.',
  ],
  apexSpan: [
    'Apex span',
    [60, 500],
    'The distance wanted between the two dart apexes, across the body.',
    'Measured on one side only.',
    'Puts the darts where the body is fullest.',
  ],
  pairFrontThigh: [
    'Front thigh of the pair',
    [90, 600],
    'Finished pair laid flat: across the front piece of one leg at the crotch, seam to seam.',
    'Taken to the pressed edge and not to the seam.',
    'Parts the leg into front and back as in the pair.',
  ],
  pairThigh: [
    'Thigh of the pair',
    [200, 1300],
    'Finished pair: the whole leg at the crotch, front and back piece together.',
    'Given across and not doubled.',
    'The width of both pieces at the crotch line.',
  ],
  pairBand: [
    'Band of the pair',
    [0, 150],
    'Finished pair: depth of the waistband, top edge to waist seam.',
    'Left out, though the depths were taken from the top edge.',
    'Takes the band off the depths.',
  ],
};

/** Every measurement with its name, how it is taken and the limits within which it can be meant. */
export const MEASUREMENTS: ReadonlyMap<MeasurementId, MeasurementInfo> = new Map(
  MEASUREMENT_IDS.map((id) => {
    const [label, [least, most], how, mistake, sharpens] = ENTRIES[id];
    return [id, { id, label, how, mistake, sharpens, least, most }];
  }),
);

/** The label of a measurement, as shown on a screen or a print. */
export const measurementLabel = (id: MeasurementId): string => MEASUREMENTS.get(id)?.label ?? id;

/** The figure a set was taken from; it decides the heel estimate and the children's rules. */
export type Figure = 'woman' | 'man' | 'child' | 'unknown';

/** Measured figures in mm; what is missing is estimated where a rule allows. */
export type Measured = Readonly<Partial<Record<MeasurementId, number>>>;

/** Where the waist of a set was taken: natural, low or high. */
export type WaistSits = 'natural' | 'low' | 'high';
