import { wrap } from 'comlink';
import type { Block } from '../../../core/draft/index.js';
import type { OutlineSize, Reference } from '../../../core/reference/index.js';
import type { FileRefusal, Outcome } from '../../../core/refusal/index.js';
import { tooLarge } from '../../../formats/outline/index.js';
import type { Outliner } from '../../workers/outline.worker.js';

/** Work on an outline under way: its answer to come, and the way to stop it. */
export interface OutlineJob<T> {
  readonly answer: Promise<T>;
  readonly stop: () => void;
}

const newWorker = (): Worker =>
  new Worker(new URL('../../workers/outline.worker.ts', import.meta.url), { type: 'module' });

/** Reads a file in a worker of its own and lays it under a draft; too large a file is refused unread. */
export function startOutline(file: File, block: Block, now: Date): OutlineJob<Outcome<Reference, FileRefusal>> {
  const large = tooLarge(file.name, file.size);
  if (large) return { answer: Promise.resolve(large), stop: () => undefined };
  const worker = newWorker();
  const stop = (): void => {
    worker.terminate();
  };
  const read = async (): Promise<Outcome<Reference, FileRefusal>> => {
    const text = await file.text();
    return wrap<Outliner>(worker).lay(file.name, text, block, now.toISOString().slice(0, 10));
  };
  return { answer: read().finally(stop), stop };
}

/** Tells the sizes of an outline's file apart, in a worker of its own. */
export function startSizes(reference: Reference, block: Block): OutlineJob<readonly OutlineSize[]> {
  const worker = newWorker();
  const stop = (): void => {
    worker.terminate();
  };
  const failed = new Promise<never>((_, fail) => {
    worker.onerror = () => {
      fail(new Error('The worker of outlines could not be run'));
    };
  });
  return { answer: Promise.race([wrap<Outliner>(worker).sizes(reference, block), failed]).finally(stop), stop };
}
