import { toMm, type Unit } from '../units/index.js';
import { EMPTY_PAIR, type Figure, type MeasurementId, type PairFigureId } from '../measure/index.js';
import type { MeasurementSet, Person } from '../workbook/index.js';
import { newSet, type Trace } from '../kept/index.js';

/** The demo workroom: the wardrobe of Tin Heron, a made-up puppet theatre. Every figure is invented. */

type Figures = Partial<Record<MeasurementId, number>>;

const inMm = <Id extends string>(
  figures: Readonly<Partial<Record<Id, number>>>,
  unit: Unit,
): Partial<Record<Id, number>> =>
  Object.fromEntries(
    (Object.entries(figures) as [Id, number][]).map(([key, value]) => [key, toMm(value, unit)]),
  ) as Partial<Record<Id, number>>;

const taken = (
  id: string,
  date: string,
  unit: Unit,
  note: string,
  figures: Figures,
  more: Partial<MeasurementSet> = {},
): MeasurementSet => ({
  ...newSet(() => id, unit, new Date(`${date}T09:00:00.000Z`), 'body'),
  taker: 'Wardrobe',
  note,
  values: inMm(figures, unit),
  ...more,
});

const fromPair = (
  id: string,
  date: string,
  unit: Unit,
  note: string,
  figures: Partial<Record<PairFigureId, number>>,
): MeasurementSet =>
  taken(id, date, unit, note, {}, { source: 'pair', pair: { ...EMPTY_PAIR, figures: inMm(figures, unit) } });

const AVERAGE: Person['build'] = { seat: 'average', stomach: 'average', thigh: 'average' };

const person = (
  id: string,
  name: string,
  figure: Figure,
  unit: Unit,
  note: string,
  sets: MeasurementSet[],
  build: Partial<Person['build']> = {},
): Person => ({
  id,
  name,
  figure,
  unit,
  note,
  build: { ...AVERAGE, ...build },
  sets,
  traces: TRACES[id] ? [TRACES[id]] : [],
});

/** A crotch curve as a flexible ruler gives it, invented: from the waist in front, under, to the waist behind, mm. */
const traced = (id: string, date: string, inseam: number, points: readonly (readonly [number, number])[]): Trace => ({
  id,
  name: `Trace of ${date}`,
  date,
  note: 'Flexible ruler, standing.',
  points: points.map(([x, y]) => ({ x, y })),
  inseam,
});

const TRACES: Readonly<Record<string, Trace>> = {
  'lead-puppeteer': traced('lead-puppeteer-trace', '2026-10-05', 0.451, [
    [-122, -246],
    [-112, -207],
    [-103, -168],
    [-92, -129],
    [-81, -90],
    [-64, -54],
    [-42, -20],
    [-9, -1],
    [32, -1],
    [72, -5],
    [109, -20],
    [137, -49],
    [156, -84],
    [174, -121],
    [191, -157],
    [208, -194],
    [225, -230],
  ]),
  'stage-rigger': traced('stage-rigger-trace', '2026-09-20', 0.425, [
    [-114, -255],
    [-102, -213],
    [-91, -172],
    [-79, -131],
    [-67, -89],
    [-55, -48],
    [-31, -12],
    [8, 1],
    [52, -2],
    [94, -15],
    [130, -42],
    [156, -78],
    [177, -116],
    [200, -152],
    [223, -188],
    [247, -224],
    [270, -260],
  ]),
};

/** The crew of the demo workroom, with their sets. */
export const PEOPLE: readonly Person[] = [
  person('lead-puppeteer', 'Lead puppeteer', 'woman', 'cm', 'Works overhead all evening; wants to stretch.', [
    taken('lead-puppeteer-1', '2026-03-02', 'cm', 'Before the spring tour.', {
      waist: 71,
      hip: 97,
      crotchDepth: 26.6,
      inseam: 77,
      hipDepth: 20,
      thigh: 57,
    }),
    taken('lead-puppeteer-2', '2026-10-05', 'cm', 'After the tour.', {
      waist: 72.5,
      hip: 98,
      crotchDepth: 26.8,
      inseam: 77,
      hipDepth: 20,
      thigh: 57.5,
      frontRise: 28.5,
      backRise: 36.2,
      crotchLength: 64.5,
      backWaistHeight: 1,
      frontWaistHeight: -0.5,
    }),
  ]),
  person(
    'bargee',
    'Bargee',
    'man',
    'in',
    'Waist larger than hip.',
    [
      taken(
        'bargee-1',
        '2026-04-18',
        'in',
        'Wears them under the belly.',
        { waist: 43.5, hip: 42.25, crotchDepth: 10.75, inseam: 30.5, heel: 14 },
        { waistSits: 'low', waistBelow: toMm(1.5, 'in') },
      ),
    ],
    { stomach: 'full' },
  ),
  person(
    'lamp-operator',
    'Lamp operator',
    'unknown',
    'cm',
    'Flat seat, long leg.',
    [
      taken('lamp-operator-1', '2026-04-18', 'cm', '', {
        waist: 76,
        hip: 94,
        crotchDepth: 26,
        inseam: 88,
        kneeDepth: 64.5,
      }),
    ],
    { seat: 'flat' },
  ),
  person(
    'stage-rigger',
    'Stage rigger',
    'man',
    'in',
    'Climbs; short rise and full seat.',
    [
      taken('stage-rigger-1', '2026-02-11', 'in', '', {
        waist: 33,
        hip: 40.5,
        crotchDepth: 10.25,
        inseam: 31,
        thigh: 23.75,
        knee: 15.5,
      }),
      taken('stage-rigger-2', '2026-09-20', 'in', 'Second season.', {
        waist: 33.5,
        hip: 41,
        crotchDepth: 10.25,
        inseam: 31,
        thigh: 24,
        knee: 15.5,
        hipDepth: 7.75,
      }),
    ],
    { seat: 'full' },
  ),
  person('cellist', 'Cellist', 'woman', 'cm', 'Plays seated; a wide leg that falls well from the chair.', [
    taken(
      'cellist-1',
      '2026-05-07',
      'cm',
      '',
      {
        waist: 78,
        hip: 102,
        crotchDepth: 27.6,
        inseam: 79,
        hipDepth: 20.5,
        kneeDepth: 62,
        thigh: 60,
        backWaistHeight: 0.5,
      },
      {
        heights: [
          { height: 235, girth: 820 },
          { height: 180, girth: 905 },
          { height: 120, girth: 985 },
        ],
      },
    ),
  ]),
  person('cook', 'Cook', 'woman', 'cm', 'Large size; stands all day.', [
    taken('cook-1', '2026-05-07', 'cm', '', { waist: 112, hip: 128, crotchDepth: 31, inseam: 74, hipDepth: 22.5 }),
    fromPair('cook-pair', '2026-04-02', 'cm', 'The old kitchen pair, which fits.', {
      halfWaist: 57.5,
      halfHip: 66.5,
      frontThigh: 36,
      wholeThigh: 43.5,
      frontRise: 38,
      backRise: 50.4,
      band: 4,
      outseam: 108,
      inseam: 72.5,
      kneeAcross: 29,
      hemAcross: 27,
    }),
  ]),
  person('ticket-seller', 'Ticket seller', 'man', 'cm', 'The waist on the sheet cannot be right.', [
    taken('ticket-seller-1', '2026-06-12', 'cm', 'Taken in a hurry.', {
      waist: 48,
      hip: 99,
      crotchDepth: 27.1,
      inseam: 80,
    }),
  ]),
  person('apprentice', 'Apprentice', 'child', 'cm', 'Eight years old. Inseam still to be taken.', [
    taken('apprentice-1', '2026-06-12', 'cm', 'Would not stand still.', { waist: 57, hip: 67, crotchDepth: 20 }),
    taken('apprentice-0', '2025-11-02', 'cm', 'A season ago, before the last spurt.', {
      waist: 56,
      hip: 65,
      crotchDepth: 19.5,
      inseam: 54,
    }),
  ]),
];
