import { computeDraft } from '../../core/chain/index.js';
import { SHEETS } from '../../core/shipped/index.js';
import { inputNow, putSheets } from '../store/sheets.js';
import type { OpenWork } from '../store/open-work.js';

// Undo, and a version made current, may lead to a method that this page has not drawn by yet.
putSheets(SHEETS);

/** So many runs of the chain and the browser has made its code fast. */
const RUNS = 400;
/** What one run may take at first, in ms: it is begun only where so much idle time is left. */
const ROOM_FOR_ONE = 8;

/**
 * Runs the chain in idle time once a draft is open, so that the first drag meets code that the browser has made fast;
 * gives the way to end it.
 */
export function readyChain(open: OpenWork): () => void {
  // Not every browser tells its idle time; without it the first drag is as it is.
  if (!('requestIdleCallback' in window)) return () => undefined;
  let left = RUNS;
  let asked = requestIdleCallback(function ready(idle) {
    const { work } = open.state.getState();
    while (left > 0 && idle.timeRemaining() > ROOM_FOR_ONE) {
      computeDraft(inputNow(work));
      left -= 1;
    }
    if (left > 0) asked = requestIdleCallback(ready);
  });
  return () => {
    cancelIdleCallback(asked);
  };
}
