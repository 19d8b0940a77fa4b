import { lazy, Suspense, useEffect, useRef } from 'react';
import { ErrorBoundary } from 'react-error-boundary';
import { useStore } from 'zustand';
import { Board } from '../board/Board.js';
import { PIECES, READINGS } from '../board/layers.js';
import { useBoard } from '../board/board-store.js';
import { onDemand } from '../shared/on-demand.js';
import { StationFault } from '../shared/StationFault.js';
import type { Autosave } from '../store/autosave.js';
import { usePreferences } from '../store/preferences.js';
import type { RoomId } from '../store/rooms.js';
import { type OpenWork } from '../store/open-work.js';
import { redrawnUnderstood } from '../store/work-changes.js';
import { RoomHead } from './RoomHead.js';
import { stationNamed, viewOf, type BoardMaker, type StationId } from './stations.js';
import { SkipLinks } from './SkipLinks.js';
import { useKeptSafe } from './use-kept-safe.js';
import { useRoomKeys } from './use-room-keys.js';
import { Walk } from './Walk.js';

const CheckBench = lazy(() => import('../checks/CheckBench.js'));
const CheckTape = onDemand(() => import('../checks/CheckTape.js').then((m) => ({ default: m.CheckTape })));
const DrawnOtherwise = lazy(() => import('./DrawnOtherwise.js'));
const SheetGrip = onDemand(() => import('./SheetGrip.js').then((m) => ({ default: m.SheetGrip })));
const SaveTrouble = lazy(() => import('./SaveTrouble.js').then((m) => ({ default: m.SaveTrouble })));

/** What a room shows as soon as it is opened. */
export const ROOM_PARTS = [CheckTape, SheetGrip] as const;

const layBoard: BoardMaker = (instead, above) => (
  <Board layers={instead ? READINGS : PIECES}>
    {(drawn) => (
      <>
        {instead?.(drawn)}
        {above?.(drawn)}
      </>
    )}
  </Board>
);

interface RoomProps {
  readonly room: RoomId;
  /** The draft in hand; nothing while a person is only being measured. */
  readonly draftId: string | undefined;
  /** Where a station is. */
  readonly pathOf: (station: StationId) => string;
  readonly station: StationId;
  /** What was opened from the station in the place of its bench. */
  readonly view?: string | undefined;
  readonly autosave: Autosave;
  readonly open: OpenWork;
}

/** The room about one piece of work: walk, head, board or station, bench and tape. */
export function Room({ room, draftId, pathOf, station, view, autosave, open }: RoomProps) {
  useEffect(() => {
    const ready = import('./ready-chain.js').then((m) => m.readyChain(open));
    return () => void ready.then((end) => end());
  }, [open]);
  const benchOpen = usePreferences((p) => p.benchOpen);
  const sheet = usePreferences((p) => p.sheet);
  const checking = useBoard((s) => s.checks !== undefined) && (station !== 'true' || view !== undefined);
  useEffect(
    () => () => {
      // What was asked of the checks at one place is not asked at the next.
      useBoard.getState().set({ checks: undefined, check: undefined });
    },
    [station, view],
  );
  const from = useRef(station);
  useEffect(() => {
    // A key that steps to a station leaves the focus with it, where what had it is gone.
    if (from.current !== station && document.activeElement === document.body)
      document.querySelector<HTMLElement>('.walk [aria-current="page"]')?.focus();
    from.current = station;
  }, [station]);

  useRoomKeys(open, pathOf);
  useKeptSafe(autosave);

  const since = useStore(open.redrawn, (s) => s.since);
  const unstored = useStore(autosave.state, ({ save }) => save === 'conflict' || save === 'failed');
  const faulty = useStore(open.computed, ({ fault }) => fault !== undefined);
  const refused = useStore(open.done, (d) => d.refused !== undefined);
  const done = useStore(open.done, (d) => d.acts);
  const troubled = unstored || faulty || refused;
  const { label, Bench, Place, layers = PIECES } = stationNamed(station);
  const { View, tape = true } = viewOf(station, view) ?? {};
  return (
    <div className="room" data-sheet={sheet}>
      <SkipLinks />
      <Walk room={room} pathOf={pathOf} here={station} />
      <RoomHead room={room} draftId={draftId} pathOf={pathOf} station={label} autosave={autosave} />
      {since && (
        <Suspense>
          <DrawnOtherwise
            kept={since.kept}
            block={since.block}
            onUnderstood={() => {
              redrawnUnderstood(open);
            }}
          />
        </Suspense>
      )}
      <ErrorBoundary FallbackComponent={StationFault} resetKeys={[station, view, done]}>
        <Suspense
          fallback={
            <main className="board">
              <p className="quiet">Laying out the station …</p>
            </main>
          }
        >
          {View ? (
            <View board={layBoard} />
          ) : Place ? (
            <Place room={room} benchOpen={benchOpen && !checking} board={layBoard()} />
          ) : (
            <Board layers={layers} />
          )}
        </Suspense>
        {benchOpen && checking && (
          <Suspense fallback={<aside className="bench" />}>
            <CheckBench />
          </Suspense>
        )}
        {!View && !checking && Bench && benchOpen && (
          <aside className="bench" aria-label={label}>
            <Suspense fallback={<p className="quiet">Laying out the bench …</p>}>
              <Bench />
            </Suspense>
          </aside>
        )}
      </ErrorBoundary>
      <Suspense fallback={undefined}>
        <SheetGrip />
      </Suspense>
      {tape && (
        <Suspense fallback={<footer className="tape" />}>
          <CheckTape />
        </Suspense>
      )}
      {troubled && (
        <Suspense fallback={undefined}>
          <SaveTrouble autosave={autosave} open={open} />
        </Suspense>
      )}
    </div>
  );
}
