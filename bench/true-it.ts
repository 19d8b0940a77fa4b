import { performance } from 'node:perf_hooks';
import { computeDraft, EMPTY_INPUT, type DraftInput } from '../core/chain/index.js';
import { edgeLengths } from '../core/draft/index.js';
import { SHEETS } from '../core/shipped/index.js';
import { trueIt, type Trued } from '../core/true-it/index.js';
import { inputFor, isMeantFor, plausibleBody, seeded } from './random-body.js';

/** How far, at most, a body's rises and thigh lie from what its method gives: mm, mm and a share. */
const SPREAD = { front: 37, back: 60, thigh: 0.12 };

/**
 * A body with measured rises and a measured thigh, drawn around the method's own values: the sum of three even draws,
 * so that most lie near. Nothing where the method cannot draft it.
 */
export function measuredBody(index: number, random: () => number): DraftInput | undefined {
  const spread = (most: number): number => ((random() + random() + random() - 1.5) / 1.5) * most;
  const sheet = SHEETS[index % SHEETS.length];
  const body = plausibleBody(random);
  if (!sheet || !isMeantFor(sheet, body)) return undefined;
  const input = { ...EMPTY_INPUT, ...inputFor(sheet, body) };
  const outcome = computeDraft(input);
  if (!outcome.ok) return undefined;
  const { block, worked } = outcome.value;
  return {
    ...input,
    measured: {
      ...input.measured,
      frontRise: edgeLengths(block.front).rise + spread(SPREAD.front),
      backRise: edgeLengths(block.back).rise + spread(SPREAD.back),
      thigh: (worked.body.get('thigh')?.mm ?? NaN) * (1 + spread(SPREAD.thigh)),
    },
  };
}

/** Targets of an answer that are out of band, and those of them that no conflict names. */
export function unmetOf({ after, targets, conflicts }: Trued): { unmet: string[]; silent: string[] } {
  const unmet = after.filter((c) => targets.some((t) => t === c.id) && c.verdict !== 'in').map((c) => c.id);
  return { unmet, silent: unmet.filter((id) => !conflicts.some((c) => c.target === id)) };
}

function main(): void {
  const random = seeded(3);
  const tally = { met: 0, named: 0, silent: 0, refused: 0, changes: 0 };
  const times: number[] = [];
  for (let done = 0; done < 1000;) {
    const input = measuredBody(done, random);
    if (!input) continue;
    done++;
    const start = performance.now();
    const answer = trueIt(input);
    times.push(performance.now() - start);
    if (!answer.ok) {
      tally.refused++;
      continue;
    }
    const { unmet, silent } = unmetOf(answer.value);
    tally.changes += answer.value.changes.length;
    if (silent.length > 0) tally.silent++;
    else if (unmet.length > 0) tally.named++;
    else tally.met++;
  }
  times.sort((a, b) => a - b);
  const at = (q: number): string => (times[Math.floor(q * (times.length - 1))] ?? NaN).toFixed(0);
  console.log(
    `True it, 1,000 measured bodies over ${SHEETS.length} methods: ${tally.met} all met, ${tally.named} with a conflict named, ${tally.silent} silently missed, ${tally.refused} refused with their figures; ${(tally.changes / 1000).toFixed(1)} changes each`,
  );
  console.log(`True it: median ${at(0.5)} ms, 95th percentile ${at(0.95)} ms (limit 300 ms)`);
}

if (/true-it\.[jt]s$/.test(process.argv[1] ?? '')) main();
