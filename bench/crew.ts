import { mkdtemp, writeFile } from 'node:fs/promises';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import { newDraft, newPerson, newSet, type Person } from '../core/kept/index.js';
import { writeWorkbook } from '../core/workbook/index.js';
import { startBrowser } from '../e2e/browser.js';
import { createApp } from '../server/app.js';
import { plausibleBody, seeded } from './random-body.js';

/** How the workroom answers with 1,000 people of 5 sets each: opening the file, searching the list and the table. */

const PEOPLE = 1000;
const SETS = 5;
const KEYSTROKE_LIMIT = 100;
const OPEN_LIMIT = 3000;
const SHELF_LIMIT = 500;
const TASK_LIMIT = 50;

const random = seeded(11);
let n = 0;
const id = (): string => `id-${++n}`;
const people = Array.from({ length: PEOPLE }, (_, i): Person => {
  const now = new Date(Date.UTC(2026, 0, 1));
  const person = newPerson(id, `Person ${i} ${['stoker', 'mate', 'bosun', 'pilot'][i % 4] ?? ''}`, 'cm', now);
  const body = plausibleBody(random);
  const sets = Array.from({ length: SETS }, (_, k) => ({
    ...newSet(id, 'cm', new Date(Date.UTC(2026, 2 * k, 1)), 'body'),
    values: { ...body, waist: body.waist * (1 + 0.005 * k), thigh: 0.58 * body.hip, knee: 0.37 * body.hip },
  }));
  return { ...person, sets };
});
const drafts = people.map((p) => newDraft(id, p, `Trousers of ${p.name}`, new Date(Date.UTC(2026, 10, 1))));
const text = writeWorkbook({ people, drafts, charts: [], practice: [], styles: [] }, new Date());
const file = join(await mkdtemp(join(tmpdir(), 'upstride-')), 'crew.upstride.json');
await writeFile(file, text);

const server = createApp(resolve(import.meta.dirname, '..', 'dist')).listen(0, '127.0.0.1');
await new Promise((ready) => server.once('listening', ready));
const address = `http://localhost:${(server.address() as AddressInfo).port}`;
const browser = await startBrowser();
const { driver } = browser;
await driver.manage().setTimeouts({ script: 60_000 });

/**
 * Types letter by letter into a field and times each keystroke: the longest the page stood still after it, until the
 * letter was painted and in the 400 ms after, in which the list follows.
 */
const TYPE = `
const [field, words, done] = [document.querySelector(arguments[0]), arguments[1], arguments[2]];
const set = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value').set;
const times = [];
const next = (i) => {
  if (i > words.length) { done(times); return; }
  const start = performance.now();
  set.call(field, words.slice(0, i));
  field.dispatchEvent(new Event('input', { bubbles: true }));
  requestAnimationFrame(() => setTimeout(() => {
    let longest = performance.now() - start;
    let last = performance.now();
    const end = last + 400;
    const channel = new MessageChannel();
    channel.port1.onmessage = () => {
      const now = performance.now();
      longest = Math.max(longest, now - last);
      last = now;
      if (now < end) channel.port2.postMessage(0);
      else { times.push(longest); next(i + 1); }
    };
    channel.port2.postMessage(0);
  }, 0));
};
next(1);
`;

function report(name: string, times: readonly number[], limit: number): void {
  if (process.env['EACH']) console.log(times.map((t) => Math.round(t)).join(' '));
  const sorted = [...times].sort((a, b) => a - b);
  const worst = sorted.at(-1) ?? NaN;
  const median = sorted[Math.floor((sorted.length - 1) / 2)] ?? NaN;
  const verdict = worst <= limit ? 'within' : 'OVER';
  console.log(`${name}: median ${median.toFixed(0)} ms, worst ${worst.toFixed(0)} ms (${verdict} ${limit} ms)`);
}

await driver.get(`${address}/own`);
await driver.wait(async () => (await driver.findElements({ css: '[aria-label="Workbook file"]' })).length > 0, 10_000);
const started = Date.now();
await (await driver.findElement({ css: '[aria-label="Workbook file"]' })).sendKeys(file);
await driver.wait(async () => (await driver.findElements({ css: '.shelf [data-draft]' })).length > 0, 30_000);
report(
  `opening a workbook of ${PEOPLE} people, ${(text.length / 1e6).toFixed(1)} MB`,
  [Date.now() - started],
  OPEN_LIMIT,
);

const search = '[aria-label="Search drafts and people"]';
report(
  'a keystroke in the search of the shelf',
  await driver.executeAsyncScript<number[]>(TYPE, search, 'bosun 77'),
  KEYSTROKE_LIMIT,
);
await driver.get(`${address}/own/crew`);
await driver.wait(async () => (await driver.findElements({ css: '.MuiDataGrid-row' })).length > 0, 30_000);
await new Promise((settled) => setTimeout(settled, 1000));
const crew = '[aria-label="Search the crew"]';
report(
  'a keystroke in the search of the crew',
  await driver.executeAsyncScript<number[]>(TYPE, crew, 'bosun 77'),
  KEYSTROKE_LIMIT,
);

await driver.get(`${address}/own/crew`);
await driver.wait(async () => (await driver.findElements({ css: '.MuiDataGrid-row' })).length > 0, 30_000);
await new Promise((settled) => setTimeout(settled, 1000));
await driver.executeScript(
  `document.querySelector('.MuiDataGrid-row [data-field="waist"]').dispatchEvent(new MouseEvent('dblclick', { bubbles: true }))`,
);
await new Promise((settled) => setTimeout(settled, 800));
report(
  'a keystroke in a cell of the crew',
  await driver.executeAsyncScript<number[]>(TYPE, '.MuiDataGrid-cell--editing input', '91,5'),
  KEYSTROKE_LIMIT,
);

/** Counts the readings of whole stores, from before the page's own first. */
const COUNT = `
window.listed = 0;
for (const of of [IDBObjectStore.prototype, IDBIndex.prototype])
  for (const name of ['getAll', 'getAllKeys', 'openCursor']) {
    const own = of[name];
    of[name] = function (...given) { window.listed += 1; return own.apply(this, given); };
  }
window.long = [];
new PerformanceObserver((l) => window.long.push(...l.getEntries().map((e) => e.duration))).observe({ entryTypes: ['longtask'] });
`;
/** So many steps of a handle, and how long between them, in ms. */
const STEPS = 10;
const BETWEEN = 400;

/** Notes in the page itself when its first draft stands there: asked from outside it is up to a third of a second late. */
const NOTE_FIRST = `
new MutationObserver((_, watching) => {
  if (!document.querySelector('.shelf [data-draft]')) return;
  window.first = performance.now();
  watching.disconnect();
}).observe(document, { childList: true, subtree: true });
`;
const { identifier } = await driver.sendAndGetDevToolsCommand<{ identifier: string }>(
  'Page.addScriptToEvaluateOnNewDocument',
  {
    source: NOTE_FIRST,
  },
);
const opened: number[] = [];
for (let i = 0; i < 5; i++) {
  await driver.get(`${address}/own`);
  await driver.wait(async () => (await driver.findElements({ css: '.shelf [data-draft]' })).length > 0, 30_000);
  opened.push(await driver.executeScript<number>('return window.first'));
}
report('the shelf, from its address to its first draft', opened, SHELF_LIMIT);
await driver.sendDevToolsCommand('Page.removeScriptToEvaluateOnNewDocument', { identifier });

await driver.findElement({ css: '.shelf [data-draft] a' }).click();
await driver.wait(async () => (await driver.findElements({ css: '[data-edge="back.rise"]' })).length > 0, 30_000);
const draft = (await driver.getCurrentUrl()).replace(/\/[a-z]+$/, '/draft');
await driver.get(draft);
await driver.wait(async () => (await driver.findElements({ css: '[data-handle="back.crotch"]' })).length > 0, 30_000);
await new Promise((settled) => setTimeout(settled, 3000));
await driver.executeScript(COUNT);
await driver.executeScript(`document.querySelector('[data-handle="back.crotch"]').focus()`);
for (let i = 0; i < STEPS; i++) {
  await driver.actions().sendKeys('\uE014').perform();
  await new Promise((settled) => setTimeout(settled, BETWEEN));
}
await new Promise((settled) => setTimeout(settled, 1000));
const [listed, long] = await driver.executeScript<[number, number[]]>('return [window.listed, window.long]');
report(`a task in ${STEPS} steps of a handle with ${PEOPLE} people and drafts kept`, [0, ...long], TASK_LIMIT);
console.log(`lists read in these steps: ${listed} (${listed === 0 ? 'within' : 'OVER'} 0)`);
await browser.quit();
server.close();
