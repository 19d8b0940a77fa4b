import type { AlteredStep } from '../alter/index.js';
import { checkLines, worseThan, type Check } from '../check/index.js';
import type { DraftRules } from '../draft/index.js';
import { lineRulesOf, type Draft } from './compute-draft.js';

/**
 * The lines that each alteration of a list has left worse than it found them, by its id, from its steps in turn, as the
 * checks that see it (docs/trade/truing.md). An alteration that leaves every line as fair as it was is not named.
 */
export function spoiltLines(
  { worked, drafted }: Pick<Draft, 'worked' | 'drafted'>,
  rules: DraftRules,
  steps: readonly AlteredStep[],
): Map<string, Check[]> {
  const lines = { ...lineRulesOf(worked, rules), drafted };
  const found = new Map<string, Check[]>();
  let was = checkLines(drafted, lines);
  for (const { alteration, before, after } of steps) {
    if (after === before) continue;
    const checks = checkLines(after, lines);
    const worse = worseThan(was, checks);
    if (worse.length > 0) found.set(alteration.id, worse);
    was = checks;
  }
  return found;
}
