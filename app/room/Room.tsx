import { lazy, Suspense, useState, type ComponentType } from 'react';
import { useStore } from 'zustand';
import { Board, type BoardProps } from '../board/Board.js';
import type { Autosave } from '../store/autosave.js';
import { usePreferences } from '../store/preferences.js';
import type { RoomId } from '../store/rooms.js';
import { redrawnUnderstood, type OpenWork } from '../store/work-store.js';
import { Head } from './Head.js';
import { STATIONS, type StationId, type ViewId } from './stations.js';
import { useKeptSafe } from './use-kept-safe.js';
import { useReadied } from './use-readied.js';
import { useRoomKeys } from './use-room-keys.js';
import { Walk } from './Walk.js';

const CheckTape = lazy(() => import('../board/CheckTape.js').then((m) => ({ default: m.CheckTape })));
const MeasureStation = lazy(() => import('../measure/MeasureStation.js').then((m) => ({ default: m.MeasureStation })));
const CutStation = lazy(() => import('../cut/CutStation.js').then((m) => ({ default: m.CutStation })));

const CompareView = lazy(() => import('../compare/CompareView.js').then((m) => ({ default: m.CompareView })));
const StepsView = lazy(() => import('../steps/StepsView.js').then((m) => ({ default: m.StepsView })));
const SheetView = lazy(() => import('../sheet/SheetView.js').then((m) => ({ default: m.SheetView })));
const AdviseView = lazy(() => import('../advise/AdviseView.js').then((m) => ({ default: m.AdviseView })));

const DraftBench = lazy(() => import('../board/DraftBench.js').then((m) => ({ default: m.DraftBench })));
const TrueBench = lazy(() => import('../true/TrueBench.js').then((m) => ({ default: m.TrueBench })));
const TrueLayer = lazy(() => import('../true/TrueLayer.js').then((m) => ({ default: m.TrueLayer })));
const ChooseBench = lazy(() => import('../choose/ChooseBench.js').then((m) => ({ default: m.ChooseBench })));
const TrueItView = lazy(() => import('../true/TrueItView.js').then((m) => ({ default: m.TrueItView })));
const CurveView = lazy(() => import('../true/CurveView.js').then((m) => ({ default: m.CurveView })));
const ReferenceView = lazy(() =>
  import('../true/reference/ReferenceView.js').then((m) => ({ default: m.ReferenceView })),
);
const WalkView = lazy(() => import('../true/WalkView.js').then((m) => ({ default: m.WalkView })));
const ReportView = lazy(() => import('../true/ReportView.js').then((m) => ({ default: m.ReportView })));
const DrawnOtherwise = lazy(() => import('./DrawnOtherwise.js'));
const FindAnything = lazy(() => import('./FindAnything.js').then((m) => ({ default: m.FindAnything })));
const SaveTrouble = lazy(() => import('./SaveTrouble.js').then((m) => ({ default: m.SaveTrouble })));
const KeysDialog = lazy(() => import('./KeysDialog.js').then((m) => ({ default: m.KeysDialog })));

const BENCHES: Record<Exclude<StationId, 'cut' | 'measure'>, ComponentType> = {
  choose: ChooseBench,
  draft: DraftBench,
  true: TrueBench,
};

const trueLayer: BoardProps['above'] = (drawn) => (
  <Suspense fallback={undefined}>
    <TrueLayer drawn={drawn} />
  </Suspense>
);

const plainBoard = (over?: BoardProps['over'], above?: BoardProps['above']) => (
  <Board handles={false} cutShown={false} over={over} above={above} />
);

function OpenedView({ view }: { view: ViewId }) {
  switch (view) {
    case 'advise':
      return <AdviseView />;
    case 'compare':
      return <CompareView />;
    case 'steps':
      return <StepsView board={plainBoard} />;
    case 'it':
      return <TrueItView board={plainBoard} />;
    case 'curve':
      return <CurveView />;
    case 'outline':
      return <ReferenceView board={plainBoard} />;
    case 'walk':
      return <WalkView board={plainBoard} />;
    case 'report':
      return <ReportView />;
    case 'sheet':
      return <SheetView board={plainBoard} />;
  }
}

interface RoomProps {
  readonly room: RoomId;
  /** The draft in hand; nothing while a person is only being measured. */
  readonly draftId: string | undefined;
  /** Where a station is. */
  readonly pathOf: (station: StationId) => string;
  readonly station: StationId;
  /** What was opened from the station in the place of its bench. */
  readonly view?: ViewId | undefined;
  readonly autosave: Autosave;
  readonly open: OpenWork;
}

/** The room about one piece of work: walk, head, board or station, bench and tape. */
export function Room({ room, draftId, pathOf, station, view, autosave, open }: RoomProps) {
  useReadied(open);
  const benchOpen = usePreferences((p) => p.benchOpen);
  const [dialog, setDialog] = useState<'find' | 'keys'>();

  useRoomKeys(open, pathOf, setDialog);
  useKeptSafe(autosave);

  const since = useStore(open.redrawn, (s) => s.since);
  const unstored = useStore(autosave.state, ({ save }) => save === 'conflict' || save === 'failed');
  const faulty = useStore(open.computed, ({ fault }) => fault !== undefined);
  const refused = useStore(open.done, (d) => d.refused !== undefined);
  const troubled = unstored || faulty || refused;
  const Bench = station === 'cut' || station === 'measure' ? undefined : BENCHES[station];
  return (
    <div className="room">
      <Walk room={room} pathOf={pathOf} here={station} />
      <Head
        hasDraft={draftId !== undefined}
        autosave={autosave}
        onFind={() => {
          setDialog('find');
        }}
        onKeys={() => {
          setDialog('keys');
        }}
      />
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
      {view ? (
        <Suspense fallback={<p className="board quiet">Laying out the view …</p>}>
          <OpenedView view={view} />
        </Suspense>
      ) : Bench ? (
        <>
          <Board handles={station === 'draft'} cutShown={false} above={station === 'true' ? trueLayer : undefined} />
          {benchOpen && (
            <aside className="bench" aria-label={STATIONS.find((s) => s.id === station)?.label}>
              <Suspense fallback={<p className="quiet">Laying out the bench …</p>}>
                <Bench />
              </Suspense>
            </aside>
          )}
        </>
      ) : (
        <Suspense fallback={<p className="board quiet">Laying out the station …</p>}>
          {station === 'cut' ? (
            <CutStation />
          ) : (
            <MeasureStation room={room} benchOpen={benchOpen} board={<Board handles={false} cutShown={false} />} />
          )}
        </Suspense>
      )}
      <Suspense fallback={<footer className="tape" />}>
        <CheckTape />
      </Suspense>
      {troubled && (
        <Suspense fallback={undefined}>
          <SaveTrouble autosave={autosave} open={open} />
        </Suspense>
      )}
      <Suspense fallback={undefined}>
        {dialog === 'find' && (
          <FindAnything
            room={room}
            draftId={draftId}
            pathOf={pathOf}
            open={open}
            onKeys={() => {
              setDialog('keys');
            }}
            onClose={() => {
              setDialog(undefined);
            }}
          />
        )}
        {dialog === 'keys' && (
          <KeysDialog
            onClose={() => {
              setDialog(undefined);
            }}
          />
        )}
      </Suspense>
    </div>
  );
}
