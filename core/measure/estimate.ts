import type { Figure, Measured, MeasurementId } from './vocabulary.js';

/** A rule that makes a missing figure from the others (docs/trade/measuring.md). */
export interface EstimateRule {
  readonly id: MeasurementId;
  /** The rule's own name within its measurement. */
  readonly ruleId: string;
  /** The rule in the words of the trade. */
  readonly rule: string;
  /** What must be known for it. */
  readonly needs: readonly MeasurementId[];
  /** True where it stands in by itself; the others are offered and can be adopted. */
  readonly house: boolean;
  /** It holds between measured figures only, and is as good as measuring. */
  readonly exact?: true;
  /** The rule with its numbers put in; `show` sets a length in mm in the reader's unit. */
  readonly sum: (known: Measured, show: (mm: number) => string) => string;
  /** The estimate in mm. All of `needs` are there. */
  readonly from: (known: Measured, figure: Figure) => number;
}

const INCH = 25.4;
const HEEL: Record<Exclude<Figure, 'child'>, number> = { woman: 320, man: 350, unknown: 330 };

const HEEL_RULE = 'by figure: woman 32 cm, man 35 cm, not said 33 cm; child 15 cm + 0.18 × hip, at most 31 cm';

type Term = readonly [share: number, id: MeasurementId, written: string];

/** A rule that adds shares of figures and a length: `3/4 × crotch depth`, `outseam − inseam`. */
function linear(
  id: MeasurementId,
  ruleId: string,
  rule: string,
  terms: readonly Term[],
  more = 0,
  house = false,
): EstimateRule {
  const of = (known: Measured, needed: MeasurementId): number => known[needed] ?? NaN;
  const signed = (first: boolean, negative: boolean): string => (negative ? (first ? '−' : ' − ') : first ? '' : ' + ');
  return {
    id,
    ruleId,
    rule,
    house,
    needs: terms.map(([, needed]) => needed),
    sum: (known, show) => {
      const parts = terms.map(
        ([share, needed, written], i) => signed(i === 0, share < 0) + written.replace('_', show(of(known, needed))),
      );
      if (more !== 0) parts.push(signed(false, more < 0) + show(Math.abs(more)));
      return parts.join('');
    },
    from: (known) => terms.reduce((sum, [share, needed]) => sum + share * of(known, needed), more),
  };
}

/** Of the whole rise and its two parts any two that were measured give the third. */
const third = (id: MeasurementId, rule: string, first: Term, second: Term): EstimateRule => ({
  ...linear(id, 'of-the-other-two', rule, [first, second], 0, true),
  exact: true,
});

const depth: Term = [1, 'crotchDepth', '_'];
const leg: Term = [0.5, 'inseam', '_ ÷ 2'];
const quarterHip: Term = [0.25, 'hip', '_ ÷ 4'];

/**
 * Every rule of docs/trade/measuring.md, the house's own first within each measurement. Measurements not listed have
 * none.
 */
export const ESTIMATES: readonly EstimateRule[] = [
  linear('crotchDepth', 'quarter-hip', 'hip ÷ 4', [quarterHip]),
  linear('crotchDepth', 'quarter-hip-1-in', 'hip ÷ 4 + 1 in', [quarterHip], INCH),
  linear('crotchDepth', 'quarter-hip-3-in', 'hip ÷ 4 + 3 in, for a high waist', [quarterHip], 3 * INCH),
  linear('crotchDepth', 'outseam-less-inseam', 'outseam − inseam', [
    [1, 'outseam', '_'],
    [-1, 'inseam', '_'],
  ]),
  linear(
    'inseam',
    'outseam-less-depth',
    'outseam − crotch depth',
    [
      [1, 'outseam', '_'],
      [-1, 'crotchDepth', '_'],
    ],
    0,
    true,
  ),
  linear('hipDepth', 'three-quarters', '3/4 × crotch depth', [[0.75, 'crotchDepth', '3/4 × _']], 0, true),
  linear('hipDepth', 'two-thirds', '2/3 × crotch depth', [[2 / 3, 'crotchDepth', '2/3 × _']]),
  linear('hipDepth', 'depth-less-2-in', 'crotch depth − 2 in', [depth], -2 * INCH),
  linear('hipDepth', 'depth-less-2-half-in', 'crotch depth − 2 1/2 in', [depth], -2.5 * INCH),
  linear('hipDepth', 'quarter-hip-less-1-in', 'hip ÷ 4 − 1 in', [quarterHip], -INCH),
  linear('outseam', 'depth-and-inseam', 'crotch depth + inseam', [depth, [1, 'inseam', '_']], 0, true),
  linear('kneeDepth', 'raised-5-cm', 'crotch depth + inseam ÷ 2 − 5 cm', [depth, leg], -50, true),
  linear('kneeDepth', 'raised-1-half-in', 'middle of the leg raised 1 1/2 in', [depth, leg], -1.5 * INCH),
  linear('kneeDepth', 'raised-3-in', 'middle of the leg raised 3 in', [depth, leg], -3 * INCH),
  linear('kneeDepth', 'half-outseam', 'outseam ÷ 2 + 8 cm', [[0.5, 'outseam', '_ ÷ 2']], 80),
  linear('thigh', 'of-hip', '0.62 × hip − 4 cm', [[0.62, 'hip', '0.62 × _']], -40, true),
  linear('knee', 'of-hip', '7.5 cm + 0.295 × hip', [[0.295, 'hip', '0.295 × _']], 75, true),
  linear('calf', 'of-hip', '8 cm + 0.29 × hip', [[0.29, 'hip', '0.29 × _']], 80, true),
  linear('ankle', 'of-hip', '9 cm + 0.14 × hip', [[0.14, 'hip', '0.14 × _']], 90, true),
  {
    id: 'heel',
    ruleId: 'by-figure',
    rule: HEEL_RULE,
    needs: ['hip'],
    house: true,
    sum: () => HEEL_RULE,
    from: (k, figure) => (figure === 'child' ? Math.min(150 + 0.18 * (k.hip ?? NaN), 310) : HEEL[figure]),
  },
  linear('pairFrontThigh', 'of-hip', '0.29 × hip', [[0.29, 'hip', '0.29 × _']]),
  linear('pairThigh', 'of-hip', '0.66 × hip', [[0.66, 'hip', '0.66 × _']]),
  linear('heel', 'of-foot', '1.3 × foot length', [[1.3, 'footLength', '1.3 × _']]),
  third('frontRise', 'crotch length − back rise', [1, 'crotchLength', '_'], [-1, 'backRise', '_']),
  third('backRise', 'crotch length − front rise', [1, 'crotchLength', '_'], [-1, 'frontRise', '_']),
  third('crotchLength', 'front rise + back rise', [1, 'frontRise', '_'], [1, 'backRise', '_']),
  linear(
    'crotchLength',
    'depth-and-hip',
    '2 × crotch depth + hip ÷ 7, for information only',
    [
      [2, 'crotchDepth', '2 × _'],
      [1 / 7, 'hip', '_ ÷ 7'],
    ],
    0,
    true,
  ),
];

/** The rules for one measurement, the house's own first. */
export const rulesFor = (id: MeasurementId): EstimateRule[] => ESTIMATES.filter((rule) => rule.id === id);

/** What else must be known to carry a thigh up. */
const CARRIED_BY = ['crotchDepth', 'kneeDepth', 'knee'] as const;

/**
 * The thigh at the crotch line where it was taken lower, `taken` mm round and `at` mm below: carried up by as much as
 * the leg narrows from there to the mid-thigh, where that was measured further down, else to the knee
 * (docs/trade/measuring.md).
 */
const carriedUp = (taken: number, at: number): EstimateRule => ({
  id: 'thigh',
  ruleId: 'carried-up',
  rule: 'the thigh that was taken lower, carried up to the crotch line as the leg widens',
  needs: CARRIED_BY,
  house: true,
  sum: (known, show) => {
    const { girth, below } = nextBelow(known, at);
    return `${show(taken)} + (${show(taken)} − ${show(girth)}) × ${show(at)} ÷ ${show(below - at)}`;
  },
  from: (known) => {
    const { girth, below } = nextBelow(known, at);
    return taken + (Math.max(0, taken - girth) * at) / (below - at);
  },
});

/** Less than this below the taken thigh, in mm, a girth says nothing of how the leg narrows. */
const TOO_NEAR = 30;

/** The girth next below where the thigh was taken, and how far below the crotch it lies, in mm. */
function nextBelow(
  { crotchDepth = NaN, kneeDepth = NaN, knee = NaN, midThigh }: Measured,
  at: number,
): { readonly girth: number; readonly below: number } {
  const toKnee = kneeDepth - crotchDepth;
  return midThigh !== undefined && toKnee / 2 > at + TOO_NEAR
    ? { girth: midThigh, below: toKnee / 2 }
    : { girth: knee, below: toKnee };
}

/** Which rule was adopted for a figure that is missing, by measurement. */
export type Adopted = Readonly<Partial<Record<MeasurementId, string>>>;

/** A figure a draft works with: measured, or estimated with the rule that made it. In mm. */
export type Known =
  | { readonly source: 'measured'; readonly mm: number }
  | {
      readonly source: 'estimate';
      readonly mm: number;
      readonly rule: EstimateRule;
      readonly adopted: boolean;
      /** The figure as it was taken at another place than the draft wants it, and how far below it, in mm. */
      readonly taken?: { readonly mm: number; readonly below: number };
    };

/** Every figure known or estimated for a body. What has neither is absent. */
export type Body = ReadonlyMap<MeasurementId, Known>;

/** True of a figure that was measured, or that measured figures settle between them. */
export const isGiven = (known: Known | undefined): known is Known =>
  known !== undefined && (known.source === 'measured' || known.rule.exact === true);

/** True of a figure that was measured, be it at another place than the draft wants it. */
export const isMeasured = (known: Known | undefined): boolean =>
  known !== undefined && (known.source === 'measured' || known.taken !== undefined);

/** The order in which missing figures are made: what others rest on comes first. */
const FILLED: readonly MeasurementId[] = [
  'crotchDepth',
  'inseam',
  ...new Set(ESTIMATES.map((rule) => rule.id).filter((id) => id !== 'crotchDepth' && id !== 'inseam')),
];

/**
 * The measured figures with estimates put in for what is missing: the rule that was adopted, else the house's own.
 * A figure whose rule lacks what it needs stays absent; so do crotch depth and hip where nothing was adopted.
 */
export function completeBody(measured: Measured, figure: Figure, adopted: Adopted = {}): Body {
  const body = new Map<MeasurementId, Known>();
  const known: Partial<Record<MeasurementId, number>> = {};
  for (const [id, mm] of Object.entries(measured) as [MeasurementId, number | undefined][]) {
    if (mm === undefined) continue;
    body.set(id, { source: 'measured', mm });
    known[id] = mm;
  }
  for (const id of FILLED) {
    if (body.has(id)) continue;
    const ready = rulesFor(id).filter(({ needs, exact }) =>
      needs.every((needed) => (exact ? measured : known)[needed] !== undefined),
    );
    const chosen = ready.find((rule) => rule.ruleId === adopted[id]);
    const rule = chosen ?? ready.find((r) => r.house);
    if (!rule) continue;
    const mm = rule.from(known, figure);
    known[id] = mm;
    body.set(id, { source: 'estimate', mm, rule, adopted: chosen !== undefined });
  }
  const { thigh, thighTakenAt: below = 0 } = measured;
  if (thigh !== undefined && below > 0 && CARRIED_BY.every((id) => known[id] !== undefined)) {
    // A knee that lies hardly lower than where the thigh was taken says nothing: the thigh stands as it was taken.
    if (nextBelow(known, below).below > below + TOO_NEAR) {
      const rule = carriedUp(thigh, below);
      const mm = rule.from(known, figure);
      body.set('thigh', { source: 'estimate', mm, rule, adopted: false, taken: { mm: thigh, below } });
    }
  }
  return body;
}

/** The figures of a body by name, in mm, however they are known. */
export const figuresOf = (body: Body): Measured => Object.fromEntries([...body].map(([id, { mm }]) => [id, mm]));

/** A rule held beside a figure: what it gives for this body, or what it still needs. In mm. */
export interface RuleGives {
  readonly rule: EstimateRule;
  readonly mm: number | undefined;
  readonly lacks: readonly MeasurementId[];
}

/** Whether any rule stands in for a measurement. */
export const hasRules = (id: MeasurementId): boolean => rulesFor(id).length > 0;

/** What every rule for a measurement gives on a body, whether or not the figure was measured. */
export function whatRulesGive(id: MeasurementId, body: Body, figure: Figure): RuleGives[] {
  const known = figuresOf(body);
  return rulesFor(id).map((rule) => {
    // A figure that was itself made from this one proves nothing.
    const lacks = rule.needs.filter((needed) => {
      const found = body.get(needed);
      return !found || (found.source === 'estimate' && found.rule.needs.includes(id));
    });
    return { rule, lacks, mm: lacks.length === 0 ? rule.from(known, figure) : undefined };
  });
}
