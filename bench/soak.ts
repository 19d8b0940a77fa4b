import { mkdtemp, writeFile } from 'node:fs/promises';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import { Key } from 'selenium-webdriver';
import { startBrowser } from '../e2e/browser.js';
import { RoomPage } from '../e2e/room-page.js';
import { createApp } from '../server/app.js';
import { seeded } from './random-body.js';

/** Minutes of acts at random, in two windows on the same workroom. */
const MINUTES = Number(process.argv[2] ?? 30);
/** After so many acts everything is read again. */
const ROUND = 8;
const MB = 1024 * 1024;

const server = createApp(resolve(process.argv[3] ?? 'dist')).listen(0, '127.0.0.1');
await new Promise((ready) => server.once('listening', ready));
const browser = await startBrowser();
const { driver } = browser;
const room = new RoomPage();
room.enterWith(browser, `http://localhost:${(server.address() as AddressInfo).port}`);
const random = seeded(34);
const pick = <T>(of: readonly T[]): T => of[Math.floor(random() * of.length)] as T;

/** Goes there as a link does: the page is not loaded anew, and what it keeps in memory stays. */
const goTo = (path: string): Promise<void> =>
  driver.executeScript(`history.pushState({}, '', arguments[0]); dispatchEvent(new PopStateEvent('popstate'))`, path);

/**
 * The page is asked and worked by scripts and keys only: a driver's handle on an element would hold the whole view that
 * the element was in, and the heap would tell of the driver.
 */
const asked = <T>(script: string, ...given: readonly unknown[]): Promise<T> => driver.executeScript(script, ...given);
const there = (css: string): Promise<boolean> => asked('return document.querySelector(arguments[0]) !== null', css);
const until = async (what: string, test: () => Promise<boolean>): Promise<void> => {
  await driver.wait(async () => test().catch(() => false), 20_000, what);
};
const focus = async (css: string): Promise<void> => {
  await until(`nothing matches ${css}`, () => there(css));
  await asked('const it = document.querySelector(arguments[0]); it.focus(); it.select?.()', css);
};
const type = (...keys: string[]): Promise<void> =>
  driver
    .actions()
    .sendKeys(...keys)
    .perform();
const write = async (text: string): Promise<void> => {
  await driver.actions().keyDown(Key.CONTROL).sendKeys('a').keyUp(Key.CONTROL).perform();
  await type(text, Key.ENTER);
};

/** A figure that is changed: where, how it is read, how it is set, and how the last act there is taken back. */
interface Place {
  readonly name: string;
  readonly path: string;
  readonly ready: string;
  /** What is done before it can be read. */
  readonly before: () => Promise<void>;
  readonly read: () => Promise<string>;
  readonly set: (value: string) => Promise<void>;
  readonly value: () => string;
}
const onBoard = (draft: string, label: string, low: number): Place => {
  const field = `//label[normalize-space()="${label}"]`;
  const input = `document.getElementById(document.evaluate('${field}', document, null, 9, null).singleNodeValue.htmlFor)`;
  return {
    name: `${draft}, ${label}`,
    path: `/demo/draft/${draft}/draft`,
    ready: '[data-handle="back.crotch"]',
    before: async () => {
      const tab = '[...document.querySelectorAll("[role=tab]")].find((t) => t.textContent.trim() === "Leg")';
      await until('no section Leg', () => asked(`return ${tab} !== undefined`));
      await asked(`${tab}.click()`);
      await until(`no ${label}`, () => asked(`return ${input} !== null`));
    },
    read: () => asked(`return ${input}.value`),
    set: async (value) => {
      await asked(`${input}.focus(); ${input}.select()`);
      await write(value);
    },
    value: () => (low + Math.floor(random() * 60) / 10).toFixed(1).replace(/\.0$/, ''),
  };
};
const cellAt = (row: string, field: string): string => `[role=row][data-id="${row}"] [data-field="${field}"]`;
const inGrid = (path: string, row: string, field: string, low: number): Place => ({
  name: `${path}, ${row}, ${field}`,
  path,
  ready: cellAt(row, field),
  before: () => Promise.resolve(),
  read: () => asked('return document.querySelector(arguments[0]).textContent.trim()', cellAt(row, field)),
  set: async (value) => {
    await focus(cellAt(row, field));
    await type(Key.ENTER);
    await until('the cell does not open', () => there('.MuiDataGrid-cell--editing input'));
    await write(value);
  },
  value: () => (low + Math.floor(random() * 60) / 10).toFixed(1),
});
let called = 'Plain trousers';
const onShelf: Place = {
  name: 'shelf, name of a draft',
  path: '/demo',
  ready: '[aria-label^="Rename "]',
  before: () => Promise.resolve(),
  read: async () => ((await there(`[aria-label="Rename ${called}"]`)) ? called : 'not called so'),
  set: async (value) => {
    await asked('document.querySelector(arguments[0]).click()', `[aria-label="Rename ${called}"]`);
    await until('no name is asked', () => asked('return document.activeElement instanceof HTMLInputElement'));
    await write(value);
    called = value;
  },
  value: () => `Trousers ${Math.floor(random() * 1000)}`,
};

const places: readonly Place[] = [
  onBoard('lamp-plain', 'Knee width', 20),
  onBoard('lamp-plain', 'Hem width', 19),
  onBoard('cellist-dress', 'Knee width', 24),
  onShelf,
  inGrid('/demo/crew', 'cook', 'hip', 125),
  inGrid('/demo/crew', 'bargee', 'waist', 95),
  inGrid('/demo/sizes', '1', 'hip', 100),
];

/** What must stand at each place. */
const wanted = new Map<Place, string>();
const told = { acts: 0, undone: 0, reads: 0, lost: [] as string[] };
const same = (a: string, b: string): boolean => a === b || (Number(a) === Number(b) && a !== '');

async function stand(place: Place): Promise<void> {
  await goTo(place.path);
  await until(`not at ${place.name}`, () => there(place.ready));
  await place.before();
}
async function reads(place: Place, value: string, when: string): Promise<void> {
  told.reads += 1;
  let now = '';
  try {
    await driver.wait(async () => same((now = await place.read()), value), 8_000);
  } catch {
    const alert = await asked<string>(
      'return document.querySelector("[role=alert]")?.textContent ?? "nothing is told"',
    );
    told.lost.push(`${when}: ${place.name} reads ${now}, ${value} was wanted; ${alert}`);
    console.log(told.lost.at(-1));
    wanted.set(place, now);
  }
}
async function heap(): Promise<number> {
  await driver.sendDevToolsCommand('HeapProfiler.collectGarbage', {});
  const used = await driver.sendAndGetDevToolsCommand<{ usedSize: number }>('Runtime.getHeapUsage', {});
  return used.usedSize / MB;
}

const first = await driver.getWindowHandle();
await room.visit('/demo/sizes');
const chart = join(await mkdtemp(join(tmpdir(), 'upstride-soak-')), 'House sizes.csv');
await writeFile(chart, 'Size,Waist,Hip,Body rise,Inside leg\nS,70,94,26,78\nM,78,102,27,78\n');
await room.press('Bring in a table');
await (await room.find('[aria-label="Chart file"]')).sendKeys(chart);
await room.press('Take over what is sound');
await room.find('[role=row][data-id="1"]');
await driver.switchTo().newWindow('tab');
const second = await driver.getWindowHandle();
await room.visit('/demo');
for (const place of places) {
  await stand(place);
  wanted.set(place, await place.read());
}

const began = new Map<string, number>();
const ends = performance.now() + MINUTES * 60_000;
let round = 0;
while (performance.now() < ends) {
  round += 1;
  for (let i = 0; i < ROUND; i++) {
    const place = pick(places);
    await driver.switchTo().window(pick([first, second]));
    await stand(place);
    const [was, value] = [wanted.get(place) ?? '', place.value()];
    await reads(place, was, `before an act of round ${round}`);
    if (same(wanted.get(place) ?? '', value)) continue;
    await place.set(value);
    told.acts += 1;
    wanted.set(place, value);
    await reads(place, value, `after an act of round ${round}`);
    if (place !== onShelf && random() < 0.25) {
      await asked(`document.querySelector('[aria-label^="Undo"]').click()`);
      told.undone += 1;
      wanted.set(place, was);
      await reads(place, was, `after Undo in round ${round}`);
    }
  }
  for (const window of [first, second]) {
    await driver.switchTo().window(window);
    for (const place of places) {
      await stand(place);
      await reads(place, wanted.get(place) ?? '', `at the end of round ${round}`);
    }
    // The first rounds fetch what is opened later.
    if (round === 3) began.set(window, await heap());
  }
}
const grown: string[] = [];
for (const window of [first, second]) {
  await driver.switchTo().window(window);
  const [from, to] = [began.get(window) ?? NaN, await heap()];
  grown.push(`${from.toFixed(1)} to ${to.toFixed(1)} MB`);
}
await browser.quit();
server.closeAllConnections();
server.close();
console.log(
  `${MINUTES} minutes in two windows: ${told.acts} acts, ${told.undone} taken back, ${told.reads} readings, ${told.lost.length} not as wanted; heap after collection ${grown.join(' and ')} (limit: 20 MB more)`,
);
process.exit(told.lost.length === 0 ? 0 : 1);
