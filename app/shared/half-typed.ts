/** Kinds of inputs into which nothing is typed. */
const PRESSED: ReadonlySet<string> = new Set(['button', 'checkbox', 'radio', 'range', 'file', 'submit', 'color']);

/**
 * True where something typed stands that is not taken over yet: undo is then the field's own. A field that takes over
 * what is typed says with `data-typed` whether it holds such text; any other text field is left alone.
 */
export function isHalfTyped(target: EventTarget | null): boolean {
  if (target instanceof HTMLTextAreaElement) return true;
  if (!(target instanceof HTMLInputElement) || PRESSED.has(target.type)) return false;
  return target.dataset['typed'] !== 'false';
}
