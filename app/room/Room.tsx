import Button from '@mui/material/Button';
import { lazy, Suspense, useEffect, useState, type ComponentType } from 'react';
import { useNavigate } from 'react-router';
import { useStore } from 'zustand';
import { MEASUREMENTS } from '../../core/measure/index.js';
import { lineLabel, panelLine, settingsOf } from '../../core/method/index.js';
import { Board, type BoardProps } from '../board/Board.js';
import { useBoard } from '../board/board-store.js';
import type { Autosave } from '../store/autosave.js';
import { usePreferences } from '../store/preferences.js';
import { useShelf } from '../store/queries.js';
import type { RoomId } from '../store/rooms.js';
import { sheetOf } from '../store/sheets.js';
import { redrawnUnderstood, type OpenWork } from '../store/work-store.js';
import type { Findable } from './FindDialog.js';
import { Head } from './Head.js';
import { STATIONS, type StationId, type ViewId } from './stations.js';
import { useReadied } from './use-readied.js';
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
const FindDialog = lazy(() => import('./FindDialog.js').then((m) => ({ default: m.FindDialog })));
const KeysDialog = lazy(() => import('./KeysDialog.js').then((m) => ({ default: m.KeysDialog })));

const BENCHES: Record<Exclude<StationId, 'cut' | 'measure'>, ComponentType> = {
  choose: ChooseBench,
  draft: DraftBench,
  true: TrueBench,
};

const VIEW_WORDS: readonly (readonly [ViewId, string, StationId])[] = [
  ['advise', 'Which method', 'choose'],
  ['compare', 'Compare methods and drafts', 'choose'],
  ['steps', 'Worked steps', 'choose'],
  ['sheet', 'Method sheet', 'choose'],
  ['it', 'True it', 'true'],
  ['walk', 'Walk the seams', 'true'],
  ['curve', 'The body’s curve', 'true'],
  ['outline', 'Outline from a file', 'true'],
  ['report', 'Check report', 'true'],
];

/** How often, and how long apart in ms, a line is looked for that is still being laid out. */
const LOOKS = 40;
const LOOK_MS = 50;

/** Puts the cursor into a line of the bench, opening its group first where it lies in one. */
function focusOn(name: string, looks = LOOKS): void {
  const field = document.querySelector<HTMLInputElement>(`[data-line="${name}"] input`);
  if (!field) document.querySelectorAll('.bench details').forEach((group) => group.setAttribute('open', ''));
  window.setTimeout(
    () => {
      if (field) field.focus();
      else if (looks > 0) focusOn(name, looks - 1);
    },
    field ? 0 : LOOK_MS,
  );
}

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
  readonly onReload: () => void;
}

/** The room about one piece of work: walk, head, board or station, bench and tape. */
export function Room({ room, draftId, pathOf, station, view, autosave, open, onReload }: RoomProps) {
  const go = useNavigate();
  const save = useStore(autosave.state);
  useReadied(open);
  const { benchOpen, set: prefer } = usePreferences();
  const shelf = useShelf(room);
  const [dialog, setDialog] = useState<'find' | 'keys'>();

  useEffect(() => {
    const keys = (event: KeyboardEvent): void => {
      const typing = event.target instanceof HTMLInputElement || event.target instanceof HTMLSelectElement;
      const key = event.key.toLowerCase();
      if (event.ctrlKey || event.metaKey) {
        if (key === 'z' && !event.shiftKey) open.undo();
        else if (key === 'y' || (key === 'z' && event.shiftKey)) open.redo();
        else if (key === 'k') setDialog('find');
        else return;
        event.preventDefault();
        return;
      }
      if (typing || event.altKey || event.target instanceof HTMLTextAreaElement) return;
      const byNumber = STATIONS[Number(event.key) - 1];
      if (byNumber) void go(pathOf(byNumber.id));
      else if (key === '?') setDialog('keys');
      else if (key === 'f') {
        const board = useBoard.getState();
        board.set({ inHand: board.inHand === 'front' ? 'back' : 'front' });
      } else if (key === 'b') prefer({ benchOpen: !usePreferences.getState().benchOpen });
    };
    window.addEventListener('keydown', keys);
    return () => {
      window.removeEventListener('keydown', keys);
    };
  }, [open, go, pathOf, prefer]);

  const findable = (): Findable[] => {
    const { work } = open.state.getState();
    const sheet = sheetOf(work.draft);
    const counting = open.computed.getState().draft?.worked.settings ?? settingsOf(sheet).filter((s) => !s.when);
    const toLine = (name: string, to: StationId) => (): void => {
      const panel = panelLine(name)?.panel;
      if (panel) useBoard.getState().set({ inHand: panel });
      void Promise.resolve(go(pathOf(to))).then(() => {
        window.setTimeout(() => {
          focusOn(name);
        }, 60);
      });
    };
    const line = (kind: string, name: string, label: string, to: StationId): Findable => ({
      id: `line-${name.replace('.', '-')}`,
      kind,
      label,
      go: toLine(name, to),
    });
    return [
      ...STATIONS.map((s) => ({
        id: `station-${s.id}`,
        kind: 'Station',
        label: s.label,
        go: () => void go(pathOf(s.id)),
      })),
      { id: 'keep', kind: 'Station', label: 'Keep: all drafts', go: () => void go(`/${room}`) },
      { id: 'crew', kind: 'Station', label: 'Crew: everybody’s figures', go: () => void go(`/${room}/crew`) },
      { id: 'sizes', kind: 'Station', label: 'Size charts', go: () => void go(`/${room}/sizes`) },
      ...(shelf.data?.people ?? []).map(({ value }) => ({
        id: `person-${value.id}`,
        kind: 'Person',
        label: value.name,
        go: () => void go(`/${room}/person/${value.id}`),
      })),
      { id: 'undo', kind: 'Command', label: 'Undo', go: open.undo },
      { id: 'redo', kind: 'Command', label: 'Redo', go: open.redo },
      {
        id: 'keys',
        kind: 'Command',
        label: 'Sheet of keys',
        go: () => {
          setDialog('keys');
        },
      },
      { id: 'print', kind: 'Command', label: 'Print pieces', go: () => void go(pathOf('cut')) },
      ...(draftId === undefined ? [] : VIEW_WORDS).map(([id, label, at]) => ({
        id: `view-${id}`,
        kind: 'Command',
        label,
        go: () => void go(`${pathOf(at)}/${id}`),
      })),
      ...(shelf.data?.drafts ?? []).map(({ value }) => ({
        id: `draft-${value.id}`,
        kind: 'Draft',
        label: value.name,
        go: () => void go(`/${room}/draft/${value.id}/draft`),
      })),
      ...sheet.lines.map((l) => line('Parameter', l.name, lineLabel(sheet, l.name), 'draft')),
      ...counting.map((l) => line('Setting', l.name, l.label, 'choose')),
      ...[...MEASUREMENTS.values()].map((m) => line('Measurement', m.id, m.label, 'measure')),
    ];
  };

  const since = useStore(open.redrawn, (s) => s.since);
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
      {(save.save === 'conflict' || save.save === 'failed') && (
        <div className="save-trouble" role="alert">
          {save.save === 'conflict'
            ? 'This draft was changed in another window since it was opened here.'
            : `This browser could not store the draft: ${save.reason ?? ''} Save the workbook to a file from Keep.`}{' '}
          <Button size="small" variant="contained" onClick={autosave.keepMine}>
            {save.save === 'conflict' ? 'Keep what is here' : 'Try again'}
          </Button>{' '}
          {save.save === 'conflict' && (
            <Button size="small" variant="outlined" onClick={onReload}>
              Take the other
            </Button>
          )}
        </div>
      )}
      <Suspense fallback={undefined}>
        {dialog === 'find' && (
          <FindDialog
            all={findable()}
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
