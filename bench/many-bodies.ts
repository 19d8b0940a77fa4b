/**
 * A garment applied to many bodies on two workers: 1,000 of them with some twelve parts, then what True it takes for all
 * that ask for something. `npm run bench:many -- [COUNT]`
 */
import { fileURLToPath } from 'node:url';
import { isMainThread, parentPort, Worker, workerData } from 'node:worker_threads';
import { finished, rowAsks, rowOf, type Making } from '../core/batch/index.js';
import { EMPTY_INPUT, type DraftInput } from '../core/chain/index.js';
import { HOUSE_ALLOWANCES } from '../core/piece/index.js';
import { trueIt } from '../core/true-it/index.js';
import { plausibleBody, seeded } from './random-body.js';

const WORKERS = 2;
const MAKING: Making = {
  style: ['slantPocket', 'fly', 'weltPocket', 'band', 'loops'].map((id) => ({ id, values: {} })),
  allowances: HOUSE_ALLOWANCES,
  cloths: undefined,
  unit: 'cm',
};

interface Told {
  readonly made: number;
  readonly parts: number;
  readonly asking: number;
  readonly madeMs: number;
  readonly trued: number;
  readonly truedMs: number;
}

function apply(inputs: readonly DraftInput[]): Told {
  const begun = performance.now();
  let [made, parts] = [0, 0];
  const asking: DraftInput[] = [];
  for (const input of inputs) {
    const applied = finished(MAKING, input);
    if (applied.ok) [made, parts] = [made + 1, Math.max(parts, applied.pieces.length)];
    if (rowAsks(rowOf(applied, 'cm'))) asking.push(input);
  }
  const madeMs = performance.now() - begun;
  const trued = asking.filter((input) => {
    const found = trueIt(input, 'cm', {});
    return found.ok && found.value.changes.length > 0;
  }).length;
  return { made, parts, asking: asking.length, madeMs, trued, truedMs: performance.now() - begun - madeMs };
}

const most = (told: readonly Told[], of: (t: Told) => number): number => Math.max(...told.map(of));
const sum = (told: readonly Told[], of: (t: Told) => number): number => told.reduce((all, t) => all + of(t), 0);

if (isMainThread) {
  const [count = 1000] = process.argv.slice(2).map(Number);
  const random = seeded(21);
  const inputs = Array.from({ length: count }, () => ({ ...EMPTY_INPUT, measured: plausibleBody(random) }));
  const told = await Promise.all(
    Array.from({ length: WORKERS }, (_, n) => {
      const worker = new Worker(fileURLToPath(import.meta.url), {
        workerData: inputs.filter((_, i) => i % WORKERS === n),
      });
      return new Promise<Told>((answer, fail) => worker.once('message', answer).once('error', fail));
    }),
  );
  const seconds = (ms: number): string => (ms / 1000).toFixed(1);
  console.log(
    `${count} bodies on ${WORKERS} workers: ${sum(told, (t) => t.made)} made of ${most(told, (t) => t.parts)} parts in ${seconds(most(told, (t) => t.madeMs))} s (limit 8 s for 1,000)`,
  );
  console.log(
    `True it for the ${sum(told, (t) => t.asking)} that ask for something: ${sum(told, (t) => t.trued)} changed in ${seconds(most(told, (t) => t.truedMs))} s (limit 60 s)`,
  );
} else parentPort?.postMessage(apply(workerData as readonly DraftInput[]));
