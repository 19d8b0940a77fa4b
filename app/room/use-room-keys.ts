import { useEffect } from 'react';
import { useNavigate } from 'react-router';
import { useBoard } from '../board/board-store.js';
import { dialogByKey, isTyping } from '../head/dialogs.js';
import { isHalfTyped } from '../shared/half-typed.js';
import { usePreferences } from '../store/preferences.js';
import type { OpenWork } from '../store/open-work.js';
import { STATIONS, type StationId } from './stations.js';

/** The keys of the room: undo and redo, find, the stations by number, the piece in hand, the bench, the sheet of keys. */
export function useRoomKeys(open: OpenWork, pathOf: (station: StationId) => string): void {
  const go = useNavigate();
  useEffect(() => {
    const keys = (event: KeyboardEvent): void => {
      if (dialogByKey(event)) return;
      const key = event.key.toLowerCase();
      if (event.ctrlKey || event.metaKey) {
        // What is half typed is the field's own to undo.
        if ((key === 'z' || key === 'y') && isHalfTyped(event.target)) return;
        if (key === 'z' && !event.shiftKey) open.undo();
        else if (key === 'y' || (key === 'z' && event.shiftKey)) open.redo();
        else return;
        event.preventDefault();
        return;
      }
      if (isTyping(event.target) || event.altKey) return;
      const byKey = STATIONS.find((s) => s.key === event.key);
      if (byKey) void go(pathOf(byKey.id));
      else if (key === 'f') {
        const board = useBoard.getState();
        board.set({ inHand: board.inHand === 'front' ? 'back' : 'front' });
      } else if (key === 'b') {
        const { benchOpen, set } = usePreferences.getState();
        set({ benchOpen: !benchOpen });
      }
    };
    window.addEventListener('keydown', keys);
    return () => {
      window.removeEventListener('keydown', keys);
    };
  }, [open, go, pathOf]);
}
