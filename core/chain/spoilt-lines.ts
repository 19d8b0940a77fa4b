import { alteredInTurn, type Alteration } from '../alter/index.js';
import { checkLines, type Check, type Verdict } from '../check/index.js';
import type { DraftRules } from '../draft/index.js';
import { lineRulesOf, type Draft } from './compute-draft.js';

/** The worse a verdict, the higher. */
const RANK: Readonly<Record<Verdict, number>> = { in: 0, unknown: 0, near: 1, out: 2 };

/**
 * The lines that each alteration of a list has left worse than it found them, by its id, as the checks that see it
 * (docs/trade/truing.md). An alteration that leaves every line as fair as it was is not named.
 */
export function spoiltLines(
  { worked, drafted }: Pick<Draft, 'worked' | 'drafted'>,
  rules: DraftRules,
  alterations: readonly Alteration[],
): Map<string, Check[]> {
  const lines = { ...lineRulesOf(worked, rules), drafted };
  const found = new Map<string, Check[]>();
  let was = new Map(checkLines(drafted, lines).map((c) => [c.id, c.verdict]));
  for (const { id, before, after } of alteredInTurn(drafted, alterations)) {
    if (after === before) continue;
    const checks = checkLines(after, lines);
    const worse = checks.filter((c) => RANK[c.verdict] > RANK[was.get(c.id) ?? 'in']);
    if (worse.length > 0) found.set(id, worse);
    was = new Map(checks.map((c) => [c.id, c.verdict]));
  }
  return found;
}
