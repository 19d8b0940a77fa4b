import {
  altered,
  computeDraft,
  drawUnaltered,
  type Draft,
  type Drafted,
  type DraftInput,
  type Unaltered,
} from '../chain/index.js';
import { checkedFigure, worseThan, type Check } from '../check/index.js';
import { refused, good, type Outcome } from '../refusal/index.js';
import { toMm, type Unit } from '../units/index.js';
import {
  changeOf,
  conflictsOf,
  MET,
  TARGETS,
  untreatedOf,
  withUnnamed,
  type Asked,
  type TargetId,
  type Trued,
} from './answer.js';
import { intoBands, outside, placeAt, told, type BandPlace, type BandProblem, type Patience } from './least-squares.js';
import { inputWith, unknownsOf, WORTH, type Unknown, type UnknownId } from './unknowns.js';

/** What the maker wants of True it. */
export interface TrueItWish {
  /** How much a target counts, 0 (leave it) to 3; 1 where nothing is said. */
  readonly importance?: Partial<Record<TargetId, number>>;
  /** Limits in mm that stand for the house's; 0 leaves the unknown alone. */
  readonly limits?: Partial<Record<UnknownId, number>>;
  /** Costs that stand for the house's. */
  readonly costs?: Partial<Record<UnknownId, number>>;
}

/** The share of a band that is kept free at either end, so that a met target is met by more than a hair. */
const MARGIN = 0.1;
const OPEN_MARGIN = 1;
/** What a millimetre of change costs beside a millimetre of a missed target. */
const CHANGE = 0.02;
const isTarget = (id: string): id is TargetId => (TARGETS as readonly string[]).includes(id);

/** A target takes part where it is known by measurement, has a figure and counts. */
function takesPart(check: Check, wish: TrueItWish): boolean {
  return (
    isTarget(check.id) &&
    check.verdict !== 'unknown' &&
    !check.restsOnEstimate &&
    typeof check.value === 'number' &&
    (wish.importance?.[check.id] ?? 1) > 0
  );
}

/** The band that is aimed at: a margin within the check's own, so that it is met by more than a hair. */
function aimedAt({ low = -Infinity, high = Infinity }: Check): readonly [number, number] {
  const margin = Number.isFinite(high - low) ? MARGIN * (high - low) : OPEN_MARGIN;
  return [low + margin, high - margin];
}

interface Problem extends BandProblem, Asked {
  /** The checks' own bands, without the margin that is aimed at. */
  readonly own: readonly (readonly [number, number])[];
}

/** True where every alteration that was added at the end of the list could be done. */
const addedDone = ({ altered: { told } }: Drafted, tried: DraftInput, input: DraftInput): boolean =>
  told.slice(told.length - (tried.alterations.length - input.alterations.length)).every(({ done }) => done);

function problemOf(
  input: DraftInput,
  draft: Draft,
  unknowns: readonly Unknown[],
  targets: readonly Check[],
  wish: TrueItWish,
): Problem {
  const ids = targets.map((c) => c.id as TargetId);
  // What is done as an alteration leaves the draft under it as it is: most tries need no new one.
  const known = new Map<string, Outcome<Unaltered>>();
  const unalteredOf = (tried: DraftInput): Outcome<Unaltered> => {
    const lines = JSON.stringify(tried.set);
    const found = known.get(lines) ?? drawUnaltered(tried);
    known.set(lines, found);
    return found;
  };
  return {
    unknowns,
    targets: ids,
    low: unknowns.map((u) => -u.limit),
    high: unknowns.map((u) => u.limit),
    step: unknowns.map(() => 1),
    cost: unknowns.map((u) => CHANGE * u.cost),
    bands: targets.map(aimedAt),
    own: targets.map(({ low = -Infinity, high = Infinity }) => [low, high] as const),
    weights: ids.map((id) => wish.importance?.[id] ?? 1),
    figures: (by) => {
      const tried = inputWith(input, draft, unknowns, by);
      const unaltered = unalteredOf(tried);
      if (!unaltered.ok) return undefined;
      const drawn = altered(unaltered.value, tried);
      return addedDone(drawn, tried, input) ? ids.map((id) => checkedFigure(id, drawn) ?? NaN) : undefined;
    },
  };
}

const missesOf = ({ own }: Problem, figures: readonly number[]): number[] =>
  figures.map((f, k) => outside(f, own[k] ?? [0, 0]));

const isMet = (problem: Problem, { figures }: BandPlace): boolean =>
  missesOf(problem, figures).every((m) => Math.abs(m) < MET);

const asWellMet = (misses: readonly number[], before: readonly number[]): boolean =>
  misses.every((m, i) => Math.abs(m) < MET || Math.abs(m) <= Math.abs(before[i] ?? NaN) + 0.02);

/** How long is sought for all targets at first, and where one is still missed. */
const SEARCH: Patience = { rounds: 24, little: 1e-2, fresh: true };
const LONG_SEARCH: Patience = { rounds: 24, little: 1e-4, fresh: true };
/** How long from where slopes point to, which costs no drafting; from a guess that is nearly right; on a trial. */
const POINTED: Patience = { rounds: 24, little: 1e-3, fresh: false };
const GUESSED: Patience = { rounds: 8, little: 1e-2, fresh: true };
const TRIED: Patience = { rounds: 5, little: 1e-2, fresh: false };
/** What slopes say a target would be worse by is not tried on the draft where it is more than this, in mm. */
const DOUBT = 1.5;

/** The problem as the slopes at a place tell it: figures without drafting. */
const straightened = (problem: Problem, place: BandPlace): Problem => ({
  ...problem,
  figures: (x) => told(place, x),
});

/** Where the slopes at a place say the answer lies, with the unknowns held between the bounds of a problem. */
function guessFrom(problem: Problem, place: BandPlace): BandPlace {
  const x = place.x.map((mm, i) => Math.min(problem.high[i] as number, Math.max(problem.low[i] as number, mm)));
  return intoBands(straightened(problem, place), { ...place, x, figures: told(place, x) }, POINTED);
}

/**
 * The solution with the least of its changes left out one after the other, as long as every target stays as well met.
 */
function fewest(problem: Problem, found: BandPlace): BandPlace {
  const misses = missesOf(problem, found.figures);
  let best = found;
  const left = new Set<number>();
  found.x.forEach((mm, i) => {
    if (Math.abs(mm) < WORTH) left.add(i);
  });
  const order = problem.unknowns
    .map((u, i) => ({ i, size: (Math.abs(found.x[i] ?? NaN) * u.cost) / Math.max(1, u.limit) }))
    .filter(({ i }) => !left.has(i))
    .sort((a, b) => a.size - b.size);
  for (const { i } of order.slice(0, -1)) {
    const without = new Set([...left, i]);
    const held = (limit: readonly number[]): number[] => limit.map((l, k) => (without.has(k) ? 0 : l));
    const fewer = { ...problem, low: held(problem.low), high: held(problem.high) };
    const { x, figures: expected } = guessFrom(fewer, best);
    const allowed = misses.map((m) => Math.abs(m) + DOUBT);
    if (missesOf(problem, expected).some((m, k) => Math.abs(m) > (allowed[k] ?? NaN))) continue;
    const figures = problem.figures(x);
    if (!figures) continue;
    const trial = intoBands(fewer, { x, figures, slopes: best.slopes }, TRIED);
    if (!asWellMet(missesOf(problem, trial.figures), misses)) continue;
    best = trial;
    left.add(i);
  }
  return best;
}

/**
 * The few unknowns that would do if every figure changed evenly, tried on the real draft alone: most drafts are trued
 * so with a tenth of the draftings. Nothing where a target is not met by them.
 */
function byFewUnknowns(problem: Problem, start: BandPlace): BandPlace | undefined {
  const guess = fewest(straightened(problem, start), guessFrom(problem, start));
  const held = (limit: readonly number[]): number[] =>
    limit.map((l, i) => (Math.abs(guess.x[i] ?? NaN) < WORTH ? 0 : l));
  const few = { ...problem, low: held(problem.low), high: held(problem.high) };
  const x = held(guess.x);
  const figures = problem.figures(x);
  if (!figures) return undefined;
  const found = intoBands(few, { x, figures, slopes: start.slopes }, GUESSED);
  return isMet(problem, found) ? fewest(few, found) : undefined;
}

/** All unknowns together, from a place: longer where that leaves a target out of its band. */
function byAll(problem: Problem, from: BandPlace): BandPlace {
  const found = intoBands(problem, from, SEARCH);
  return fewest(problem, isMet(problem, found) ? found : intoBands(problem, found, LONG_SEARCH));
}

/** The few where they do, else all together. */
const solved = (problem: Problem, start: BandPlace): BandPlace =>
  byFewUnknowns(problem, start) ?? byAll(problem, start);

/**
 * Amounts are given in half millimetres, or sixteenths of an inch, where every target stays as well met, else in
 * tenths.
 */
function rounded(problem: Problem, found: BandPlace, unit: Unit): BandPlace {
  const misses = missesOf(problem, found.figures);
  for (const grain of [unit === 'in' ? toMm(1 / 16, 'in') : 0.5, 0.1]) {
    const x = found.x.map((mm) => Math.round(mm / grain) * grain);
    const figures = problem.figures(x);
    if (figures && asWellMet(missesOf(problem, figures), misses)) return { ...found, x, figures };
  }
  return found;
}

/** What was found, for which bands, and the checks of the draft with it. */
interface Answer {
  readonly problem: Problem;
  readonly found: BandPlace;
  readonly after: readonly Check[];
}

/** How often the bands that changes have moved are aimed at anew. */
const MOVED_BANDS = 4;

/**
 * Some bands lie where the draft has them: rises drawn anew leave the centre line elsewhere, and the hip's band goes
 * along. Where the changes have moved a band away from its figure it is aimed at once more, from what was found.
 */
function withMovedBands(
  input: DraftInput,
  draft: Draft,
  wish: TrueItWish,
  unit: Unit,
  first: Omit<Answer, 'after'>,
): Answer {
  let { problem, found } = first;
  for (let round = 0; ; round++) {
    const trued = computeDraft(inputWith(input, draft, problem.unknowns, found.x));
    const after = trued.ok ? trued.value.checks : draft.checks;
    const moved = problem.targets.flatMap((id) => after.filter((c) => c.id === id));
    if (round === MOVED_BANDS || moved.length !== problem.targets.length) return { problem, found, after };
    const again = problemOf(input, draft, problem.unknowns, moved, wish);
    const slipped = missesOf(again, found.figures).map(Math.abs);
    const missed = missesOf(problem, found.figures).map(Math.abs);
    if (!slipped.some((m, k) => m > MET && m > (missed[k] ?? NaN) + MET)) return { problem, found, after };
    const next = rounded(again, byAll(again, found), unit);
    [problem, found] = [again, next];
  }
}

/**
 * True it (docs/trade/truing.md): the least set of changes by which every measured target comes into its band. Bounded
 * least squares (projected Levenberg-Marquardt) over the natural unknowns, each with a limit and a cost for leaving its
 * method's value; then changes that are not needed are left out one by one. The few that would do if every figure
 * changed evenly are tried first, and all together where those do not suffice. Targets without a measurement take no
 * part; a band that the changes move is aimed at anew. What cannot be met is named with what stands against it, and so is what is out and no target, and what the
 * changes leave worse. Changes that cost less come first. Refuses only what cannot be drafted.
 */
export function trueIt(input: DraftInput, unit: Unit = 'cm', wish: TrueItWish = {}): Outcome<Trued> {
  const outcome = computeDraft(input);
  if (!outcome.ok) return refused(...outcome.refusals);
  const draft = outcome.value;
  const targets = draft.checks.filter((c) => takesPart(c, wish));
  const ids = targets.map((c) => c.id as TargetId);
  const nothing: Trued = {
    changes: [],
    before: draft.checks,
    after: draft.checks,
    targets: ids,
    conflicts: [],
    untreated: untreatedOf(draft.checks, ids),
    worse: [],
  };
  if (targets.every((c) => c.verdict === 'in')) return good(nothing);
  const unknowns = unknownsOf(draft).map((u) => ({
    ...u,
    limit: wish.limits?.[u.id] ?? u.limit,
    cost: wish.costs?.[u.id] ?? u.cost,
  }));
  const problem = problemOf(input, draft, unknowns, targets, wish);
  const start = placeAt(
    problem,
    unknowns.map(() => 0),
  );
  if (!start) return good(nothing);
  const first = { problem, found: rounded(problem, solved(problem, start), unit) };
  const { problem: last, found, after } = withMovedBands(input, draft, wish, unit, first);
  const fault = Math.max(...missesOf(problem, start.figures).map(Math.abs));
  const made = unknowns.flatMap((u, i) => {
    const by = found.x[i] ?? NaN;
    return Math.abs(by) < WORTH ? [] : [{ cost: u.cost * Math.abs(by), change: changeOf(draft, u, by, fault) }];
  });
  return good({
    ...nothing,
    after,
    changes: made.sort((a, b) => a.cost - b.cost).map(({ change }) => change),
    untreated: untreatedOf(after, ids),
    conflicts: withUnnamed(conflictsOf(last, found, missesOf(last, found.figures)), ids, after),
    worse: worseThan(draft.checks, after),
  });
}
