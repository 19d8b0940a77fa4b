import type { Measured, REQUIRED_IDS } from '../core/measure/index.js';

/** Figures with the required four among them, in mm. */
type Full = Measured & Readonly<Record<(typeof REQUIRED_IDS)[number], number>>;

/** A small seeded generator (mulberry32), so that every run meets the same bodies. */
export function seeded(seed: number): () => number {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let t = state;
    t = Math.imul(t ^ (t >>> 15), t | 1);
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
}

/** A body whose figures go together, mm: hip 75 to 145 cm, drop -5 to 34 cm, short and long rise and leg. */
export function plausibleBody(random: () => number): Full {
  const between = (low: number, high: number): number => low + (high - low) * random();
  const hip = between(750, 1450);
  const waist = Math.max(0.56 * hip, hip - between(-50, 340));
  const crotchDepth = Math.min(hip / 4 + 25, 185 + 0.09 * hip) + between(-40, 40);
  const inseam = between(2.2, 3.2) * crotchDepth;
  const body = { waist, hip, crotchDepth, inseam };
  return random() < 0.4 ? { ...body, hipDepth: between(0.6, 0.9) * crotchDepth } : body;
}

/** Four figures that need not go together at all, mm. */
export function anyBody(random: () => number): Full {
  const between = (low: number, high: number): number => low + (high - low) * random() ** 2;
  return {
    waist: between(350, 2200),
    hip: between(400, 2400),
    crotchDepth: between(110, 500),
    inseam: between(180, 1200),
  };
}
