import type { AlterationWork, LevelPlace } from '../alter/index.js';
import type { Block } from '../draft/index.js';
import type { PanelName } from '../method/index.js';
import { toMm, type Unit } from '../units/index.js';

const HIP: LevelPlace = { line: 'hipLevel', by: 0 };
const CROTCH: LevelPlace = { line: 'crotchLevel', by: 0 };
const HEM: LevelPlace = { line: 'hemLevel', by: 0 };
/** Over what length a moved side runs out, in mm. */
const RUN_OUT = 120;
/** So far below the upper ends of both sides a level crosses both, in mm. */
const BELOW = 2;
/** No dart is made deeper than this, in mm: what is more goes into the centre seam. */
const MOST_DART = 38;
/** Less of a girth than this is not told beside what the darts take, in mm. */
const LEAST = 1;

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
/**
 * The side of both panels moved, from the hip to the crotch line, where a leg falls plumb to the hem; an amount of the
 * girth is a quarter of it a seam.
 */
const side = (girth: number, { front }: Block): AlterationWork => ({
  kind: 'seam',
  panel: 'both',
  seam: 'side',
  by: girth / 4,
  from: HIP,
  to: front.manner.plumbLeg ? HEM : CROTCH,
  runOut: RUN_OUT,
});
/** The side of both panels moved out at the waist, running out below; four seams' worth of it are in the girth. */
export function sideAtWaist(girth: number, { front, back }: Block): AlterationWork {
  const top = Math.max(0, front.points.sideWaist.y, back.points.sideWaist.y) + BELOW;
  const level: LevelPlace = { line: 'waistLine', by: top };
  return { kind: 'seam', panel: 'both', seam: 'side', by: girth / 4, from: level, to: level, runOut: RUN_OUT };
}
const crease = (by: number): AlterationWork => ({ kind: 'crease', panel: 'both', by });
const tilt = (by: number): AlterationWork => ({ kind: 'tilt', panel: 'back', above: 0, by, giveBack: true });
const waist = (panel: PanelName, centre: number): AlterationWork => ({
  kind: 'waist',
  panel,
  centre,
  side: 0,
  centreOnly: false,
});
/** The centre back taken in at the waist: the seat line leaned, an amount of the girth is a half of it. */
const centreBack = (girth: number): AlterationWork => ({
  kind: 'tilt',
  panel: 'back',
  above: 0,
  by: girth / 2,
  giveBack: false,
});
const dart = (index: number, by: number): AlterationWork => ({
  kind: 'dart',
  panel: 'back',
  dart: index,
  act: 'intake',
  by,
  keepWaist: false,
});
/**
 * An amount of the waist's girth taken up (+) or let go (-) by the back darts, each by its share of the room it has; and
 * what is left, where they have no room for more or there are none. The last dart first: one that is let go whole is
 * counted no more.
 */
function inDarts(girth: number, { back }: Block): { readonly works: readonly AlterationWork[]; readonly left: number } {
  const rooms = back.darts.map(({ intake }) => (girth > 0 ? Math.max(0, MOST_DART - intake) : intake));
  const room = rooms.reduce((sum, mm) => sum + mm, 0);
  const share = room > 0 ? Math.min(1, Math.abs(girth) / 2 / room) : 0;
  const works = rooms.map((mm, i) => dart(i, Math.sign(girth) * share * mm)).reverse();
  return { works: share > 0 ? works : [], left: Math.abs(girth) - 2 * share * room };
}
function waistIn(girth: number, block: Block): readonly AlterationWork[] {
  const { works, left } = inDarts(girth, block);
  return left < LEAST ? works : [...works, centreBack(left)];
}
function waistOut(girth: number, block: Block): readonly AlterationWork[] {
  const { works, left } = inDarts(-girth, block);
  return left < LEAST ? works : [...works, sideAtWaist(left, block)];
}
const hem = (inside: number): AlterationWork => ({ kind: 'levelHem', panel: 'both', inside, outside: 0 });

/** Something that is done about a cause: by an amount in mm, told in the words of the amount. */
interface Does {
  /** What the amount is measured of. */
  readonly of: string;
  /** What one begins with where nothing says how much: a pinch between finger and thumb, on the maker's tape. */
  readonly start: { readonly cm: number; readonly in: number };
  readonly make: (mm: number, block: Block) => readonly AlterationWork[];
}

/**
 * What is done about each cause (docs/trade/toile.md) on a block as it lies now. Amounts are positive: which way, the name
 * says.
 */
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
  sideOut: { of: 'the hip girth', start: { cm: 2, in: 1 }, make: (mm, block) => [side(mm, block)] },
  sideIn: { of: 'the hip girth', start: { cm: 2, in: 1 }, make: (mm, block) => [side(-mm, block)] },
  thighOut: {
    of: 'the thigh',
    start: { cm: 2, in: 3 / 4 },
    make: (mm) => [point('back', (2 * mm) / 3), point('front', mm / 3)],
  },
  deeperDarts: { of: 'the waist', start: { cm: 1, in: 1 / 2 }, make: waistIn },
  narrowerDarts: { of: 'the waist', start: { cm: 1, in: 1 / 2 }, make: waistOut },
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

/** The alterations that do something by an amount in mm, on a block as it lies now. */
export const worksOf = (does: DoesId, mm: number, block: Block): readonly AlterationWork[] =>
  (DOES[does] as Does).make(mm, block);

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
