import { OPPOSITE, type DoesId } from './does.js';
import { KNOWLEDGE, type Knowledge } from './knowledge.js';

/** A fitting as far as something is learnt from it: when, and what was done about causes, by how much in mm. */
export interface FittingDone {
  readonly date: string;
  readonly done: readonly { readonly cause: string; readonly by: number }[];
}

/** What earlier fittings have taught about something that is done: how much of it stayed, as a share of what was given. */
export interface Learnt {
  readonly does: DoesId;
  readonly share: number;
  readonly given: number;
  readonly back: number;
  /** When it was given. */
  readonly date: string;
}

/** Less than this share of an amount is never offered: what came out whole was no amount to learn from. */
const LEAST = 0.1;

/**
 * What a person's fittings have taught, the latest of each: an amount of which some came out again at a later fitting of
 * the same draft (docs/trade/toile.md). `drafts` has the fittings of each draft, oldest first.
 */
export function learntOf(
  drafts: readonly (readonly FittingDone[])[],
  { causes }: Knowledge = KNOWLEDGE,
): readonly Learnt[] {
  const doesOf = (cause: string): DoesId | undefined => causes.find((c) => c.id === cause)?.does;
  const latest = new Map<DoesId, Learnt>();
  for (const fittings of drafts) {
    const open = new Map<DoesId, { readonly by: number; readonly date: string }>();
    for (const { date, done } of fittings) {
      for (const { cause, by } of done) {
        const does = doesOf(cause);
        if (!does || by <= 0) continue;
        const undone = OPPOSITE[does];
        const given = undone && open.get(undone);
        if (undone && given && given.by > by) {
          const share = Math.max(LEAST, (given.by - by) / given.by);
          const before = latest.get(undone);
          if (!before || before.date <= given.date) {
            latest.set(undone, { does: undone, share, given: given.by, back: by, date: given.date });
          }
          open.delete(undone);
        } else open.set(does, { by, date });
      }
    }
  }
  return [...latest.values()];
}
