import { Key } from 'selenium-webdriver';
import { describe, expect, it } from 'vitest';
import { resize } from './browser.js';
import { inRoom } from './harness.js';

const room = inRoom();
const rigger = '/demo/draft/rigger-work';

/** Presses the board at a place of the screen. */
const pressAt = ({ x, y }: { x: number; y: number }): Promise<void> =>
  room.driver
    .actions()
    .move({ x: Math.round(x), y: Math.round(y) })
    .click()
    .perform();
const verbs = async (): Promise<string[]> => {
  await room.find('[role=menu] [role=menuitem]');
  return (await room.text('[role=menu]')).split('\n');
};
const closed = (): Promise<void> => room.until('the menu stays', async () => !(await room.has('[role=menu]')));

describe('what can be done to a line', () => {
  it('is offered where a seam is pressed: measuring begins there, along it', async () => {
    await room.visit(`${rigger}/draft`);
    await room.find('[data-handle="back.crotch"]');
    await pressAt(await room.spot('back.side', 0.4));
    const [name, ...rest] = await verbs();
    expect(name).toMatch(/^Back side seam 41 \d+\/\d+ in$/);
    expect(rest).toEqual(['Measure from here', 'Walk it', 'Move it', 'Its allowance', 'What it is']);
    await room.pick('Measure from here');
    await pressAt(await room.spot('back.side', 0.6));
    const [straight, , along] = (await room.text('.tag')).split('\n');
    expect(straight).toMatch(/^Straight 8 /);
    expect(along).toMatch(/^along the seam 8 /);
    await room.press('Measure on the board');
  });

  it('goes where the seam is walked, and where it is moved, with the tool in hand', async () => {
    const lay = await room.spot('front.side', 0.5);
    await pressAt(lay);
    await verbs();
    await room.pick('Walk it');
    await room.until('not walked', async () => (await room.driver.getCurrentUrl()).includes('walk?seam=side'));
    await room.until(
      'another seam is walked',
      async () => (await room.text('.bench [aria-pressed="true"]')) === 'Side',
    );
    // The pieces lie otherwise here: where the seam lay before there is nothing to press.
    await pressAt(lay);
    expect(await room.has('[role=menu]')).toBe(false);
    await room.goTo('draft');
    await pressAt(await room.spot('back.rise', 0.5));
    expect((await verbs())[3]).toBe('Scoop it');
    await room.pick('Scoop it');
    await room.find('[data-tool-sheet="scoop"]');
    await room.keys(Key.ESCAPE);
    await room.until('the tool stays in hand', async () => !(await room.has('[data-tool-sheet]')));
  });

  it('opens the allowance of an edge, and tells what a line is', async () => {
    await room.goTo('draft');
    await pressAt(await room.spot('back.hem', 0.5));
    expect(await verbs()).not.toContain('Walk it');
    await room.pick('Its allowance');
    await room.until('not at Finish', async () => (await room.driver.getCurrentUrl()).endsWith('/finish'));
    await room.until('not at its edges', async () => (await room.text('[role=tab][aria-selected="true"]')) === 'Edges');
    await room.goTo('draft');
    await pressAt(await room.spot('front.inseam', 0.4));
    await verbs();
    await room.pick('What it is');
    await room.until('the word is not told', async () => (await room.text('[role=dialog]')).includes('Inseam'));
    await room.keys(Key.ESCAPE);
  });

  it('reads across at a level that is pressed by its name, and lays the level line there', async () => {
    await (await room.find('[data-level-name="kneeLevel"]')).click();
    expect((await verbs())[0]).toMatch(/^Knee line 23 \d+\/\d+ in$/);
    await room.pick('Read across here');
    const lies = await (await room.find('.level-reader')).getAttribute('aria-valuetext');
    expect(lies).toMatch(/^Knee line 23 /);
    await room.press('Level line');
  });

  it('is reached by keys alone, by the names of the lines', async () => {
    const foot = await room.at('//*[@class="board-foot"]//button[normalize-space()="Lines"]');
    await room.driver.executeScript('arguments[0].focus()', foot);
    await room.keys(Key.ENTER);
    await verbs();
    await room.keys(Key.END, Key.ARROW_UP, Key.ENTER);
    await room.until('no verbs', async () => (await verbs())[0]?.startsWith('Back inseam') ?? false);
    await room.keys(Key.ENTER);
    await closed();
    expect(await (await room.find('svg.drawing')).getAttribute('data-tool')).toBe('measure');
    await room.press('Measure on the board');
  });

  it('is not asked by a pull: the board is moved and no menu opens', async () => {
    const { x, y } = await room.spot('front.side', 0.7);
    await room.driver
      .actions()
      .move({ x: Math.round(x), y: Math.round(y) })
      .press()
      .move({ x: Math.round(x) + 30, y: Math.round(y), duration: 60 })
      .release()
      .perform();
    expect(await room.has('[role=menu]')).toBe(false);
    await room.press('Show all');
  });
});

describe('a first drag', () => {
  it('is invited on the board, once', async () => {
    const invited = (): Promise<boolean> => room.has('[data-invited="true"]');
    expect(await invited()).toBe(true);
    await room.drag('front.crotch', 12, 0);
    await room.until('still invited', async () => !(await invited()));
    await room.press('Undo');
    await room.driver.navigate().refresh();
    await room.find('[data-handle="back.crotch"]');
    expect(await invited()).toBe(false);
  });
});

describe('on a telephone', () => {
  const touch = (type: string, at?: { x: number; y: number }): Promise<void> =>
    room.driver.sendDevToolsCommand('Input.dispatchTouchEvent', { type, touchPoints: at ? [at] : [] });

  it('shows what a finger hides in a lens above it, as long as it drags', async () => {
    await resize(room.driver, 390, 844, true);
    await room.driver.sendDevToolsCommand('Emulation.setTouchEmulationEnabled', { enabled: true });
    await room.driver.navigate().refresh();
    const grip = await room.find('[data-handle="back.hem"] .grip, [data-handle="back.crotch"] .grip');
    const box = await grip.getRect();
    const at = { x: box.x + box.width / 2, y: box.y + box.height / 2 };
    await touch('touchStart', at);
    for (const by of [3, 6, 9]) await touch('touchMove', { x: at.x + by, y: at.y });
    const lens = await room.find('[data-lens] circle');
    const glass = await lens.getRect();
    // Clear of the finger, within the board, and what it shows is drawn in it.
    const away = Math.hypot(glass.x + glass.width / 2 - at.x, glass.y + glass.height / 2 - at.y);
    expect(away).toBeGreaterThan(glass.width / 2 + 24);
    expect(await room.has('[data-lens] use[href="#board-lines"]')).toBe(true);
    await touch('touchEnd');
    await room.until('the lens stays', async () => !(await room.has('[data-lens]')));
    await room.press('Undo');
  });

  it('offers the eighths beside the number pad, and the next field', async () => {
    const before = await room.valueOf('Crotch extension');
    const field = await room.fieldFor('Crotch extension');
    await field.click();
    await room.press('Add 1/8 in');
    await room.press('Add 1/8 in');
    const typed = await room.valueOf('Crotch extension');
    expect(eighths(typed)).toBe(eighths(before) + 2);
    await room.press('Next');
    await room.saved();
    expect(eighths(await room.valueOf('Crotch extension'))).toBe(eighths(before) + 2);
    await room.driver.executeScript('document.activeElement.blur()');
    await room.until('the keys stay', async () => !(await room.has('[aria-label="Figure keys"]')));
  });

  it('tells the crew and a spec sheet line by line, with no sideways scroll', async () => {
    for (const [path, ready] of [
      ['/demo/crew', '.crew-rows li'],
      [`${rigger}/cut/spec`, '.written-table'],
    ] as const) {
      await room.visit(path);
      await room.find(ready);
      const wide = await room.driver.executeScript<number>(
        `return Math.max(...[...document.querySelectorAll('main, main table, main ul')].map((e) => e.scrollWidth - e.clientWidth))`,
      );
      expect(wide, path).toBeLessThanOrEqual(1);
    }
    await room.visit('/demo/crew');
    expect(await room.text('.crew-rows li[data-id="cook"]')).toMatch(/Cook\n.*complete\nWaist\n112\.0 cm/);
    await (await room.find('[aria-label="Choose Cook"]')).click();
    await (await room.at('//a[normalize-space()="Cook"]')).click();
    await room.until('not at Measure', async () => (await room.driver.getCurrentUrl()).includes('/person/cook'));
  });
});

/** A figure in inches, in eighths. */
function eighths(figure: string): number {
  const [whole = '0', part] = figure.trim().split(' ');
  const [over, under] = (part ?? (whole.includes('/') ? whole : '0/1')).split('/').map(Number);
  return Math.round(8 * ((whole.includes('/') ? 0 : Number(whole)) + (over ?? 0) / (under ?? 1)));
}
