import Button from '@mui/material/Button';
import { useEffect, useRef, useState } from 'react';
import type { Run } from '../../core/kept/index.js';
import type { TrueItChange } from '../../core/true-it/index.js';
import type { Job } from '../shared/job.js';
import { newAlteration } from '../store/alteration-work.js';
import { setOwn } from '../store/run-work.js';
import { useChange } from '../store/work-context.js';
import type { BatchTask } from '../workers/batch.worker.js';
import { startTrueAll } from './batch-job.js';
import type { RowLine } from './RowGrid.js';

/** What True it changes on a body, as a run keeps it. */
const ownOf = (was: Run['own'][string] | undefined, changes: readonly TrueItChange[]): Run['own'][string] => ({
  set: {
    ...was?.set,
    ...Object.fromEntries(changes.flatMap(({ set }) => (set ? [[set.line, set.value] as const] : []))),
  },
  alterations: [
    ...(was?.alterations ?? []),
    ...changes.flatMap(({ work }) => (work ? [newAlteration(work, 'True it')] : [])),
  ],
});

/** True it for many: how far it is, what came of it, and the way to begin and end it. */
export interface Truing {
  readonly busy: boolean;
  readonly done: number;
  readonly all: number;
  readonly said: string | undefined;
  readonly start: (tasks: readonly BatchTask[]) => void;
  readonly stop: () => void;
}

/** True it for many: what it changes on each body is kept with the run as that body's own, all in one act. */
export function useTrueAll(run: Run | undefined): Truing {
  const change = useChange();
  const [state, setState] = useState<{ readonly done: number; readonly all: number }>();
  const [said, setSaid] = useState<string>();
  const job = useRef<Job<unknown>>(undefined);
  const found = useRef(new Map<string, readonly TrueItChange[]>());
  // What was begun for one run is kept with that one, whichever is in hand by then.
  const keepThere = useRef<() => void>(undefined);
  useEffect(
    () => () => {
      job.current?.stop();
    },
    [],
  );
  const keep = (): void => {
    if (!run) return;
    const changed = [...found.current].filter(([, changes]) => changes.length > 0);
    if (changed.length > 0)
      change(
        setOwn(
          run.id,
          changed.map(([key, changes]) => [key, ownOf(run.own[key], changes)] as const),
        ),
      );
    const none = found.current.size - changed.length;
    setSaid(
      `${changed.length} changed${none > 0 ? `; for ${none} nothing was found that helps` : ''}.${changed.length > 0 ? ' Undo takes it back.' : ''}`,
    );
    setState(undefined);
    job.current = undefined;
  };
  return {
    busy: state !== undefined,
    done: state?.done ?? 0,
    all: state?.all ?? 0,
    said,
    start: (tasks) => {
      if (tasks.length === 0) return;
      found.current = new Map();
      keepThere.current = keep;
      setSaid(undefined);
      setState({ done: 0, all: tasks.length });
      const started = startTrueAll(tasks, (key, changes) => {
        if (job.current !== started) return;
        found.current.set(key, changes);
        setState({ done: found.current.size, all: tasks.length });
      });
      job.current = started;
      started.answer
        .then(() => {
          if (job.current === started) keep();
        })
        .catch(() => {
          if (job.current !== started) return;
          setSaid('True it could not be run on them. Try again.');
          setState(undefined);
        });
    },
    stop: () => {
      job.current?.stop();
      keepThere.current?.();
    },
  };
}

/** True it for all that ask for something and have no draft of their own. */
export function TrueAll({
  truing,
  asking,
  tasks,
}: {
  readonly truing: Truing;
  readonly asking: readonly RowLine[];
  readonly tasks: ReadonlyMap<string, BatchTask>;
}) {
  const wanted = asking.filter(({ row, body }) => row?.ok && !body.own);
  return (
    <>
      {truing.busy ? (
        <div className="acts">
          <progress max={truing.all} value={truing.done} aria-label="Trued" />
          <span>
            {truing.done} of {truing.all}
          </span>
          <Button size="small" onClick={truing.stop}>
            Stop
          </Button>
        </div>
      ) : (
        <Button
          variant="outlined"
          disabled={wanted.length === 0}
          onClick={() => {
            truing.start(wanted.flatMap((l) => tasks.get(l.id) ?? []));
          }}
        >
          True it for {wanted.length === 1 ? 'the one' : `all ${wanted.length}`} that{' '}
          {wanted.length === 1 ? 'asks' : 'ask'}
        </Button>
      )}
      <p role="status" className="quiet">
        {truing.said}
      </p>
    </>
  );
}
