import { useMemo } from 'react';
import { usePreferences } from '../../store/preferences.js';
import { useWork } from '../../store/work-context.js';

const NONE: readonly string[] = [];

/** What was ticked off on a sheet of the open draft, and the way to tick and untick. */
export function useTicks(sheet: string): {
  readonly done: ReadonlySet<string>;
  readonly tick: (ids: readonly string[], on: boolean) => void;
} {
  const draft = useWork(({ work }) => work.draft.id);
  const key = `${draft} ${sheet}`;
  const kept = usePreferences((p) => p.ticked[key]) ?? NONE;
  const set = usePreferences((p) => p.set);
  const done = useMemo(() => new Set(kept), [kept]);
  const tick = (ids: readonly string[], on: boolean): void => {
    const rest = kept.filter((id) => !ids.includes(id));
    const { ticked } = usePreferences.getState();
    set({ ticked: { ...ticked, [key]: on ? [...rest, ...ids] : rest } });
  };
  return { done, tick };
}
