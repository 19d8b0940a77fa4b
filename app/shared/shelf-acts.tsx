import Button from '@mui/material/Button';
import Snackbar from '@mui/material/Snackbar';
import { useEffect, useRef, useState, type ReactNode } from 'react';
import type { WorkbookContent } from '../../core/kept/index.js';
import type { Shelf } from '../store/database.js';
import { useShelfChange } from '../store/queries.js';
import type { RoomId } from '../store/rooms.js';
import { useShelfHistory, type ShelfAct } from '../store/shelf-history.js';
import { UndoRedo } from './UndoRedo.js';

/** What is kept in a room, without its revisions. */
export const contentOf = (shelf: Shelf | undefined): WorkbookContent => ({
  people: shelf?.people.map((p) => p.value) ?? [],
  drafts: shelf?.drafts.map((d) => d.value) ?? [],
  charts: shelf?.charts.map((c) => c.value) ?? [],
});

/** Acts on a room's shelf with undo: how to act, how to tell, and what the page shows of it. */
export interface ShelfActs {
  readonly act: (done: ShelfAct) => Promise<void>;
  readonly tell: (words: string, undo: boolean) => void;
  readonly undoRedo: ReactNode;
  readonly message: ReactNode;
}

/** Everything a page does to the shelf can be undone, by button, by key and from the message that tells of it. */
export function useShelfActs(room: RoomId): ShelfActs {
  const change = useShelfChange(room);
  const history = useShelfHistory();
  const [message, setMessage] = useState<{ readonly words: string; readonly undo: boolean }>();
  const [failed, setFailed] = useState<string>();

  const act = async (done: ShelfAct): Promise<void> => {
    try {
      await change.mutateAsync(done.forward);
      history.did(room, done);
      setMessage({ words: done.said, undo: true });
    } catch (fault) {
      setFailed(
        `This browser could not store it: ${fault instanceof Error ? fault.message : String(fault)} Nothing was changed; save the workbook to a file from Keep.`,
      );
    }
  };
  const step = (which: 'takeBack' | 'takeAgain'): void => {
    const found = history[which](room);
    if (!found) return;
    change.mutate(which === 'takeBack' ? found.backward : found.forward);
    setMessage({ words: `${which === 'takeBack' ? 'Undone' : 'Done again'}: ${found.said}`, undo: false });
  };
  const stepNow = useRef(step);
  useEffect(() => {
    stepNow.current = step;
  });
  useEffect(() => {
    const keys = (event: KeyboardEvent): void => {
      if (!(event.ctrlKey || event.metaKey) || event.target instanceof HTMLInputElement) return;
      const key = event.key.toLowerCase();
      if (key === 'z' || key === 'y') {
        event.preventDefault();
        stepNow.current(key === 'y' || event.shiftKey ? 'takeAgain' : 'takeBack');
      }
    };
    window.addEventListener('keydown', keys);
    return () => {
      window.removeEventListener('keydown', keys);
    };
  }, []);

  return {
    act,
    tell: (words, undo) => {
      setMessage({ words, undo });
    },
    undoRedo: (
      <UndoRedo
        canUndo={history.past[room].length > 0}
        canRedo={history.future[room].length > 0}
        onUndo={() => {
          step('takeBack');
        }}
        onRedo={() => {
          step('takeAgain');
        }}
      />
    ),
    message: (
      <>
        {failed !== undefined && (
          <p className="problem" role="alert">
            {failed}
          </p>
        )}
        <Snackbar
          open={message !== undefined}
          autoHideDuration={8000}
          onClose={(_, reason) => {
            if (reason !== 'clickaway') setMessage(undefined);
          }}
          message={message?.words}
          action={
            message?.undo ? (
              <Button
                color="inherit"
                onClick={() => {
                  step('takeBack');
                }}
              >
                Undo
              </Button>
            ) : undefined
          }
        />
      </>
    ),
  };
}
