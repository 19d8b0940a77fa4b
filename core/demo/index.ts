import { toMm, type Unit } from '../units/index.js';
import { houseAllowances } from '../piece/index.js';
import { HOUSE_RULES } from '../draft/index.js';
import { EMPTY_PAIR, type Figure, type MeasurementId, type PairFigureId } from '../measure/index.js';
import type { KeptDraft, MeasurementSet, Person, WorkbookContent } from '../workbook/index.js';
import { newSet, type Trace } from '../kept/index.js';
import type { AlterationWork } from '../alter/index.js';
import type { Reference } from '../reference/index.js';
import { PAIR_TAKEN_APART } from './pair-taken-apart.js';

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

const PEOPLE: readonly Person[] = [
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
  ]),
];

interface DemoDraft {
  readonly id: string;
  readonly name: string;
  readonly personId: string;
  readonly setId: string;
  readonly day: string;
  readonly method?: string;
  readonly fit?: Partial<KeptDraft['fit']>;
  readonly settings?: Record<string, number>;
  readonly choices?: Record<string, string>;
  readonly set?: KeptDraft['set'];
  readonly alterations?: readonly (readonly [string, AlterationWork])[];
  readonly reference?: Reference;
}

const kept = (d: DemoDraft): KeptDraft => ({
  id: d.id,
  name: d.name,
  personId: d.personId,
  setId: d.setId,
  method: d.method ?? 'quarter-and-half',
  fit: { stretch: 0, shrinkLength: 0, shrinkWidth: 0, ...d.fit },
  settings: d.settings ?? {},
  choices: d.choices ?? {},
  rules: { ...HOUSE_RULES },
  set: d.set ?? {},
  alterations: (d.alterations ?? []).map(([note, work], i) => ({ id: `${d.id}-${i}`, on: true, note, work })),
  ...(d.reference && { reference: d.reference }),
  allowances: { ...houseAllowances(PEOPLE.find((p) => p.id === d.personId)?.unit ?? 'cm'), given: [] },
  created: `${d.day}T09:00:00.000Z`,
  changed: `${d.day}T09:30:00.000Z`,
});

const DRAFTS: readonly KeptDraft[] = [
  kept({
    id: 'cellist-dress',
    name: 'Wide-legged dress trouser',
    personId: 'cellist',
    setId: 'cellist-1',
    day: '2026-10-21',
    settings: { kneeGirth: 590, hemGirth: 630 },
    set: { 'back.extension': 132.5 },
  }),
  kept({
    id: 'rigger-work',
    name: 'Work trousers',
    method: 'close',
    choices: { fit: 'relaxed' },
    personId: 'stage-rigger',
    setId: 'stage-rigger-1',
    day: '2026-10-19',
    settings: { kneeGirth: 19.5 * 25.4, hemGirth: 18 * 25.4 },
  }),
  kept({
    id: 'puppeteer-black',
    name: 'Black stage trousers',
    personId: 'lead-puppeteer',
    setId: 'lead-puppeteer-2',
    day: '2026-10-12',
    settings: { kneeGirth: 440, hemGirth: 400 },
  }),
  kept({
    id: 'bargee-shorts',
    name: 'Shorts',
    personId: 'bargee',
    setId: 'bargee-1',
    day: '2026-09-30',
    settings: { insideLength: 9 * 25.4, hemGirth: 26.5 * 25.4 },
  }),
  kept({
    id: 'lamp-plain',
    name: 'Plain trousers',
    personId: 'lamp-operator',
    setId: 'lamp-operator-1',
    day: '2026-09-24',
    choices: { variant: 'surplus-shared' },
    alterations: [
      [
        'Folds under the flat seat',
        {
          kind: 'wedge',
          panel: 'back',
          from: { edge: 'rise', level: { line: 'hipLevel', by: 0 } },
          hinge: { edge: 'side', level: { line: 'hipLevel', by: 0 } },
          by: -8,
        },
      ],
      ['Long leg', { kind: 'across', panel: 'both', level: { line: 'kneeLevel', by: 60 }, by: 12 }],
    ],
  }),
  kept({
    id: 'cook-kitchen',
    name: 'Kitchen trousers',
    personId: 'cook',
    setId: 'cook-1',
    day: '2026-09-12',
    settings: { hipEase: 40 },
  }),
  kept({
    id: 'cook-copy',
    name: 'Copy of the old kitchen pair',
    personId: 'cook',
    setId: 'cook-pair',
    day: '2026-09-05',
    method: 'finished-pair',
    settings: { kneeGirth: 580, hemGirth: 540 },
    reference: PAIR_TAKEN_APART,
  }),
  kept({
    id: 'ticket-plain',
    name: 'Front of house trousers',
    personId: 'ticket-seller',
    setId: 'ticket-seller-1',
    day: '2026-09-02',
  }),
];

/** The demo workroom as a workbook. */
export const DEMO_WORKBOOK: WorkbookContent = {
  people: [...PEOPLE],
  drafts: [...DRAFTS],
  charts: [],
};
