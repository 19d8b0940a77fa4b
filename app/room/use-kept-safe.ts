import { useEffect } from 'react';
import type { Autosave } from '../store/autosave.js';

/**
 * Takes over what is typed, and writes what waits, as the page is hidden or left; asks before it is left with something
 * that is not stored.
 */
export function useKeptSafe(autosave: Autosave): void {
  useEffect(() => {
    const takeOver = (): void => {
      if (document.activeElement instanceof HTMLElement) document.activeElement.blur();
      autosave.leave();
    };
    const hidden = (): void => {
      if (document.visibilityState === 'hidden') takeOver();
    };
    const leaving = (event: BeforeUnloadEvent): void => {
      takeOver();
      const { save } = autosave.state.getState();
      if (save === 'conflict' || save === 'failed') event.preventDefault();
    };
    document.addEventListener('visibilitychange', hidden);
    window.addEventListener('pagehide', takeOver);
    window.addEventListener('beforeunload', leaving);
    return () => {
      document.removeEventListener('visibilitychange', hidden);
      window.removeEventListener('pagehide', takeOver);
      window.removeEventListener('beforeunload', leaving);
    };
  }, [autosave]);
}
