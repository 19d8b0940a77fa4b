/**
 * Planted misfits: bodies that differ from what was drafted, in one way or in two at a time. What would be seen and pinned
 * is told from the differences of girths and lengths alone, one thing in five is left out, amounts are off by up to 5 mm;
 * how often the true cause is among the first two, and the amount within 5 mm. `npm run bench:misfits -- [COUNT] [SEED]`
 */
import { computeDraft, EMPTY_INPUT } from '../core/chain/index.js';
import type { MeasurementId } from '../core/measure/index.js';
import { figuresOf } from '../core/measured/index.js';
import { SHEETS } from '../core/shipped/index.js';
import { causesOf, pinNamed, type Observed } from '../core/toile/index.js';
import { inputFor, isMeantFor, plausibleBody, seeded } from './random-body.js';

const [count = 200, seed = 1] = process.argv.slice(2).map(Number);
const random = seeded(seed);

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
}

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
    shows: [['waistStandsBehind', 15]],
  },
  { of: 'waist', way: 1, least: 15, most: 50, cause: 'waistNarrow', shows: [['waistDoesNotClose', 10]] },
];
const LEFT_OUT = 0.2;
const OFF = 5;

interface Told {
  planted: number;
  found: number;
  pinned: number;
  within: number;
}
const told = new Map<string, Told>();

for (let i = 0; i < count;) {
  const sheet = SHEETS[Math.floor(random() * SHEETS.length)];
  const body = plausibleBody(random);
  if (!sheet || !isMeantFor(sheet, body)) continue;
  const outcome = computeDraft({ ...EMPTY_INPUT, ...inputFor(sheet, body, random) });
  if (!outcome.ok) continue;
  const draft = outcome.value;
  const figures = figuresOf(draft.block);
  i += 1;
  const first = MISFITS[Math.floor(random() * MISFITS.length)] as Misfit;
  const second = MISFITS.filter((m) => m.of !== first.of)[Math.floor(random() * (MISFITS.length - 2))] as Misfit;
  const planted = random() < 0.5 ? [first] : [first, second];
  const amounts = planted.map((m) => m.least + (m.most - m.least) * random());
  const seen: { what: string }[] = [];
  const pins: { kind: string; by: number }[] = [];
  planted.forEach((m, k) => {
    const by = amounts[k] as number;
    const shown = m.shows.filter(([, from]) => by >= from && figures[m.of as 'hip'] > 0);
    const kept = shown.filter(() => random() >= LEFT_OUT);
    // What is seen strongest is what brings a maker to the mirror: one thing at least is noted.
    for (const [what] of kept.length > 0 ? kept : shown.slice(0, 1)) seen.push({ what });
    if (m.pin && random() >= LEFT_OUT)
      pins.push({ kind: m.pin, by: (by + OFF * (2 * random() - 1)) / (pinNamed(m.pin)?.times ?? 1) });
  });
  const observed: Observed = { seen, pins };
  const causes = causesOf(observed, draft, 'cm');
  planted.forEach((m, k) => {
    const key = `${m.cause}, ${planted.length === 1 ? 'alone' : 'of two'}`;
    const of = told.get(key) ?? { planted: 0, found: 0, pinned: 0, within: 0 };
    told.set(key, of);
    of.planted += 1;
    const among = causes.slice(0, 2).find((c) => c.cause.id === m.cause);
    if (among) of.found += 1;
    const cause = causes.find((c) => c.cause.id === m.cause);
    if (cause?.from === 'pin') {
      of.pinned += 1;
      if (Math.abs(cause.amount - (amounts[k] as number)) <= OFF + 0.5) of.within += 1;
    }
  });
}

const sum = { planted: 0, found: 0, pinned: 0, within: 0 };
for (const [key, t] of [...told].sort(([a], [b]) => a.localeCompare(b))) {
  console.log(
    `${key}: among the first two in ${t.found} of ${t.planted}; amount within 5 mm in ${t.within} of ${t.pinned} pinned`,
  );
  for (const name of Object.keys(sum) as (keyof Told)[]) sum[name] += t[name];
}
console.log(
  `${count} bodies: among the first two in ${sum.found} of ${sum.planted} (${((100 * sum.found) / sum.planted).toFixed(0)} %); within 5 mm in ${sum.within} of ${sum.planted}, pinned ${sum.pinned}`,
);
