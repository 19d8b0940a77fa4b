import type { ItemProgress, Practice } from '../workbook/index.js';
import { isSlipKind, type SlipKind } from './slip.js';

/** What an answer counts as. */
export type Outcome = 'right' | 'near' | 'missed';

/** After so many days an item comes back, by how often it was right running. */
const COMES_BACK = [0, 2, 7, 21, 60] as const;
const DAY_MS = 86_400_000;

const FRESH: Omit<ItemProgress, 'last' | 'name'> = { right: 0, near: 0, missed: 0, slips: {}, run: 0 };

/** An item once more practised: counted, with the slips that were made; what was missed or needed hints begins again. */
export function practised(
  was: ItemProgress | undefined,
  name: string,
  outcome: Outcome,
  slips: readonly SlipKind[],
  hinted: boolean,
  now: Date,
): ItemProgress {
  const before = was ?? FRESH;
  const counted = { ...before.slips };
  for (const kind of new Set(slips)) counted[kind] = (counted[kind] ?? 0) + 1;
  const clean = outcome === 'right' && slips.length === 0 && !hinted;
  return {
    ...before,
    name,
    [outcome]: before[outcome] + 1,
    slips: counted,
    run: clean ? before.run + 1 : outcome === 'missed' || slips.length > 0 ? 0 : before.run,
    last: now.toISOString(),
  };
}

/** When an item comes back. */
export function comesBack({ run, last }: ItemProgress): Date {
  const days = COMES_BACK[Math.min(run, COMES_BACK.length - 1)] ?? 0;
  return new Date(new Date(last).getTime() + days * DAY_MS);
}

/** The items of a subject that have come back by now, those that waited longest first. What was missed comes back at once. */
export const dueItems = ({ items }: Practice, now: Date): string[] =>
  Object.entries(items)
    .map(([id, item]) => ({ id, at: comesBack(item).getTime() }))
    .filter(({ at }) => at <= now.getTime())
    .sort((a, b) => a.at - b.at)
    .map(({ id }) => id);

/** A subject counted together: what was right of all, and what comes back. */
export interface ProgressSum {
  readonly asked: number;
  readonly right: number;
  /** Items that were right twice running or more. */
  readonly known: number;
  readonly items: number;
}

/** How a subject stands as a whole. */
export function sumOf({ items }: Practice): ProgressSum {
  const all = Object.values(items);
  const total = (of: (item: ItemProgress) => number): number => all.reduce((sum, item) => sum + of(item), 0);
  return {
    asked: total((i) => i.right + i.near + i.missed),
    right: total((i) => i.right),
    known: all.filter((i) => i.run >= 2).length,
    items: all.length,
  };
}

/** The slips that were made in all subjects, most often first. */
export function slipsMade(all: readonly Practice[]): readonly (readonly [SlipKind, number])[] {
  const counted = new Map<SlipKind, number>();
  for (const { items } of all)
    for (const { slips } of Object.values(items))
      for (const [kind, times] of Object.entries(slips))
        if (isSlipKind(kind)) counted.set(kind, (counted.get(kind) ?? 0) + times);
  return [...counted].sort((a, b) => b[1] - a[1]);
}
