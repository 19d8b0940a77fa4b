import { wrap } from 'comlink';
import type { Block } from '../../../core/draft/index.js';
import type { Reference } from '../../../core/reference/index.js';
import type { FileRefusal, Outcome } from '../../../core/refusal/index.js';
import { tooLarge } from '../../../formats/outline/index.js';
import type { Outliner } from '../../workers/outline.worker.js';

/** The reading of an outline under way: its answer to come, and the way to stop it. */
export interface OutlineJob {
  readonly answer: Promise<Outcome<Reference, FileRefusal>>;
  readonly stop: () => void;
}

/** Reads a file in a worker of its own and lays it under a draft; too large a file is refused unread. */
export function startOutline(file: File, block: Block, now: Date): OutlineJob {
  const large = tooLarge(file.name, file.size);
  if (large) return { answer: Promise.resolve(large), stop: () => undefined };
  const worker = new Worker(new URL('../../workers/outline.worker.ts', import.meta.url), { type: 'module' });
  const stop = (): void => {
    worker.terminate();
  };
  const read = async (): Promise<Outcome<Reference, FileRefusal>> => {
    const text = await file.text();
    return wrap<Outliner>(worker).lay(file.name, text, block, now.toISOString().slice(0, 10));
  };
  return { answer: read().finally(stop), stop };
}
