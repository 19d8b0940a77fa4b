import { stat } from 'node:fs/promises';
import { createServer, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { resolve } from 'node:path';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { createApp } from '../server/app.js';
import { startBrowser, type Browser } from './browser.js';
import { RoomPage } from './room-page.js';

let server: Server | undefined;
let browser: Browser;
const room = new RoomPage();

/** Every view of the application that has an address. */
const VIEWS = [
  '/',
  '/demo',
  '/demo/crew',
  '/demo/sizes',
  '/demo/forms',
  '/demo/person/cellist/history',
  ...[
    'measure',
    'choose',
    'draft',
    'true',
    'cut',
    'choose/advise',
    'choose/compare',
    'choose/steps',
    'choose/sheet',
  ].map((at) => `/demo/draft/lamp-plain/${at}`),
  ...['it', 'walk', 'curve', 'outline', 'report'].map((at) => `/demo/draft/lamp-plain/true/${at}`),
];

beforeAll(async () => {
  server = createServer(createApp(resolve('dist'))).listen(0, '127.0.0.1');
  await new Promise((ready) => server?.once('listening', ready));
  browser = await startBrowser();
  room.enterWith(browser, `http://localhost:${(server.address() as AddressInfo).port}`);
});
afterAll(async () => {
  server?.closeAllConnections();
  server?.close();
  await browser.quit();
});

describe('without a server', () => {
  it('every view, a worker and a print go on working after the first visit, and what is done is kept', async () => {
    await room.visit('/demo');
    await room.until('nothing is kept for later', () =>
      room.driver.executeScript<boolean>(
        'return navigator.serviceWorker.getRegistration().then((r) => r?.active?.state === "activated")',
      ),
    );
    server?.closeAllConnections();
    await new Promise((closed) => server?.close(closed));
    server = undefined;
    for (const path of VIEWS) {
      await room.visit(path);
      await room.until(`${path} does not open`, async () =>
        room.driver.executeScript<boolean>(
          'return document.querySelector("h1, .board, .page") !== null && !document.body.innerText.includes("stopped")',
        ),
      );
    }
    await room.visit('/demo/draft/lamp-plain/draft');
    await room.enter('Knee width', '26');
    await room.saved();
    await room.driver.navigate().refresh();
    await room.find('[data-handle="back.crotch"]');
    expect(await room.valueOf('Knee width')).toBe('26');
    await room.goTo('cut');
    await room.press('Print pieces');
    expect((await stat(await room.download('.pdf'))).size).toBeGreaterThan(10_000);
    await room.goTo('true');
    await room.press('True it');
    await (await room.at('//aside//button[normalize-space()="True it"]')).click();
    await room.until('the worker does not answer', async () => /Nothing|Take|found/i.test(await room.text('aside')));
  });
});
