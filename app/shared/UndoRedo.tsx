import IconButton from '@mui/material/IconButton';
import HistoryIcon from '@mui/icons-material/History';
import RedoIcon from '@mui/icons-material/Redo';
import UndoIcon from '@mui/icons-material/Undo';
import { lazy, Suspense, useState } from 'react';
import type { Act, ActReader } from '../../core/kept/index.js';

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
  const [canUndo, canRedo] = [acts.some((a) => !a.undone), acts.some((a) => a.undone)];
  return (
    <>
      <IconButton title="Undo (Ctrl Z)" size="small" aria-label="Undo" disabled={!canUndo} onClick={onUndo}>
        <UndoIcon />
      </IconButton>
      <IconButton title="Redo (Ctrl Y)" size="small" aria-label="Redo" disabled={!canRedo} onClick={onRedo}>
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
