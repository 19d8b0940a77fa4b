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
  'highHip',
  'crotchLength',
  'frontRise',
  'backRise',
  'backWaistHeight',
  'apexSpan',
] as const;

/** The name of a measurement. */
export type MeasurementId = (typeof MEASUREMENT_IDS)[number];

/** The four without which nothing is drafted. */
export const REQUIRED_IDS = ['waist', 'hip', 'crotchDepth', 'inseam'] as const satisfies readonly MeasurementId[];

/** True where the text names a measurement. */
export const isMeasurementId = (name: string): name is MeasurementId =>
  (MEASUREMENT_IDS as readonly string[]).includes(name);

/** What a measurement is called, what it is and how it is taken. */
export interface MeasurementInfo {
  readonly id: MeasurementId;
  readonly label: string;
  readonly how: string;
  /** Least and greatest figure any figure from a child of three to a large adult can have, in mm. */
  readonly least: number;
  readonly most: number;
}

const info = (
  id: MeasurementId,
  label: string,
  how: string,
  least: number,
  most: number,
): readonly [MeasurementId, MeasurementInfo] => [id, { id, label, how, least, most }];

/** Every measurement with its name, how it is taken and the limits within which it can be meant. */
export const MEASUREMENTS: ReadonlyMap<MeasurementId, MeasurementInfo> = new Map([
  info('waist', 'Waist', 'Girth where the trousers will sit, tape level, a finger under it.', 350, 2200),
  info('hip', 'Hip', 'Girth at the fullest part of the seat, tape level, standing with feet together.', 400, 2400),
  info(
    'crotchDepth',
    'Crotch depth',
    'Seated upright on a hard flat seat: from the waist line down the side to the seat surface.',
    110,
    500,
  ),
  info('inseam', 'Inseam', 'The body’s own: from the crotch down the inside of the leg to the floor.', 180, 1200),
  info('hipDepth', 'Hip depth', 'At the side, from the waist line to the level of the hip measure.', 70, 400),
  info('outseam', 'Outseam', 'At the side, from the waist line over the hip to the floor.', 300, 1600),
  info('kneeDepth', 'Knee depth', 'From the waist line to the middle of the knee.', 200, 950),
  info('thigh', 'Thigh', 'Girth at the top of the leg, level with the crotch.', 200, 1300),
  info('midThigh', 'Mid-thigh', 'Girth halfway between crotch and knee.', 180, 1200),
  info('knee', 'Knee', 'Girth round the middle of the knee, leg straight.', 150, 900),
  info('calf', 'Calf', 'Girth at the fullest part of the calf.', 140, 900),
  info('ankle', 'Ankle', 'Girth over the ankle bones.', 110, 600),
  info('heel', 'Heel', 'Girth round heel and instep: what a hem must pass over.', 150, 600),
  info('highHip', 'High hip', 'Girth 8 to 10 cm below the waist line, tape level.', 380, 2300),
  info('crotchLength', 'Crotch length', 'From centre front waist between the legs to centre back waist.', 300, 1400),
  info('frontRise', 'Front rise', 'The front part of the crotch length, down to where the inseam will sit.', 120, 700),
  info('backRise', 'Back rise', 'The back part of the crotch length, from where the inseam will sit.', 150, 800),
  info(
    'backWaistHeight',
    'Back waist height',
    'How far centre back waist lies above (+) or below (-) the level of the side waist.',
    -80,
    80,
  ),
  info('apexSpan', 'Apex span', 'Distance wanted between the two dart apexes, across the body.', 60, 500),
]);

/** The label of a measurement, as shown on a screen or a print. */
export const measurementLabel = (id: MeasurementId): string => MEASUREMENTS.get(id)?.label ?? id;

/** The figure a set was taken from; it decides the heel estimate and the children's rules. */
export type Figure = 'woman' | 'man' | 'child' | 'unknown';

/** Measured figures in mm; what is missing is estimated where a rule allows. */
export type Measured = Readonly<Partial<Record<MeasurementId, number>>>;
