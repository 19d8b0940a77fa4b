import { useEffect, useRef } from 'react';
import { useLocation, useNavigate } from 'react-router';
import { newId } from '../shared/new-id.js';
import type { SentRun } from '../shared/sent-run.js';
import { beginRun } from '../store/run-work.js';
import { useChange } from '../store/work-context.js';

/** People that were chosen at Crew, or a chart at Size charts, and sent here become a run, once. */
export function useSentHere(): void {
  const location = useLocation();
  const { pathname } = location;
  const state = location.state as SentRun | null;
  const go = useNavigate();
  const change = useChange();
  const taken = useRef(false);
  useEffect(() => {
    if (!state?.run || taken.current) return;
    taken.current = true;
    change(beginRun(newId(), state.run, new Date()));
    void go(pathname, { replace: true, state: null });
  }, [state, pathname, go, change]);
}
