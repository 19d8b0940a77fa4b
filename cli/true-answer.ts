import { plainValue, type Check } from '../core/check/index.js';
import { lineKind } from '../core/method/index.js';
import { changeSentence, conflictSentence, type Trued } from '../core/true-it/index.js';
import { fromMm, type Unit } from '../core/units/index.js';
import { asOrdered } from './alterations.js';
import type { Order } from './order.js';

const finite = (x: number | undefined): number | null => (x !== undefined && Number.isFinite(x) ? x : null);

const checkAnswer = (c: Check, unit: Unit): object => ({
  id: c.id,
  value: plainValue(c, unit) ?? null,
  low: finite(c.low),
  high: finite(c.high),
  verdict: c.verdict,
});

/**
 * The answer of `upstride true`: the order with what was found added to it (in the order's unit), the checks before and
 * after (in mm), the changes in words, and the conflicts.
 */
export function trueAnswer(
  ordered: Readonly<Record<string, unknown>>,
  found: Trued,
  { unit, input: { sheet } }: Order,
): object {
  const set = found.changes.flatMap(({ set: line }) => {
    if (!line) return [];
    const value = lineKind(line.line) === 'length' ? Math.round(fromMm(line.value, unit) * 1e4) / 1e4 : line.value;
    return [[line.line, value] as const];
  });
  const works = found.changes.flatMap(({ work }) =>
    work ? [asOrdered({ id: '', on: true, note: 'True it', work }, unit)] : [],
  );
  const listed = Array.isArray(ordered['alterations']) ? (ordered['alterations'] as unknown[]) : [];
  return {
    order: {
      ...ordered,
      set: { ...(ordered['set'] as object | undefined), ...Object.fromEntries(set) },
      alterations: [...listed, ...works],
    },
    targets: found.targets,
    changes: found.changes.map((c) => ({ id: c.id, by: c.by, said: changeSentence(c, sheet, unit) })),
    before: found.before.map((c) => checkAnswer(c, unit)),
    after: found.after.map((c) => checkAnswer(c, unit)),
    conflicts: found.conflicts.map((c) => ({
      target: c.target,
      against: c.against,
      unknown: c.unknowns[0]?.id,
      sentence: conflictSentence(c, unit),
    })),
    untreated: found.untreated.map(({ id }) => id),
    worse: found.worse.map(({ id }) => id),
  };
}
