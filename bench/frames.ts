import { resolve } from 'node:path';
import type { AddressInfo } from 'node:net';
import { By, Key, Origin, type WebElement } from 'selenium-webdriver';
import { startBrowser } from '../e2e/browser.js';
import { RoomPage } from '../e2e/room-page.js';
import { createApp } from '../server/app.js';

/**
 * Frames a second and the longest task of the page while it works: a lay of many parts that is searched, a part of it moved
 * by keys and by hand, a flare pulled, a nest of twelve sizes brought together elsewhere again and again. Limits: 50 frames,
 * 50 ms.
 */

const server = createApp(resolve(import.meta.dirname, '..', 'dist')).listen(0, '127.0.0.1');
await new Promise((ready) => server.once('listening', ready));
const browser = await startBrowser();
const { driver } = browser;
const room = new RoomPage();
room.enterWith(browser, `http://localhost:${(server.address() as AddressInfo).port}`);
await driver.manage().setTimeouts({ script: 60_000 });

/** Begins to count frames and to note the tasks that take longest. */
const BEGIN = `
window.counted = { frames: 0, long: [], from: performance.now() };
window.seen?.disconnect();
window.seen = new PerformanceObserver((list) => { for (const e of list.getEntries()) window.counted.long.push(Math.round(e.duration)); });
window.seen.observe({ entryTypes: ['longtask'] });
const next = () => { window.counted.frames += 1; window.counted.next = requestAnimationFrame(next); };
next();
`;
const END = `
cancelAnimationFrame(window.counted.next);
return { ...window.counted, ms: performance.now() - window.counted.from };
`;

interface Counted {
  readonly frames: number;
  readonly long: readonly number[];
  readonly ms: number;
}

async function counted(name: string, during: () => Promise<void>): Promise<void> {
  await driver.executeScript(BEGIN);
  await during();
  const { frames, long, ms } = await driver.executeScript<Counted>(END);
  const tasks = long.length === 0 ? 'no task over 50 ms' : `tasks over 50 ms: ${long.join(', ')}`;
  console.log(
    `${name}: ${((1000 * frames) / ms).toFixed(0)} frames a second over ${(ms / 1000).toFixed(1)} s, ${tasks}`,
  );
}

const wait = (ms: number): Promise<void> => new Promise((done) => setTimeout(done, ms));

/** Lays so many of the open garment, and of another draft with it. */
async function laidTogether(of: Readonly<Record<string, number>>): Promise<void> {
  for (const [draft, count] of Object.entries(of)) {
    if (!(await room.has(`#together-${draft}`))) await room.choose('Lay with it', draft);
    const field = await room.find(`#together-${draft}`);
    await field.sendKeys(Key.chord(Key.CONTROL, 'a'), String(count), Key.ENTER);
  }
}

await room.visit('/demo/draft/rigger-work/cut/lay');
await room.find('[data-to-buy]');
await room.section('With');
await laidTogether({ 'rigger-work': 20, 'puppeteer-black': 20, 'cellist-dress': 8 });
const copies = By.css('.lay-board [data-copy]');
await room.until('nothing laid', async () => (await driver.findElements(copies)).length > 340, 60_000);
const parts = (await driver.findElements(copies)).length;
await counted(`a lay of ${parts} parts, searched`, () => wait(6000));
await room.section('Lay');
await room.press('Stop').catch(() => undefined);
// The one at the end of the cloth has room beyond it.
const last = await driver.executeScript<WebElement>(`
  const right = (e) => e.getBoundingClientRect().right;
  return [...document.querySelectorAll('.lay-board [data-copy]')].reduce((a, b) => (right(b) > right(a) ? b : a));
`);
await last.click();
const outline = async (): Promise<string | null> => last.findElement(By.css('.lay-part')).getAttribute('d');
const lay = await outline();
await counted('a part of them moved by keys', async () => {
  for (let i = 0; i < 30; i++) {
    await driver.actions().sendKeys(Key.ARROW_RIGHT).perform();
    await wait(150);
  }
});
console.log(`It has ${(await outline()) === lay ? 'not ' : ''}moved. ${await room.text('[data-to-buy]')}`);

/** Pulls something back and forth as a hand does, some hundred moves. */
async function pulled(grip: WebElement, by: number): Promise<void> {
  const hand = driver.actions({ async: true }).move({ origin: grip }).press();
  for (let i = 0; i < 96; i++) {
    const way = i % 32 < 16 ? 1 : -1;
    hand.move({ origin: Origin.POINTER, x: way * by, y: i % 2 === 0 ? 1 : -1, duration: 16 });
  }
  await hand.release().perform();
}
await counted('a part of them pulled by hand', () => pulled(last, 3));

await room.visit('/demo/draft/cellist-dress/finish');
await room.section('Leg');
await (await room.find('[data-component="flare"] input[type=checkbox]')).click();
await (await room.find('[data-piece-button="front"]')).click();
const garment = (await driver.findElements(By.css('[data-piece-button]'))).length;
await pulled(await room.find('[data-handle="flare.by"]'), 1);
await counted(`a flare pulled on a garment of ${garment} parts`, async () =>
  pulled(await room.find('[data-handle="flare.by"]'), 1),
);

await room.visit('/demo/draft/ticket-plain/cut/many');
await room.press('12 sizes of Children by height');
await room.press('Nest');
await room.find('.nest-drawing');
await room.section('Nest');
await counted('a nest of twelve sizes, brought together elsewhere', async () => {
  for (const at of ['crotch', 'side', 'centre', 'hem', 'crease', 'crotch', 'side', 'centre'])
    await room.choose('Brought together at', at);
});
await browser.quit();
server.closeAllConnections();
server.close();
