import { expose, transfer } from 'comlink';
import { drawnInput, finished, rowOf, type BatchInput, type BatchRow, type Making } from '../../core/batch/index.js';
import type { ClothData } from '../../core/cloth/index.js';
import type { Cloth } from '../../core/garment/index.js';
import { garmentShapes, type LaidFor } from '../../core/lay/index.js';
import type { NestBody } from '../../core/nest/index.js';
import { trueIt, type TrueItChange } from '../../core/true-it/index.js';
import { batchFiles, type BatchFile, type BatchPrint } from '../../formats/batch-files.js';
import { letterFiles } from './letter-files.js';

/** A body that a garment is applied to, by its key in the run. */
export interface BatchTask {
  readonly key: string;
  readonly name: string;
  readonly input: BatchInput;
  readonly making: Making;
}

/** What of a body's garment lies on a cloth. */
export interface BodyShapes extends LaidFor {
  readonly name: string;
  /** What its parts are called, and which leg each is, by whose ink it is drawn; none where it is no leg. */
  readonly parts: readonly { readonly id: string; readonly name: string; readonly ink: string }[];
}

/** What is found of bodies is told no oftener than this, in ms. */
const TOLD_EVERY_MS = 80;

const worker = {
  /** Applies a garment to bodies, one after the other, and tells what came of them a few at a time. */
  rows(tasks: readonly BatchTask[], onRows: (rows: readonly (readonly [string, BatchRow])[]) => void): void {
    let rows: [string, BatchRow][] = [];
    let told = performance.now();
    for (const { key, input, making } of tasks) {
      rows.push([key, rowOf(finished(making, input), making.unit)]);
      if (performance.now() - told < TOLD_EVERY_MS) continue;
      onRows(rows);
      rows = [];
      told = performance.now();
    }
    onRows(rows);
  },

  /** What True it changes on each body; nothing where it finds nothing to change or cannot be run. */
  trued(tasks: readonly BatchTask[], onTrued: (key: string, changes: readonly TrueItChange[]) => void): void {
    for (const { key, input, making } of tasks) {
      const drawn = drawnInput(input);
      const found = drawn.ok ? trueIt(drawn.value, making.unit, {}) : drawn;
      onTrued(key, found.ok ? found.value.changes : []);
    }
  },

  /** Bodies with their pieces, to be laid over one another; those that no garment can be made for are left out. */
  pieces(tasks: readonly BatchTask[]): readonly NestBody[] {
    return tasks.flatMap(({ key, name, input, making }) => {
      const applied = finished(making, input);
      return applied.ok ? [{ key, name, pieces: applied.pieces }] : [];
    });
  },

  /**
   * The shapes of each body's garment that lie on one cloth, as that cloth lies and by its nap, whatever a draft of its own
   * has; with what its parts are called.
   */
  shapes(
    tasks: readonly BatchTask[],
    kind: Cloth,
    { nap, fold }: Pick<ClothData, 'nap' | 'fold'>,
  ): readonly BodyShapes[] {
    return tasks.flatMap(({ key, name, input, making }) => {
      const applied = finished(making, input);
      if (!applied.ok) return [];
      const shapes = garmentShapes(applied.pieces, kind, nap, fold);
      const parts = applied.pieces.map(({ part }) => ({
        id: part.id,
        name: part.name,
        ink: part.onFrame ? (part.like ?? part.id) : '',
      }));
      return [{ key, name, shapes, parts }];
    });
  },

  /** The files of all bodies in one zip. */
  async files(
    bodies: readonly BatchFile[],
    print: BatchPrint,
    onDone: (done: number) => void,
  ): Promise<Uint8Array<ArrayBuffer>> {
    const zip = await batchFiles(bodies, print, letterFiles, onDone);
    return transfer(zip, [zip.buffer]);
  },
};

/** What the worker of many bodies does. */
export type Batcher = typeof worker;

expose(worker);
