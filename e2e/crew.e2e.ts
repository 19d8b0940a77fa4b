import { mkdtemp, readFile, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Key } from 'selenium-webdriver';
import type * as chrome from 'selenium-webdriver/chrome.js';
import { describe, expect, it } from 'vitest';
import { resize } from './browser.js';
import { inRoom } from './harness.js';

const room = inRoom();

const file = async (name: string, text: string): Promise<string> => {
  const path = join(await mkdtemp(join(tmpdir(), 'upstride-')), name);
  await writeFile(path, text);
  return path;
};
const cell = (person: string, field: string): Promise<string> =>
  room.text(`[role=row][data-id="${person}"] [data-field="${field}"]`);
const focusCell = async (person: string, field: string): Promise<void> => {
  await (await room.find(`[role=row][data-id="${person}"] [data-field="${field}"]`)).click();
};
/** Changes a cell as one does by keyboard: Enter opens it, Enter closes it. */
const editCell = async (row: string, field: string, text: string): Promise<void> => {
  await focusCell(row, field);
  await room.keys(Key.ENTER);
  await room.find('.MuiDataGrid-cell--editing input');
  await room.chord(Key.CONTROL, 'a');
  await room.keys(text, Key.ENTER);
};
const paste = (text: string): Promise<void> =>
  room.driver.executeScript(
    `const data = new DataTransfer(); data.setData('text/plain', arguments[0]);
     document.activeElement.dispatchEvent(new ClipboardEvent('paste', { clipboardData: data, bubbles: true, cancelable: true }));`,
    text,
  );

describe('the crew', () => {
  it('is changed in place, in any notation; a bad figure is refused in a sentence and stays in its cell', async () => {
    await room.visit('/demo/crew');
    await editCell('cook', 'hip', '50 1/2 in');
    await room.until('not changed', async () => (await cell('cook', 'hip')) === '128.3');
    await editCell('cook', 'waist', 'wide');
    expect(await room.text('.problem')).toContain('Cook: Waist: “wide” is not a length');
    await room.keys(Key.ESCAPE);
    expect(await cell('cook', 'waist')).toBe('112.0');
    await room.press('Undo');
    await room.until('not undone', async () => (await cell('cook', 'hip')) === '128.0');
  });

  it('takes rows pasted from a spreadsheet, and undoes them as one', async () => {
    await focusCell('bargee', 'waist');
    await paste('111\t108\n79\tbroad\n113\t129');
    await room.until('not pasted', async () => (await cell('cook', 'waist')) === '113.0');
    expect(await cell('bargee', 'hip')).toBe('108.0');
    expect(await room.text('.problem')).toContain('Cellist: Hip: “broad” is not a length');
    expect(await cell('cellist', 'hip')).toBe('102.0');
    await focusCell('ticket-seller', 'name');
    await paste('Ticket seller\t2026-06-12\nBosun\t2026-11-20\t88\t104');
    await room.until('nobody was added', async () => (await room.text('.crew-grid')).includes('Bosun'));
    await room.press('Undo');
    await room.until('not undone', async () => !(await room.text('.crew-grid')).includes('Bosun'));
  });

  it('comes in from a table with what is wrong said row by row, and goes out as one', async () => {
    await room.visit('/own/crew');
    await room.press('Bring in a table');
    const table =
      'Name;Taken on;Waist;Hip;Crotch depth;Inseam\nMate;2026-11-01;82,5;101;27;80\n;2026-11-20;83;101;27;80\nStoker;2026-11-01;wide;108;28;79\n';
    await (await room.find('[aria-label="Table file"]')).sendKeys(await file('crew.csv', table));
    await room.until('not read', async () =>
      (await room.text('[data-testid="findings"]')).includes('2 people with 3 sets'),
    );
    expect(await room.text('.row-problems')).toContain('Row 4, Waist “wide”');
    await room.press('Take over what is sound');
    await room.until('not there', async () => (await room.text('.crew-grid')).includes('Stoker'));
    await room.press('Save table');
    const out = await readFile(await room.download('.csv'), 'utf8');
    expect(out).toContain('Waist (cm)');
    expect(out).toMatch(/Mate,unknown,2026-11-20,,,83,101,27,80/);
    await room.press('Measuring forms');
    await room.press('Print forms');
    expect(await room.text('.form-sheet')).toContain('Crotch depth *');
  });
});

describe('a table without plain headings', () => {
  it('is pasted, its columns are named by hand, and a stopped reading changes nothing', async () => {
    await room.visit('/own/crew');
    await room.press('Bring in a table');
    await (await room.find('#pasted-table')).sendKeys('Sailor;A;B\nPurser;84;103\n');
    await room.press('Read what was pasted');
    await room.until('the name is not asked for', async () =>
      (await room.text('[role=dialog]')).includes('No column holds the name'),
    );
    await room.choose('Figures are in', 'cm');
    const meaning = async (column: string, value: string): Promise<void> => {
      await (await room.find(`[aria-label="What “${column}” holds"] option[value="${value}"]`)).click();
    };
    await meaning('Sailor', 'name');
    await meaning('A', 'waist');
    await meaning('B', 'hip');
    await room.until('not read', async () =>
      (await room.text('[data-testid="findings"]')).includes(
        '1 person with 1 set can be taken over; nothing is wrong.',
      ),
    );
    await room.press('Take over what is sound');
    await room.until('not there', async () => (await room.text('.crew-grid')).includes('Purser'));
    await room.press('Undo');
    await room.until('still there', async () => !(await room.text('.crew-grid')).includes('Purser'));
  });

  it('goes out on forms, blank or filled, one sheet for each person', async () => {
    await room.visit('/demo/forms?people=lamp-operator,cook&unit=in');
    await room.find('.form-sheet');
    expect((await room.driver.findElements({ css: '.form-sheet' })).length).toBe(2);
    expect(await room.text('.forms')).toMatch(/Lamp operator[\s\S]*29 15\/16/);
    await (await room.at('//label[contains(., "Filled")]')).click();
    await room.until('not blank', async () => (await room.text('.forms')).includes('Name or role ____'));
    // Every sheet of the tape's round goes on one page, of either paper.
    for (const [paperWidth, paperHeight] of [
      [8.27, 11.69],
      [8.5, 11],
    ]) {
      const printed = (await (room.driver as chrome.Driver).sendAndGetDevToolsCommand('Page.printToPDF', {
        paperWidth,
        paperHeight,
      })) as unknown as { readonly data: string };
      const pages = Buffer.from(printed.data, 'base64')
        .toString('latin1')
        .match(/\/Type\s*\/Page\b/g);
      expect(pages).toHaveLength(1);
    }
    expect((await room.driver.findElements({ css: '.form-sheet' })).length).toBe(1);
  });
});

describe('what is deleted', () => {
  it('comes back by undo: a person with their drafts, a set, a chart', async () => {
    await room.visit('/demo/crew');
    await (await room.find('[role=row][data-id="bargee"] input[type=checkbox]')).click();
    await room.press('Delete');
    await room.until('still there', async () => !(await room.has('[role=row][data-id="bargee"]')));
    expect(await room.text('.MuiSnackbar-root')).toContain('Deleted “Bargee” and 1 draft');
    await room.press('Undo');
    await room.find('[role=row][data-id="bargee"]');

    await room.visit('/demo/person/lead-puppeteer/history');
    await (await room.find('[data-set="lead-puppeteer-1"] button')).click();
    await room.until('still there', async () => !(await room.has('[data-set="lead-puppeteer-1"]')));
    await room.press('Undo');
    await room.find('[data-set="lead-puppeteer-1"]');
    expect(await room.has('[data-set="lead-puppeteer-2"] button')).toBe(false);

    await room.visit('/demo/sizes');
    await room.press('Copy to change it');
    await room.find('#chart-name');
    await room.press('Add a size');
    await room.until(
      'no further size',
      async () => (await room.driver.findElements({ css: '.MuiDataGrid-row' })).length === 13,
    );
    await room.press('Delete chart');
    await room.until('still there', async () => !(await room.has('#chart-name')));
    await room.press('Undo');
    await room.find('#chart-name');
  });

  it('is refused in a sentence where nobody goes by the address', async () => {
    for (const address of ['/demo/person/nobody', '/demo/person/nobody/history']) {
      await room.visit(address);
      await room.until(`${address} says nothing`, async () =>
        (await room.text('.page')).includes('This person is not here'),
      );
    }
  });
});

describe('size charts', () => {
  it('stand size by size on a telephone, and are changed there', async () => {
    await resize(room.driver, 390, 844);
    await room.visit('/own/sizes');
    await room.press('Copy to change it');
    await room.find('#chart-name');
    await (await room.find('[data-size="104"] summary')).click();
    const hip = await room.find('[data-size="104"] [id$="-hip"]');
    await hip.sendKeys(Key.chord(Key.CONTROL, 'a'), '61 1/2', Key.ENTER);
    await room.until('the figure is not taken', async () => (await hip.getAttribute('value')) === '61.5');
    await hip.sendKeys(Key.chord(Key.CONTROL, 'a'), '2', Key.ENTER);
    await room.until('no sentence', async () => (await room.text('.problem')).startsWith('Size 104: '));
    const wide: boolean = await room.driver.executeScript(
      'return document.documentElement.scrollWidth > document.documentElement.clientWidth',
    );
    expect(wide).toBe(false);
    await room.press('Delete chart');
    await resize(room.driver, 1280, 800);
  });

  it('are copied to be changed, brought in from a table, and offered at Measure', async () => {
    await room.visit('/own/sizes');
    await room.press('Bring in a table');
    await (
      await room.find('[aria-label="Chart file"]')
    ).sendKeys(
      await file('House sizes.csv', 'Size,Waist,Hip,Body rise,Inside leg\nS,70,94,26,78\nM,78,102,27,78\nL,wide,,,\n'),
    );
    expect(await room.text('[data-testid="findings"]')).toContain('2 sizes can be taken over');
    await room.press('Take over what is sound');
    await room.until('not there', async () => (await room.text('.crew-grid')).includes('102.0'));
    await editCell('1', 'hip', '103');
    await room.until('not changed', async () => (await cell('1', 'hip')) === '103.0');
    await room.press('Undo');
    await room.until('not undone', async () => (await cell('1', 'hip')) === '102.0');
  });
});

describe('merging a workbook', () => {
  it('asks about what differs, keeps both sides, and can be undone', async () => {
    await room.visit('/demo');
    await room.press('Reset demo');
    await room.find('.shelf li');
    await room.press('Save workbook');
    const book = await readFile(await room.download('.upstride.json'), 'utf8');
    const theirs = book.replace('"waist": 1120', '"waist": 1130');
    expect(theirs).not.toBe(book);
    await (await room.find('[aria-label="Workbook file"]')).sendKeys(await file('theirs.json', theirs));
    await room.until('what differs is not told', async () =>
      /Cook, measured 2026-05-07\s+Differs in waist/.test(await room.text('.conflicts')),
    );
    await room.press('Merge');
    await room.until('not told', async () => (await room.text('.MuiSnackbar-root')).includes('1 decided'));
    await room.visit('/demo/person/cook/history');
    await room.find('[data-set]');
    expect((await room.driver.findElements({ css: '[data-set]' })).length).toBe(3);
  });
});
