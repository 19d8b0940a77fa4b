import GripIcon from '@mui/icons-material/DragHandle';
import { useRef } from 'react';
import { usePreferences, type Preferences } from '../store/preferences.js';

const HEIGHTS: readonly Preferences['sheet'][] = ['low', 'half', 'full'];
const WORDS: Readonly<Record<Preferences['sheet'], string>> = {
  low: 'folded away',
  half: 'half up',
  full: 'all the way up',
};
/** So many pixels up or down are a pull to the next height. */
const PULL = 40;

/** On a small screen the bench is a sheet: pressed or pulled, it stands at one of three heights. */
export function SheetGrip() {
  const { sheet, set } = usePreferences();
  const from = useRef<number>(undefined);
  const pulled = useRef(false);
  const at = HEIGHTS.indexOf(sheet);
  const to = (index: number): void => {
    const next = HEIGHTS[Math.min(HEIGHTS.length - 1, Math.max(0, index))];
    if (next && next !== sheet) set({ sheet: next, benchOpen: true });
  };
  return (
    <button
      type="button"
      className="sheet-grip"
      aria-label={`Bench, ${WORDS[sheet]}. Press for the next height`}
      onPointerDown={(event) => {
        pulled.current = false;
        from.current = event.clientY;
        event.currentTarget.setPointerCapture(event.pointerId);
      }}
      onPointerUp={(event) => {
        const by = (from.current ?? event.clientY) - event.clientY;
        from.current = undefined;
        pulled.current = Math.abs(by) >= PULL;
        if (pulled.current) to(at + Math.sign(by));
      }}
      onClick={() => {
        // A pull ends in a press as well; what presses without a pointer has pulled nothing.
        if (!pulled.current) to(at === HEIGHTS.length - 1 ? 0 : at + 1);
        pulled.current = false;
      }}
      onKeyDown={(event) => {
        const way = { ArrowUp: 1, ArrowDown: -1 }[event.key];
        if (way === undefined) return;
        event.preventDefault();
        to(at + way);
      }}
    >
      <GripIcon fontSize="small" />
    </button>
  );
}
