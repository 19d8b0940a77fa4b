import { afterAll, afterEach, beforeAll, expect, inject } from 'vitest';
import { complaints, startBrowser } from './browser.js';
import { RoomPage } from './room-page.js';

/** One browser for a file of journeys; each journey fails where the page complains of an error. */
export function inRoom(): RoomPage {
  const room = new RoomPage();
  beforeAll(async () => {
    const browser = await startBrowser();
    // What is kept for work without a server has journeys of its own: here it would only fetch the whole program again.
    // And what is done in idle time, so that a first drag is fast, would take three seconds of every page that is loaded.
    await browser.driver.sendDevToolsCommand('Page.addScriptToEvaluateOnNewDocument', {
      source: 'delete Navigator.prototype.serviceWorker; delete window.requestIdleCallback;',
    });
    room.enterWith(browser, inject('address'));
  });
  afterAll(() => room.browser.quit());
  afterEach(async () => {
    expect(await complaints(room.driver)).toEqual([]);
  });
  return room;
}
