import { readdir, readFile, rm } from 'node:fs/promises';
import { join } from 'node:path';
import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs';
import { Key } from 'selenium-webdriver';
import { describe, expect, it } from 'vitest';
import { resize } from './browser.js';
import { inRoom } from './harness.js';

const room = inRoom();

/** The words of a PDF that was saved, page by page. */
async function pagesOf(file: string): Promise<string[]> {
  const pdf = await getDocument({ data: new Uint8Array(await readFile(file)), verbosity: 0 }).promise;
  return Promise.all(
    Array.from({ length: pdf.numPages }, async (_, i) => {
      const { items } = await (await pdf.getPage(i + 1)).getTextContent();
      return items.map((t) => ('str' in t ? t.str : '')).join(' ');
    }),
  );
}

/** Presses a button that makes a PDF, and reads what was made. */
async function made(): Promise<string[]> {
  const { downloads } = room.browser;
  for (const file of await readdir(downloads)) await rm(join(downloads, file));
  await room.press('Make PDF');
  return pagesOf(await room.download('.pdf'));
}

const move = async (): Promise<number> => Number(await (await room.find('[data-move]')).getAttribute('data-move'));

describe('the chalk sheet', () => {
  it('is gone through at the table move by move, and what was ticked stays ticked over a reload', async () => {
    await room.visit('/demo/draft/rigger-work/cut');
    await room.section('Sheets');
    await room.press('Chalk sheet');
    expect(await move()).toBe(1);
    expect(await room.text('.move h3')).toBe('Front');
    await room.press('Chalked');
    expect(await room.text('.move h3')).toBe('Hip line');
    expect(await room.text('.move-say')).toMatch(/^[\d /]+ down from the start line, squared across\.$/);
    await room.press('Chalked');
    await room.press('Chalked');
    expect(await move()).toBe(4);
    await room.driver.navigate().refresh();
    await room.find('[data-move]');
    expect(await move()).toBe(4);
    expect((await room.driver.findElements({ css: '.chalk-list li[data-done="true"]' })).length).toBe(3);
    await room.keys(Key.PAGE_UP);
    expect(await move()).toBe(3);
    await room.find('[data-move][data-done="true"]');
    await room.press('Not chalked yet');
    await room.find('[data-move="3"][data-done="false"]');
  });

  it('is to be chalked again where the draft was changed, and only there', async () => {
    await room.visit('/demo/draft/rigger-work/cut/chalk');
    await room.find('[data-move]');
    const before = (await room.driver.findElements({ css: '.chalk-list li[data-done="true"]' })).length;
    expect(before).toBe(2);
    await room.visit('/demo/draft/rigger-work/measure');
    await room.enter('Crotch depth', '11 1/4');
    await room.saved();
    await room.visit('/demo/draft/rigger-work/cut/chalk');
    await room.find('[data-move]');
    const rows = await room.driver.findElements({ css: '.chalk-list li' });
    const crotch = (await room.texts('.chalk-list li')).findIndex((t) => t.startsWith('Crotch line'));
    expect(await rows[crotch]?.getAttribute('data-done')).toBe('false');
    expect(await rows[0]?.getAttribute('data-done')).toBe('true');
  });

  it('shows what rounding does, by the tape that is chosen, and takes the back from the laid front', async () => {
    await room.visit('/demo/draft/rigger-work/cut/chalk');
    await room.find('[data-rounding] tbody tr');
    const hip = async (): Promise<string> => room.text('[data-rounding] tbody tr:nth-child(2)');
    expect(await hip()).toMatch(/^Hip .* in .* in/);
    const fine = await hip();
    await room.choose('Tape', '1/4');
    await room.until('the tape', async () => (await room.text('[data-rounding] caption')).includes('1/4 in'));
    expect(await hip()).not.toBe('');
    expect(fine).toContain('in');
    await room.choose('Back', 'front');
    const said = async (): Promise<string> => (await room.texts('.chalk-list li')).join('\n');
    expect(await said()).toContain('From the front’s crotch point');
    await room.choose('Back', 'own');
    await room.choose('Tape', '1/8');
  });

  it('is printed on few pages, with every move and the name of whose it is', async () => {
    await room.visit('/demo/draft/bargee-shorts/cut/chalk');
    await room.find('[data-move]');
    const pages = await made();
    expect(pages.length).toBeLessThanOrEqual(3);
    const words = pages.join(' ');
    expect(words).toContain('Bargee');
    expect(words).toContain('What rounding to');
    expect(words).toContain('Hold the end of the tape on the start line');
  });

  it('is worked by thumb on a telephone, the figure large and nothing off the side', async () => {
    await resize(room.driver, 390, 844, true);
    await room.visit('/demo/draft/cellist-dress/cut/chalk');
    const say = await room.find('.move-say');
    expect(parseFloat(await say.getCssValue('font-size'))).toBeGreaterThanOrEqual(22);
    const width = await room.driver.executeScript<number>('return document.documentElement.scrollWidth');
    expect(width).toBeLessThanOrEqual(390);
    await room.press('Chalked');
    expect(await move()).toBe(2);
    await resize(room.driver, 1280, 800);
  });
});

describe('the make sheet', () => {
  const order = (): Promise<string[]> => room.texts('[data-sheet="make"] .written-rows:last-of-type .written-words');

  it('changes its order with the way the maker works, keeps its ticks, and goes on paper', async () => {
    await room.visit('/demo/draft/rigger-work/cut/make');
    await room.find('[data-sheet="make"]');
    const last = await order();
    expect(last.findIndex((w) => w.startsWith('Sew the sides'))).toBeLessThan(
      last.findIndex((w) => w.startsWith('Sew the inseams in one run')),
    );
    await (await room.at('//label[contains(., "Mark every piece")]//input')).click();
    await room.choose('Inseams', 'first');
    const first = await order();
    expect(first.some((w) => w.startsWith('Draw one leg into the other'))).toBe(true);
    expect(first.some((w) => w.startsWith('Sew the inseams in one run'))).toBe(false);
    await room.driver.navigate().refresh();
    await room.find('[data-sheet="make"] li[data-done="true"]');
    const words = (await made()).join(' ');
    expect(words).toContain('Draw one leg into the other');
    await room.choose('Inseams', 'last');
  });
});

describe('before the shears, and after', () => {
  it('the ready page has a box for every figure, and the spec sheet a tolerance', async () => {
    await room.visit('/demo/draft/cellist-dress/cut/ready');
    expect(await room.text('[data-sheet="ready"]')).toMatch(/Whole hip, all pieces: \d+\.\d cm/);
    await (await room.at('//label[contains(., "Pairs are mirrored")]//input')).click();
    await room.find('[data-sheet="ready"] li[data-done="true"]');
    await room.visit('/demo/draft/cellist-dress/cut/spec');
    expect(await room.text('[data-sheet="spec"] tbody tr:first-child')).toMatch(/^Waist .* cm ± 1\.0 cm$/);
  });
});

describe('the very pages', () => {
  /** How much of the page in sight is ink, in thousandths. */
  const ink = (): Promise<number> =>
    room.browser.driver.executeScript(`
      const canvas = document.querySelector('canvas[data-drawn]');
      const { data } = canvas.getContext('2d').getImageData(0, 0, canvas.width, canvas.height);
      let dark = 0;
      for (let i = 0; i < data.length; i += 4) if (data[i] < 128) dark++;
      return (4000 * dark) / data.length;`);

  it('are looked at before anything is printed, and one of them is asked for alone', async () => {
    await room.visit('/demo/draft/cellist-dress/cut');
    await room.section('Print');
    const pages = Number(/^(\d+) pages/.exec(await room.text('[data-testid="page-count"]'))?.[1]);
    await room.press('Look at the pages');
    await room.find('canvas[data-drawn="1 whole"]');
    expect(await room.text('.page-look-acts')).toContain(`Page 1 of ${pages}`);
    expect(await ink()).toBeGreaterThan(2);
    await (await room.find('[aria-label="Next page"]')).click();
    await room.find('canvas[data-drawn="2 whole"]');
    expect(await ink()).toBeGreaterThan(1);
    await room.press('Larger');
    await room.find('canvas[data-drawn="2 larger"]');
    await room.press('Print only this page');
    expect(await (await room.find('#pages')).getAttribute('value')).toBe('2');
    expect(await made()).toHaveLength(1);
    // Another part is another print: what was looked at is gone, and the plan of the pages is there again.
    await room.choose('Pieces', 'flyFacing');
    await room.find('.tile-preview');
    await (await room.find('#pages')).sendKeys(Key.chord(Key.CONTROL, 'a'), Key.BACK_SPACE);
    await room.press('Look at the pages');
    await room.find('canvas[data-drawn="1 whole"]');
    await (await room.find('.page-look-frame')).sendKeys(Key.ESCAPE);
    await room.find('.tile-preview');
  });
});

describe('printing again', () => {
  it('takes single pages, says which there are not, and prints one part alone', async () => {
    await room.visit('/demo/draft/cellist-dress/cut');
    await room.section('Print');
    const count = await room.find('[data-testid="page-count"]');
    const pages = Number(/^(\d+) pages/.exec(await count.getText())?.[1]);
    await (await room.find('#pages')).sendKeys('2-3');
    expect(await made()).toHaveLength(2);
    await (await room.find('#pages')).sendKeys(`, ${pages + 1}`);
    expect(await room.text('.bench')).toContain(`This print has pages 1 to ${pages}`);
    const make = await room.at('//button[normalize-space()="Make PDF"]');
    expect(await make.isEnabled()).toBe(false);
    await (await room.find('#pages')).sendKeys(Key.chord(Key.CONTROL, 'a'), Key.BACK_SPACE);
    await room.choose('Pieces', 'flyFacing');
    await room.until('one part takes fewer pages', async () =>
      (await room.text('[data-testid="page-count"]')).startsWith('2 pages'),
    );
    const words = (await made()).join(' ');
    expect(words).toContain('Fly facing');
    expect(words).not.toContain('Pocket bag');
  });

  it('makes a small print that says it is not for cutting', async () => {
    await room.visit('/demo/draft/cellist-dress/cut');
    await room.choose('Size', 'fifth');
    const pages = await made();
    expect(pages.length).toBeLessThan(6);
    expect(pages.join(' ')).toContain('1/5, not for cutting');
  });

  it('remembers how a printer prints, and says at which per cent', async () => {
    await room.visit('/demo/draft/cellist-dress/cut');
    const field = await room.find('#square-measured');
    await field.sendKeys(Key.chord(Key.CONTROL, 'a'), '99,6');
    expect(await room.text('.bench')).toContain('print at 100.4 %');
    await room.driver.navigate().refresh();
    await room.find('#square-measured');
    expect(await room.text('.bench')).toContain('print at 100.4 %');
    await (await room.find('#square-measured')).sendKeys(Key.chord(Key.CONTROL, 'a'), '70');
    expect(await room.text('.bench')).toContain('too far from 100');
    await (await room.find('#square-measured')).sendKeys(Key.chord(Key.CONTROL, 'a'), 'abc');
    expect(await room.text('.bench')).toContain('“abc” is no length');
  });

  it('saves the cut list and a file with splines', async () => {
    await room.visit('/demo/draft/cellist-dress/cut');
    await room.section('Files');
    await room.press('Save CSV');
    const csv = await readFile(await room.download('.csv'), 'utf8');
    expect(csv).toContain('flyFacing');
    await room.press('Save DXF, splines');
    const dxf = await readFile(await room.download('.dxf'), 'latin1');
    expect(dxf).toContain('AC1015');
    expect(dxf).toContain('SPLINE');
  });
});
