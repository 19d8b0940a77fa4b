import { edgeLengths, type Legs } from '../draft/index.js';
import { figureOf, isFigure } from '../measured/index.js';
import type { Worked } from '../method/index.js';
import { judged, verdictOf, type Check, type CheckId } from './check.js';
import { bandIn, isRise } from './rises.js';

/** The figures that are of the whole garment: half of each is on either leg. */
const WHOLE: readonly string[] = ['waist', 'hip', 'highHip', 'opening'] satisfies CheckId[];
const isWhole = (id: string): boolean => WHOLE.includes(id) || id.startsWith('height.');

const half = (a: number, b: number): number => (a + b) / 2;

/**
 * The checks of two unlike legs as one list: those of the leg looked at, with what is measured round the whole garment
 * made of both. Each leg's checks read the garment as if the other were like it.
 */
export const ofBothLegs = (checks: readonly Check[], others: readonly Check[]): Check[] =>
  checks.map((check) => {
    const other = others.find((o) => o.id === check.id);
    if (!other || !isWhole(check.id)) return check;
    if (typeof check.value !== 'number' || typeof other.value !== 'number') return check;
    const value = half(check.value, other.value);
    if (check.low === undefined || check.high === undefined || other.low === undefined || other.high === undefined)
      return { ...check, value };
    const [low, high] = [half(check.low, other.low), half(check.high, other.high)];
    return { ...check, value, low, high, verdict: verdictOf(value, low, high) };
  });

/** By how much the rises of two unlike legs may differ, in mm: they are sewn to one another. */
const LEG_WALK = 1.5;

/** The check of two unlike legs against one another: each front and back rise is sewn to the other leg's. */
export function legWalk({ left, right }: Legs): Check {
  const difference = (panel: 'front' | 'back'): number =>
    edgeLengths(left[panel]).rise - edgeLengths(right[panel]).rise;
  const [front, back] = [difference('front'), difference('back')];
  return judged({
    id: 'legWalk',
    against: 'itself',
    value: Math.abs(back) > Math.abs(front) ? back : front,
    low: -LEG_WALK,
    high: LEG_WALK,
    compares: { of: 'legWalk' },
    about: {
      edges: [
        ['front', 'rise'],
        ['back', 'rise'],
      ],
    },
  });
}

/** What is drafted, as far as a figure of it is made of it. */
export interface Figured {
  readonly worked: Worked;
  readonly block: Legs['left'];
  readonly legs: Legs | undefined;
}

/**
 * The figure that a check judges, without its band: what is sought when a draft is changed, in mm or degrees; round the
 * whole garment where it is so measured. Nothing for a check that rests on more than one figure of the block.
 */
export function checkedFigure(id: string, { worked, block, legs }: Figured): number | undefined {
  if (!isFigure(id)) return undefined;
  if (legs && isWhole(id)) return half(figureOf(legs.left, id), figureOf(legs.right, id));
  return figureOf(block, id) + (isRise(id) ? bandIn(worked, id) : 0);
}
