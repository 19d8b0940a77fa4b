import { readFile } from 'node:fs/promises';
import { By, Key } from 'selenium-webdriver';
import { afterAll, describe, expect, it } from 'vitest';
import { readWorkbook } from '../core/workbook/index.js';
import { resize } from './browser.js';
import { inRoom } from './harness.js';

const room = inRoom();
afterAll(() => resize(room.driver, 1280, 800));

const FIGURES = [
  ['Waist', '78 cm'],
  ['Hip', '102 cm'],
  ['Crotch depth', '27 cm'],
  ['Inseam', '78 cm'],
] as const;

/** From how many actions a pair was made: a press, or one field filled. */
let actions = 0;
const act = async (done: Promise<unknown>): Promise<void> => {
  actions += 1;
  await done;
};

/** Works in centimetres, whatever the browser's region proposes. */
async function inCentimetres(): Promise<void> {
  await room.visit('/');
  await (await room.find('.asked select')).findElement(By.css('option[value=cm]')).click();
}

describe('a newcomer', () => {
  it('comes from a cold start to the PDF in twelve actions', async () => {
    await inCentimetres();
    actions = 0;
    await act(room.press('Start from four measurements'));
    for (const [label, figure] of FIGURES) await act(room.enter(label, figure));
    await room.find('.pieces-beside[data-drawn="true"] svg path');
    await act(room.goTo('cut'));
    await act(room.press('Make PDF'));
    const pdf = await readFile(await room.download('.pdf'));
    expect(pdf.subarray(0, 5).toString()).toBe('%PDF-');
    expect(actions).toBeLessThanOrEqual(12);
  });

  it('comes there by Enter and keys as well', async () => {
    await inCentimetres();
    await (await room.at('//button[normalize-space()="Start from four measurements"]')).sendKeys(Key.ENTER);
    await room.until('the cursor does not wait at the waist', () =>
      room.driver.executeScript<boolean>('return document.activeElement.id === "measure-waist"'),
    );
    for (const [, figure] of FIGURES) await room.keys(figure, Key.ENTER);
    await room.find('.pieces-beside[data-drawn="true"] svg path');
    await room.driver.executeScript('document.activeElement.blur()');
    await room.keys('6');
    await room.find('[aria-label="Print preview"]');
    expect(await room.text('[data-testid="page-count"]')).toMatch(/\d+ pages/);
  });

  it('is told where to start, and of no station that was not visited', async () => {
    await inCentimetres();
    await room.press('Start from four measurements');
    await room.find('#measure-waist');
    expect(await room.text('.walk')).toContain('start here');
    expect(await room.text('.walk')).not.toContain('needs you');
  });

  it('who types inches into a room of centimetres is offered inches', async () => {
    await room.enter('Waist', '29 3/4"');
    expect(await room.text('[data-unit-offer="in"]')).toContain('The figure was typed in inches');
    await room.press('Show everything in inches');
    expect(await room.valueOf('Waist')).toBe('29 3/4');
    await room.goTo('cut');
    expect(await room.text('#paper option:checked')).toBe('Letter');
    await room.unit('cm');
  });

  it('starts from a garment with its method, fit and leg', async () => {
    await inCentimetres();
    await (await room.at('//button[contains(., "Leggings")]')).click();
    await room.find('#measure-waist');
    expect(await room.text('.head')).toContain('by the method Knit leg');
    for (const [label, figure] of FIGURES) await room.enter(label, figure);
    await room.goTo('choose');
    expect(await room.valueOf('Stretch')).toBe('40.0');
  });
});

describe('words', () => {
  it('are found by what makers call them, with a drawing', async () => {
    await room.visit('/demo/draft/lamp-plain/draft');
    await room.find('[data-handle="back.crotch"]');
    await room.chord(Key.CONTROL, 'k');
    await room.find('.find-field');
    await room.keys('j curve', Key.ENTER);
    expect(await room.text('.words article')).toContain('round the crotch curve to the crotch point');
    expect((await room.driver.findElements({ css: '.words .term-picture path' })).length).toBeGreaterThan(3);
    await room.press('Close');
    await room.until('the words stay', async () => !(await room.has('[role=dialog]')));
  });

  it('are told of the line in hand, and found on the pages beside the room', async () => {
    expect(await room.told('back.extension')).toContain('How far the crotch point lies beyond the centre frame line');
    await room.visit('/demo/crew');
    await room.find('.MuiDataGrid-row');
    await room.chord(Key.CONTROL, 'k');
    await room.find('.find-field');
    await room.keys('wide-legged', Key.ENTER);
    await room.find('[data-handle="back.crotch"]');
  });
});

describe('the shelf', () => {
  it('stands by person, takes a note, and hands one draft over as a file', async () => {
    await room.visit('/demo');
    await room.find('.shelf [data-draft]');
    await (await room.find('[aria-label="Order of the shelf"]')).findElement(By.css('option[value=person]')).click();
    await room.until('not by person', async () => (await room.text('.shelf-person')) === 'Apprentice');
    await room.press('Note on Shorts');
    await room.driver.switchTo().activeElement().sendKeys('Deep pockets', Key.ENTER);
    await room.until('no note', async () => (await room.text('[data-draft="Shorts"]')).includes('Deep pockets'));
    await (await room.find('[aria-label="Search drafts and people"]')).sendKeys('deep pock');
    await room.until(
      'the others stay',
      async () => (await room.driver.findElements({ css: '[data-draft]' })).length === 1,
    );
    await room.press('Hand over Shorts');
    const book = readWorkbook(await readFile(await room.download('.upstride.json'), 'utf8'));
    if (!book.ok) throw new Error('the file cannot be read');
    expect(book.value.drafts.map((d) => [d.name, d.note])).toEqual([['Shorts', 'Deep pockets']]);
    expect(book.value.people.map((p) => p.name)).toEqual(['Bargee']);
    await (await room.find('[aria-label="Order of the shelf"]')).findElement(By.css('option[value=changed]')).click();
    await room.press('Reset demo');
  });
});

describe('Cut', () => {
  it('says which checks are out, with the way to them', async () => {
    await room.visit('/demo/draft/lamp-plain/draft');
    await room.enter('Waist width', '26');
    await room.goTo('cut');
    expect(await room.text('[data-out]')).toMatch(/^Out of band: .*waist/);
    await room.press('See to it at True');
    await room.until('not at True', async () => (await room.text('aside')).includes('checks ask for something'));
    await room.press('Undo');
  });
});

describe('on a telephone', () => {
  it('a draft is measured, its seat angle changed and kept; the bench is a sheet of three heights', async () => {
    await resize(room.driver, 390, 844, true);
    await inCentimetres();
    await room.press('Start from four measurements');
    for (const [label, figure] of FIGURES) await room.enter(label, figure);
    await room.goTo('draft');
    await room.find('[data-handle="back.crotch"]');
    const board = async (): Promise<number> => (await (await room.find('#board')).getRect()).height;
    const half = await board();
    await room.enter('Seat angle', '9');
    await room.saved();
    const grip = await room.find('.sheet-grip');
    await grip.sendKeys(Key.ARROW_DOWN);
    await room.until('the board keeps its height', async () => (await board()) > half + 200);
    await grip.sendKeys(Key.ARROW_UP);
    await room.driver.navigate().refresh();
    await room.find('[data-handle="back.crotch"]');
    expect(await room.valueOf('Seat angle')).toBe('9.0');
  });

  it('keeps 200 px of board on a page enlarged to twice its size', async () => {
    await resize(room.driver, 640, 400);
    await room.driver.executeScript('localStorage.removeItem("upstride-preferences")');
    await room.visit('/demo/draft/lamp-plain/draft');
    await room.find('[data-handle="back.crotch"]');
    expect((await (await room.find('#board')).getRect()).height).toBeGreaterThanOrEqual(200);
  });
});
