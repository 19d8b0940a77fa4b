import { useNavigate } from 'react-router';
import { useBoard } from '../board/board-store.js';
import { DIALOG_KEYS } from '../head/dialogs.js';
import { useKeys } from '../shared/use-keys.js';
import { usePreferences } from '../store/preferences.js';
import type { OpenWork } from '../store/open-work.js';
import { STATIONS, type StationId } from './stations.js';

/** The keys of the room: undo and redo, find, the stations by number, the piece in hand, the bench, the sheet of keys. */
export function useRoomKeys(open: OpenWork, pathOf: (station: StationId) => string): void {
  const go = useNavigate();
  const redo = (): void => {
    open.redo();
  };
  useKeys({
    ...DIALOG_KEYS,
    ...Object.fromEntries(STATIONS.map(({ key, id }) => [key, () => void go(pathOf(id))])),
    '$mod+z': () => {
      open.undo();
    },
    '$mod+Shift+z': redo,
    '$mod+y': redo,
    f: () => {
      const board = useBoard.getState();
      board.set({ inHand: board.inHand === 'front' ? 'back' : 'front' });
    },
    b: () => {
      const { benchOpen, set } = usePreferences.getState();
      set({ benchOpen: !benchOpen });
    },
  });
}
