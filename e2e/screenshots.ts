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
await picture('measure-single', '/demo/draft/cellist-dress/measure', '.body-figure', async () => {
  await (await room.find('#measure-backRise')).click();
  await room.press('One at a time');
});
await picture('pair', '/demo/draft/cook-copy/measure', '.body-figure', async () => {
  await (await room.find('#pair-wholeThigh')).click();
});
await picture('newer-set', '/demo/draft/rigger-work/measure', '.body-figure', async () => {
  await room.press('What would change');
});
await picture('crew', '/demo/crew', '.MuiDataGrid-row');
await picture('history', '/demo/person/lead-puppeteer/history', '.figure-chart path');
await picture('sizes', '/demo/sizes', '.MuiDataGrid-row');
await theme('light');
await picture('choose', '/demo/draft/rigger-work/choose', '.choice');
await picture('draft', '/demo/draft/cellist-dress/draft', '[data-handle="back.crotch"]');
await picture('draft-checks', '/demo/draft/puppeteer-black/draft', '.gauge', async () => {
  await room.press('Open the page of checks');
});
await picture('draft-drag', '/demo/draft/cellist-dress/draft', '[data-handle="back.crotch"]', async () => {
  const grip = await room.handle('back.seat');
  await driver.actions().move({ origin: grip }).press().move({ origin: grip, x: -22, y: 2, duration: 80 }).perform();
});
// The demo stays as it came: the drag is given up.
await room.keys(Key.ESCAPE);
await driver.actions().release().perform();
await picture('cut', '/demo/draft/cellist-dress/cut', '.tile-preview svg');
await theme('dark');
await picture('draft-dark', '/demo/draft/rigger-work/draft', '[data-handle="back.crotch"]');
await theme('light');
await resize(driver, 390, 844, true);
await picture('measure-telephone', '/demo/draft/lamp-plain/measure', '#measure-waist');
await browser.quit();
server.closeAllConnections();
server.close();
