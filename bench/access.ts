import type { AddressInfo } from 'node:net';
import { resolve } from 'node:path';
import { resize, startBrowser } from '../e2e/browser.js';
import { RoomPage } from '../e2e/room-page.js';
import { faultsOf, VIEWS } from '../e2e/views.js';
import { createApp } from '../server/app.js';

/** Every view in both themes at three widths and at 200 %: what a checker of accessibility finds, of any grade. */

const SCREENS = [
  ['1280 x 800', 1280, 800, false],
  ['768 x 1024', 768, 1024, false],
  ['390 x 844', 390, 844, true],
  ['200 % of 1280 x 800', 640, 400, false],
] as const;

const server = createApp(resolve(process.argv[2] ?? 'dist')).listen(0, '127.0.0.1');
await new Promise((ready) => server.once('listening', ready));
const browser = await startBrowser();
const { driver } = browser;
const room = new RoomPage();
room.enterWith(browser, `http://localhost:${(server.address() as AddressInfo).port}`);
await driver.manage().setTimeouts({ script: 60_000 });
let looked = 0;
const found: string[] = [];
for (const theme of ['light', 'dark'] as const) {
  await room.visit('/');
  await driver.executeScript(
    `localStorage.setItem('upstride-preferences', JSON.stringify({ state: { theme: '${theme}' }, version: 1 }))`,
  );
  for (const view of VIEWS) {
    await room.visit(view);
    await room.until(`${view} is empty`, () =>
      driver.executeScript('return document.querySelector("svg polygon, svg path, .MuiDataGrid-row") !== null'),
    );
    for (const [screen, width, height, mobile] of SCREENS) {
      await resize(driver, width, height, mobile);
      looked += 1;
      for (const fault of await faultsOf(driver)) {
        found.push(`${theme}, ${screen}, ${view}: ${fault}`);
        console.log(found.at(-1));
      }
    }
    await resize(driver, 1280, 800);
  }
}
await browser.quit();
server.closeAllConnections();
server.close();
console.log(`${looked} looks at ${VIEWS.length} views, both themes, ${SCREENS.length} screens: ${found.length} faults`);
process.exit(found.length === 0 ? 0 : 1);
