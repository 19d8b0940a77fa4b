import BenchIcon from '@mui/icons-material/ViewSidebarOutlined';
import IconButton from '@mui/material/IconButton';
import { useNavigate } from 'react-router';
import { useStore } from 'zustand';
import { HeadTools } from '../head/HeadTools.js';
import { UndoRedo } from '../shared/UndoRedo.js';
import { stepsTo } from '../store/place-acts.js';
import { usePreferences, withUnit } from '../store/preferences.js';
import { useShelf } from '../store/queries.js';
import type { RoomId } from '../store/rooms.js';
import { sheetOf } from '../store/sheets.js';
import { changeUnit } from '../store/work-changes.js';
import { useChange, useOpenWork, useUnit, useWork } from '../store/work-context.js';
import type { StationId } from './stations.js';

/** The right of the room's head: undo, redo and what was done, find, settings, and the bench folded away or brought out. */
export function RoomTools({
  room,
  draftId,
  pathOf,
}: {
  room: RoomId;
  draftId: string | undefined;
  pathOf: (station: StationId) => string;
}) {
  const go = useNavigate();
  const open = useOpenWork();
  const change = useChange();
  const shelf = useShelf(room);
  const acts = useStore(open.done, (d) => d.acts);
  const draft = useWork(({ work }) => work.draft);
  const unit = useUnit();
  const preferences = usePreferences();
  const step = (path: string): void => void go(path);
  return (
    <HeadTools
      undoRedo={
        <UndoRedo
          acts={acts}
          reader={{ unit, sheet: sheetOf(draft) }}
          onUndo={open.undo}
          onRedo={open.redo}
          onStepTo={(target) => {
            for (const [way] of stepsTo(acts, target)) open[way]();
          }}
        />
      }
      findables={async () => {
        const [{ roomFindables }, { shelfFindables }] = await Promise.all([
          import('./room-findables.js'),
          import('../find/shelf-findables.js'),
        ]);
        return [...roomFindables({ draftId, pathOf, open, go: step }), ...shelfFindables(room, shelf.data, step)];
      }}
      unit={unit}
      onUnit={(next) => {
        preferences.set(withUnit(preferences, next));
        change(changeUnit(next));
      }}
    >
      <IconButton
        title={preferences.benchOpen ? 'Fold the bench away (B)' : 'Bring the bench out (B)'}
        size="small"
        aria-label="Bench"
        aria-pressed={preferences.benchOpen}
        onClick={() => {
          preferences.set({ benchOpen: !preferences.benchOpen });
        }}
      >
        <BenchIcon />
      </IconButton>
    </HeadTools>
  );
}
