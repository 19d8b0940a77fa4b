import { useEffect, useRef } from 'react';
import { keymap, type KeyActs } from './keymap.js';

/**
 * Answers keys wherever on the page they are pressed, while the view stands; `undefined` answers none. `first`: before
 * any other that is bound to the same key.
 */
export function useKeys(acts: KeyActs | undefined, { first = false }: { readonly first?: boolean } = {}): void {
  const latest = useRef(acts);
  useEffect(() => {
    latest.current = acts;
  });
  useEffect(() => {
    const answer = (event: KeyboardEvent): void => {
      if (!latest.current || !keymap(latest.current)(event)) return;
      if (first) event.stopImmediatePropagation();
    };
    window.addEventListener('keydown', answer, first);
    return () => {
      window.removeEventListener('keydown', answer, first);
    };
  }, [first]);
}
