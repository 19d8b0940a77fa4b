// @vitest-environment jsdom
import { afterEach, describe, expect, it, vi } from 'vitest';
import { keymap, type KeyActs } from './keymap.js';

afterEach(() => {
  document.body.replaceChildren();
});

/** Presses a key on an element that is made of this markup; tells whether it was answered. */
function press(acts: KeyActs, key: string, on = '<main tabindex="0"></main>', keys: KeyboardEventInit = {}): boolean {
  document.body.innerHTML = on;
  const target = document.body.querySelector('[data-on]') ?? document.body.firstElementChild;
  const answer = keymap(acts);
  let answered = false;
  document.body.addEventListener(
    'keydown',
    (event) => {
      answered = answer(event);
    },
    { once: true },
  );
  const event = new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true, ...keys });
  target?.dispatchEvent(event);
  expect(event.defaultPrevented).toBe(answered);
  return answered;
}

describe('the keymap', () => {
  it('does what a key is bound to, with Shift too, and leaves what no key is bound to', () => {
    const go = vi.fn();
    expect(press({ 3: go }, '3')).toBe(true);
    expect(press({ 3: go }, '3', undefined, { shiftKey: true })).toBe(true);
    expect(press({ f: go }, 'F', undefined, { shiftKey: true })).toBe(true);
    expect(go).toHaveBeenCalledTimes(3);
    expect(press({ 3: go }, '4')).toBe(false);
    expect(press({ 3: go }, '3', undefined, { ctrlKey: true })).toBe(false);
    expect(press({ 3: go }, '3', undefined, { altKey: true })).toBe(false);
    expect(go).toHaveBeenCalledTimes(3);
  });

  it.each([
    '<input>',
    '<textarea></textarea>',
    '<select></select>',
    '<div role="combobox" tabindex="0"></div>',
    '<ul role="listbox"><li data-on tabindex="0"></li></ul>',
    '<div role="dialog"><button data-on></button></div>',
  ])('never takes a figure for a station where it is typed or picked: %s', (on) => {
    const go = vi.fn();
    expect(press({ 3: go, n: go, Home: go }, '3', on)).toBe(false);
    expect(press({ 3: go, n: go, Home: go }, 'Home', on)).toBe(false);
    expect(go).not.toHaveBeenCalled();
  });

  it('leaves undo to a field that holds text not taken over yet, and only to such a field', () => {
    const undo = vi.fn();
    const keys = { ctrlKey: true };
    expect(press({ '$mod+z': undo }, 'z', '<input data-typed="true">', keys)).toBe(false);
    expect(press({ '$mod+z': undo }, 'z', '<textarea></textarea>', keys)).toBe(false);
    expect(undo).not.toHaveBeenCalled();
    expect(press({ '$mod+z': undo }, 'z', '<input data-typed="false">', keys)).toBe(true);
    expect(press({ '$mod+z': undo }, 'z', '<input type="checkbox">', keys)).toBe(true);
    expect(press({ '$mod+z': undo }, 'z', undefined, keys)).toBe(true);
    expect(undo).toHaveBeenCalledTimes(3);
  });

  it('finds from anywhere, a field or a dialog too', () => {
    const find = vi.fn();
    press({ '$mod+k': find }, 'k', '<input data-typed="true">', { ctrlKey: true });
    press({ '$mod+k': find }, 'k', '<div role="dialog"><button data-on></button></div>', { ctrlKey: true });
    expect(find).toHaveBeenCalledTimes(2);
  });

  it('leaves the space bar to what is pressed by it, and Home and End to a slider', () => {
    const play = vi.fn();
    expect(press({ Space: play }, ' ', '<button></button>', { code: 'Space' })).toBe(false);
    expect(press({ Space: play }, ' ', undefined, { code: 'Space' })).toBe(true);
    expect(press({ Home: play }, 'Home', '<div role="slider" tabindex="0"></div>')).toBe(false);
    expect(press({ Home: play }, 'Home')).toBe(true);
    expect(play).toHaveBeenCalledTimes(2);
  });

  it('does nothing where the key was answered before, and lets it go on where it was not meant', () => {
    const go = vi.fn(() => false);
    document.body.innerHTML = '<main tabindex="0"></main>';
    const event = new KeyboardEvent('keydown', { key: 'n', cancelable: true });
    expect(keymap({ n: go })(event)).toBe(false);
    expect(event.defaultPrevented).toBe(false);
    event.preventDefault();
    expect(keymap({ n: go })(event)).toBe(false);
    expect(go).toHaveBeenCalledTimes(1);
  });
});
