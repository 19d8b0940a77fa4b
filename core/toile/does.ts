import type { AlterationWork, LevelPlace } from '../alter/index.js';
import type { Block } from '../draft/index.js';
import { distance, startOf } from '../geometry/index.js';
import type { PanelName } from '../method/index.js';
import type { Style } from '../style/index.js';
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
/** Where a waist is dropped nearly as far as a dart is long, no less than this share of its intake is reckoned with. */
const LEAST_LEFT = 0.25;
/** Less of a girth than this is not told beside what the darts take, in mm. */
const LEAST = 1;

/** Of what is taken in at a waist so much is left `drop` mm below it, where it runs out over a length in mm. */
const leftAt = (drop: number, over: number): number => Math.max(LEAST_LEFT, 1 - drop / Math.max(1, over));

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
/**
 * The side of both panels moved out from the waist to the top edge, running out below; four seams' worth of it are in the
 * girth.
 */
export function sideAtWaist(girth: number, { front, back }: Block, drop = 0): AlterationWork {
  const top = Math.max(0, front.points.sideWaist.y, back.points.sideWaist.y) + BELOW;
  const level = (by: number): LevelPlace => ({ line: 'waistLine', by });
  return {
    kind: 'seam',
    panel: 'both',
    seam: 'side',
    by: girth / 4,
    from: level(top),
    to: level(Math.max(top, drop)),
    runOut: RUN_OUT,
  };
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
/**
 * The centre back taken in at the top edge: the seat line leaned, an amount of the girth is a half of it; at the waist it is
 * more, where the top edge lies `drop` mm below.
 */
const centreBack = (girth: number, { back }: Block, drop: number): AlterationWork => ({
  kind: 'tilt',
  panel: 'back',
  above: 0,
  by:
    girth / 2 / leftAt(drop, distance(back.points.centreWaist, startOf(back.edges.rise.slice(back.joints.curveStart)))),
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
 * An amount of the top edge's girth, `drop` mm below the waist, taken up (+) or let go (-) by the back darts, each by its
 * share of the room it has; and what is left, where they have no room for more or there are none. The last dart first: one
 * that is let go whole is counted no more.
 */
function inDarts(
  girth: number,
  { back }: Block,
  drop: number,
): { readonly works: readonly AlterationWork[]; readonly left: number } {
  const rooms = back.darts.map(({ intake }) => (girth > 0 ? Math.max(0, MOST_DART - intake) : intake));
  const room = rooms.reduce((sum, mm, i) => sum + mm * leftAt(drop, back.darts[i]?.length ?? 0), 0);
  const share = room > 0 ? Math.min(1, Math.abs(girth) / 2 / room) : 0;
  const works = rooms.map((mm, i) => dart(i, Math.sign(girth) * share * mm)).reverse();
  return { works: share > 0 ? works : [], left: Math.abs(girth) - 2 * share * room };
}
function waistIn(girth: number, block: Block, drop: number): readonly AlterationWork[] {
  const { works, left } = inDarts(girth, block, drop);
  return left < LEAST ? works : [...works, centreBack(left, block, drop)];
}
function waistOut(girth: number, block: Block, drop: number): readonly AlterationWork[] {
  const { works, left } = inDarts(-girth, block, drop);
  return left < LEAST ? works : [...works, sideAtWaist(left, block, drop)];
}
const hem = (inside: number): AlterationWork => ({ kind: 'levelHem', panel: 'both', inside, outside: 0 });

/** The components of a style that are a band, and the field of each by which its top is taken in behind. */
type BandFields = Readonly<Record<'band' | 'shapedBand', string>>;

/** Something that is done about a cause: by an amount in mm, told in the words of the amount. */
interface Does {
  /** What the amount is measured of. */
  readonly of: string;
  /** What one begins with where nothing says how much: a pinch between finger and thumb, on the maker's tape. */
  readonly start: { readonly cm: number; readonly in: number };
  readonly make: (mm: number, block: Block, drop: number) => readonly AlterationWork[];
  /** The field by which each band takes it, where it is done to the band and not to the block. */
  readonly band?: BandFields;
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
  centreBackIn: {
    of: 'the waist',
    start: { cm: 1, in: 1 / 2 },
    make: (mm, block, drop) => [centreBack(mm, block, drop)],
  },
  curveBand: {
    of: 'the band’s top edge',
    start: { cm: 1, in: 1 / 2 },
    make: () => [],
    band: { band: 'topIn', shapedBand: 'topBack' },
  },
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

/**
 * The alterations that do something by an amount in mm, on a block as it lies now. An amount of the waist is one of the top
 * edge, `drop` mm below it, where a style has dropped it: at the waist it is more, as darts and seams run out.
 */
export const worksOf = (does: DoesId, mm: number, block: Block, drop = 0): readonly AlterationWork[] =>
  (DOES[does] as Does).make(mm, block, drop);

/** The other places at which what a cause asks for can be done, in a maker's words; the first is the usual one. */
export const WAYS: Readonly<Partial<Record<DoesId, readonly (readonly [DoesId, string])[]>>> = {
  deeperDarts: [
    ['deeperDarts', 'the back darts'],
    ['centreBackIn', 'the centre seam'],
    ['curveBand', 'the band’s top'],
  ],
};

/** A style as it is after something was done to its band; `noBand` where it has none, nothing where none is touched. */
export function bandOf(does: DoesId, mm: number, style: Style): Style | 'noBand' | undefined {
  const fields = (DOES[does] as Does).band;
  if (!fields) return undefined;
  const field = (id: string): string | undefined => (fields as Readonly<Record<string, string>>)[id];
  if (!style.some((item) => field(item.id) !== undefined)) return 'noBand';
  return style.map((item) => {
    const name = field(item.id);
    if (name === undefined) return item;
    const now = item.values[name];
    return { ...item, values: { ...item.values, [name]: (typeof now === 'number' ? now : 0) + mm } };
  });
}

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
