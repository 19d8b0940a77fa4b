/**
 * Planted misfits: bodies that differ from what was drafted, in one way or in two at a time. What would be seen and pinned
 * is told from the differences of girths and lengths alone, one thing in five is left out, amounts are off by up to 5 mm;
 * how often the true cause is among the first two, and what is done about it changes the figure, re-measured from the
 * pieces, by what was planted within 5 mm. `npm run bench:misfits -- [COUNT] [SEED]`
 */
import { computeDraft, EMPTY_INPUT } from '../core/chain/index.js';
import { onSeam, type LevelPlace, type SeamPlace } from '../core/alter/index.js';
import type { Block, EdgeName } from '../core/draft/index.js';
import type { MeasurementId } from '../core/measure/index.js';
import { figuresOf } from '../core/measured/index.js';
import { SHEETS } from '../core/shipped/index.js';
import type { PanelName } from '../core/method/index.js';
import { causesOf, FOLD, pinNamed, worksOf, type Observed, type Pin } from '../core/toile/index.js';
import { inputFor, isMeantFor, plausibleBody, seeded } from './random-body.js';

interface Misfit {
  /** What the body has more (+) or less (-) of than was drafted, in mm, and within which limits. */
  readonly of: MeasurementId;
  readonly way: 1 | -1;
  readonly least: number;
  readonly most: number;
  readonly cause: string;
  /** What so large a difference shows: each from so many mm on. */
  readonly shows: readonly (readonly [string, number])[];
  readonly pin?: string;
  /** The same pinned as a fold from seam to seam: some makers pin wherever there is too much cloth. */
  readonly fold?: PutFold;
}

/** A fold that is put for an amount on a piece. */
type PutFold = (by: number, block: Block, random: () => number) => Pick<Pin, 'by' | 'fold'>;

const at = (edge: EdgeName, line: LevelPlace['line'], by: number): SeamPlace => ({ edge, level: { line, by } });

/** Across a piece from the rise to the side, somewhere between waist and crotch curve, nothing at the side. */
const acrossFold =
  (panel: PanelName): PutFold =>
  (by, _, random) => {
    const level = 60 * random() - 50;
    return { by, fold: { panel, from: at('rise', 'hipLevel', level), to: at('side', 'hipLevel', level), byTo: 0 } };
  };

/** On each half of the back a slanting fold from the waist to the side by the hip: half of the amount is across it. */
const waistFold: PutFold = (by, { back }, random) => {
  const from: SeamPlace = { edge: 'waist', share: 0.4 + 0.4 * random() };
  const to = at('side', 'hipLevel', 30 * random());
  const [a, b] = [onSeam(back, from)?.at, onSeam(back, to)?.at];
  const slant = a && b ? Math.hypot(b.x - a.x, b.y - a.y) / (b.y - a.y) : 1;
  return { by: (by / 2) * slant, fold: { panel: 'back', from, to, byTo: 0 } };
};

const MISFITS: readonly Misfit[] = [
  {
    of: 'backRise',
    way: 1,
    least: 12,
    most: 40,
    cause: 'backRiseShort',
    pin: 'openedSeat',
    shows: [
      ['pullsSeated', 8],
      ['waistDropsBehind', 12],
      ['tooShortBehind', 20],
    ],
  },
  {
    of: 'backRise',
    way: -1,
    least: 12,
    most: 40,
    cause: 'backRiseLong',
    pin: 'foldedSeat',
    fold: acrossFold('back'),
    shows: [
      ['foldsUnderSeat', 8],
      ['seatBags', 18],
    ],
  },
  {
    of: 'frontRise',
    way: -1,
    least: 10,
    most: 30,
    cause: 'frontRiseLong',
    pin: 'foldedFront',
    fold: acrossFold('front'),
    shows: [
      ['foldsBelowWaistFront', 8],
      ['pleatsFrontCrotch', 18],
    ],
  },
  {
    of: 'frontRise',
    way: 1,
    least: 10,
    most: 30,
    cause: 'frontRiseShort',
    pin: 'droppedFront',
    shows: [
      ['waistDropsFront', 8],
      ['riseCutsIn', 12],
      ['dragFrontCrotch', 18],
    ],
  },
  {
    of: 'hip',
    way: 1,
    least: 25,
    most: 70,
    cause: 'seatTight',
    pin: 'openedSide',
    shows: [
      ['acrossSeatTight', 20],
      ['pulledSides', 25],
    ],
  },
  {
    of: 'hip',
    way: -1,
    least: 25,
    most: 70,
    cause: 'seatWide',
    pin: 'pinchedSide',
    shows: [
      ['farAtSeat', 20],
      ['seatBags', 40],
    ],
  },
  {
    of: 'thigh',
    way: 1,
    least: 20,
    most: 60,
    cause: 'thighTight',
    pin: 'openedThigh',
    shows: [
      ['tightThigh', 15],
      ['dragBackCrotch', 35],
    ],
  },
  {
    of: 'thigh',
    way: -1,
    least: 25,
    most: 60,
    cause: 'backExtensionLong',
    pin: 'pinchedInseam',
    shows: [['wideThigh', 20]],
  },
  {
    of: 'waist',
    way: -1,
    least: 20,
    most: 60,
    cause: 'waistWideBehind',
    pin: 'pinchedCentreBack',
    fold: waistFold,
    shows: [['waistStandsBehind', 15]],
  },
  {
    of: 'waist',
    way: 1,
    least: 15,
    most: 50,
    cause: 'waistNarrow',
    pin: 'waistGap',
    shows: [['waistDoesNotClose', 10]],
  },
];
const LEFT_OUT = 0.2;
const OFF = 5;

/** How often a planted misfit was found, and mended by as much as it was. */
export interface Told {
  planted: number;
  /** Its cause was among the first two. */
  found: number;
  /** It was pinned, so that an amount is told. */
  pinned: number;
  /** What is done about it changes the figure, re-measured, by what was planted within 5 mm. */
  within: number;
}

/** One or two misfits of a body, by how much, and what was noted of them. */
interface Planted {
  readonly misfits: readonly { readonly misfit: Misfit; readonly by: number }[];
  readonly observed: Observed;
}

function plant(random: () => number, block: Block): Planted {
  const first = MISFITS[Math.floor(random() * MISFITS.length)] as Misfit;
  const others = MISFITS.filter((m) => m.of !== first.of);
  const second = others[Math.floor(random() * others.length)] as Misfit;
  const misfits = (random() < 0.5 ? [first] : [first, second]).map((misfit) => ({
    misfit,
    by: misfit.least + (misfit.most - misfit.least) * random(),
  }));
  const noted = misfits.map(({ misfit: { shows, pin, fold }, by }): Observed => {
    const shown = shows.filter(([, from]) => by >= from);
    const kept = shown.filter(() => random() >= LEFT_OUT);
    // What is seen strongest is what brings a maker to the mirror: one thing at least is noted.
    const seen = (kept.length > 0 ? kept : shown.slice(0, 1)).map(([what]) => ({ what }));
    if (pin === undefined || random() < LEFT_OUT) return { seen, pins: [] };
    const off = by + OFF * (2 * random() - 1);
    const put =
      fold && random() < 0.5
        ? { kind: FOLD, ...fold(off, block, random) }
        : { kind: pin, by: off / (pinNamed(pin)?.times ?? 1) };
    return { seen, pins: [{ ...put, leg: 'both' }] };
  });
  return { misfits, observed: { seen: noted.flatMap((n) => n.seen), pins: noted.flatMap((n) => n.pins) } };
}

/** Plants misfits on so many random bodies and tells, by cause, alone or of two, what became of them. */
export function plantedMisfits(count: number, seed: number): ReadonlyMap<string, Told> {
  const random = seeded(seed);
  const told = new Map<string, Told>();
  for (let i = 0; i < count;) {
    const sheet = SHEETS[Math.floor(random() * SHEETS.length)];
    const body = plausibleBody(random);
    if (!sheet || !isMeantFor(sheet, body)) continue;
    const input = { ...EMPTY_INPUT, ...inputFor(sheet, body, random) };
    const outcome = computeDraft(input);
    if (!outcome.ok) continue;
    i += 1;
    const { block } = outcome.value;
    const { misfits, observed } = plant(random, block);
    const causes = causesOf(observed, outcome.value, 'cm');
    for (const { misfit, by } of misfits) {
      const key = `${misfit.cause}, ${misfits.length === 1 ? 'alone' : 'of two'}`;
      const of = told.get(key) ?? { planted: 0, found: 0, pinned: 0, within: 0 };
      told.set(key, of);
      of.planted += 1;
      const at = causes.findIndex((c) => c.cause.id === misfit.cause);
      const cause = causes[at];
      if (!cause) continue;
      if (at < 2) of.found += 1;
      if (cause.from === 'pin') of.pinned += 1;
      const works = worksOf(cause.cause.does, cause.amount, block);
      const alterations = works.map((work, n) => ({ id: `a${n}`, on: true, note: '', work }));
      const altered = computeDraft({ ...input, alterations });
      if (!altered.ok) continue;
      const figure = misfit.of as 'hip';
      const changed = figuresOf(altered.value.block)[figure] - figuresOf(block)[figure];
      if (Math.abs(changed - misfit.way * by) <= OFF + 0.5) of.within += 1;
    }
  }
  return told;
}

/** All of them together. */
export function summed(told: ReadonlyMap<string, Told>): Told {
  const sum = { planted: 0, found: 0, pinned: 0, within: 0 };
  for (const one of told.values()) for (const name of Object.keys(sum) as (keyof Told)[]) sum[name] += one[name];
  return sum;
}

function main(): void {
  const [count = 200, seed = 1] = process.argv.slice(2).map(Number);
  const told = plantedMisfits(count, seed);
  const said = ({ planted, found, within, pinned }: Told): string => {
    const share = (n: number): string => `${n} of ${planted} (${((100 * n) / planted).toFixed(0)} %)`;
    return `among the first two in ${share(found)}; changed within 5 mm in ${share(within)}; ${pinned} pinned`;
  };
  for (const [key, one] of [...told].sort(([a], [b]) => a.localeCompare(b))) console.log(`${key}: ${said(one)}`);
  console.log(`${count} bodies: ${said(summed(told))}`);
}

if (/misfits\.[jt]s$/.test(process.argv[1] ?? '')) main();
