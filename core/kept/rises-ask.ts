import { compareSets, type MeasurementId } from '../measure/index.js';
import type { MeasurementSet, Person } from '../workbook/index.js';
import { setBefore, valuesOf, withFigure } from './person.js';

/** The rises that hold the shape of the crotch curve. */
const RISES: readonly MeasurementId[] = ['frontRise', 'backRise', 'crotchLength'];
/** A girth that moved by more than this share says that the weight has changed (house). */
const WEIGHT_CHANGE = 0.03;

/** What is asked where the weight has changed and the rises are still those of the set before. */
export interface RisesAsk {
  /** The day of the set before. */
  readonly since: string;
  /** The girth that moved most, and by what share. */
  readonly girth: MeasurementId;
  readonly share: number;
  /** The rises that stand as they did then; none where a trace alone was taken over. */
  readonly rises: readonly MeasurementId[];
  /** True where the body's curve was traced. */
  readonly traced: boolean;
}

/**
 * Asks whether the rise's length is checked again (docs/trade/measuring.md): waist or hip moved by more than three in a
 * hundred since the set before, the rises of then or a trace were taken over, and it was not answered yet. Nothing
 * where that is not so.
 */
export function risesAsk(person: Person, set: MeasurementSet): RisesAsk | undefined {
  const before = setBefore(person, set);
  if (!before || set.risesAsked || set.source !== 'body') return undefined;
  const [then, now] = [valuesOf(before), valuesOf(set)];
  const rises = RISES.filter((id) => now[id] !== undefined && now[id] === then[id]);
  const traced = person.traces.length > 0;
  const takenAnew = RISES.some((id) => now[id] !== undefined) && rises.length === 0;
  if (takenAnew || (rises.length === 0 && !traced)) return undefined;
  const moved = compareSets(then, now)
    .filter(({ id }) => id === 'waist' || id === 'hip')
    .map(({ id, share }) => ({ girth: id, share: share ?? 0 }))
    .sort((a, b) => Math.abs(b.share) - Math.abs(a.share))[0];
  return moved && Math.abs(moved.share) > WEIGHT_CHANGE ? { since: before.date, ...moved, rises, traced } : undefined;
}

/** A set without its rises, which are to be taken again; what they were stays in its history. */
export const withoutRises = (set: MeasurementSet, now: Date): MeasurementSet =>
  RISES.reduce((next, id) => withFigure(next, id, undefined, now), set);
