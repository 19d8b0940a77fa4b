import type { AlterationWork } from '../alter/index.js';
import type { Draft } from '../chain/index.js';
import type { Check, CheckId } from '../check/index.js';
import { outside, type BandPlace } from './least-squares.js';
import type { Unknown, UnknownId } from './unknowns.js';

/** The checks that can be targets (docs/trade/truing.md). */
export const TARGETS = [
  'frontRise',
  'backRise',
  'wholeRise',
  'thigh',
  'waist',
  'hip',
  'inseamWalk',
  'sideWalk',
] as const satisfies readonly CheckId[];

/** The name of a target. */
export type TargetId = (typeof TARGETS)[number];

/** One change found. */
export interface TrueItChange {
  readonly id: UnknownId;
  readonly label: string;
  /** By how much, in mm. */
  readonly by: number;
  /** A line set by hand to this value; nothing where it is an alteration. */
  readonly set: { readonly line: string; readonly value: number } | undefined;
  readonly work: AlterationWork | undefined;
  /**
   * It is far larger than the fault that it mends: `FAR_LARGER` times what the worst target was missed by, and more.
   */
  readonly outsized: boolean;
}

/** A target that could not be met, with what stands against it. */
export interface Conflict {
  readonly target: TargetId;
  /** By how much it is missed, in mm. */
  readonly miss: number;
  /** The target that asks the opposite of the unknown. */
  readonly against: TargetId | undefined;
  /** The unknown that both ask opposite things of; without an opposite, those that are at their limits. */
  readonly unknowns: readonly Pick<Unknown, 'id' | 'label'>[];
}

/** What True it found. */
export interface Trued {
  readonly changes: readonly TrueItChange[];
  readonly before: readonly Check[];
  readonly after: readonly Check[];
  /** Targets that took part. */
  readonly targets: readonly TargetId[];
  readonly conflicts: readonly Conflict[];
  /** Checks that are no target and are out of band when all is done: True it does nothing about them. */
  readonly untreated: readonly Check[];
  /** Checks that the changes together leave worse than they were, as they are after. */
  readonly worse: readonly Check[];
}

/** A change that is this many times as large as the fault, and larger than this in mm, is called so. */
const FAR_LARGER = 3;
const LARGE = 8;

/** A target within this of its band, in mm, is met. */
export const MET = 0.01;

/** What is asked of True it: targets, and unknowns that may be changed for them. */
export interface Asked {
  readonly targets: readonly TargetId[];
  readonly unknowns: readonly Unknown[];
}

const named = ({ id, label }: Unknown): Pick<Unknown, 'id' | 'label'> => ({ id, label });

/** Who stands against a target that is not met: the target pulling the same unknown the other way, or the limits. */
export function conflictsOf(
  { targets, unknowns }: Asked,
  { x, slopes }: BandPlace,
  misses: readonly number[],
): Conflict[] {
  return targets.flatMap((target, t): Conflict[] => {
    const miss = misses[t] ?? NaN;
    if (Math.abs(miss) < MET) return [];
    let worst: { against: number; unknown: number; pull: number } | undefined;
    targets.forEach((_, other) => {
      const otherMiss = misses[other] ?? NaN;
      if (other === t || Math.abs(otherMiss) < 1e-3) return;
      unknowns.forEach((u, i) => {
        // Both want this unknown to move, to opposite sides.
        const pull = (slopes[t]?.[i] ?? NaN) * miss * (slopes[other]?.[i] ?? NaN) * otherMiss;
        if (u.limit > 0 && pull < -1e-9 && (!worst || pull < worst.pull)) worst = { against: other, unknown: i, pull };
      });
    });
    const against = worst && targets[worst.against];
    const unknown = worst && unknowns[worst.unknown];
    if (against && unknown) return [{ target, miss, against, unknowns: [named(unknown)] }];
    const atLimit = unknowns.filter((u, i) => u.limit > 0 && Math.abs(Math.abs(x[i] ?? NaN) - u.limit) < 0.06);
    return [{ target, miss, against: undefined, unknowns: atLimit.map(named) }];
  });
}

/** A change of an unknown by so much, of a draft whose worst target was missed by `fault` mm. */
export function changeOf(
  { worked }: Draft,
  { id, label, work, line = id }: Unknown,
  by: number,
  fault: number,
): TrueItChange {
  const outsized = Math.abs(by) > Math.max(LARGE, FAR_LARGER * fault);
  if (work) return { id, label, by, set: undefined, work: work(by), outsized };
  const value = Number(worked.ledger.get(line)?.value) + by;
  return { id, label, by, set: { line, value }, work: undefined, outsized };
}

/**
 * The conflicts, and every target that its check finds out of a band that the changes have moved: none is missed
 * unsaid.
 */
export function withUnnamed(
  conflicts: readonly Conflict[],
  ids: readonly TargetId[],
  after: readonly Check[],
): Conflict[] {
  const unnamed = after.flatMap(({ id, verdict, value, low = -Infinity, high = Infinity }): Conflict[] => {
    const target = ids.find((t) => t === id);
    if (!target || verdict === 'in' || typeof value !== 'number') return [];
    if (conflicts.some((c) => c.target === target)) return [];
    return [{ target, miss: outside(value, [low, high]), against: undefined, unknowns: [] }];
  });
  return [...conflicts, ...unnamed];
}

/** Checks out of band that are no target. */
export const untreatedOf = (checks: readonly Check[], ids: readonly TargetId[]): Check[] =>
  checks.filter((c) => c.verdict === 'out' && !ids.some((id) => id === c.id));
