import { createStore, type StoreApi } from 'zustand/vanilla';
import type { Work } from '../../core/kept/index.js';
import { saveWork, type Revisions } from './database.js';
import { shelfChanged } from './queries.js';
import type { RoomId } from './rooms.js';
import { outlineNow, type OpenWork } from './work-store.js';

/** How saving stands. */
export type SaveState = 'saved' | 'saving' | 'conflict' | 'failed';

/** Saving of one open piece of work. */
export interface Autosave {
  readonly state: StoreApi<{ readonly save: SaveState; readonly reason?: string }>;
  /** Keeps what is here over what another window wrote. */
  readonly keepMine: () => void;
  /** The revisions of the last save, or of what was read. */
  readonly revisions: () => Revisions;
  readonly stop: () => void;
}

/**
 * Saves the work at every change, one write after another, complete or not at all. Stops and says so where another
 * window has written since, or where the browser refuses to store. `keepsDraft` false saves the person alone.
 */
export function startAutosave(room: RoomId, open: OpenWork, read: Revisions, keepsDraft = true): Autosave {
  const state = createStore<{ save: SaveState; reason?: string }>()(() => ({ save: 'saved' }));
  let known: Revisions | undefined = read;
  let latest = read;
  let saved: Work = open.state.getState().work;
  let running = false;

  const run = async (): Promise<void> => {
    if (running || state.getState().save === 'conflict') return;
    running = true;
    try {
      for (;;) {
        const { work } = open.state.getState();
        if (work === saved) break;
        state.setState({ save: 'saving' });
        const outline = outlineNow(open);
        const draft = { ...work.draft, ...(outline && { outline }), changed: new Date().toISOString() };
        const stamped: Work = { ...work, draft };
        const outcome = await saveWork(room, stamped, known, keepsDraft);
        if (!outcome.ok) {
          state.setState({ save: 'conflict' });
          return;
        }
        known = outcome.revisions;
        latest = outcome.revisions;
        saved = work;
      }
      state.setState({ save: 'saved' });
      await shelfChanged(room);
    } catch (fault) {
      state.setState({ save: 'failed', reason: fault instanceof Error ? fault.message : String(fault) });
    } finally {
      running = false;
    }
  };

  const stop = open.state.subscribe((now, before) => {
    if (now.work !== before.work) void run();
  });
  return {
    state,
    stop,
    revisions: () => latest,
    keepMine: () => {
      known = undefined;
      state.setState({ save: 'saving' });
      void run();
    },
  };
}
