import { sayAlteration, type AlterationWork, type Mark } from '../alter/index.js';
import { computeDraft, drawDraft, type Draft, type Drafted, type DraftInput } from '../chain/index.js';
import {
  checkedFigure,
  checkLabel,
  plainValue,
  RISE_BAND,
  type Check,
  type CheckId,
  type Verdict,
} from '../check/index.js';
import { INSEAM_STRETCH } from '../draft/index.js';
import type { PanelName } from '../method/index.js';
import { formatAngle, formatLength, snapTo, tapeFor, toMm, type Unit } from '../units/index.js';
import { waysFor, type Way } from './ways.js';

/** What a correction does to a check. Lengths in mm. */
export interface Effect {
  readonly id: CheckId;
  readonly label: string;
  /** A figure, or what was found in words. */
  readonly was: number | string | undefined;
  readonly is: number | string | undefined;
  readonly verdictWas: Verdict;
  readonly verdictIs: Verdict;
  readonly kind: Check['kind'];
  /** The band that the figure is held to then; nothing where it has none. */
  readonly low: number | undefined;
  readonly high: number | undefined;
}

/** A correction offered for a check, with what it would do to all of them. */
export interface Offer {
  readonly id: string;
  readonly works: readonly AlterationWork[];
  /** What is done, in one line. */
  readonly said: string;
  /** What a maker should know before taking it. */
  readonly caution: string | undefined;
  /** Whether the check comes into its band. */
  readonly brings: Verdict;
  /** Every check that changes, the one asked for first. */
  readonly effects: readonly Effect[];
}

/** What a figure should come to, in mm: the middle of its band, or just inside where one end is open. */
function aimOf({ id, low = 0, high = 0 }: Check): number {
  if (id === 'crease') return 0;
  if (id === 'inseamWalk' && high > INSEAM_STRETCH) return INSEAM_STRETCH;
  // The body's own figure: what lies above it in the band is room to sit.
  if (id === 'backRise') return low + RISE_BAND;
  if (!Number.isFinite(high)) return low + 2;
  return (low + high) / 2;
}

const withWorks = (input: DraftInput, works: readonly AlterationWork[], id: string): DraftInput => ({
  ...input,
  alterations: [...input.alterations, ...works.map((work, i) => ({ id: `${id}.${i}`, on: true, note: '', work }))],
});

const checkIn = (draft: Draft, id: CheckId): Check | undefined => draft.checks.find((c) => c.id === id);

/** Asked on the way: true where it has taken too long. */
type Stop = (() => boolean) | undefined;

/** True where all works that were added at the end of the list could be done. */
const allDone = ({ altered: { told } }: Drafted, works: readonly AlterationWork[]): boolean =>
  told.slice(told.length - works.length).every(({ done }) => done);

/** The figure of a check with works added; nothing where they cannot be done, or the check has no single figure. */
function figureWith(input: DraftInput, works: readonly AlterationWork[], id: CheckId, stop: Stop): number | undefined {
  const tried = withWorks(input, works, 'try');
  const drawn = drawDraft(tried, stop);
  if (!drawn.ok || !allDone(drawn.value, works)) return undefined;
  const figure = checkedFigure(id, drawn.value);
  if (figure !== undefined) return figure;
  const whole = computeDraft(tried, stop);
  const value = whole.ok ? checkIn(whole.value, id)?.value : undefined;
  return typeof value === 'number' ? value : undefined;
}

const ROUNDS = 4;
const NEAR_ENOUGH = 0.2;
/** Amounts are offered in half millimetres, or in sixteenths of an inch: what is said is what is done. */
const rounded = (mm: number, unit: Unit): number => snapTo(mm, unit === 'in' ? toMm(1 / 16, 'in') : 0.5);

/**
 * The amount by which a way brings a check to its aim (secant method over the whole chain); nothing where it cannot.
 */
function amountFor(input: DraftInput, check: Check, way: Way, stop: Stop): number | undefined {
  if (way.guess === 0) return 0;
  const aim = aimOf(check);
  const missing = aim - Number(check.value);
  const off = (mm: number): number | undefined => {
    const value = figureWith(input, way.make(mm), check.id, stop);
    return value === undefined ? undefined : value - aim;
  };
  let [was, wasOff] = [0, -missing];
  let mm = missing * way.guess;
  for (let i = 0; i < ROUNDS; i++) {
    const now = off(mm);
    if (now === undefined) return undefined;
    if (Math.abs(now) < NEAR_ENOUGH || Math.abs(now - wasOff) < 1e-6) break;
    const next = mm - (now * (mm - was)) / (now - wasOff);
    [was, wasOff] = [mm, now];
    if (!Number.isFinite(next) || Math.abs(next) > 300) return undefined;
    mm = next;
  }
  return mm * (way.share ?? 1);
}

const CHANGED = 0.5;
/** A figure in its band is corrected further only where it is this far, in mm, from its aim. */
const WORTH_OFFERING = 4;

/** Every check that differs between two drafts: by verdict, or by half a millimetre where the reader's tape shows it. */
function effectsOf(drafted: Draft, changed: Draft, first: CheckId, unit: Unit): Effect[] {
  return changed.checks
    .flatMap((now): Effect[] => {
      const was = checkIn(drafted, now.id);
      if (!was) return [];
      const [before, after] = [plainValue(was, unit), plainValue(now, unit)];
      const moved =
        typeof before === 'number' && typeof after === 'number'
          ? Math.abs(after - before) >= CHANGED &&
            shownFigure(before, now.kind, unit) !== shownFigure(after, now.kind, unit)
          : before !== after;
      if (!moved && was.verdict === now.verdict) return [];
      return [
        {
          id: now.id,
          label: checkLabel(now, unit),
          was: before,
          is: after,
          verdictWas: was.verdict,
          verdictIs: now.verdict,
          kind: now.kind,
          low: now.low,
          high: now.high,
        },
      ];
    })
    .sort((a, b) => Number(b.id === first) - Number(a.id === first));
}

const VERDICT_WORDS: Record<Verdict, string> = {
  in: 'in band',
  near: 'near its band',
  out: 'out of band',
  unknown: 'not known',
};

function shownFigure(value: number | string | undefined, kind: Check['kind'], unit: Unit): string {
  if (value === undefined) return 'not known';
  if (typeof value === 'string') return `“${value}”`;
  return kind === 'angle' ? formatAngle(value) : formatLength(value, tapeFor(unit));
}

/** The figures of an effect, as they are now and as they would be then, in words of the reader's unit. */
export const effectFigures = (
  { was, is, kind }: Effect,
  unit: Unit,
): { readonly now: string; readonly then: string } => ({
  now: shownFigure(was, kind, unit),
  then: shownFigure(is, kind, unit),
});

/** An effect in words, as check, now, then: “back rise 36.5 cm now, 38.5 cm then, in band”. */
export function sayEffect({ label, was, is, verdictWas, verdictIs, kind }: Effect, unit: Unit): string {
  const verdict = verdictWas === verdictIs ? '' : `, ${VERDICT_WORDS[verdictIs]}`;
  return `${label.toLowerCase()} ${shownFigure(was, kind, unit)} now, ${shownFigure(is, kind, unit)} then${verdict}`;
}

/**
 * The corrections offered for a check, each brought to the middle of its band where it can, with what it does to all
 * other checks (docs/trade/truing.md). Empty where the check is not about a length on the piece. Where `stop` says that
 * it takes too long, what was found by then.
 */
export function offersFor(input: DraftInput, draft: Draft, id: CheckId, unit: Unit, stop?: () => boolean): Offer[] {
  const check = checkIn(draft, id);
  if (!check) return [];
  // In its band, a figure that is no tape's step off its aim asks for nothing, and a line that is fair nothing at all.
  const off = typeof check.value === 'number' ? Math.abs(aimOf(check) - check.value) : 0;
  if (check.verdict === 'in' && off < WORTH_OFFERING) return [];
  return waysFor(check, draft).flatMap((way): Offer[] => {
    if (stop?.()) return [];
    const amount = amountFor(input, check, way, stop);
    if (amount === undefined) return [];
    const works = way.make(rounded(amount, unit));
    if (way.guess !== 0 && rounded(amount, unit) === 0) return [];
    const outcome = computeDraft(withWorks(input, works, 'offer'), stop);
    if (!outcome.ok || !allDone(outcome.value, works)) return [];
    const brings = checkIn(outcome.value, id)?.verdict ?? 'unknown';
    const effects = effectsOf(draft, outcome.value, id, unit);
    if (way.guess === 0 && brings !== 'in') return [];
    const longer = works.some((w) => w.kind === 'wedge' && w.by < 0);
    return [
      {
        id: `${id}.${way.id}`,
        works,
        said: way.said ?? works.map((work) => sayAlteration(work, unit)).join('; '),
        caution: longer ? undefined : way.caution,
        brings,
        effects,
      },
    ];
  });
}

/** Works tried at the end of a draft's alterations: what they do to its checks, and the draft as it would be. */
export interface Tried {
  readonly effects: readonly Effect[];
  readonly draft: Draft;
  /** How they would be done on paper, on either panel. */
  readonly marks: Draft['altered']['marks'];
}

/** What works do to a draft, tried at the end of its alterations; nothing where they cannot be done. */
export function triedWorks(
  input: DraftInput,
  draft: Draft,
  works: readonly AlterationWork[],
  unit: Unit,
): Tried | undefined {
  const outcome = computeDraft(withWorks(input, works, 'tried'));
  if (!outcome.ok || !allDone(outcome.value, works)) return undefined;
  const { marks } = outcome.value.altered;
  const added = new Set(outcome.value.altered.told.slice(-works.length).map(({ id }) => id));
  const own = (panel: PanelName): readonly Mark[] => marks[panel].filter((m) => added.has(m.alteration));
  return {
    effects: effectsOf(draft, outcome.value, 'fitClass', unit),
    draft: outcome.value,
    marks: { front: own('front'), back: own('back') },
  };
}
