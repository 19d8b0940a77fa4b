import type { Draft } from '../chain/index.js';
import type { Check } from '../check/index.js';
import { snapTo, toMm, type Unit } from '../units/index.js';
import { startingAmount } from './does.js';
import type { Learnt } from './learnt.js';
import { KNOWLEDGE, pinNamed, type Cause, type Knowledge } from './knowledge.js';
import type { OnLeg } from './on-leg.js';
import { pinsThatSpeak, type StandsFor } from './fold-speaks.js';
import type { Pin } from './pinned-fold.js';

/** What was seen and pinned on a toile, as far as causes are sought from it. */
export interface Observed {
  readonly seen: readonly { readonly what: string; readonly leg?: OnLeg }[];
  readonly pins: readonly Pin[];
}

/**
 * A figure of the draft that speaks for a cause (`for`), the other way (`against`), or lies in its band (`neither`): a check,
 * or how far the seat line leans, in degrees.
 */
export type Evidence = { readonly speaks: 'for' | 'against' | 'neither' } & (
  { readonly check: Check } | { readonly seatLean: number }
);

/** What causes are told from: the checks of a draft, and its pieces. */
export type Draughted = Pick<Draft, 'checks' | 'block'>;

/** A seat line that leans less than this, in degrees, is upright; one that leans more slopes far. */
const LEAN = { low: 5, high: 17 };
const DEGREES = 180 / Math.PI;

/** Where the amount that one begins with was taken from. */
export type AmountFrom = 'pin' | 'figure' | 'start';

/** A cause that may be behind what was seen, with what speaks for it and the amount one would begin with, in mm. */
export interface RankedCause {
  readonly cause: Cause;
  readonly score: number;
  /** What was seen that speaks for it, the most telling first. */
  readonly seen: readonly string[];
  readonly evidence: readonly Evidence[];
  readonly amount: number;
  readonly from: AmountFrom;
  /** What earlier fittings of this person have taught about it: the amount is so much of what it would be. */
  readonly learnt: Learnt | undefined;
  /** The one leg on which all of it was seen and pinned; both otherwise. */
  readonly leg: OnLeg;
}

/** Two things that are seen together weigh by so much more than each by itself. */
const TOGETHER = 0.35;
/** What a figure of the draft does to a cause, and a pin that was put for it. */
const SPEAKS = { for: 1.4, neither: 0.9, against: 0.55 } as const;
const PINNED = 4;
/** What a likelier cause explains already speaks by so much for the next. */
const EXPLAINED = 0.4;

function speaks(
  { value, low, high }: Pick<Check, 'value' | 'low' | 'high'>,
  is: 'low' | 'high',
): Evidence['speaks'] | undefined {
  if (typeof value !== 'number') return undefined;
  const below = low !== undefined && value < low;
  const above = high !== undefined && value > high;
  if (!below && !above) return 'neither';
  return (is === 'low') === below ? 'for' : 'against';
}

/** By how much a figure lies outside its band, in mm; nothing where it lies in it or is no length. */
function missed({ kind, value, low, high }: Check): number | undefined {
  if (kind !== 'length' || typeof value !== 'number') return undefined;
  if (low !== undefined && value < low) return low - value;
  return high !== undefined && value > high ? value - high : undefined;
}

function ranked(
  cause: Cause,
  seen: Observed['seen'],
  pins: readonly StandsFor[],
  { checks, block }: Draughted,
  unit: Unit,
  explained: ReadonlySet<string>,
  taught: readonly Learnt[],
  knowledge: Knowledge,
): RankedCause {
  const matched = [...new Set(seen.map((s) => s.what))]
    .filter((what) => cause.seen[what] !== undefined)
    .sort((a, b) => (cause.seen[b] ?? 0) - (cause.seen[a] ?? 0));
  const evidence = cause.evidence.flatMap((one): Evidence[] => {
    if ('figure' in one) {
      const seatLean = block.back.seatAngle * DEGREES;
      return [{ seatLean, speaks: speaks({ value: seatLean, ...LEAN }, one.is) ?? 'neither' }];
    }
    const check = checks.find((c) => c.id === one.check);
    const says = check && speaks(check, one.is);
    return check && says ? [{ check, speaks: says }] : [];
  });
  // A pin that takes nothing in says nothing.
  const pin = pins.find((p) => cause.pins.includes(p.kind) && p.by > 0);
  const weightOf = (what: string): number => (cause.seen[what] ?? 0) * (explained.has(what) ? EXPLAINED : 1);
  const weight = matched.reduce((sum, what) => sum + weightOf(what), 0);
  const together = 1 + TOGETHER * Math.max(0, matched.length - 1);
  const figures = evidence.reduce((product, e) => product * SPEAKS[e.speaks], 1);
  const figure = evidence.flatMap((e) => (e.speaks === 'for' && 'check' in e ? (missed(e.check) ?? []) : []))[0];
  const step = unit === 'in' ? toMm(1 / 16, 'in') : 1;
  const pinned = pin && pin.by * (pinNamed(pin.kind, knowledge)?.times ?? 1);
  const learnt = taught.find((l) => l.does === cause.does);
  const amount = (pinned ?? figure ?? startingAmount(cause.does, unit)) * (learnt?.share ?? 1);
  const legs = new Set([
    ...seen.filter((s) => matched.includes(s.what)).map((s) => s.leg ?? 'both'),
    ...(pin ? [pin.leg] : []),
  ]);
  const [only = 'both'] = legs;
  return {
    cause,
    score: weight * together * figures + (pin ? PINNED : 0),
    seen: matched,
    evidence,
    amount: Math.max(step, snapTo(amount, step)),
    from: pin ? 'pin' : figure === undefined ? 'start' : 'figure',
    learnt,
    leg: legs.size === 1 ? only : 'both',
  };
}

/**
 * What may be behind what was seen and pinned, the likeliest first: what is seen by how strongly it speaks for a cause, two
 * things together for more than each; the figures of the draft for and against; a pin for its own cause. What a likelier
 * cause explains speaks less for the next, so that two faults at once both come to the head. The amount is the pin's, else
 * what the figure misses, else what one begins with; less by what earlier fittings of the person have taught
 * (docs/trade/toile.md).
 */
export function causesOf(
  observed: Observed,
  draft: Draughted,
  unit: Unit,
  taught: readonly Learnt[] = [],
  knowledge: Knowledge = KNOWLEDGE,
): readonly RankedCause[] {
  const pins = pinsThatSpeak(observed.pins, draft.block);
  const open = [...knowledge.causes];
  const explained = new Set<string>();
  const found: RankedCause[] = [];
  for (;;) {
    const [best] = open
      .map((cause) => ranked(cause, observed.seen, pins, draft, unit, explained, taught, knowledge))
      .sort((a, b) => b.score - a.score);
    if (!best || best.score <= 0) return found;
    found.push(best);
    open.splice(open.indexOf(best.cause), 1);
    for (const what of best.seen) explained.add(what);
  }
}
