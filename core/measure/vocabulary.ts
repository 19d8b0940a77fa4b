/** The body measurements Upstride knows (docs/trade/measuring.md). All are lengths in mm. */
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
  'frontWaistHeight',
  'apexSpan',
  'frontWaist',
  'frontHip',
  'seatHeight',
  'thighTakenAt',
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

/** What a measurement is called and the limits within which it can be meant. */
export interface MeasurementInfo {
  readonly id: MeasurementId;
  readonly label: string;
  /** Least and greatest figure any figure from a child of three to a large adult can have, in mm. */
  readonly least: number;
  readonly most: number;
}

const ENTRIES: Readonly<Record<MeasurementId, readonly [label: string, least: number, most: number]>> = {
  waist: ['Waist', 350, 2200],
  hip: ['Hip', 400, 2400],
  crotchDepth: ['Crotch depth', 110, 500],
  inseam: ['Inseam', 180, 1200],
  hipDepth: ['Hip depth', 70, 400],
  outseam: ['Outseam', 300, 1600],
  kneeDepth: ['Knee depth', 200, 950],
  thigh: ['Thigh', 200, 1300],
  midThigh: ['Mid-thigh', 180, 1200],
  knee: ['Knee', 150, 900],
  calf: ['Calf', 140, 900],
  ankle: ['Ankle', 110, 600],
  heel: ['Heel', 150, 600],
  footLength: ['Foot length', 100, 360],
  highHip: ['High hip', 380, 2300],
  crotchLength: ['Crotch length', 300, 1400],
  frontRise: ['Front rise', 120, 700],
  backRise: ['Back rise', 150, 800],
  backWaistHeight: ['Back waist height', -80, 80],
  frontWaistHeight: ['Front waist height', -80, 80],
  apexSpan: ['Apex span', 60, 500],
  frontWaist: ['Front waist', 150, 1150],
  frontHip: ['Front hip', 180, 1250],
  seatHeight: ['Seat height', 110, 550],
  thighTakenAt: ['Thigh taken below', 0, 200],
  pairFrontThigh: ['Front thigh of the pair', 90, 600],
  pairThigh: ['Thigh of the pair', 200, 1300],
  pairBand: ['Band of the pair', 0, 150],
};

/** Every measurement with its name and its limits. */
export const MEASUREMENTS: ReadonlyMap<MeasurementId, MeasurementInfo> = new Map(
  MEASUREMENT_IDS.map((id) => {
    const [label, least, most] = ENTRIES[id];
    return [id, { id, label, least, most }];
  }),
);

/** The label of a measurement, as shown on a screen or a print. */
export const measurementLabel = (id: MeasurementId): string => MEASUREMENTS.get(id)?.label ?? id;

/** The figure a set was taken from; it decides the heel estimate and the children's rules. */
export type Figure = 'woman' | 'man' | 'child' | 'unknown';

/** How full a part of the body is for its size. */
export type Weight = 'flat' | 'average' | 'full';

/** The build of a person: what changes every method's figures in the same way. */
export interface Build {
  readonly seat: Weight;
  readonly stomach: Weight;
  readonly thigh: Weight;
}

/** Nothing out of the ordinary. */
export const AVERAGE_BUILD: Build = { seat: 'average', stomach: 'average', thigh: 'average' };

/** Measured figures in mm; what is missing is estimated where a rule allows. */
export type Measured = Readonly<Partial<Record<MeasurementId, number>>>;

/** Where the inseam of a set was taken to. */
export type InseamTo = 'floor' | 'ankle';

/** Where the waist of a set was taken: natural, low or high. */
export type WaistSits = 'natural' | 'low' | 'high';
