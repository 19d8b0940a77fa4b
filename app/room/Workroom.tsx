import Button from '@mui/material/Button';
import { lazy, Suspense, useEffect, useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { useStore } from 'zustand';
import { MEASUREMENTS } from '../../core/measure/index.js';
import { lineLabel, sheetById } from '../../core/method/index.js';
import type { Work } from '../../core/kept/index.js';
import { Board } from '../board/Board.js';
import { useBoard } from '../board/board-store.js';
import { CheckTape } from '../board/CheckTape.js';
import { DraftBench } from '../board/DraftBench.js';
import { ChooseBench } from '../choose/ChooseBench.js';
import { Opening } from '../shared/Opening.js';
import { startAutosave, type Autosave } from '../store/autosave.js';
import type { Revisions } from '../store/database.js';
import { usePreferences } from '../store/preferences.js';
import { useShelf } from '../store/queries.js';
import { roomOf, type RoomId } from '../store/rooms.js';
import { WorkProvider } from '../store/work-context.js';
import { openWork, type OpenWork } from '../store/work-store.js';
import { FindDialog, type Findable } from './FindDialog.js';
import { Head } from './Head.js';
import { KeysDialog } from './KeysDialog.js';
import { STATIONS, stationOf, type StationId } from './stations.js';
import { Walk } from './Walk.js';

const MeasureStation = lazy(() => import('../measure/MeasureStation.js').then((m) => ({ default: m.MeasureStation })));
const CutStation = lazy(() => import('../cut/CutStation.js').then((m) => ({ default: m.CutStation })));

const BENCHES: Record<Exclude<StationId, 'cut' | 'measure'>, () => React.JSX.Element> = {
  choose: ChooseBench,
  draft: DraftBench,
};

/** Work that was opened stays open while the program runs, so that its undo reaches back across visits. */
const opened = new Map<string, { open: OpenWork; autosave: Autosave }>();

function openOnce(room: RoomId, work: Work, revisions: Revisions): { open: OpenWork; autosave: Autosave } {
  const key = `${room} ${work.draft.id}`;
  const known = opened.get(key);
  if (known) return known;
  const open = openWork(work);
  const fresh = { open, autosave: startAutosave(room, open, revisions) };
  opened.set(key, fresh);
  return fresh;
}

/** Puts the cursor into a line of the bench, opening its group first where it lies in one. */
function focusOn(name: string): void {
  const field = (): HTMLInputElement | null => document.querySelector(`[data-line="${name}"] input`);
  if (!field()) document.querySelectorAll('.bench details').forEach((group) => group.setAttribute('open', ''));
  window.setTimeout(() => {
    field()?.focus();
  }, 60);
}

/** Forgets what was open in a room, after its shelf was changed from outside the board. */
export function closeWork(room: RoomId, draftId: string): void {
  const key = `${room} ${draftId}`;
  opened.get(key)?.autosave.stop();
  opened.delete(key);
}

/**
 * Opens work from the shelf. What is still open is used as it is, with its undo, unless the shelf has moved on while it
 * lay untouched: renamed, undone, opened from a file, or changed in another window.
 */
function openFromShelf(room: RoomId, shelved: Work, revisions: Revisions): { open: OpenWork; autosave: Autosave } {
  const known = opened.get(`${room} ${shelved.draft.id}`);
  if (known?.autosave.state.getState().save === 'saved') {
    const last = known.autosave.revisions();
    if (revisions.draft > last.draft || revisions.person > last.person) closeWork(room, shelved.draft.id);
  }
  return openOnce(room, shelved, revisions);
}

/** The room for one draft: walk, head, board, bench and tape. */
export function Workroom() {
  const { room: roomName, draftId = '', station } = useParams();
  const room = roomOf(roomName);
  const shelf = useShelf(room);
  const [visit, setVisit] = useState(0);
  const draft = shelf.data?.drafts.find((d) => d.id === draftId);
  const person = shelf.data?.people.find((p) => p.id === draft?.value.personId);

  if (shelf.isPending) return <Opening className="page quiet" />;
  if (!draft || !person) {
    return (
      <main className="page">
        <h1>This draft is not here</h1>
        <p>It may have been deleted, or it belongs to another workroom.</p>
        <Button component={Link} to={`/${room}`} variant="contained">
          All drafts
        </Button>
      </main>
    );
  }
  return (
    <OpenRoom
      key={`${room} ${draftId} ${visit}`}
      room={room}
      shelved={{ person: person.value, draft: draft.value }}
      revisions={{ person: person.revision, draft: draft.revision }}
      station={stationOf(station)}
      onReload={() => {
        closeWork(room, draftId);
        void shelf.refetch().then(() => {
          setVisit(visit + 1);
        });
      }}
    />
  );
}

interface OpenRoomProps {
  readonly room: RoomId;
  readonly shelved: Work;
  readonly revisions: Revisions;
  readonly station: StationId;
  readonly onReload: () => void;
}

/** The work is opened once: every save of this window changes the shelf as well. */
function OpenRoom({ room, shelved, revisions, station, onReload }: OpenRoomProps) {
  const [{ open, autosave }] = useState(() => openFromShelf(room, shelved, revisions));
  return (
    <WorkProvider value={open}>
      <Room
        room={room}
        draftId={shelved.draft.id}
        station={station}
        autosave={autosave}
        open={open}
        onReload={onReload}
      />
    </WorkProvider>
  );
}

interface RoomProps {
  readonly room: RoomId;
  readonly draftId: string;
  readonly station: StationId;
  readonly autosave: Autosave;
  readonly open: OpenWork;
  readonly onReload: () => void;
}

function Room({ room, draftId, station, autosave, open, onReload }: RoomProps) {
  const go = useNavigate();
  const save = useStore(autosave.state);
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
      if (typing || event.altKey) return;
      const byNumber = STATIONS[Number(event.key) - 1];
      if (byNumber) void go(`/${room}/draft/${draftId}/${byNumber.id}`);
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
  }, [open, go, room, draftId, prefer]);

  const findable = (): Findable[] => {
    const { work } = open.state.getState();
    const sheet = sheetById(work.draft.method);
    const toLine = (name: string, to: StationId) => (): void => {
      const panel = name.split('.')[0];
      if (panel === 'front' || panel === 'back') useBoard.getState().set({ inHand: panel });
      void Promise.resolve(go(`/${room}/draft/${draftId}/${to}`)).then(() => {
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
        go: () => void go(`/${room}/draft/${draftId}/${s.id}`),
      })),
      { id: 'keep', kind: 'Station', label: 'Keep: all drafts', go: () => void go(`/${room}`) },
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
      { id: 'print', kind: 'Command', label: 'Print pieces', go: () => void go(`/${room}/draft/${draftId}/cut`) },
      ...(shelf.data?.drafts ?? []).map(({ value }) => ({
        id: `draft-${value.id}`,
        kind: 'Draft',
        label: value.name,
        go: () => void go(`/${room}/draft/${value.id}/draft`),
      })),
      ...(sheet?.lines ?? []).map((l) => line('Parameter', l.name, sheet ? lineLabel(sheet, l.name) : l.name, 'draft')),
      ...(sheet?.settings ?? []).map((l) => line('Setting', l.name, l.label, 'choose')),
      ...[...MEASUREMENTS.values()].map((m) => line('Measurement', m.id, m.label, 'measure')),
    ];
  };

  const Bench = station === 'cut' || station === 'measure' ? undefined : BENCHES[station];
  return (
    <div className="room">
      <Walk room={room} draftId={draftId} here={station} />
      <Head
        autosave={autosave}
        onFind={() => {
          setDialog('find');
        }}
        onKeys={() => {
          setDialog('keys');
        }}
      />
      {Bench ? (
        <>
          <Board handles={station === 'draft'} cutShown={false} />
          {benchOpen && (
            <aside className="bench" aria-label={STATIONS.find((s) => s.id === station)?.label}>
              <Bench />
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
      <CheckTape />
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
    </div>
  );
}
