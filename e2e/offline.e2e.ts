import { appendFile, cp, mkdtemp, stat } from 'node:fs/promises';
import { createServer, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { createApp } from '../server/app.js';
import { startBrowser, type Browser } from './browser.js';
import { RoomPage } from './room-page.js';

let server: Server | undefined;
let browser: Browser;
/** A build of its own, so that a newer one can take its place. */
let folder: string;
const room = new RoomPage();

/** Every view of the application that has an address. */
const VIEWS = [
  '/',
  '/demo',
  '/demo/crew',
  '/demo/sizes',
  '/demo/practise',
  '/demo/practise/first-line',
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
  ...['chalk', 'lay', 'ready', 'make', 'spec'].map((at) => `/demo/draft/lamp-plain/cut/${at}`),
];

beforeAll(async () => {
  folder = await mkdtemp(join(tmpdir(), 'upstride-build-'));
  await cp('dist', folder, { recursive: true });
  server = createServer(createApp(folder)).listen(0, '127.0.0.1');
  await new Promise((ready) => server?.once('listening', ready));
  browser = await startBrowser();
  room.enterWith(browser, `http://localhost:${(server.address() as AddressInfo).port}`);
});
afterAll(async () => {
  server?.closeAllConnections();
  server?.close();
  await browser.quit();
});

/** Keeping every part of the program takes a while on a slow machine. */
const KEEPING_MS = 45_000;

const isKept = async (): Promise<void> => {
  await room.driver.wait(
    () =>
      room.driver.executeScript<boolean>(
        'return navigator.serviceWorker.getRegistration().then((r) => r?.active?.state === "activated")',
      ),
    KEEPING_MS,
    'nothing is kept for later',
  );
};

describe('a newer build', () => {
  it('is offered, and taken at a press with nothing lost', async () => {
    await room.visit('/demo/draft/lamp-plain/draft');
    await room.find('[data-handle="back.crotch"]');
    await isKept();
    await appendFile(join(folder, 'sw.js'), '\n// a newer build\n');
    await room.driver.executeScript('navigator.serviceWorker.getRegistration().then((r) => r.update())');
    await room.find('.new-version');
    await room.enter('Hem width', '24');
    await room.press('Load it');
    await room.until('the offer stays', async () => !(await room.has('.new-version')));
    await room.find('[data-handle="back.crotch"]');
    expect(await room.valueOf('Hem width')).toBe('24');
  });
});

describe('without a server', () => {
  it('every view, a worker and a print go on working after the first visit, and what is done is kept', async () => {
    await room.visit('/demo');
    await isKept();
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
    await room.press('Make PDF');
    expect((await stat(await room.download('.pdf'))).size).toBeGreaterThan(10_000);
    await room.goTo('true');
    await room.press('True it');
    await (await room.at('//aside//button[normalize-space()="True it"]')).click();
    await room.until('the worker does not answer', async () => /Nothing|Take|found/i.test(await room.text('aside')));
  });
});
