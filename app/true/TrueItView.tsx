import Button from '@mui/material/Button';
import { useEffect, useRef, useState, type ReactNode } from 'react';
import { refusalsSentence } from '../../core/refusal/index.js';
import { readerIn } from '../../core/units/index.js';
import {
  changeSentence,
  conflictSentence,
  TARGETS,
  unknownsOf,
  type TargetId,
  type Trued,
  type TrueItWish,
  type UnknownId,
} from '../../core/true-it/index.js';
import { LengthField } from '../shared/LengthField.js';
import { PlainField } from '../shared/PlainField.js';
import { withFractions } from '../shared/fractions.js';
import { ViewHead } from '../shared/ViewHead.js';
import { tryAlterations } from '../store/alteration-work.js';
import { inputNow } from '../store/sheets.js';
import { useChange, useComputed, useOpenWork, useUnit } from '../store/work-context.js';
import { previewByHand } from '../store/work-changes.js';
import { alterationsOf, linesOf, startTrueIt, takeChanges } from './true-job.js';
import { TargetLine } from './TargetLine.js';
import { BeforeAfter, ToldChecks } from './TruedFigures.js';
import './true.css';

/** True it: what counts, what may be changed, and what was found, to be taken wholly or in part. */
export function TrueItView({ board }: { board: (over?: undefined) => ReactNode }) {
  const open = useOpenWork();
  const change = useChange();
  const unit = useUnit();
  const draft = useComputed((c) => c.before ?? c.draft);
  const [importance, setImportance] = useState<Partial<Record<TargetId, number>>>({});
  const [limits, setLimits] = useState<Partial<Record<UnknownId, number>>>({});
  const [costs, setCosts] = useState<Partial<Record<UnknownId, number>>>({});
  const [found, setFound] = useState<Trued>();
  const [left, setLeft] = useState<ReadonlySet<string>>(new Set());
  const [problem, setProblem] = useState<string>();
  const [working, setWorking] = useState(false);
  const runButton = useRef<HTMLButtonElement>(null);
  const job = useRef<ReturnType<typeof startTrueIt>>(undefined);

  const showNothing = (): void => {
    change(previewByHand(undefined));
    change(tryAlterations(undefined));
  };
  useEffect(
    () => () => {
      job.current?.stop();
      change(previewByHand(undefined));
      change(tryAlterations(undefined));
    },
    [change],
  );

  const picked = (found?.changes ?? []).filter((c) => !left.has(c.id));
  const show = (trued: Trued, without: ReadonlySet<string>): void => {
    const shown = trued.changes.filter((c) => !without.has(c.id));
    if (shown.length === 0) {
      showNothing();
      return;
    }
    const { work } = open.state.getState();
    change(previewByHand(linesOf(shown)));
    change(tryAlterations([...work.draft.alterations, ...alterationsOf(shown)]));
  };

  const run = (): void => {
    showNothing();
    setFound(undefined);
    setLeft(new Set());
    setProblem(undefined);
    setWorking(true);
    const wish: TrueItWish = { importance, limits, costs };
    const { work, leg } = open.state.getState();
    const started = startTrueIt(inputNow(work, leg), unit, wish);
    job.current = started;
    started.answer
      .then((answer) => {
        if (answer.ok) {
          setFound(answer.value);
          show(answer.value, new Set());
        } else setProblem(refusalsSentence(answer.refusals, readerIn(unit)));
      })
      .catch((fault: unknown) => {
        setProblem(`True it stopped: ${String(fault)}`);
      })
      .finally(() => {
        setWorking(false);
      });
  };

  if (!draft) return <p className="quiet">Enter the four measurements first.</p>;
  const targets = TARGETS.flatMap((id) => draft.checks.find((c) => c.id === id) ?? []);
  return (
    <>
      {board()}
      <aside className="bench" aria-label="True it">
        <ViewHead title="True it" station="True" />
        <p className="quiet">
          Finds the fewest and smallest changes by which every measured target comes into its band. Nothing is kept
          until you take it.
        </p>
        <h3>What counts</h3>
        {targets.map((check) => (
          <TargetLine
            key={check.id}
            check={check}
            value={importance[check.id as TargetId] ?? 1}
            onPick={(weight) => {
              setImportance({ ...importance, [check.id]: weight });
            }}
          />
        ))}
        <details>
          <summary>What may be changed, and how far</summary>
          <div className="limits">
            <span />
            <span className="quiet">At most</span>
            <span className="quiet">Cost</span>
            {unknownsOf(draft).map((u) => (
              <div key={u.id} className="limit" data-unknown={u.id}>
                <span>{u.label}</span>
                <LengthField
                  label={`${u.label}, at most`}
                  mm={limits[u.id] ?? u.limit}
                  unit={unit}
                  onCommit={(mm) => {
                    setLimits({ ...limits, [u.id]: Math.max(0, mm ?? u.limit) });
                  }}
                />
                <PlainField
                  label={`${u.label}, cost`}
                  value={costs[u.id] ?? u.cost}
                  places={1}
                  suffix=""
                  step={0.5}
                  onCommit={(cost) => {
                    setCosts({ ...costs, [u.id]: Math.max(0.1, cost) });
                  }}
                />
              </div>
            ))}
          </div>
          <p className="quiet">At most 0 leaves it alone. What costs more is changed less.</p>
        </details>
        <div className="acts">
          <Button ref={runButton} variant="contained" size="small" disabled={working} onClick={run}>
            True it
          </Button>
          {working && (
            <Button
              size="small"
              onClick={() => {
                job.current?.stop();
                setWorking(false);
              }}
            >
              Stop
            </Button>
          )}
        </div>
        {problem && <p className="problem">{withFractions(problem)}</p>}
        {found && (
          <section aria-label="What was found">
            <h3>
              {found.changes.length === 0
                ? found.conflicts.length === 0
                  ? 'Every measured target is in its band: nothing to change'
                  : 'Nothing that may be changed helps'
                : `${found.changes.length} ${found.changes.length === 1 ? 'change' : 'changes'}`}
            </h3>
            <ul className="trued-list">
              {found.changes.map((c) => (
                <li key={c.id} data-change={c.id}>
                  <label>
                    <input
                      type="checkbox"
                      checked={!left.has(c.id)}
                      onChange={() => {
                        const next = new Set(left);
                        if (!next.delete(c.id)) next.add(c.id);
                        setLeft(next);
                        show(found, next);
                      }}
                    />{' '}
                    {withFractions(changeSentence(c, draft.worked.sheet, unit))}
                  </label>
                </li>
              ))}
            </ul>
            {found.conflicts.map((c) => (
              <p key={c.target} className="problem">
                {withFractions(conflictSentence(c, unit))}
              </p>
            ))}
            <BeforeAfter trued={found} />
            <ToldChecks title="Out of band, and not treated by True it" checks={found.untreated} />
            {left.size > 0 && (
              <p className="quiet">The figures are of all changes together; the board shows those picked.</p>
            )}
            {found.changes.length > 0 && (
              <div className="acts">
                <Button
                  variant="contained"
                  size="small"
                  disabled={picked.length === 0}
                  onClick={() => {
                    change(takeChanges(picked));
                    setFound(undefined);
                    // What was found goes with its buttons: the focus goes on to the next run.
                    runButton.current?.focus();
                  }}
                >
                  {picked.length === found.changes.length
                    ? 'Take all'
                    : `Take ${picked.length} of ${found.changes.length}`}
                </Button>
                <Button
                  size="small"
                  onClick={() => {
                    showNothing();
                    setFound(undefined);
                  }}
                >
                  Leave it
                </Button>
              </div>
            )}
          </section>
        )}
      </aside>
    </>
  );
}
