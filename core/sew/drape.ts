import { gridOf, type DistanceGrid, type SolidBody } from '../body/index.js';
import type { Garment } from '../garment/index.js';
import { arrangeRound } from './arrange.js';
import { sewUp, type Assembly } from './assembly.js';
import { runBoth, sewnTogether } from './both-legs.js';
import type { ClothMatter } from './cloth.js';
import { meshParts } from './mesh.js';
import { refine } from './refine.js';
import { Cloth, type Course, type WaistHeight } from './solver.js';

/**
 * What is sewn: a garment, with the one of the right leg where the two differ, and the length that an elastic draws its
 * waist in to, in mm, where it has one.
 */
export interface Sewn {
  readonly garment: Garment;
  readonly rightLeg?: Garment | undefined;
  readonly elastic?: number | undefined;
  /** How far above the body's waist its top edge is held, in mm; below it: negative. */
  readonly above?: number;
}

/** A stretch of the work: how fine, and what is done. */
export interface Stage {
  readonly spacing: number;
  readonly courses: readonly (Course & { readonly steps: number })[];
}

/** Sewn, then let down coarse and light, coarse and heavy, and fine (docs/trade/virtual-toile.md). Spacings in mm. */
export const STAGES: readonly Stage[] = [
  {
    spacing: 26,
    courses: [
      { steps: 800, mass: 1, weighs: false, rubs: false, calm: 400 },
      { steps: 1500, mass: 1, weighs: true, rubs: false, calm: 3 },
      { steps: 4000, mass: 16, weighs: true, rubs: false, calm: 3 },
      { steps: 1000, mass: 16, weighs: true, rubs: true, calm: 3 },
    ],
  },
  { spacing: 13, courses: [{ steps: 1500, mass: 50, weighs: true, rubs: true, calm: 3 }] },
];

/** How many of the last steps the pressure is the mean of. */
const PRESSED_OVER = 300;
/** Steps done between two looks at whether to stop. */
const AT_ONCE = 100;

/** A garment as it hangs on a body: both of its halves, where they are alike, or the left one. */
export interface Draped {
  readonly assembly: Assembly;
  /** Positions in metres, three a particle: x outward, y up, z to the front. */
  readonly at: Float64Array;
  /** How hard the body presses on each particle, in N. */
  readonly press: Float64Array;
  /** The force that holds each particle of the waist, in N. */
  readonly holding: readonly number[];
  /** How far above the body's waist its top edge is held, in mm. */
  readonly above: number;
  /** The right half, where it differs: x outward too. */
  readonly rightLeg?: Omit<Draped, 'rightLeg'> | undefined;
}

/** How far a drape is: the share done, and what hangs so far. */
export interface DrapeProgress {
  readonly share: number;
  readonly so: Draped | undefined;
}

/** The height over a place at which a top edge is held, so far above the waist of a body (mm), in metres. */
export const waistHeightOf =
  ({ heights, tilt }: Pick<SolidBody, 'heights' | 'tilt'>, above: number): WaistHeight =>
  (x, z) => {
    const share = (z * z) / Math.max(1e-9, x * x + z * z);
    return (heights.waist + above + (z > 0 ? tilt.front : tilt.back) * share) / 1000;
  };

/** How far above the waist and below where the inseam ends the body is felt, in mm. */
const FELT = { above: 120, below: 120 } as const;

/** The distances that a garment on a body needs. */
export const feltGrid = ({ form, heights }: SolidBody): DistanceGrid =>
  gridOf(form, -FELT.below, heights.waist + FELT.above);

/**
 * Sews a garment and lets it hang on a body, one half of it, or both where its legs differ. Yields how far it is, with
 * what hangs after each stage; returns what hangs in the end. Deterministic.
 */
export function* drape(
  { garment, rightLeg, elastic, above = 0 }: Sewn,
  body: SolidBody,
  matter: ClothMatter,
  grid: DistanceGrid = feltGrid(body),
  stages: readonly Stage[] = STAGES,
): Generator<DrapeProgress, Draped> {
  const waistAt = waistHeightOf(body, above);
  const costs = stages.map(({ spacing, courses }) => courses.reduce((sum, c) => sum + c.steps, 0) / spacing ** 2);
  const whole = costs.reduce((sum, c) => sum + c, 0);
  const legs = rightLeg ? [garment, rightLeg] : [garment];
  const gathered = elastic === undefined ? undefined : elastic / 2000;
  let done = 0;
  let hangs: readonly Draped[] = [];
  for (const { spacing, courses } of stages) {
    const assemblies = legs.map((leg, i) => sewUp(leg, meshParts(leg, spacing, legs[1 - i])));
    const cloths = assemblies.map((assembly, i) => {
      const before = hangs[i];
      const at = before ? refine(before.assembly, before.at, assembly) : arrangeRound(assembly, body, above);
      return new Cloth(assembly, matter, grid, waistAt, at, gathered);
    });
    const run = running(cloths, assemblies, body.heights.crotch / 1000);
    const hanging = (): Draped[] => cloths.map((cloth, i) => hangingOf(cloth, assemblies[i] as Assembly, above));
    for (const [i, course] of courses.entries()) {
      const last = i === courses.length - 1;
      for (let left = course.steps; left > 0; left -= AT_ONCE) {
        if (last && left <= PRESSED_OVER && left > PRESSED_OVER - AT_ONCE)
          for (const cloth of cloths) cloth.pressAnew();
        run(Math.min(AT_ONCE, left), course);
        done += Math.min(AT_ONCE, left) / spacing ** 2;
        yield { share: done / whole, so: undefined };
      }
      // What hangs lightly already is shown while the rest is done.
      if (!last) yield { share: done / whole, so: wholeOf(hanging()) };
    }
    hangs = hanging();
    yield { share: done / whole, so: wholeOf(hangs) };
  }
  const hung = wholeOf(hangs);
  if (!hung) throw new Error('A drape has a stage');
  return hung;
}

/** What does steps of one leg, or of two that differ. */
function running(
  cloths: readonly Cloth[],
  assemblies: readonly Assembly[],
  crotch: number,
): (steps: number, course: Course) => void {
  const [left, right] = cloths;
  const [one, other] = assemblies;
  if (!left || !one) throw new Error('A garment has a leg');
  if (!right || !other)
    return (steps, course) => {
      left.run(steps, course);
    };
  const sewn = sewnTogether(one, other);
  return (steps, course) => {
    runBoth([left, right], sewn, steps, course, crotch);
  };
}

const wholeOf = ([left, rightLeg]: readonly Draped[]): Draped | undefined =>
  left && (rightLeg ? { ...left, rightLeg } : left);

const hangingOf = (cloth: Cloth, assembly: Assembly, above: number): Draped => ({
  assembly,
  above,
  at: Float64Array.from(cloth.at),
  press: Float64Array.from(cloth.press),
  holding: cloth.holding(),
});

/** A drape done to its end at once. */
export function drapeOf(...of: Parameters<typeof drape>): Draped {
  const work = drape(...of);
  for (;;) {
    const next = work.next();
    if (next.done) return next.value;
  }
}
