import Button from '@mui/material/Button';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import type { GridRowSelectionModel } from '@mui/x-data-grid';
import { useCallback, useMemo, useState } from 'react';
import { useParams } from 'react-router';
import { clothOfAll, rowAsks, type BatchRow } from '../../core/batch/index.js';
import { CLOTH_LABELS } from '../../core/cloth/index.js';
import { clothWords, toBuy } from '../../core/lay/index.js';
import { BenchSections } from '../shared/BenchSections.js';
import { withFractions } from '../shared/fractions.js';
import { useStable } from '../shared/use-stable.js';
import { StorageFault } from '../shared/StorageFault.js';
import { ViewHead } from '../shared/ViewHead.js';
import { roomOf } from '../store/rooms.js';
import { useTape, useUnit, useWork } from '../store/work-context.js';
import { useBatch } from './batch-store.js';
import type { BatchTask } from '../workers/batch.worker.js';
import { LayAll } from './LayAll.js';
import { BodyLines } from './BodyLines.js';
import { FilesLines } from './FilesLines.js';
import { Nest } from './Nest.js';
import { NestLines } from './NestLines.js';
import { passes, type RowFilter } from './row-words.js';
import { RowGrid, type RowLine } from './RowGrid.js';
import { SpecBoard } from './SpecBoard.js';
import { taskOf } from './tasks.js';
import { useNest } from './use-nest.js';
import { TrueAll, useTrueAll } from './TrueAll.js';
import { useSentHere } from './use-sent-here.js';
import { useRows } from './use-rows.js';
import { useRun } from './use-run.js';
import { NewRun, WhoLines } from './WhoLines.js';
import './batch.css';

const NO_TASKS: readonly BatchTask[] = [];
const NOBODY: GridRowSelectionModel = { type: 'include', ids: new Set() };

/** The garment on many bodies: what comes of each, the sizes over one another, their spec, and everything as files. */
export function BatchView() {
  const room = roomOf(useParams()['room']);
  const unit = useUnit();
  const tape = useTape();
  const draft = useWork((s) => s.work.draft);
  const adopted = draft.pattern?.name;
  const hand = useRun(room);
  const { run, bodies } = hand;
  const { shown, filter, body: inHand, align, set } = useBatch();
  const [selected, setSelected] = useState<GridRowSelectionModel>(NOBODY);
  const tasks = useMemo(() => bodies.map((b) => taskOf(b, unit)), [bodies, unit]);
  const byKey = useMemo(() => new Map(tasks.map((t) => [t.key, t])), [tasks]);
  const rows = useRows(tasks);
  const truing = useTrueAll(run);
  const nest = useNest(shown === 'nest' ? tasks : NO_TASKS, align);
  useSentHere();

  const lines = useMemo(
    () => bodies.map((b): RowLine => ({ id: b.key, body: b, row: rows.of.get(b.key) })),
    [bodies, rows.of],
  );
  const filtered = useMemo(() => lines.filter((l) => passes(l.row, filter)), [lines, filter]);
  const chosen = filtered.filter((l) => (selected.type === 'include') === selected.ids.has(l.id));
  const wanted = chosen.length > 0 ? chosen : filtered;
  const take = useCallback(
    (key: string) => {
      set({ body: key });
    },
    [set],
  );
  const keys = useStable(wanted.map((l) => l.id));
  const laid = useMemo(() => keys.flatMap((key) => byKey.get(key) ?? []), [keys, byKey]);
  const found = lines.flatMap((l) => (l.row ? [l.row] : []));
  const asking = lines.filter((l) => l.row && rowAsks(l.row));
  const body = bodies.find((b) => b.key === inHand);
  const byHand = Object.keys(draft.set).length;

  if (hand.fault) return <StorageFault fault={hand.fault} />;
  if (!run) {
    return (
      <>
        <main id="board" className="board batch-board" aria-label="Many bodies">
          <div className="board-empty">
            {hand.pending
              ? 'The crew is being read …'
              : 'Apply this garment to many bodies at once: to people of the crew, or to the sizes of a chart. Each is drafted on its own figures.'}
          </div>
        </main>
        <aside className="bench" aria-label="Many bodies">
          <ViewHead title="Many bodies" station="Cut" />
          {adopted !== undefined && (
            <p className="notice" role="note">
              The block is “{adopted}”, an adopted pattern: it is the same for everyone, and each body’s checks tell how
              it fits.
            </p>
          )}
          {!hand.pending && <NewRun hand={hand} />}
        </aside>
      </>
    );
  }
  const counts: Readonly<Record<RowFilter, number>> = {
    all: lines.length,
    asks: asking.length,
    none: lines.filter((l) => l.row && !l.row.ok).length,
  };
  return (
    <>
      <main id="board" className="board batch-board" aria-label="Many bodies">
        <div className="batch-head">
          <ToggleButtonGroup
            exclusive
            size="small"
            value={shown}
            aria-label="What is shown"
            onChange={(_, next: typeof shown | null) => {
              if (next) set({ shown: next });
            }}
          >
            <ToggleButton value="rows">Each body</ToggleButton>
            <ToggleButton value="nest">Nest</ToggleButton>
            <ToggleButton value="spec">Spec</ToggleButton>
            <ToggleButton value="lay">On cloth</ToggleButton>
          </ToggleButtonGroup>
          {shown === 'rows' && (
            <ToggleButtonGroup
              exclusive
              size="small"
              value={filter}
              aria-label="Who is shown"
              onChange={(_, next: RowFilter | null) => {
                if (next) set({ filter: next });
              }}
            >
              <ToggleButton value="all">All {counts.all}</ToggleButton>
              <ToggleButton value="asks">Ask for something {counts.asks}</ToggleButton>
              <ToggleButton value="none">Not made {counts.none}</ToggleButton>
            </ToggleButtonGroup>
          )}
          <span className="spring" />
          <span role="status" className="quiet" data-batch-busy={rows.busy} data-batch-done={rows.done}>
            {rows.busy
              ? `${rows.done} of ${lines.length} …`
              : rows.stopped
                ? `Stopped: ${rows.done} of ${lines.length}.`
                : ''}
          </span>
          {rows.busy && (
            <Button size="small" onClick={rows.stop}>
              Stop
            </Button>
          )}
          {(rows.stopped || rows.fault !== undefined) && (
            <Button size="small" onClick={rows.again}>
              Go on
            </Button>
          )}
        </div>
        {rows.fault !== undefined && (
          <p className="problem" role="alert">
            {rows.fault}. Press “Go on” to try again.
          </p>
        )}
        {shown === 'rows' && (
          <div className="batch-grid">
            <RowGrid
              lines={filtered}
              unit={unit}
              tape={tape}
              busy={rows.busy}
              inHand={inHand}
              selected={selected}
              onSelect={setSelected}
              onTake={take}
            />
          </div>
        )}
        {shown === 'nest' && (
          <Nest parts={nest.parts} failed={nest.failed} bodies={bodies.length} graded={run.of.from === 'chart'} />
        )}
        {shown === 'lay' && <LayAll run={run} tasks={laid} kinds={clothOfAll(found).map((c) => c.kind)} />}
        {shown === 'spec' && (
          <SpecBoard
            run={run}
            specified={lines.flatMap(({ body: b, row }) => (row?.ok ? [{ body: b, lines: row.spec }] : []))}
            unit={unit}
            tape={tape}
          />
        )}
      </main>
      <aside className="bench" aria-label="Many bodies">
        <BenchSections
          bench="many"
          told={false}
          above={
            <>
              <ViewHead title="Many bodies" station="Cut" />
              <p className="batch-said" data-batch-asks={rows.busy ? '' : asking.length}>
                {run.name}: {lines.length} {lines.length === 1 ? 'body' : 'bodies'},{' '}
                {rows.busy
                  ? `${rows.done} done so far`
                  : asking.length === 0
                    ? 'all in band'
                    : `${asking.length} ask for something`}
                .
              </p>
            </>
          }
          sections={[
            {
              id: 'each',
              label: 'Each',
              content: () => (
                <>
                  <Totals rows={found} unit={unit} />
                  {byHand > 0 && (
                    <p className="doubt">
                      {byHand === 1
                        ? '1 line is set by hand in this draft, and stands as it is on every body.'
                        : `${byHand} lines are set by hand in this draft, and stand as they are on every body.`}{' '}
                      Give back at Draft what should follow the figures.
                    </p>
                  )}
                  <TrueAll truing={truing} asking={asking} tasks={byKey} />
                  {body ? (
                    <BodyLines
                      run={run}
                      body={body}
                      row={rows.of.get(body.key)}
                      onTrue={(all) => {
                        truing.start(all.flatMap((b) => byKey.get(b.key) ?? []));
                      }}
                    />
                  ) : (
                    <p className="quiet">Take a body in hand to see what its garment asks for.</p>
                  )}
                </>
              ),
            },
            {
              id: 'nest',
              label: 'Nest',
              content: () =>
                shown === 'nest' ? (
                  <NestLines run={run} parts={nest.parts} charts={hand.charts} />
                ) : (
                  <Button
                    variant="outlined"
                    onClick={() => {
                      set({ shown: 'nest' });
                    }}
                  >
                    Lay the sizes over one another
                  </Button>
                ),
            },
            { id: 'files', label: 'Files', content: () => <FilesLines run={run} lines={wanted} tasks={byKey} /> },
            { id: 'who', label: 'Who', content: () => <WhoLines hand={hand} /> },
          ]}
        />
      </aside>
    </>
  );
}

/** How much cloth all take together. */
function Totals({ rows, unit }: { readonly rows: readonly BatchRow[]; readonly unit: ReturnType<typeof useUnit> }) {
  const cloth = clothOfAll(rows);
  if (cloth.length === 0) return null;
  return (
    <p data-cloth-of-all>
      Cloth for all, one after the other, about{' '}
      {cloth.map(({ kind, length }, i) => (
        <span key={kind}>
          {i > 0 && ', '}
          {CLOTH_LABELS[kind].toLowerCase()} {withFractions(clothWords(toBuy(length, unit), unit))}
        </span>
      ))}
      .
    </p>
  );
}
