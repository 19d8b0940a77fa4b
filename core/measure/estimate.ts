import type { Figure, Measured, MeasurementId } from './vocabulary.js';

/** The four required figures, in mm. */
export interface Required {
  readonly waist: number;
  readonly hip: number;
  readonly crotchDepth: number;
  readonly inseam: number;
}

/** A rule that makes a missing figure from the others (handbook 2, section 2). */
export interface EstimateRule {
  readonly id: MeasurementId;
  /** The rule in the words of the trade. */
  readonly rule: string;
  /** The rule with its numbers put in; `show` sets a length in mm in the reader's unit. */
  readonly sum: (known: Required, show: (mm: number) => string) => string;
  /** The estimate in mm. */
  readonly from: (known: Required, figure: Figure) => number;
}

const HEEL: Record<Exclude<Figure, 'child'>, number> = { woman: 320, man: 350, unknown: 330 };

/** The house estimates. Measurements that are not listed have none. */
export const ESTIMATES: readonly EstimateRule[] = [
  {
    id: 'hipDepth',
    rule: '3/4 × crotch depth',
    sum: (k, show) => `3/4 × ${show(k.crotchDepth)}`,
    from: (k) => 0.75 * k.crotchDepth,
  },
  {
    id: 'outseam',
    rule: 'crotch depth + inseam',
    sum: (k, show) => `${show(k.crotchDepth)} + ${show(k.inseam)}`,
    from: (k) => k.crotchDepth + k.inseam,
  },
  {
    id: 'kneeDepth',
    rule: 'crotch depth + inseam ÷ 2 − 5 cm',
    sum: (k, show) => `${show(k.crotchDepth)} + ${show(k.inseam)} ÷ 2 − ${show(50)}`,
    from: (k) => k.crotchDepth + k.inseam / 2 - 50,
  },
  ...(
    [
      ['thigh', '0.62 × hip − 4 cm', 0.62, -40],
      ['knee', '7.5 cm + 0.295 × hip', 0.295, 75],
      ['calf', '8 cm + 0.29 × hip', 0.29, 80],
      ['ankle', '9 cm + 0.14 × hip', 0.14, 90],
    ] as const
  ).map(([id, rule, share, more]): EstimateRule => ({
    id,
    rule,
    sum: (k, show) => `${share} × ${show(k.hip)} ${more < 0 ? '−' : '+'} ${show(Math.abs(more))}`,
    from: (k) => share * k.hip + more,
  })),
  {
    id: 'heel',
    rule: 'by figure: woman 32 cm, man 35 cm, not said 33 cm; child 15 cm + 0.18 × hip, at most 31 cm',
    sum: () => 'by figure',
    from: (k, figure) => (figure === 'child' ? Math.min(150 + 0.18 * k.hip, 310) : HEEL[figure]),
  },
  {
    id: 'crotchLength',
    rule: '2 × crotch depth + hip ÷ 7, for information only',
    sum: (k, show) => `2 × ${show(k.crotchDepth)} + ${show(k.hip)} ÷ 7`,
    from: (k) => 2 * k.crotchDepth + k.hip / 7,
  },
];

/** A figure a draft works with: measured, or estimated with the rule that made it. In mm. */
export type Known =
  | { readonly source: 'measured'; readonly mm: number }
  | { readonly source: 'estimate'; readonly mm: number; readonly rule: string };

/** Every figure known or estimated for a body. What has neither is absent. */
export type Body = ReadonlyMap<MeasurementId, Known>;

/** The measured figures with the house estimates put in for what is missing. */
export function completeBody(measured: Measured & Required, figure: Figure): Body {
  const body = new Map<MeasurementId, Known>();
  for (const [id, mm] of Object.entries(measured) as [MeasurementId, number | undefined][]) {
    if (mm !== undefined) body.set(id, { source: 'measured', mm });
  }
  for (const { id, rule, from } of ESTIMATES) {
    if (!body.has(id)) body.set(id, { source: 'estimate', mm: from(measured, figure), rule });
  }
  return body;
}
