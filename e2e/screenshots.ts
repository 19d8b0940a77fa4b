import { writeFile } from 'node:fs/promises';
import type { AddressInfo } from 'node:net';
import { resolve } from 'node:path';
import { Key } from 'selenium-webdriver';
import { createApp } from '../server/app.js';
import { resize, startBrowser } from './browser.js';
import { RoomPage } from './room-page.js';

/** Takes the pictures in docs/screenshots from the demo workroom, as the production build shows it. */

const root = resolve(import.meta.dirname, '..');
const server = createApp(resolve(root, 'dist')).listen(0, '127.0.0.1');
await new Promise((ready) => server.once('listening', ready));
const browser = await startBrowser();
const room = new RoomPage();
room.enterWith(browser, `http://localhost:${(server.address() as AddressInfo).port}`);
const { driver } = browser;

async function picture(name: string, path: string, ready: string, before?: () => Promise<void>): Promise<void> {
  await room.visit(path);
  await room.find(ready);
  await before?.();
  await new Promise((settled) => setTimeout(settled, 700));
  await writeFile(resolve(root, 'docs/screenshots', `${name}.png`), await driver.takeScreenshot(), 'base64');
}

const theme = (mode: string): Promise<void> =>
  driver.executeScript(
    `localStorage.setItem('upstride-preferences', JSON.stringify({ state: { theme: '${mode}' }, version: 1 }))`,
  );

await room.visit('/');
await theme('light');
await picture('welcome', '/', '.welcome svg');
await picture('keep', '/demo', '.shelf .picture');
await picture('measure', '/demo/draft/ticket-plain/measure', '.doubt');
await picture('crew', '/demo/crew', '.MuiDataGrid-row');
await theme('light');
// Before anything is changed for another picture.
await picture('finish', '/demo/draft/cellist-dress/finish', '[data-handle]', async () => {
  await room.section('Waist');
});
await picture('chalk', '/demo/draft/rigger-work/cut/chalk', '[data-move]', async () => {
  for (let i = 0; i < 10; i++) await room.press('Next move');
});
await picture('cut', '/demo/draft/cellist-dress/cut', '.tile-preview svg');
await picture('lay', '/demo/draft/rigger-work/cut/lay', '[data-to-buy] ~ [data-searching="false"]');
await picture('many', '/demo/draft/lamp-plain/cut/many', '.bench button', async () => {
  await room.press('12 sizes of Children by height');
  await room.press('Nest');
  await room.find('.nest-drawing');
  await room.section('Nest');
});
await picture('virtual-toile', '/demo/draft/puppeteer-black/toile/virtual', '.bench button', async () => {
  await room.press('Sew and hang');
  await driver.wait(() => room.has('[data-worn="done"]'), 120_000);
  await room.press('Back');
});
await picture('choose', '/demo/draft/rigger-work/choose', '.choice');
await picture(
  'practise',
  '/demo/practise/own?method=quarter-and-half&level=eighths&ask=curves',
  '[data-task]',
  async () => {
    await room.press('Ask what it is worth');
  },
);
await picture('compare', '/demo/draft/cellist-dress/choose/compare', '.compare-drawing', async () => {
  for (const id of ['close', 'front-first']) {
    await (await room.at(`//label[span[.="Lay over"]]//option[@value="method:${id}"]`)).click();
  }
});
await picture('sheet', '/demo/draft/lamp-plain/choose/sheet', '.sheet-table', async () => {
  await room.press('Make it my own');
  const field = await room.find('[data-row="front.extension"] .formula-field input');
  await field.sendKeys(Key.chord(Key.CONTROL, 'a'), 'front.hipWidth / 4 + 1/4 in');
  await driver.executeScript('arguments[0].scrollIntoView({ block: "center" })', field);
});
await room.press('Undo');
await room.visit('/demo');
await room.press('Reset demo');
await picture('draft', '/demo/draft/cellist-dress/draft', '[data-handle="back.crotch"]', async () => {
  await room.told('back.extension');
});
await picture('true', '/demo/draft/puppeteer-black/measure', '.body-figure', async () => {
  await room.enter('Back rise', '37.9');
  await room.goTo('true');
  await (await room.find('[data-check-line="backRise"]')).click();
  await (await room.find('[data-offer="backRise.wedge"] button')).click();
  await room.find('.alter-wedge');
});
await picture('toile', '/demo/draft/rigger-work/toile', '[data-fitting]', async () => {
  await room.section('Causes');
  await room.find('[data-cause]');
});
await picture('outline', '/demo/draft/cook-copy/true/outline', '[data-reference-outline]', async () => {
  await room.press('Figures');
});
await resize(driver, 390, 844, true);
await picture('measure-telephone', '/demo/draft/lamp-plain/measure', '#measure-waist');
await browser.quit();
server.closeAllConnections();
server.close();
