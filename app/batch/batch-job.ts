import { proxy } from 'comlink';
import type { BatchRow } from '../../core/batch/index.js';
import type { ClothData } from '../../core/cloth/index.js';
import type { Cloth } from '../../core/garment/index.js';
import type { NestBody } from '../../core/nest/index.js';
import type { TrueItChange } from '../../core/true-it/index.js';
import type { BatchFile, BatchPrint } from '../../formats/batch-files.js';
import { runJob, type Job } from '../shared/job.js';
import type { Batcher, BatchTask, BodyShapes } from '../workers/batch.worker.js';

const worker = (): Worker => new Worker(new URL('../workers/batch.worker.ts', import.meta.url), { type: 'module' });

/** Bodies are shared between two workers where the machine has room for two and there are enough of them. */
const WORKERS = navigator.hardwareConcurrency >= 2 ? 2 : 1;
const ENOUGH = 6;

/** Shares tasks between workers, every other one to each, so that all come in about their order. */
function shared(
  tasks: readonly BatchTask[],
  run: (share: readonly BatchTask[]) => Job<unknown>,
): Job<readonly unknown[]> {
  const workers = tasks.length < ENOUGH ? 1 : WORKERS;
  const jobs = Array.from({ length: workers }, (_, k) => run(tasks.filter((__, i) => i % workers === k)));
  return {
    answer: Promise.all(jobs.map((job) => job.answer)),
    stop: () => {
      for (const job of jobs) job.stop();
    },
  };
}

/** Applies a garment to bodies in workers; rows are told as they are found. */
export const startRows = (
  tasks: readonly BatchTask[],
  onRows: (rows: readonly (readonly [string, BatchRow])[]) => void,
): Job<readonly unknown[]> =>
  shared(tasks, (share) =>
    runJob<Batcher, unknown>(worker, 'The garment could not be applied', (at) => at.rows([...share], proxy(onRows))),
  );

/** Runs True it on bodies in workers; what it changes on each is told as it is found. */
export const startTrueAll = (
  tasks: readonly BatchTask[],
  onTrued: (key: string, changes: readonly TrueItChange[]) => void,
): Job<readonly unknown[]> =>
  shared(tasks, (share) =>
    runJob<Batcher, unknown>(worker, 'True it could not be run', (at) => at.trued([...share], proxy(onTrued))),
  );

/** Has the pieces of bodies made in a worker. */
export const startPieces = (tasks: readonly BatchTask[]): Job<readonly NestBody[]> =>
  runJob<Batcher, readonly NestBody[]>(worker, 'The sizes could not be drawn', (at) => at.pieces(tasks));

/** Has the shapes of all bodies that lie on a cloth made in a worker. */
export const startShapes = (
  tasks: readonly BatchTask[],
  kind: Cloth,
  lies: Pick<ClothData, 'nap' | 'fold'>,
): Job<readonly BodyShapes[]> =>
  runJob<Batcher, readonly BodyShapes[]>(worker, 'The shapes could not be made', (at) => at.shapes(tasks, kind, lies));

/** Has the files of all bodies written into one zip in a worker. */
export const startFiles = (
  bodies: readonly BatchFile[],
  print: BatchPrint,
  onDone: (done: number) => void,
): Job<Uint8Array<ArrayBuffer>> =>
  runJob<Batcher, Uint8Array<ArrayBuffer>>(worker, 'The files could not be written', (at) =>
    at.files(bodies, print, proxy(onDone)),
  );
