import type { Body, MeasurementId } from '../measure/index.js';

/** The heights of a body above where its inseam ends, in mm. */
export interface Heights {
  readonly waist: number;
  readonly highHip: number;
  readonly hip: number;
  readonly crotch: number;
  readonly midThigh: number;
  readonly knee: number;
  readonly calf: number;
  readonly ankle: number;
}

/** How far down from the waist to the hip the high hip lies, as a share. */
const HIGH_HIP = 0.45;

/** The levels of a leg, from the crotch down. */
export const LEG_LEVELS = ['thigh', 'midThigh', 'knee', 'calf', 'ankle'] as const;

/** A level of a leg. */
export type LegLevel = (typeof LEG_LEVELS)[number];

/** What a body's solid is made from, in mm. */
export interface BodyFigures {
  readonly girths: Readonly<Record<'waist' | 'hip' | LegLevel, number>> & { readonly highHip: number | undefined };
  readonly heights: Heights;
  readonly crotchDepth: number;
  readonly hipDepth: number;
}

/** A figure held between two others. */
export const between = (x: number, low: number, high: number): number => Math.min(high, Math.max(low, x));

/** The figures of a body that its solid is made from. Throws where one is missing that has no estimate: a bug. */
export function figuresFrom(body: Body): BodyFigures {
  const of = (id: MeasurementId): number => {
    const mm = body.get(id)?.mm;
    if (mm === undefined) throw new Error(`No body without ${id}`);
    return mm;
  };
  const [crotchDepth, inseam] = [of('crotchDepth'), of('inseam')];
  const waist = crotchDepth + inseam;
  const hipDepth = between(of('hipDepth'), 0.35 * crotchDepth, 0.93 * crotchDepth);
  const knee = between(waist - of('kneeDepth'), 0.25 * inseam, 0.8 * inseam);
  return {
    girths: {
      waist: of('waist'),
      highHip: body.get('highHip')?.mm,
      hip: of('hip'),
      thigh: of('thigh'),
      midThigh: body.get('midThigh')?.mm ?? 0.55 * of('thigh') + 0.45 * of('knee'),
      knee: of('knee'),
      calf: of('calf'),
      ankle: of('ankle'),
    },
    heights: {
      waist,
      highHip: waist - HIGH_HIP * hipDepth,
      hip: waist - hipDepth,
      crotch: inseam,
      midThigh: (inseam + knee) / 2,
      knee,
      calf: 0.7 * knee,
      ankle: 0.17 * knee,
    },
    crotchDepth,
    hipDepth,
  };
}
