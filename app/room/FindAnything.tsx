import { useNavigate } from 'react-router';
import { MEASUREMENTS } from '../../core/measure/index.js';
import { lineLabel, panelLine, settingsOf } from '../../core/method/index.js';
import { useBoard } from '../board/board-store.js';
import { useShelf } from '../store/queries.js';
import type { RoomId } from '../store/rooms.js';
import { sheetOf } from '../store/sheets.js';
import type { OpenWork } from '../store/open-work.js';
import { FindDialog, type Findable } from './FindDialog.js';
import { STATIONS, VIEWS, type StationId } from './stations.js';

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

interface FindAnythingProps {
  readonly room: RoomId;
  readonly draftId: string | undefined;
  readonly pathOf: (station: StationId) => string;
  readonly open: OpenWork;
  readonly onKeys: () => void;
  readonly onClose: () => void;
}

/** Finds a station, a view, a person, a draft, a command or a line, and goes there. */
export function FindAnything({ room, draftId, pathOf, open, onKeys, onClose }: FindAnythingProps) {
  const go = useNavigate();
  const shelf = useShelf(room);
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
  const to = (kind: string, id: string, label: string, path: string): Findable => ({
    id,
    kind,
    label,
    go: () => void go(path),
  });
  const all: readonly Findable[] = [
    ...STATIONS.map((s) => to('Station', `station-${s.id}`, s.label, pathOf(s.id))),
    to('Station', 'keep', 'Keep: all drafts', `/${room}`),
    to('Station', 'crew', 'Crew: everybody’s figures', `/${room}/crew`),
    to('Station', 'sizes', 'Size charts', `/${room}/sizes`),
    ...(shelf.data?.people ?? []).map(({ value }) =>
      to('Person', `person-${value.id}`, value.name, `/${room}/person/${value.id}`),
    ),
    { id: 'undo', kind: 'Command', label: 'Undo', go: open.undo },
    { id: 'redo', kind: 'Command', label: 'Redo', go: open.redo },
    { id: 'keys', kind: 'Command', label: 'Sheet of keys', go: onKeys },
    to('Command', 'print', 'Print pieces', pathOf('cut')),
    ...(draftId === undefined ? [] : VIEWS).map(({ id, label, station }) =>
      to('Command', `view-${id}`, label, `${pathOf(station)}/${id}`),
    ),
    ...(shelf.data?.drafts ?? []).map(({ value }) =>
      to('Draft', `draft-${value.id}`, value.name, `/${room}/draft/${value.id}/draft`),
    ),
    ...sheet.lines.map((l) => line('Parameter', l.name, lineLabel(sheet, l.name), 'draft')),
    ...counting.map((l) => line('Setting', l.name, l.label, 'choose')),
    ...[...MEASUREMENTS.values()].map((m) => line('Measurement', m.id, m.label, 'measure')),
  ];
  return <FindDialog all={all} onClose={onClose} />;
}
