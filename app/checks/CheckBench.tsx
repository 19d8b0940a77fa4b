import CloseIcon from '@mui/icons-material/Close';
import Button from '@mui/material/Button';
import IconButton from '@mui/material/IconButton';
import { useEffect, useMemo, useRef } from 'react';
import { CHECK_GROUPS, groupOf, worstFirst, type Check } from '../../core/check/index.js';
import { useBoard } from '../board/board-store.js';
import { useComputed } from '../store/work-context.js';
import { CheckLine } from './CheckList.js';

const asks = ({ verdict }: Check): boolean => verdict === 'out' || verdict === 'near';

/** The checks that are laid on the bench: those that ask for something, a group, or all in their groups. */
export function CheckSection() {
  const { checks: scope = 'asking', check: inHand, set } = useBoard();
  // While corrections are tried on, the list must not move under the hand.
  const shown = useComputed((c) => (inHand === undefined ? c.draft : (c.before ?? c.draft))?.checks);
  const checks = useMemo(() => shown ?? [], [shown]);
  const asking = checks.filter(asks);
  const answered = checks.filter((c) => c.verdict !== 'unknown').length;
  const groups = CHECK_GROUPS.filter(({ id }) => scope === 'all' || scope === id);
  const line = (check: Check) => (
    <CheckLine
      key={check.id}
      check={check}
      open={inHand === check.id}
      onOpen={(id) => {
        set({ checks: scope, check: id });
      }}
    />
  );
  return (
    <section aria-label="Checks and corrections">
      <h3>
        {asking.length === 0
          ? `All ${answered} checks that can be answered are in band`
          : `${asking.length} of ${answered} checks ${asking.length === 1 ? 'asks' : 'ask'} for something`}
      </h3>
      {scope === 'asking' && worstFirst(checks.filter((c) => asks(c) || c.id === inHand)).map(line)}
      {groups.map(({ id, label }) => (
        <div key={id}>
          <h4>{label}</h4>
          {checks.filter((c) => groupOf(c.id) === id).map(line)}
        </div>
      ))}
      <p className="acts">
        {scope !== 'asking' && asking.length > 0 && (
          <Button
            onClick={() => {
              set({ checks: 'asking', check: undefined });
            }}
          >
            Only what asks
          </Button>
        )}
        {scope !== 'all' && (
          <Button
            onClick={() => {
              set({ checks: 'all', check: undefined });
            }}
          >
            All checks
          </Button>
        )}
      </p>
    </section>
  );
}

/** The checks in the place of a station's bench, until they are closed. */
export default function CheckBench() {
  const set = useBoard((s) => s.set);
  const inHand = useBoard((s) => s.check);
  const bench = useRef<HTMLElement>(null);
  useEffect(() => {
    if (inHand) bench.current?.querySelector(`[data-check-line="${inHand}"]`)?.scrollIntoView({ block: 'nearest' });
  }, [inHand]);
  const close = (): void => {
    set({ checks: undefined, check: undefined });
    document.querySelector<HTMLElement>('.tape button[tabindex="0"]')?.focus();
  };
  return (
    <aside
      ref={bench}

      className="bench check-bench"
      aria-label="Checks"
      onKeyDown={(event) => {
        if (event.key === 'Escape') close();
      }}
    >
      <div className="check-head">
        <h2>Checks</h2>
        <IconButton size="small" aria-label="Close the checks" onClick={close}>
          <CloseIcon fontSize="small" />
        </IconButton>
      </div>
      <CheckSection />
    </aside>
  );
}
