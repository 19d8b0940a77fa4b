import { useEffect, useMemo, useRef, useState } from 'react';
import type { BatchRow } from '../../core/batch/index.js';
import type { Job } from '../shared/job.js';
import type { BatchTask } from '../workers/batch.worker.js';
import { startRows } from './batch-job.js';

/** What was changed stands so long before it is applied to all, in ms. */
const SETTLED_MS = 250;

/** What is found of the bodies of a run so far. */
export interface Rows {
  readonly of: ReadonlyMap<string, BatchRow>;
  /** How many of how many are done. */
  readonly done: number;
  readonly busy: boolean;
  readonly stopped: boolean;
  readonly fault: string | undefined;
  readonly stop: () => void;
  readonly again: () => void;
}

/** A row with what it was found from. */
interface Known {
  readonly text: string;
  readonly sheet: BatchTask['input']['sheet'];
  readonly row: BatchRow;
}

interface Found {
  readonly tasks: readonly BatchTask[];
  readonly rows: ReadonlyMap<string, BatchRow>;
  readonly busy: boolean;
  readonly stopped: boolean;
  readonly fault: string | undefined;
}

/** What a body's garment follows from, as a text; its sheet, which is the same for most, is told apart by itself. */
const textOf = ({ input, making }: BatchTask): string => JSON.stringify([{ ...input, sheet: undefined }, making]);

const NOTHING: ReadonlyMap<string, BatchRow> = new Map();

/**
 * Applies a garment to bodies, anew for those that anything has changed for; the others keep what was found of them. What
 * is found is shown as it comes; stopped, what there is stays.
 */
export function useRows(tasks: readonly BatchTask[]): Rows {
  const [found, setFound] = useState<Found>();
  const [turn, setTurn] = useState(0);
  const job = useRef<Job<unknown>>(undefined);
  const known = useRef(new Map<string, Known>());
  useEffect(() => {
    const asked = new Map(tasks.map((task) => [task.key, { text: textOf(task), sheet: task.input.sheet }]));
    const kept = new Map<string, BatchRow>();
    for (const [key, { text, sheet }] of asked) {
      const before = known.current.get(key);
      if (before?.text === text && before.sheet === sheet) kept.set(key, before.row);
    }
    const open = tasks.filter((task) => !kept.has(task.key));
    const timer = window.setTimeout(
      () => {
        setFound({ tasks, rows: kept, busy: open.length > 0, stopped: false, fault: undefined });
        if (open.length === 0) return;
        const started = startRows(open, (rows) => {
          if (job.current !== started) return;
          for (const [key, row] of rows) {
            const from = asked.get(key);
            if (from) known.current.set(key, { ...from, row });
          }
          setFound((was) => was && { ...was, rows: new Map([...was.rows, ...rows]) });
        });
        job.current = started;
        started.answer
          .then(() => {
            if (job.current === started) setFound((was) => was && { ...was, busy: false });
          })
          .catch((fault: unknown) => {
            if (job.current !== started) return;
            started.stop();
            setFound(
              (was) => was && { ...was, busy: false, fault: String(fault instanceof Error ? fault.message : fault) },
            );
          });
      },
      turn === 0 && known.current.size === 0 ? 0 : SETTLED_MS,
    );
    return () => {
      window.clearTimeout(timer);
      job.current?.stop();
      job.current = undefined;
    };
  }, [tasks, turn]);
  return useMemo(
    () => ({
      of: found?.rows ?? NOTHING,
      done: found?.rows.size ?? 0,
      busy: found === undefined || found.busy || found.tasks !== tasks,
      stopped: found?.stopped ?? false,
      fault: found?.fault,
      stop: () => {
        job.current?.stop();
        job.current = undefined;
        setFound((was) => was && { ...was, busy: false, stopped: true });
      },
      again: () => {
        setTurn((n) => n + 1);
      },
    }),
    [found, tasks],
  );
}
