import type { DraftInput } from '../core/chain/index.js';
import type { Measured, REQUIRED_IDS } from '../core/measure/index.js';
import { SHEETS_OWN_FIT, type Sheet } from '../core/method/index.js';

export { seeded } from '../core/geometry/index.js';

/** Figures with the required four among them, in mm. */
type Full = Measured & Readonly<Record<(typeof REQUIRED_IDS)[number], number>>;

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

/** The hip under which a body of the bench is a child's, in mm. */
const CHILD_HIP = 800;

/** A body from the size charts and beyond, mm: hip 55 to 160 cm, drop -10 to 35 cm, short and long rise. */
export function wideBody(random: () => number): Full {
  const between = (low: number, high: number): number => low + (high - low) * random();
  const hip = between(550, 1600);
  // A child has little waist.
  const waist = Math.max(350, (hip < CHILD_HIP ? 0.75 : 0.6) * hip, hip - between(-100, 350));
  const crotchDepth = Math.min(hip / 4 + 25, 185 + 0.09 * hip) + between(-35, 40);
  return { waist, hip, crotchDepth, inseam: between(2.2, 3.2) * crotchDepth };
}

/** What a sheet wants beside four figures: a pair of about that size, cloth that stretches, a child's rules. */
export function inputFor(sheet: Sheet, body: Full, random: () => number = () => 0.5): Partial<DraftInput> {
  const pair = {
    pairFrontThigh: body.hip * (0.28 + 0.02 * random()),
    pairThigh: body.hip * (0.64 + 0.05 * random()),
  };
  return {
    sheet,
    measured: sheet.id === 'finished-pair' ? { ...body, ...pair } : body,
    figure: body.hip < CHILD_HIP ? 'child' : 'unknown',
    fit: sheet.fitClass === 'knit' ? { stretch: 0.5 } : SHEETS_OWN_FIT,
  };
}

/** True where a sheet is meant for a body. */
export const isMeantFor = (sheet: Sheet, body: Full): boolean => {
  const within = (mm: number, [low, high]: readonly [number, number]): boolean => mm >= low && mm <= high;
  const { hip, drop, crotchDepth } = sheet.meantFor;
  return within(body.hip, hip) && within(body.hip - body.waist, drop) && within(body.crotchDepth, crotchDepth);
};

/** Every combination of a sheet's choices. */
export const waysOf = (sheet: Sheet): Record<string, string>[] =>
  sheet.choices.reduce<Record<string, string>[]>(
    (all, choice) => all.flatMap((one) => choice.values.map((v) => ({ ...one, [choice.id]: v.id }))),
    [{}],
  );
