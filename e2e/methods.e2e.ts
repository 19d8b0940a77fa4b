import { mkdtemp, readdir, readFile, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Key, Origin } from 'selenium-webdriver';
import { describe, expect, it } from 'vitest';
import { inRoom } from './harness.js';

const room = inRoom();

/** Takes an option of the list that stands under a label of a view. */
async function ask(label: string, value: string): Promise<void> {
  const list = await room.at(`//label[span[normalize-space()="${label}"]]//select`);
  await (await list.findElement({ css: `option[value="${value}"]` })).click();
}

describe('which method', () => {
  it('ranks the methods by what is asked and drafts by the one that is taken', async () => {
    await room.visit('/demo/draft/ticket-plain/choose');
    await room.press('Which method');
    await room.find('[data-advice="close"]');
    const first = async (): Promise<string> =>
      (await (await room.find('.advices > li')).getAttribute('data-advice')) ?? '';
    await ask('For', 'jeans');
    await ask('Of', 'firm');
    await room.until('close is not first', async () => (await first()) === 'close');
    expect(await room.text('[data-advice="close"]')).toContain('Suits jeans.');
    expect(await room.text('[data-advice="knit-leg"]')).toContain('Does not go with firm cloth');
    await ask('For', 'culotte');
    await ask('Of', 'falling');
    await room.until('skirt leg is not first', async () => (await first()) === 'skirt-leg');
    await room.press('Draft by this: Skirt leg');
    await room.until('the head keeps the old method', async () => (await room.text('.head')).includes('Skirt leg'));
    await room.find('.choice');
    await room.press('Undo');
    await room.until('not back', async () => (await room.text('.head')).includes('Quarter and half'));
  });
});

describe('the sheet editor', () => {
  const formula = async (line: string) => room.find(`[data-row="${line}"] .formula-field input`);
  const write = async (line: string, text: string): Promise<void> => {
    const field = await formula(line);
    await field.click();
    await field.sendKeys(Key.chord(Key.CONTROL, 'a'), text);
  };

  it('leaves a shipped sheet as it is, and changes an own copy with the piece following', async () => {
    await room.visit('/demo/draft/lamp-plain/choose');
    await room.press('Sheet');
    expect(await (await formula('back.extension')).getAttribute('readonly')).toBe('true');
    const rise = await room.edge('back.rise');
    await room.press('Make it my own');
    await room.until('no copy', async () => (await room.text('aside')).includes('0 lines differ'));
    await write('back.extension', 'back.hipWidth * 0.4');
    await room.until('the back stays', async () => (await room.edge('back.rise')) !== rise);
    expect(await room.text('aside')).toContain('1 line differs from “Quarter and half”');
    expect(await room.text('[data-row="back.extension"]')).toContain('was (hip/4 + split) / 2');
    await room.press('Undo');
    await room.until('the formula is not undone at once', async () => (await room.edge('back.rise')) === rise);
    await room.press('Redo');
  });

  it('completes a name as one writes', async () => {
    const field = await formula('back.extension');
    await field.click();
    await field.sendKeys(Key.chord(Key.CONTROL, 'a'), '(hip/4 + spl');
    await room.find('[role=listbox] [role=option]');
    await field.sendKeys(Key.ENTER, ') / 2');
    expect(await field.getAttribute('value')).toBe('(hip/4 + split) / 2');
    await room.until('still differs', async () => (await room.text('aside')).includes('0 lines differ'));
  });

  it('says where a formula is wrong, keeps the board, and mends', async () => {
    const rise = await room.edge('back.rise');
    await write('back.extension', 'back.hipWidht / 2');
    await room.until('no sentence', async () =>
      (await room.text('[data-row="back.extension"]')).includes('is not known'),
    );
    expect(await room.text('aside')).toContain('One line has a mistake');
    expect(await room.text('.board-message')).toContain('The last good draft stays on the board');
    expect(await room.edge('back.rise')).toBe(rise);
    await room.saved();
    // Opened again with the mistake, what was copied stands in for the line.
    await room.visit('/demo/draft/lamp-plain/choose/sheet');
    await room.find('[data-wrong="true"]');
    expect(await room.edge('back.rise')).toBe(rise);
    expect(await room.text('.board-message')).toContain('is not known');
    await write('back.extension', 'back.hipWidth / 2 + 1/2 in');
    await room.until('not mended', async () => !(await room.has('.board-message')));
    await room.until('the board stays', async () => (await room.edge('back.rise')) !== rise);
  });

  it('gives a setting a slider on the board, and moves the piece by it', async () => {
    await (await room.find('[data-row="hipEase"] input[type=checkbox]')).click();
    const slider = await room.find('[data-slider="hipEase"] input[type=range]');
    const side = await room.edge('front.side');
    await slider.sendKeys(Key.ARROW_RIGHT, Key.ARROW_RIGHT, Key.ARROW_RIGHT, Key.ARROW_RIGHT, Key.ARROW_RIGHT);
    await room.until('the side stays', async () => (await room.edge('front.side')) !== side);
  });

  it('goes out as a file, comes in again, and refuses what is none in a sentence', async () => {
    await room.press('Save sheet to file');
    const { downloads } = room.browser;
    await room.until('no file', async () => (await readdir(downloads)).some((f) => f.endsWith('.method.json')));
    const [name = ''] = (await readdir(downloads)).filter((f) => f.endsWith('.method.json'));
    const text = await readFile(join(downloads, name), 'utf8');
    expect(text).toContain('back.hipWidth / 2 + 1/2 in');
    const folder = await mkdtemp(join(tmpdir(), 'upstride-sheet-'));
    const [other, none] = [join(folder, 'other.json'), join(folder, 'none.json')];
    await writeFile(other, text.replace('back.hipWidth / 2 + 1/2 in', 'back.hipWidth / 2 + 1 in'));
    await writeFile(none, '{"colour": "blue"}');
    const input = await room.driver.findElement({ css: 'input[aria-label="Sheet file"]' });
    await input.sendKeys(none);
    await room.until('no sentence', async () => (await room.text('aside')).includes('This file is not a method sheet'));
    await input.sendKeys(other);
    await room.until('not taken', async () =>
      ((await (await formula('back.extension')).getAttribute('value')) ?? '').endsWith('+ 1 in'),
    );
    await room.saved();
    await room.visit('/demo/draft/lamp-plain/choose');
    await room.find('#method optgroup[label="Own methods"] option');
  });
});

describe('the worked steps', () => {
  it('play a method to its end, each step drawing more, with its sum, reason and slip', async () => {
    await room.visit('/demo/draft/puppeteer-black/choose');
    await room.press('Worked steps');
    expect(await room.text('[data-title]')).toBe('Draw the levels');
    expect(await room.text('aside')).toContain('Usual slip:');
    await room.press('Step on');
    expect(await room.text('[data-title]')).toBe('Front: Lay off the width');
    expect(await room.text('[data-sum="front.hipWidth"]')).toContain('hip');
    await room.keys('n', 'n');
    await room.until('keys do not step', async () => (await room.text('aside')).includes('Step 4 of 22'));
    await room.press('Play');
    await room.until('it does not play', async () => (await room.text('aside')).includes('Step 5 of 22'));
    await room.press('Pause');
    await room.keys(Key.END);
    await room.until('no end', async () => (await room.text('[data-title]')) === 'Walk the seams');
    expect((await room.driver.findElements({ css: '[data-done]' })).length).toBe(20);
    await room.keys(Key.HOME);
    await room.until('no beginning', async () => (await room.text('aside')).includes('Step 1 of 22'));
  });

  it('go back first where the makers do', async () => {
    await room.visit('/demo/draft/ticket-plain/choose');
    await room.choose('Method', 'thirds');
    await room.press('Worked steps');
    await room.press('Step on');
    expect(await room.text('[data-title]')).toBe('Back: Lay off the width');
    await room.press('Undo');
  });
});

describe('comparing', () => {
  it('lays three methods over one another and reads a difference', async () => {
    await room.visit('/demo/draft/ticket-plain/choose');
    await room.press('Compare');
    await ask('Lay over', 'method:close');
    await ask('Lay over', 'method:front-first');
    await room.find('[data-compared="C"][data-panel="back"]');
    expect((await room.driver.findElements({ css: '[data-compared]' })).length).toBe(6);
    const row = await room.text('[data-row="back.extension"]');
    const [a = NaN, b = NaN, c = NaN, difference = NaN] = (row.match(/\d+\.\d/g) ?? []).map(Number);
    expect(Math.max(a, b, c) - Math.min(a, b, c)).toBeCloseTo(difference, 0);
    expect(difference).toBeGreaterThan(1);
    const [first] = await room.driver.findElements({ css: '.compare-table tbody tr[data-row]' });
    expect(await first?.getText()).toMatch(/\d/);
  });

  it('hides and shows by a letter, aligns elsewhere, and lies side by side', async () => {
    await room.keys('b');
    await room.until('B stays', async () => !(await room.has('[data-compared="B"]')));
    await room.keys('b');
    await room.find('[data-compared="B"]');
    const outline = async (): Promise<string> =>
      (await (await room.find('[data-compared="B"][data-panel="back"] path')).getAttribute('d')) ?? '';
    const before = await outline();
    await ask('Brought together at', 'crotch');
    await room.until('it is not moved', async () => (await outline()) !== before);
    await ask('Shown', 'beside');
    await room.find('[aria-label$="side by side"]');
    await room.press('All ten methods');
    await room.find('[data-compared="K"]');
    await room.press('Clear');
    await room.until('not cleared', async () => !(await room.has('[data-compared="B"]')));
  });
});

describe('build, leg and level', () => {
  it('shows what a full seat moves', async () => {
    await room.visit('/demo/draft/ticket-plain/choose');
    const rise = await room.edge('back.rise');
    await room.choose('Seat', 'full');
    await room.until('the back stays', async () => (await room.edge('back.rise')) !== rise);
    expect(await room.text('[data-moves]')).toMatch(/Full seat: back centre lift .* → /);
    await room.enter('Full seat: more lift', '9');
    expect(await room.text('aside')).toContain('cannot be drafted');
    await room.press('Undo');
    await room.press('Undo');
    await room.until('not back', async () => (await room.edge('back.rise')) === rise);
  });

  it('takes a leg shape, or a share of the hip', async () => {
    await room.choose('Leg shape', 'wide');
    const wide = Number(await room.valueOf('Hem girth'));
    await room.choose('Leg shape', 'ratio');
    await room.enter('Hem, of the hip', '31');
    await room.until('the hem stays', async () => Math.abs(Number(await room.valueOf('Hem girth')) - wide / 2) < 0.3);
    await room.press('Undo');
    await room.press('Undo');
    await room.press('Undo');
  });

  it('reads the leg at any level, by pointer and by key', async () => {
    await room.press('Level line');
    const line = await room.find('.level-reader');
    const words = async (): Promise<string> => (await line.getAttribute('aria-valuetext')) ?? '';
    expect(await words()).toMatch(/Thigh line .* leg /);
    await room.driver.executeScript('arguments[0].focus()', line);
    await room.keys(Key.PAGE_DOWN);
    await room.until('no further', async () => !(await words()).startsWith('Thigh line'));
    await room.keys(Key.PAGE_DOWN);
    await room.until('no knee', async () => (await words()).startsWith('Knee line'));
    expect(await words()).toMatch(/knee .*over it/);
    const before = await line.getAttribute('data-level');
    await room.driver
      .actions()
      .move({ origin: await room.find('.level-grip') })
      .press()
      .move({ origin: Origin.POINTER, x: 0, y: 60, duration: 80 })
      .release()
      .perform();
    await room.until('the pointer does not move it', async () => (await line.getAttribute('data-level')) !== before);
    await room.press('Level line');
    await room.until('it stays', async () => !(await room.has('.level-reader')));
  });
});
