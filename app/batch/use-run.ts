import { useMemo, useState } from 'react';
import { bodiesOf, rulesOffered, type OfferedRule, type Run, type RunBody } from '../../core/kept/index.js';
import { SHIPPED_CHARTS, type SizeChart } from '../../core/measure/index.js';
import { contentOf } from '../store/database.js';
import { useShelf } from '../store/queries.js';
import type { RoomId } from '../store/rooms.js';
import { useWork } from '../store/work-context.js';

/** The run in hand with its bodies, and what new ones are made from. */
export interface RunInHand {
  readonly runs: readonly Run[];
  readonly run: Run | undefined;
  readonly bodies: readonly RunBody[];
  readonly charts: readonly SizeChart[];
  /** Grade rules written from other garments of the room. */
  readonly rules: readonly OfferedRule[];
  readonly people: ReturnType<typeof contentOf>['people'];
  readonly pending: boolean;
  readonly fault: Error | null;
  readonly take: (id: string) => void;
}

const NO_RUNS: readonly Run[] = [];
const NOBODY: readonly RunBody[] = [];

/** The runs of the open draft; the last of them is in hand until another is taken. */
export function useRun(room: RoomId): RunInHand {
  const work = useWork((s) => s.work);
  const shelf = useShelf(room);
  const [taken, take] = useState<string>();
  const runs = work.draft.runs ?? NO_RUNS;
  const run = runs.find((r) => r.id === taken) ?? runs.at(-1);
  const around = useMemo(() => {
    const { people, drafts, charts } = contentOf(shelf.data);
    return { people, drafts, charts: [...charts.map((c) => c as SizeChart), ...SHIPPED_CHARTS] };
  }, [shelf.data]);
  const bodies = useMemo(
    () => (run && shelf.data ? bodiesOf(run, work, around) : NOBODY),
    [run, work, around, shelf.data],
  );
  const rules = useMemo(() => rulesOffered(around.drafts, work), [around, work]);
  return {
    runs,
    run,
    bodies,
    charts: around.charts,
    rules,
    people: around.people,
    pending: shelf.isPending,
    fault: shelf.error,
    take,
  };
}
