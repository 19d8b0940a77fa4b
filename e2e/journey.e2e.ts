import { readFile } from 'node:fs/promises';
import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs';
import { Key } from 'selenium-webdriver';
import { describe, expect, it } from 'vitest';
import { inRoom } from './harness.js';

const room = inRoom();

/** The figure before the unit in running text, in inches: `5 3/16` is 5.1875. */
const inches = (text: string): number => {
  const [, whole = '0', over = '0', under = '1'] = /^(\d+)?(?:\s*(\d+)\/(\d+))?/.exec(text.trim()) ?? [];
  return Number(whole) + Number(over) / Number(under);
};

describe('from four measurements to paper', () => {
  it('draws as soon as the four are in, typed in inches with fractions', async () => {
    await room.visit('/');
    await room.press('Start from four measurements');
    await room.find('[aria-label="Measure"]');
    await room.until('the cursor does not wait at the waist', async () =>
      room.driver.executeScript<boolean>('return document.activeElement.id === "measure-waist"'),
    );
    await room.unit('in');
    await room.look('Pieces');
    await room.enter('Person or role', 'Stand-in');
    await room.enter('Waist', '30 3/4');
    await room.enter('Hip', '39½');
    await room.enter('Crotch depth', '10-3/4"');
    expect(await room.has('[data-edge="front.rise"]')).toBe(false);
    await room.enter('Inseam', '78 cm');
    expect((await room.edge('front.rise')).length).toBeGreaterThan(20);
    expect(await room.valueOf('Hip')).toBe('39 1/2');
    expect(await room.text('.tape')).toContain('Waist');
    expect(await room.has('[data-verdict="out"]')).toBe(false);
  });

  it('takes the extension, the seat angle and the leg width in hand on the piece', async () => {
    await room.goTo('draft');
    const before = inches(await room.valueOf('Crotch extension'));
    const rise = await room.edge('back.rise');
    await room.drag('back.crotch', 14, 0);
    const after = inches(await room.valueOf('Crotch extension'));
    expect(after).toBeGreaterThan(before);
    expect((after * 8) % 1).toBe(0);
    expect(await room.sourceOf('back.extension')).toBe('hand');
    expect(await room.edge('back.rise')).not.toBe(rise);

    const angle = Number(await room.valueOf('Seat angle'));
    await room.drag('back.seat', -12, 0);
    expect(Number(await room.valueOf('Seat angle'))).toBeGreaterThan(angle + 1);

    const knee = inches(await room.valueOf('Knee width'));
    await room.drag('back.knee-inseam', 10, 0);
    expect(inches(await room.valueOf('Knee width'))).toBeGreaterThan(knee);
    const hem = inches(await room.valueOf('Hem width'));
    await room.drag('back.hem-side', 8, 0);
    expect(inches(await room.valueOf('Hem width'))).toBeLessThan(hem);
  });

  it('undoes and redoes, and takes an angle that is typed', async () => {
    const hem = await room.valueOf('Hem width');
    await room.press('Undo');
    expect(inches(await room.valueOf('Hem width'))).toBeGreaterThan(inches(hem));
    await room.press('Redo');
    expect(await room.valueOf('Hem width')).toBe(hem);
    await room.enter('Seat angle', '12');
    expect(await room.valueOf('Seat angle')).toBe('12.0');
    await room.press('Undo');
    expect(await room.valueOf('Seat angle')).not.toBe('12.0');
    await room.press('Redo');
  });

  it('is still there after a reload', async () => {
    const kept = [
      await room.valueOf('Crotch extension'),
      await room.valueOf('Knee width'),
      await room.edge('back.rise'),
    ];
    await room.saved();
    await room.driver.navigate().refresh();
    expect([
      await room.valueOf('Crotch extension'),
      await room.valueOf('Knee width'),
      await room.edge('back.rise'),
    ]).toEqual(kept);
    expect(await room.valueOf('Seat angle')).toBe('12.0');
  });

  it('prints as many pages as it said, and an SVG', async () => {
    await room.goTo('cut');
    const said = await room.text('[data-testid="page-count"]');
    const pages = Number(/^(\d+) pages/.exec(said)?.[1]);
    await room.press('Make PDF');
    const file = await room.download('.pdf');
    const pdf = await getDocument({ data: new Uint8Array(await readFile(file)), verbosity: 0 }).promise;
    expect(pdf.numPages).toBe(pages);
    const words = (await (await pdf.getPage(1)).getTextContent()).items.map((i) => ('str' in i ? i.str : '')).join(' ');
    expect(words).toContain('Stand-in');
    expect(words).toContain('39 1/2 in');
    await room.section('Files');
    await room.press('Save SVG');
    expect(await readFile(await room.download('.svg'), 'utf8')).toContain('data-name="back.rise"');
    await room.section('Print');
  });

  it('goes out as a workbook, is cleared, and comes back whole', async () => {
    const rise = await (async (): Promise<string> => {
      await room.goTo('draft');
      return room.edge('back.rise');
    })();
    await room.press('Keep: all drafts');
    await room.press('Save workbook');
    const file = await room.download('.upstride.json');
    await room.press('Clear workroom');
    await room.until('the shelf is not empty', async () => !(await room.has('.shelf li')));
    await (await room.find('input[type=file]')).sendKeys(file);
    await (await room.find('.shelf a.name')).click();
    expect(await room.edge('back.rise')).toBe(rise);
    expect(await room.text('.whose')).toBe('Stand-in');
  });
});

describe('with the keyboard alone', () => {
  it('goes from an empty room to a print', async () => {
    const tabTo = async (label: string, most = 80): Promise<void> => {
      for (let i = 0; i < most; i++) {
        const here = await room.driver.executeScript<string>(
          'const e=document.activeElement;return (e.getAttribute("aria-label")||e.labels?.[0]?.textContent||e.textContent||"").trim()',
        );
        if (here === label) return;
        await room.keys(Key.TAB);
      }
      throw new Error(`Tab never reached “${label}”`);
    };
    await room.visit('/');
    await room.find('.welcome');
    await tabTo('Start from four measurements');
    await room.keys(Key.ENTER);
    await room.find('[aria-label="Measure"]');
    await tabTo('Body');
    await room.keys(Key.TAB, Key.ENTER);
    await tabTo('Waist');
    for (const figure of ['72 cm', '98cm', '26,5cm', '770 mm']) await room.keys(figure, Key.ENTER);
    await room.find('[data-edge="front.rise"]');
    await room.driver.executeScript('document.activeElement.blur()');
    await room.keys('3');
    await room.find('[data-handle="back.crotch"]');
    await tabTo('Back: Crotch point');
    const before = inches(await room.valueOf('Crotch extension'));
    await room.keys(Key.ARROW_RIGHT, Key.ARROW_RIGHT);
    const nudged = inches(await room.valueOf('Crotch extension'));
    expect(nudged).toBeGreaterThan(before + 1 / 8);
    expect((nudged * 8) % 1).toBe(0);
    await room.keys(Key.DELETE);
    expect(inches(await room.valueOf('Crotch extension'))).toBe(before);
    await room.chord(Key.CONTROL, 'z');
    expect(inches(await room.valueOf('Crotch extension'))).toBe(nudged);
    await tabTo('Back: Waist end of the seat line');
    const lift = await room.valueOf('Centre lift');
    await room.keys(Key.ARROW_UP);
    expect(await room.valueOf('Centre lift')).not.toBe(lift);
    await room.keys('f');
    await room.find('[data-handle="front.crotch"]');
    await room.keys('6');
    await room.find('[data-testid="page-count"]');
    await tabTo('Make PDF');
    await room.keys(Key.ENTER);
    await room.until('no print was made', async () => (await room.text('aside [role=status]')).includes('.pdf'));
  });

  it('finds stations and parameters by name, and shows its keys', async () => {
    await room.chord(Key.CONTROL, 'k');
    await room.find('.find-field');
    await room.keys('back hem width', Key.ENTER);
    await room.until('the field has no focus', async () =>
      room.driver.executeScript<boolean>(
        'return document.activeElement.closest("[data-line]")?.dataset.line === "back.hemWidth"',
      ),
    );
    await room.chord(Key.CONTROL, 'k');
    await room.find('.find-field');
    await room.keys('setting hem girth', Key.ENTER);
    await room.until('the setting has no focus', async () =>
      room.driver.executeScript<boolean>(
        'return document.activeElement.closest("[data-line]")?.dataset.line === "hemGirth"',
      ),
    );
    await room.driver.executeScript('document.activeElement.blur()');
    await room.keys('?');
    expect(await room.text('[role=dialog]')).toContain('Find anything');
    await room.keys(Key.ESCAPE);
  });
});
