import { Key, Origin } from 'selenium-webdriver';
import { describe, expect, it } from 'vitest';
import { inRoom } from './harness.js';

const room = inRoom();

const cellist = '/demo/draft/cellist-dress';

/** Presses a handle and moves it without letting go. */
async function hold(handle: string, x: number, y: number): Promise<void> {
  const grip = await room.handle(handle);
  await room.driver
    .actions()
    .move({ origin: grip })
    .press()
    .move({ origin: Origin.POINTER, x, y, duration: 60 })
    .perform();
}
const letGo = (): Promise<void> => room.driver.actions().release().perform();

describe('on the board', () => {
  it('shows figure and ghost while a handle is held, and gives the drag up on Escape', async () => {
    await room.visit(`${cellist}/draft`);
    await room.find('[data-handle="back.crotch"]');
    const rise = await room.edge('back.rise');
    const extension = await room.valueOf('Crotch extension');
    await hold('back.crotch', 20, 0);
    expect(await room.text('.tag')).toMatch(/crotch extension \d+(\.\d+)? cm/);
    expect(await room.has('.ghost')).toBe(true);
    expect(await room.edge('back.rise')).not.toBe(rise);
    await room.keys(Key.ESCAPE);
    await letGo();
    expect(await room.edge('back.rise')).toBe(rise);
    expect(await room.valueOf('Crotch extension')).toBe(extension);
    expect(await room.has('.ghost')).toBe(false);
  });

  it('moves in steps of the tape, finer with Shift, and one drag is one undo', async () => {
    await room.drag('back.crotch', 23, 0);
    const coarse = Number(await room.valueOf('Crotch extension'));
    expect((coarse * 4) % 1).toBeCloseTo(0, 9);
    await room.driver.actions().keyDown(Key.SHIFT).perform();
    await room.drag('back.crotch', 3, 0);
    await room.driver.actions().keyUp(Key.SHIFT).perform();
    const fine = Number(await room.valueOf('Crotch extension'));
    expect((fine * 10) % 1).toBeCloseTo(0, 6);
    expect(fine).not.toBe(coarse);
    await room.press('Undo');
    expect(Number(await room.valueOf('Crotch extension'))).toBe(coarse);
    await room.press('Undo');
    expect(await room.valueOf('Crotch extension')).toBe('13.25');
  });

  it('turns the seat line at constant length with Ctrl', async () => {
    const reach = async (): Promise<number> => {
      const sum = await room.told('back.seatAngle');
      const [, across = '', up = ''] = /in ([\d.]+) cm over up ([\d.]+) cm/.exec(sum) ?? [];
      return Math.hypot(Number(across), Number(up));
    };
    const before = await reach();
    await room.driver.actions().keyDown(Key.CONTROL).perform();
    await room.drag('back.seat', -25, 4);
    await room.driver.actions().keyUp(Key.CONTROL).perform();
    expect(Math.abs((await reach()) - before)).toBeLessThan(0.15);
    expect((Number(await room.valueOf('Seat angle')) * 2) % 1).toBeCloseTo(0, 6);
    await room.press('Undo');
  });

  it('moves darts by apex and leg, and centre front on the front', async () => {
    const length = Number(await room.valueOf('Dart length'));
    await room.drag('back.dart-0-apex', 0, 12);
    expect(Number(await room.valueOf('Dart length'))).toBeGreaterThan(length);
    const intake = Number(await room.valueOf('Dart intake'));
    await room.drag('back.dart-0-sideLeg', -6, 0);
    expect(Number(await room.valueOf('Dart intake'))).toBeGreaterThan(intake);
    await room.keys('f');
    const lift = Number(await room.valueOf('Centre lift'));
    await room.drag('front.seat', 0, 8);
    expect(Number(await room.valueOf('Centre lift'))).toBeLessThan(lift);
    for (let i = 0; i < 3; i++) await room.press('Undo');
  });

  it('gives a line back to the sheet', async () => {
    await room.keys('f');
    expect(await room.sourceOf('back.extension')).toBe('hand');
    await room.press('Give crotch extension back to the sheet');
    expect(await room.sourceOf('back.extension')).toBe('sheet');
    expect(await room.told('back.extension')).toMatch(/^Crotch extension \(hip [\d.]+ ÷ 4 \+ split [\d.]+\) ÷ 2$/m);
    await room.press('Undo');
  });

  it('shows what a check is about, and which checks a seam is in', async () => {
    await (await room.find('[data-group="seams"]')).click();
    const walk = await room.find('[data-check-line="sideWalk"]');
    await room.driver.actions().move({ origin: walk }).perform();
    expect(await (await room.find('[data-edge="front.side"]')).getAttribute('class')).toContain('lit');
    expect(await (await room.find('[data-edge="back.side"]')).getAttribute('class')).toContain('lit');
    const hem = await room.find('[data-edge="back.inseam"]');
    const at = await room.driver.executeScript<{ x: number; y: number }>(
      'const e=arguments[0];const p=e.getPointAtLength(e.getTotalLength()*0.3).matrixTransform(e.getScreenCTM());return {x:Math.round(p.x),y:Math.round(p.y)}',
      hem,
    );
    await room.driver.actions().move({ x: at.x, y: at.y }).perform();
    expect(await room.text('.tag')).toMatch(/Back inseam\n?.*\d+\.\d cm/s);
    expect(await (await room.find('[data-edge="front.inseam"]')).getAttribute('class')).toContain('lit');
  });

  it('lays a check on the bench with its band, its meaning and what it rests on; Escape takes it off', async () => {
    await room.press('All checks');
    const page = await room.text('.check-bench');
    expect(page).toContain('Waist');
    expect(page).toMatch(/Hip\s+105\.\d cm/);
    await (await room.find('[data-check-line="hip"]')).click();
    expect(await room.text('.check-detail')).toContain('The finished girth on the hip line');
    expect(await room.text('.check-detail')).toContain('Rests on measurements.');
    await room.keys(Key.ESCAPE);
    await room.until('the checks stay', async () => !(await room.has('.check-bench')));
    await room.find('[data-line="back.extension"]');
  });

  it('measures between two points, and along a seam', async () => {
    await room.press('Measure on the board');
    const hem = await room.find('[data-edge="front.hem"]');
    const ends = await room.driver.executeScript<{ x: number; y: number }[]>(
      'const e=arguments[0];return [0.02,0.98].map(s=>{const p=e.getPointAtLength(e.getTotalLength()*s).matrixTransform(e.getScreenCTM());return {x:Math.round(p.x),y:Math.round(p.y)}})',
      hem,
    );
    for (const { x, y } of ends) await room.driver.actions().move({ x, y }).click().perform();
    const said = await room.text('.tag');
    const straight = Number(/Straight ([\d.]+)/.exec(said)?.[1]);
    const along = Number(/along the seam ([\d.]+)/.exec(said)?.[1]);
    expect(straight).toBeGreaterThan(27);
    expect(straight).toBeLessThan(31);
    expect(along).toBeCloseTo(straight, 1);
    await room.press('Measure on the board');
  });

  it('pans, zooms and shows all again; lays the creases on one another', async () => {
    const place = async (): Promise<number> => (await (await room.find('[data-edge="front.hem"]')).getRect()).width;
    const shown = await place();
    await room.press('Zoom in');
    expect(await place()).toBeGreaterThan(shown * 1.2);
    await room.press('Show all');
    expect(await place()).toBeCloseTo(shown, 0);
    await room.press('What is shown');
    await (await room.at('//li[contains(., "Crease on crease")]')).click();
    await room.keys(Key.ESCAPE);
    const middle = async (edge: string): Promise<number> => {
      const box = await (await room.find(`[data-edge="${edge}"]`)).getRect();
      return box.x + box.width / 2;
    };
    await room.until(
      'the creases do not meet',
      async () => Math.abs((await middle('front.hem')) - (await middle('back.hem'))) < 2,
    );
    await room.press('What is shown');
    await (await room.at('//li[contains(., "Side seams together")]')).click();
    await room.keys(Key.ESCAPE);
  });
});

describe('wheel and fingers', () => {
  const scale = async (): Promise<number> => (await (await room.find('[data-edge="front.hem"]')).getRect()).width;

  it('zoom about the place pointed at', async () => {
    await room.until('the menu stays open', async () => !(await room.has('[role=menu]')));
    const before = await scale();
    const hem = await room.find('[data-edge="front.hem"]');
    const place = await hem.getRect();
    const at = { x: Math.round(place.x + place.width / 2), y: Math.round(place.y) };
    await room.driver.sendDevToolsCommand('Input.dispatchMouseEvent', {
      type: 'mouseWheel',
      ...at,
      deltaX: 0,
      deltaY: -300,
    });
    await room.until('the wheel does not zoom', async () => (await scale()) > before * 1.3);
    const after = await hem.getRect();
    expect(Math.abs(after.x + after.width / 2 - (place.x + place.width / 2))).toBeLessThan(4);
    await room.press('Show all');
  });

  it('pinch to zoom, and one finger moves the board', async () => {
    const board = await (await room.find('svg.drawing')).getRect();
    const middle = { x: Math.round(board.x + 90), y: Math.round(board.y + board.height / 2) };
    const touch = (type: string, ...points: number[]): Promise<void> =>
      room.driver.sendDevToolsCommand('Input.dispatchTouchEvent', {
        type,
        touchPoints: points.map((dy, id) => ({ x: middle.x, y: middle.y + dy, id })),
      });
    const before = await scale();
    await touch('touchStart', -40, 40);
    for (const apart of [50, 65, 80]) await touch('touchMove', -apart, apart);
    await touch('touchEnd');
    await room.until('two fingers do not zoom', async () => (await scale()) > before * 1.6);
    const y = (await (await room.find('[data-edge="front.hem"]')).getRect()).y;
    await touch('touchStart', 0);
    for (const dy of [-10, -30, -60]) await touch('touchMove', dy);
    await touch('touchEnd');
    await room.until(
      'one finger does not move the board',
      async () => (await (await room.find('[data-edge="front.hem"]')).getRect()).y < y - 40,
    );
    await room.press('Show all');
  });
});

describe('bad input', () => {
  it('keeps the last good draft and says field, value and way out', async () => {
    await room.visit('/demo/draft/puppeteer-black/measure');
    await room.look('Pieces');
    const rise = await room.edge('back.rise');
    for (const [typed, part] of [
      ['abc', 'is not a length'],
      ['0', 'cannot be drafted'],
      ['-5', 'cannot be drafted'],
      ['9000', 'cannot be drafted'],
    ] as const) {
      await room.enter('Inseam', typed);
      expect(await room.text('[data-line="inseam"] .problem')).toContain(part);
      expect(await room.text('[data-line="inseam"] .problem')).toContain('Inseam');
      expect(await room.edge('back.rise')).toBe(rise);
      expect(await room.valueOf('Inseam')).toBe(typed);
    }
    await room.enter('Inseam', Key.DELETE);
    expect(await room.text('[data-line="inseam"] .problem')).toContain('Inseam is missing. Enter the inseam');
    expect(await room.edge('back.rise')).toBe(rise);
    await room.enter('Inseam', '77');
    expect(await room.has('[data-line="inseam"] .problem')).toBe(false);
  });

  it('lets what was typed give way to undo, while the cursor is still in the field', async () => {
    const field = await room.fieldFor('Hip');
    const before = await room.valueOf('Hip');
    const rise = await room.edge('back.rise');
    await field.sendKeys(Key.chord(Key.CONTROL, 'a'), '101');
    await room.until('the pause did not take the figure over', async () => (await room.edge('back.rise')) !== rise);
    await field.sendKeys(Key.chord(Key.CONTROL, 'z'));
    expect(await room.valueOf('Hip')).toBe(before);
    await field.sendKeys(Key.TAB);
    expect(await room.valueOf('Hip')).toBe(before);
  });

  it('offers the figure that was meant where a unit slipped or digits were swapped', async () => {
    await room.visit('/demo/draft/ticket-plain/measure');
    await room.press('Change to 84.0 cm');
    expect(await room.valueOf('Waist')).toBe('84');
    expect(await room.has('.doubt')).toBe(false);
    await room.press('Undo');
  });

  it('refuses a hand-set value that no piece can have', async () => {
    await room.visit('/demo/draft/puppeteer-black/draft');
    const rise = await room.edge('back.rise');
    await room.enter('Crotch extension', '0.2');
    expect(await room.text('[data-line="back.extension"] .problem')).toContain('too small');
    expect(await room.text('.board-message')).toContain('The last good draft stays');
    expect(await room.edge('back.rise')).toBe(rise);
    await room.press('Give crotch extension back to the sheet');
    expect(await room.has('.board-message')).toBe(false);
  });

  it('leaves what is missing open, and says so', async () => {
    await room.visit('/demo/draft/lamp-plain/measure');
    await room.enter('Inseam', Key.BACK_SPACE);
    await room.saved();
    await room.visit('/demo/draft/lamp-plain/measure');
    await room.look('Pieces');
    expect(await room.text('.board-empty')).toContain('Missing: 1');
    await room.enter('Inseam', '52');
    expect((await room.edge('front.rise')).length).toBeGreaterThan(20);
  });
});
