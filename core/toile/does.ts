import type { AlterationWork, LevelPlace } from '../alter/index.js';
import type { PanelName } from '../method/index.js';
import { toMm, type Unit } from '../units/index.js';

const HIP: LevelPlace = { line: 'hipLevel', by: 0 };
const CROTCH: LevelPlace = { line: 'crotchLevel', by: 0 };

const wedge = (panel: PanelName, by: number): AlterationWork => ({
  kind: 'wedge',
  panel,
  from: { edge: 'rise', level: HIP },
  hinge: { edge: 'side', level: HIP },
  by,
});
const point = (panel: PanelName, out: number): AlterationWork => ({
  kind: 'crotchPoint',
  panel,
  out,
  down: 0,
  recentre: true,
});
/** The side of both panels moved, from the hip to the crotch line; an amount of the girth is a quarter of it a seam. */
const side = (girth: number): AlterationWork => ({
  kind: 'seam',
  panel: 'both',
  seam: 'side',
  by: girth / 4,
  from: HIP,
  to: CROTCH,
  runOut: 120,
});
const crease = (by: number): AlterationWork => ({ kind: 'crease', panel: 'both', by });
const tilt = (by: number): AlterationWork => ({ kind: 'tilt', panel: 'back', above: 0, by, giveBack: true });
const waist = (panel: PanelName, centre: number): AlterationWork => ({
  kind: 'waist',
  panel,
  centre,
  side: 0,
  centreOnly: false,
});
const dart = (by: number): AlterationWork => ({
  kind: 'dart',
  panel: 'back',
  dart: 0,
  act: 'intake',
  by,
  keepWaist: false,
});
const hem = (inside: number): AlterationWork => ({ kind: 'levelHem', panel: 'both', inside, outside: 0 });

/** Something that is done about a cause: by an amount in mm, told in the words of the amount. */
interface Does {
  /** What the amount is measured of. */
  readonly of: string;
  /** What one begins with where nothing says how much: a pinch between finger and thumb, on the maker's tape. */
  readonly start: { readonly cm: number; readonly in: number };
  readonly make: (mm: number) => readonly AlterationWork[];
}

/** What is done about each cause (docs/trade/toile.md). Amounts are positive: which way, the name says. */
export const DOES = {
  openSeat: { of: 'the back rise', start: { cm: 1.5, in: 1 / 2 }, make: (mm) => [wedge('back', mm)] },
  closeSeat: { of: 'the back rise', start: { cm: 1, in: 3 / 8 }, make: (mm) => [wedge('back', -mm)] },
  leanSeat: { of: 'the seat line at the waist', start: { cm: 1, in: 3 / 8 }, make: (mm) => [tilt(mm)] },
  uprightSeat: { of: 'the seat line at the waist', start: { cm: 1, in: 3 / 8 }, make: (mm) => [tilt(-mm)] },
  raiseFront: { of: 'the front rise', start: { cm: 1, in: 3 / 8 }, make: (mm) => [waist('front', mm)] },
  lowerFront: { of: 'the front rise', start: { cm: 1, in: 3 / 8 }, make: (mm) => [waist('front', -mm)] },
  frontPointOut: { of: 'the front extension', start: { cm: 0.5, in: 1 / 4 }, make: (mm) => [point('front', mm)] },
  backPointOut: { of: 'the back extension', start: { cm: 1, in: 3 / 8 }, make: (mm) => [point('back', mm)] },
  backPointIn: { of: 'the back extension', start: { cm: 1, in: 3 / 8 }, make: (mm) => [point('back', -mm)] },
  sideOut: { of: 'the hip girth', start: { cm: 2, in: 1 }, make: (mm) => [side(mm)] },
  sideIn: { of: 'the hip girth', start: { cm: 2, in: 1 }, make: (mm) => [side(-mm)] },
  thighOut: {
    of: 'the thigh',
    start: { cm: 2, in: 3 / 4 },
    make: (mm) => [point('back', (2 * mm) / 3), point('front', mm / 3)],
  },
  deeperDarts: { of: 'the waist', start: { cm: 1, in: 1 / 2 }, make: (mm) => [dart(mm / 2)] },
  narrowerDarts: { of: 'the waist', start: { cm: 1, in: 1 / 2 }, make: (mm) => [dart(-mm / 2)] },
  scoopBack: {
    of: 'the curve',
    start: { cm: 0.5, in: 1 / 4 },
    make: (mm) => [{ kind: 'scoop', panel: 'back', at: 0.45, by: mm, keepLength: false }],
  },
  hemUpInside: { of: 'the hem at the inseam', start: { cm: 0.6, in: 1 / 4 }, make: (mm) => [hem(-mm)] },
  hemDownInside: { of: 'the hem at the inseam', start: { cm: 0.6, in: 1 / 4 }, make: (mm) => [hem(mm)] },
  creaseOut: { of: 'the crease', start: { cm: 0.6, in: 1 / 4 }, make: (mm) => [crease(-mm)] },
  creaseIn: { of: 'the crease', start: { cm: 0.6, in: 1 / 4 }, make: (mm) => [crease(mm)] },
} as const satisfies Readonly<Record<string, Does>>;

/** The name of something that is done about a cause. */
export type DoesId = keyof typeof DOES;

const OPPOSITES: readonly (readonly [DoesId, DoesId])[] = [
  ['openSeat', 'closeSeat'],
  ['leanSeat', 'uprightSeat'],
  ['raiseFront', 'lowerFront'],
  ['backPointOut', 'backPointIn'],
  ['sideOut', 'sideIn'],
  ['deeperDarts', 'narrowerDarts'],
  ['hemUpInside', 'hemDownInside'],
  ['creaseOut', 'creaseIn'],
];

/** What takes out again what another gave. */
export const OPPOSITE: Readonly<Partial<Record<DoesId, DoesId>>> = Object.fromEntries(
  OPPOSITES.flatMap(([a, b]) => [
    [a, b],
    [b, a],
  ]),
);

/** What one begins with, in mm, where nothing says how much. */
export const startingAmount = (does: DoesId, unit: Unit): number =>
  unit === 'in' ? toMm(DOES[does].start.in, 'in') : toMm(DOES[does].start.cm, 'cm');
