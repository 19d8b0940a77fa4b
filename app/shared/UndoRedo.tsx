import IconButton from '@mui/material/IconButton';
import HistoryIcon from '@mui/icons-material/History';
import RedoIcon from '@mui/icons-material/Redo';
import UndoIcon from '@mui/icons-material/Undo';
import { lazy, Suspense, useState } from 'react';
import { sayAct, type Act, type ActReader } from '../../core/kept/index.js';

const ActsList = lazy(() => import('./ActsList.js').then((m) => ({ default: m.ActsList })));

interface UndoRedoProps {
  /** The acts of this place, oldest first. */
  readonly acts: readonly Act[];
  readonly reader: ActReader;
  readonly onUndo: () => void;
  readonly onRedo: () => void;
  /** Steps to the state after an act; before all of them where none is named. */
  readonly onStepTo: (act: Act | undefined) => void;
}

/** Undo, redo and the list of what was done, by press; the keys are the room's and the shelf's own. */
export function UndoRedo({ acts, reader, onUndo, onRedo, onStepTo }: UndoRedoProps) {
  const [anchor, setAnchor] = useState<HTMLElement>();
  const [last, next] = [acts.findLast((a) => !a.undone), acts.find((a) => a.undone)];
  return (
    <>
      <IconButton
        title={last ? `Undo: ${sayAct(last, reader)} (Ctrl Z)` : 'Undo (Ctrl Z)'}
        size="small"
        aria-label="Undo"
        disabled={!last}
        onClick={onUndo}
      >
        <UndoIcon />
      </IconButton>
      <IconButton
        title={next ? `Do again: ${sayAct(next, reader)} (Ctrl Y)` : 'Redo (Ctrl Y)'}
        size="small"
        aria-label="Redo"
        disabled={!next}
        onClick={onRedo}
      >
        <RedoIcon />
      </IconButton>
      <IconButton
        title="What was done"
        size="small"
        aria-label="What was done"
        aria-haspopup="menu"
        disabled={acts.length === 0}
        onClick={(event) => {
          setAnchor(event.currentTarget);
        }}
      >
        <HistoryIcon />
      </IconButton>
      {anchor && (
        <Suspense fallback={undefined}>
          <ActsList
            anchor={anchor}
            acts={acts}
            reader={reader}
            onStepTo={onStepTo}
            onClose={() => {
              setAnchor(undefined);
            }}
          />
        </Suspense>
      )}
    </>
  );
}
