import { mkdtemp, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Key } from 'selenium-webdriver';
import { describe, expect, it } from 'vitest';
import { resize } from './browser.js';
import { computeDraft } from '../core/chain/index.js';
import { inputOf, keptOutline, newDraft, newPerson } from '../core/kept/index.js';
import { DEFAULT_SHEET } from '../core/method/index.js';
import { writeWorkbook } from '../core/workbook/index.js';
import { inRoom } from './harness.js';
import { faultsOf, VIEWS } from './views.js';

const room = inRoom();

const names = async (): Promise<string[]> =>
  room.driver.executeScript('return [...document.querySelectorAll(".shelf [data-draft]")].map(e=>e.dataset.draft)');

describe('the shelf', () => {
  it('shows the demo workroom with pictures of the real pieces', async () => {
    await room.visit('/demo');
    await room.find('.shelf .picture path');
    expect(await names()).toHaveLength(10);
    expect(await room.text('.page')).toContain('Apprentice');
  });

  it('copies, renames and deletes, and undoes each', async () => {
    await room.press('Copy Work trousers');
    await room.until('no copy', async () => (await names()).includes('Work trousers, copy'));
    await room.press('Rename Work trousers, copy');
    await room.driver.switchTo().activeElement().sendKeys(Key.chord(Key.CONTROL, 'a'), 'Climbing trousers', Key.ENTER);
    await room.until('not renamed', async () => (await names()).includes('Climbing trousers'));
    await room.press('Delete Climbing trousers');
    await room.until('not deleted', async () => !(await names()).includes('Climbing trousers'));
    for (const expected of ['Climbing trousers', 'Work trousers, copy']) {
      await room.press('Undo');
      await room.until(`no ${expected}`, async () => (await names()).includes(expected));
    }
    await room.press('Undo');
    await room.until('the copy stays', async () => (await names()).length === 10);
  });

  it.each([
    ['damaged.json', '{"format": "upstride-workbook", "version": 1, "people": [', 'damaged'],
    ['foreign.json', '{"hello": 1}', 'not an Upstride workbook'],
    ['newer.json', '{"format": "upstride-workbook", "version": 99}', 'newer Upstride'],
    [
      'holed.json',
      '{"format": "upstride-workbook", "version": 1, "written": "2026-01-01T00:00:00.000Z", "people": [], "drafts": [{"id": 3}]}',
      'drafts.0',
    ],
  ])('refuses %s in a sentence and changes nothing', async (name, text, part) => {
    const before = await names();
    const file = join(await mkdtemp(join(tmpdir(), 'upstride-')), name);
    await writeFile(file, text);
    await (await room.find('input[type=file]')).sendKeys(file);
    await room.until(`no word of ${part}`, async () => (await room.text('.problem')).includes(part));
    expect(await room.text('.problem')).toContain('Nothing was changed');
    expect(await names()).toEqual(before);
  });

  it('is put back as it came', async () => {
    await room.press('Delete Shorts');
    await room.until('not deleted', async () => (await names()).length === 9);
    await room.press('Reset demo');
    await room.until('not reset', async () => (await names()).length === 10);
  });
});

describe('a draft that is drawn otherwise than when it was kept', () => {
  it('says so once, by how much and where, with both drawings', async () => {
    const person = newPerson(() => 'p-kept', 'Prop maker', 'in', new Date('2026-03-01'));
    const [set] = person.sets;
    if (!set) throw new Error('a new person has a set');
    const values = { waist: 780, hip: 1000, crotchDepth: 272, inseam: 780 };
    const measured = { ...person, sets: [{ ...set, values }] };
    const draft = {
      ...newDraft(() => 'd-kept', measured, 'Kept long ago', new Date('2026-03-01')),
      name: 'Kept long ago',
    };
    const wider = { ...draft, set: { 'front.extension': 80 } };
    const then = computeDraft(inputOf({ person: measured, draft: wider }, DEFAULT_SHEET));
    if (!then.ok) throw new Error('it is drawn');
    const kept = { ...draft, outline: keptOutline(then.value.block, { person: measured, draft }) };
    const file = join(await mkdtemp(join(tmpdir(), 'upstride-')), 'kept.json');
    await writeFile(
      file,
      writeWorkbook(
        { people: [measured], drafts: [kept], charts: [], practice: [], styles: [] },
        new Date('2026-03-02'),
      ),
    );
    await room.visit('/own');
    await (await room.find('input[type=file]')).sendKeys(file);
    await room.until('it does not come in', async () => (await names()).includes('Kept long ago'));
    await room.visit('/own/draft/d-kept/draft');
    await room.find('[role=dialog] .overlay path');
    await room.until('the dialog stays empty', async () => (await room.text('[role=dialog]')).includes('Understood'));
    const told = await room.text('[role=dialog]');
    expect(told).toMatch(/by up to \d+.* in, on the front’s (rise|inseam), 1\d.* in below the waist line/);
    expect(await room.driver.findElements({ css: '[role=dialog] .overlay path' })).toHaveLength(4);
    await room.press('Understood');
    await room.until('the dialog stays', async () => !(await room.has('[role=dialog]')));
    await room.saved();
    await room.driver.navigate().refresh();
    await room.find('[data-edge="front.rise"]');
    expect(await room.has('[role=dialog]')).toBe(false);
  });
});

describe('two windows', () => {
  it('see each other’s acts, and each undoes its own', async () => {
    const first = await room.driver.getWindowHandle();
    await room.visit('/demo/draft/lamp-plain/draft');
    await room.find('[data-handle="back.crotch"]');
    await room.driver.switchTo().newWindow('tab');
    const second = await room.driver.getWindowHandle();
    await room.visit('/demo/draft/lamp-plain/draft');
    await room.enter('Hem width', '25');
    await room.saved();
    await room.driver.switchTo().window(first);
    // What the other window did is seen here, and both change what they change.
    await room.until('the other is not seen', async () => (await room.valueOf('Hem width')) === '25');
    await room.enter('Knee width', '26');
    await room.saved();
    expect(await room.has('.save-trouble')).toBe(false);
    await room.driver.switchTo().window(second);
    await room.until('the first is not seen', async () => (await room.valueOf('Knee width')) === '26');
    // Each undoes its own: the other's figure stays.
    await room.press('Undo');
    await room.until('not undone', async () => (await room.valueOf('Hem width')) !== '25');
    expect(await room.valueOf('Knee width')).toBe('26');
    await room.saved();
    await room.driver.switchTo().window(first);
    await room.until('the undo is not seen', async () => (await room.valueOf('Hem width')) !== '25');
    await room.press('Undo');
    await room.saved();
    await room.driver.switchTo().window(second);
    await room.driver.close();
    await room.driver.switchTo().window(first);
  });
});

/** Looking at every view takes longer than a journey, on a slow machine. */
const ALL_VIEWS_MS = 600_000;

/** By how much the view that is open runs off the side at four sizes of screen, where it does. */
async function offTheSide(view: string): Promise<string[]> {
  const over: string[] = [];
  for (const [width, height] of [
    [1024, 768],
    [768, 1024],
    [390, 844],
    [640, 400],
  ] as const) {
    await resize(room.driver, width, height, width < 500);
    // A chart follows the screen a little later than the page.
    const by = await room.driver.executeAsyncScript<number>(
      `const done = arguments[0];
       let looks = 12;
       const look = () => {
         const by = document.documentElement.scrollWidth - innerWidth;
         if (by <= 1 || --looks === 0) done(by);
         else setTimeout(look, 100);
       };
       requestAnimationFrame(() => requestAnimationFrame(look));`,
    );
    if (by > 1) over.push(`${view} by ${by} at ${width} × ${height}`);
  }
  await resize(room.driver, 1280, 800);
  return over;
}

/** Has the page in the theme that the system asks for. */
const systemAsks = (theme: 'light' | 'dark'): Promise<void> =>
  room.driver.sendDevToolsCommand('Emulation.setEmulatedMedia', {
    features: [{ name: 'prefers-color-scheme', value: theme }],
  });

describe('for everyone', () => {
  it(
    'no view has a fault of any grade, in the light theme and in the dark one, and none runs off the side of any screen',
    async () => {
      const found: string[] = [];
      await room.visit('/demo');
      for (const view of VIEWS) {
        await systemAsks('light');
        await room.turnTo(view);
        await room.until(`${view} is empty`, () => room.has('svg polygon, svg path, .MuiDataGrid-row'));
        found.push(...(await faultsOf(room.driver)).map((fault) => `${view} ${fault}`), ...(await offTheSide(view)));
        await systemAsks('dark');
        await room.until(`${view} stays light`, () => room.has('html[data-theme="dark"]'));
        // What the theme changes is contrast: all else was looked at in the light one.
        const dark = await faultsOf(room.driver, ['color-contrast']);
        found.push(...dark.map((fault) => `${view} in the dark ${fault}`));
      }
      expect(found).toEqual([]);
      await room.driver.sendDevToolsCommand('Emulation.setEmulatedMedia', { features: [] });
    },
    ALL_VIEWS_MS,
  );
});

describe('what was done', () => {
  it('is undone where it was done: a rename on the shelf leaves what was drafted since', async () => {
    await room.visit('/demo');
    await room.press('Reset demo');
    await room.until('not reset', async () => (await room.text('.page')).includes('Plain trousers'));
    await room.press('Rename Plain trousers');
    await room.driver.switchTo().activeElement().sendKeys(Key.chord(Key.CONTROL, 'a'), 'Renamed trousers', Key.ENTER);
    await room.until('not renamed', async () => (await names()).includes('Renamed trousers'));
    await (await room.at('//a[normalize-space()="Renamed trousers"]')).click();
    await room.find('[data-handle="back.crotch"]');
    await room.enter('Crotch extension', '15.5');
    await room.saved();
    await room.press('Keep');
    await room.find('.shelf');
    await room.press('Undo');
    await room.until('the rename stays', async () => (await names()).includes('Plain trousers'));
    await (await room.at('//a[normalize-space()="Plain trousers"]')).click();
    await room.find('[data-handle="back.crotch"]');
    expect(await room.valueOf('Crotch extension')).toBe('15.5');
    // The log outlives a reload, is read in words, and is stepped through.
    await room.driver.navigate().refresh();
    await room.find('[data-handle="back.crotch"]');
    await room.press('What was done');
    await room.find('.act');
    expect(await room.text('[role=menu]')).toMatch(/Back crotch extension 15\.5 cm[\s\S]*Before all this/);
    await (await room.at('//li[contains(., "Before all this")]')).click();
    await room.until('not stepped back', async () => (await room.valueOf('Crotch extension')) !== '15.5');
    await room.saved();
    await room.press('Redo');
    await room.until('not done again', async () => (await room.valueOf('Crotch extension')) === '15.5');
  });

  it('takes a figure over that was typed a moment before the page is loaded anew', async () => {
    await room.visit('/demo/draft/lamp-plain/draft');
    await room.find('[data-handle="back.crotch"]');
    const field = await room.fieldFor('Knee width');
    await field.click();
    await field.sendKeys(Key.chord(Key.CONTROL, 'a'), '27');
    await room.driver.navigate().refresh();
    await room.find('[data-handle="back.crotch"]');
    expect(await room.valueOf('Knee width')).toBe('27');
    await room.press('Undo');
    await room.until('not undone', async () => (await room.valueOf('Knee width')) !== '27');
  });

  it('leaves a half typed figure to itself', async () => {
    await room.visit('/demo/draft/lamp-plain/draft');
    await room.find('[data-handle="back.crotch"]');
    await room.enter('Hem width', '24');
    await room.saved();
    const field = await room.fieldFor('Knee width');
    await field.click();
    await field.sendKeys(Key.chord(Key.CONTROL, 'a'), '3', Key.chord(Key.CONTROL, 'z'));
    expect(await room.valueOf('Hem width')).toBe('24');
    await field.sendKeys(Key.ESCAPE);
    await field.sendKeys(Key.chord(Key.CONTROL, 'z'));
    await room.until('not undone', async () => (await room.valueOf('Hem width')) !== '24');
  });
});
