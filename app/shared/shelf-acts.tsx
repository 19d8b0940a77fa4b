import Button from '@mui/material/Button';
import Snackbar from '@mui/material/Snackbar';
import { useState, type ReactNode } from 'react';
import type { RecordChange } from '../../core/kept/index.js';
import { DEFAULT_SHEET } from '../../core/method/index.js';
import type { Written } from '../store/change-log.js';
import { contentOf, type Shelf } from '../store/database.js';
import { doAt, inTurn, pastAndFuture, redoAct, stepTo, undoAct } from '../store/place-acts.js';
import { usePreferences } from '../store/preferences.js';
import { actsNow, queryClient, shelfKey, useActs } from '../store/queries.js';
import type { RoomId } from '../store/rooms.js';
import { shelfChanges, type ShelfChange } from '../store/shelf-change.js';
import { UndoRedo } from './UndoRedo.js';
import { useKeys } from './use-keys.js';

/** Something done to a room, with what it is called. */
export interface ShelfAct extends ShelfChange {
  readonly said: string;
  /** True where nothing is told of it: what is done shows by itself. */
  readonly quiet?: boolean;
}

/** Acts on a room with undo: how to act, how to tell, and what the page shows of it. */
export interface ShelfActs {
  readonly act: (done: ShelfAct) => Promise<void>;
  readonly tell: (words: string, undo: boolean) => void;
  readonly undoRedo: ReactNode;
  readonly message: ReactNode;
}

/** The places beside the drafts at which something is done; each undoes only what was done there. */
export type ShelfPlace = 'shelf' | 'crew' | 'charts' | 'practise';

/**
 * Everything a page does to the room is an act of the change log: it can be undone, by button, by key and from the
 * message that tells of it, also after the program was started anew, and never takes another place's work back.
 */
export function useShelfActs(room: RoomId, place: ShelfPlace): ShelfActs {
  const { data: acts = [] } = useActs(room, place);
  const unit = usePreferences((p) => p.unit);
  const [message, setMessage] = useState<{ readonly words: string; readonly undo: boolean }>();
  const [failed, setFailed] = useState<string>();
  const reader = { unit, sheet: DEFAULT_SHEET };
  /** Carries something out and tells what came of it. */
  const carriedOut = async (
    write: () => Promise<Written | undefined>,
    done: { readonly words: string; readonly undo: boolean } | undefined,
    clashed: (clashes: readonly RecordChange[]) => string | Promise<string>,
  ): Promise<void> => {
    try {
      const outcome = await write();
      setFailed(!outcome || outcome.ok ? undefined : await clashed(outcome.clashes));
      if (outcome?.ok) setMessage(done);
    } catch (fault) {
      setFailed(
        `This browser could not store it: ${fault instanceof Error ? fault.message : String(fault)} Nothing was changed; save the workbook to a file from Keep.`,
      );
    }
  };

  const act = async ({ said, quiet = false, ...change }: ShelfAct): Promise<void> => {
    const here = contentOf(queryClient.getQueryData<Shelf>(shelfKey(room)));
    const changes = shelfChanges(here, change);
    if (changes.length === 0) return;
    await inTurn(() =>
      carriedOut(
        () => doAt(room, place, said, changes, actsNow(room, place)),
        quiet ? undefined : { words: said, undo: true },
        async (clashes) => {
          const { sayClashes } = await import('./clashes-said.js');
          return `Changed in another window meanwhile: ${sayClashes(clashes, reader)}. Nothing was written; look at it and try again.`;
        },
      ),
    );
  };
  const step = (which: 'undo' | 'redo'): void => {
    void inTurn(async () => {
      const { past, future } = pastAndFuture(actsNow(room, place));
      const found = which === 'undo' ? past.at(-1) : future[0];
      if (!found) return;
      const { said } = found;
      await carriedOut(
        () => (which === 'undo' ? undoAct(room, found) : redoAct(room, found)),
        { words: `${which === 'undo' ? 'Undone' : 'Done again'}: ${said}`, undo: false },
        () =>
          `“${said}” cannot be ${which === 'undo' ? 'undone' : 'done again'}: what it changed has been worked on since. Nothing was changed.`,
      );
    });
  };
  const undo = (): void => {
    step('undo');
  };
  const redo = (): void => {
    step('redo');
  };
  useKeys({ '$mod+z': undo, '$mod+y': redo, '$mod+Shift+z': redo });

  return {
    act,
    tell: (words, undone) => {
      setMessage({ words, undo: undone });
    },
    undoRedo: (
      <UndoRedo
        onUndo={undo}
        onRedo={redo}
        acts={acts}
        reader={reader}
        onStepTo={(target) => {
          void inTurn(() =>
            carriedOut(
              () => stepTo(room, actsNow(room, place), target),
              { words: target ? `As after: ${target.said}` : 'As before all this', undo: false },
              () =>
                'One of the steps cannot be taken: what it changed has been worked on since. It went as far as it could.',
            ),
          );
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
              <Button color="inherit" onClick={undo}>
                Undo
              </Button>
            ) : undefined
          }
        />
      </>
    ),
  };
}
