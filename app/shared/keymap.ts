import { matchKeyBindingPress, parseKeybinding, type KeyBindingPress } from 'tinykeys';
import { isHalfTyped } from './half-typed.js';

/** What keys do, by the key: `f`, `Home`, `$mod+z`. What gives `false` was not meant, and the key goes on to others. */
export type KeyActs = Readonly<Record<string, () => unknown>>;

/** Where something is typed or picked from a list: a key that acts alone belongs to it. */
const TYPES = 'input, select, textarea, [contenteditable="true"], [role="combobox"], [role="listbox"], [role="menu"]';
/** What uses the keys that move: it has them while it has the focus. */
const MOVES = '[role="slider"], [role="tab"], [role="radio"], [role="grid"]';
const MOVING: ReadonlySet<string> = new Set(['Home', 'End', 'PageUp', 'PageDown']);
const UNDOING: ReadonlySet<string> = new Set(['$mod+z', '$mod+y', '$mod+Shift+z']);

/** True where a key that acts alone is meant for what has the focus. */
export const isTyping = (target: EventTarget | null): boolean =>
  target instanceof Element && target.closest(TYPES) !== null;

/** True where what has the focus keeps this key to itself. */
function keepsItself(binding: string, target: EventTarget | null): boolean {
  if (!(target instanceof Element)) return false;
  // What is half typed is the field's own to undo.
  if (UNDOING.has(binding)) return isHalfTyped(target);
  if (binding.startsWith('$mod+')) return false;
  if (isTyping(target) || target.closest('[role="dialog"]') !== null) return true;
  if (binding === 'Space') return target.closest('button, a, summary, [role="button"]') !== null;
  return MOVING.has(binding) && target.closest(MOVES) !== null;
}

/** A letter or a figure is the same key with Shift: some layouts reach the figures by it. */
const pressesOf = (binding: string): readonly KeyBindingPress[] =>
  [binding, ...(binding.length === 1 ? [`Shift+${binding}`] : [])].flatMap((b) => parseKeybinding(b));

/**
 * Gives what answers a key: the act that is bound to it, unless what has the focus keeps the key to itself or the key was
 * answered before. True where it was answered.
 */
export function keymap(acts: KeyActs): (event: KeyboardEvent) => boolean {
  const bound = Object.entries(acts).map(([binding, act]) => ({ binding, act, presses: pressesOf(binding) }));
  return (event) => {
    if (event.defaultPrevented) return false;
    const found = bound.find(({ presses }) => presses.some((press) => matchKeyBindingPress(event, press)));
    if (!found || keepsItself(found.binding, event.target) || found.act() === false) return false;
    event.preventDefault();
    return true;
  };
}
