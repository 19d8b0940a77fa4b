import { sayAlteration, type AlterationWork, type LevelPlace } from '../alter/index.js';
import { computeDraft, type Draft, type DraftInput } from '../chain/index.js';
import { RISE_BAND, sideStretches, unfairRises, type Check, type CheckId, type Verdict } from '../check/index.js';
import { INSEAM_STRETCH } from '../draft/index.js';
import type { PanelName } from '../method/index.js';
import { smoothRise } from './smooth-rise.js';
import { formatLength, snapTo, tapeFor, toMm, type Unit } from '../units/index.js';

/** What a correction does to a check. Lengths in mm. */
export interface Effect {
  readonly id: CheckId;
  readonly label: string;
  readonly was: Check['value'];
  readonly is: Check['value'];
  readonly verdictWas: Verdict;
  readonly verdictIs: Verdict;
  readonly kind: Check['kind'];
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

/** One way to correct: alterations by an amount in mm, and about how much of it a millimetre of the figure needs. */
interface Way {
  readonly id: string;
  readonly make: (mm: number) => readonly AlterationWork[];
  /** The first guess for a missing millimetre. */
  readonly guess: number;
  /** The share of the amount found that is offered. */
  readonly share?: number;
  readonly caution?: string;
  /** What is done, where the alteration's own words say too little. */
  readonly said?: string;
}

const HIP: LevelPlace = { line: 'hipLevel', by: 0 };
const WAIST: LevelPlace = { line: 'waistLine', by: 0 };
const CROTCH: LevelPlace = { line: 'crotchLevel', by: 0 };
const BIAS = 'The opened centre seam lies on the bias and gives in wear: three quarters of it often prove enough.';
const FRONT_CURVE = 'Cloth cut away from a front curve cannot be put back: sew a toile first.';

const seatWedge = (panel: PanelName, level: LevelPlace, by: number): AlterationWork => ({
  kind: 'wedge',
  panel,
  from: { edge: 'rise', level },
  hinge: { edge: 'side', level },
  by,
});

const sideOut = (by: number, from: LevelPlace, to: LevelPlace, runOut: number): AlterationWork => ({
  kind: 'seam',
  panel: 'both',
  seam: 'side',
  by,
  from,
  to,
  runOut,
});

function riseWays(panel: PanelName, draft: Draft): Way[] {
  const third = draft.block.levels.crotchLevel / 3;
  const low: LevelPlace = { line: 'crotchLevel', by: -Math.round(third) };
  return [
    { id: 'wedge', make: (mm) => [seatWedge(panel, HIP, mm)], guess: 1, caution: BIAS },
    { id: 'wedge-part', make: (mm) => [seatWedge(panel, HIP, mm)], guess: 1, share: 0.75 },
    { id: 'wedge-low', make: (mm) => [seatWedge(panel, low, mm)], guess: 1 },
    { id: 'waist', make: (mm) => [{ kind: 'waist', panel, centre: mm, side: 0 }], guess: 1 },
    {
      id: 'extension',
      make: (mm) => [{ kind: 'crotchPoint', panel, out: mm, down: 0, recentre: true }],
      guess: 1.3,
    },
    {
      id: 'scoop',
      make: (mm) => [{ kind: 'scoop', panel, at: 0.5, by: mm, keepLength: false }],
      guess: 1.5,
      ...(panel === 'front' ? { caution: FRONT_CURVE } : {}),
    },
  ];
}

function girthWays(at: LevelPlace): Way[] {
  return [
    { id: 'side', make: (mm) => [sideOut(mm, at, at, 140)], guess: 0.25 },
    {
      id: 'both-seams',
      make: (mm) => [
        sideOut(mm, at, at, 140),
        { kind: 'seam', panel: 'both', seam: 'inseam', by: mm, from: at, to: at, runOut: 140 },
      ],
      guess: 0.125,
    },
  ];
}

/** Ways that a maker would take for a check; none where the check has no correction on the piece. */
function waysFor(check: Check, draft: Draft): Way[] {
  const { block } = draft;
  switch (check.id) {
    case 'frontRise':
      return riseWays('front', draft);
    case 'backRise':
      return riseWays('back', draft);
    case 'wholeRise':
      return [
        {
          id: 'across',
          make: (mm) => [{ kind: 'across', panel: 'both', level: { line: 'hipLevel', by: 20 }, by: mm }],
          guess: 0.5,
        },
        { id: 'wedge-back', make: (mm) => [seatWedge('back', HIP, mm)], guess: 1, caution: BIAS },
        { id: 'waist', make: (mm) => [{ kind: 'waist', panel: 'both', centre: mm, side: mm }], guess: 0.5 },
      ];
    case 'waist':
      return [
        { id: 'side', make: (mm) => [sideOut(mm, WAIST, WAIST, block.levels.hipLevel * 0.9)], guess: 0.25 },
        ...(block.back.darts.length > 0
          ? [
              {
                id: 'back-dart',
                make: (mm: number): AlterationWork[] => [
                  { kind: 'dart', panel: 'back', dart: 0, act: 'intake', by: -mm, keepWaist: false },
                ],
                guess: 0.5,
              },
            ]
          : []),
        {
          id: 'centre-back',
          make: (mm) => [{ kind: 'seam', panel: 'back', seam: 'centre', by: mm, from: WAIST, to: WAIST, runOut: 120 }],
          guess: 0.5,
        },
      ];
    case 'hip':
      return [{ id: 'side', make: (mm) => [sideOut(mm, HIP, CROTCH, 160)], guess: 0.25 }];
    case 'thigh':
      return [
        {
          id: 'back-extension',
          make: (mm) => [{ kind: 'crotchPoint', panel: 'back', out: mm, down: 0, recentre: true }],
          guess: 1,
        },
        {
          id: 'extensions',
          make: (mm) => [
            { kind: 'crotchPoint', panel: 'front', out: mm / 2, down: 0, recentre: true },
            { kind: 'crotchPoint', panel: 'back', out: mm, down: 0, recentre: true },
          ],
          guess: 0.67,
        },
        { id: 'side', make: (mm) => [sideOut(mm, CROTCH, CROTCH, 160)], guess: 0.5 },
      ];
    case 'highHip':
    case 'midThigh':
    case 'calf':
      return girthWays({ line: 'waistLine', by: Math.round(check.about.at ?? 0) });
    case 'knee':
      return girthWays({ line: 'kneeLevel', by: 0 });
    case 'hem':
      return girthWays({ line: 'hemLevel', by: 0 });
    case 'inseamWalk':
      return [
        {
          id: 'crotch-point',
          make: (mm) => [{ kind: 'crotchPoint', panel: 'back', out: 0, down: mm, recentre: false }],
          guess: 1,
        },
      ];
    case 'sideWalk': {
      const off = sideStretches(block.front).waistToHip - sideStretches(block.back).waistToHip;
      return [
        {
          id: 'waist-side',
          make: (mm) => [{ kind: 'waist', panel: 'back', centre: 0, side: mm }],
          guess: off === 0 ? 0 : -1,
        },
      ];
    }
    case 'darts':
      return [
        {
          id: 'split',
          make: () => [{ kind: 'dart', panel: 'back', dart: 0, act: 'split', by: 30, keepWaist: true }],
          guess: 0,
        },
        {
          id: 'shorten',
          make: () => [{ kind: 'dart', panel: 'back', dart: 0, act: 'length', by: -20, keepWaist: true }],
          guess: 0,
        },
      ];
    case 'crease':
      return [{ id: 'centre', make: (mm) => [{ kind: 'crease', panel: 'both', by: mm }], guess: -1 }];
    case 'curve': {
      const works = unfairRises(block).flatMap((panel): AlterationWork[] => {
        const points = smoothRise(block[panel]);
        return points ? [{ kind: 'rise', panel, points, blend: 0.2, keepLength: false }] : [];
      });
      const names = works.map(({ panel }) => (panel === 'front' ? 'Front' : 'Back')).join(' and ');
      return works.length === 0
        ? []
        : [{ id: 'redraw', make: () => works, guess: 0, said: `${names}: rise drawn anew in one bend` }];
    }
    default:
      return check.id.startsWith('height.')
        ? girthWays({ line: 'waistLine', by: Math.round(check.about.at ?? 0) })
        : [];
  }
}

/** What a figure should come to, in mm: the middle of its band, or just inside where one end is open. */
function aimOf({ id, low = 0, high = 0 }: Check): number {
  if (id === 'crease') return 0;
  if (id === 'inseamWalk') return INSEAM_STRETCH;
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

const ROUNDS = 4;
const NEAR_ENOUGH = 0.2;
/** Amounts are offered in half millimetres, or in sixteenths of an inch: what is said is what is done. */
const rounded = (mm: number, unit: Unit): number => snapTo(mm, unit === 'in' ? toMm(1 / 16, 'in') : 0.5);

/** The amount by which a way brings a check to its aim (secant method over the whole chain); nothing where it cannot. */
function amountFor(input: DraftInput, check: Check, way: Way): number | undefined {
  const aim = aimOf(check);
  const missing = aim - Number(check.value);
  if (way.guess === 0) return 0;
  const off = (mm: number): number | undefined => {
    const outcome = computeDraft(withWorks(input, way.make(mm), 'try'));
    if (!outcome.ok || outcome.value.altered.told.some((t) => t.id.startsWith('try.') && !t.done)) return undefined;
    const value = checkIn(outcome.value, check.id)?.value;
    return typeof value === 'number' ? value - aim : undefined;
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

/** Every check that differs between two drafts: by verdict, or by half a millimetre. */
function effectsOf(before: Draft, after: Draft, first?: CheckId): Effect[] {
  return after.checks
    .flatMap((now): Effect[] => {
      const was = checkIn(before, now.id);
      if (!was) return [];
      const moved =
        typeof was.value === 'number' && typeof now.value === 'number'
          ? Math.abs(now.value - was.value) >= CHANGED
          : was.value !== now.value;
      if (!moved && was.verdict === now.verdict) return [];
      return [
        {
          id: now.id,
          label: now.label,
          was: was.value,
          is: now.value,
          verdictWas: was.verdict,
          verdictIs: now.verdict,
          kind: now.kind,
        },
      ];
    })
    .sort((a, b) => Number(b.id === first) - Number(a.id === first));
}

const VERDICT_WORDS: Record<Verdict, string> = { in: 'in', near: 'near', out: 'out', unknown: 'not known' };

/** An effect in words: “back rise in”, “waist + 3 mm”. */
export function sayEffect(effect: Effect, unit: Unit): string {
  const name = effect.label.toLowerCase();
  if (effect.verdictWas !== effect.verdictIs) return `${name} ${VERDICT_WORDS[effect.verdictIs]}`;
  if (typeof effect.was !== 'number' || typeof effect.is !== 'number')
    return `${name} ${String(effect.is).toLowerCase()}`;
  const by = effect.is - effect.was;
  if (effect.kind === 'angle') return `${name} ${by < 0 ? '−' : '+'} ${Math.abs(by).toFixed(1)}°`;
  const amount = unit === 'in' ? formatLength(Math.abs(by), tapeFor(unit)) : `${Math.round(Math.abs(by))} mm`;
  return `${name} ${by < 0 ? '−' : '+'} ${amount}`;
}

/**
 * The corrections offered for a check, each brought to the middle of its band where it can, with what it does to all
 * other checks (handbook 3, sections 1 to 3). Empty where the check is not about a length on the piece.
 */
export function offersFor(input: DraftInput, draft: Draft, id: CheckId, unit: Unit): Offer[] {
  const check = checkIn(draft, id);
  if (!check || typeof check.value !== 'number') return [];
  // In its band, a figure that is no tape's step off its aim asks for nothing.
  if (check.verdict === 'in' && Math.abs(aimOf(check) - check.value) < WORTH_OFFERING) return [];
  const before = draft.checks;
  return waysFor(check, draft).flatMap((way): Offer[] => {
    const amount = amountFor(input, check, way);
    if (amount === undefined) return [];
    const works = way.make(rounded(amount, unit));
    if (way.guess !== 0 && rounded(amount, unit) === 0) return [];
    const outcome = computeDraft(withWorks(input, works, 'offer'), unit);
    if (!outcome.ok || outcome.value.altered.told.some((t) => t.id.startsWith('offer.') && !t.done)) return [];
    const brings = checkIn(outcome.value, id)?.verdict ?? 'unknown';
    const effects = effectsOf({ ...draft, checks: before }, outcome.value, id);
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
