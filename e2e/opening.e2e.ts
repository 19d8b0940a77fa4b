import { describe, expect, inject, it } from 'vitest';
import { resize, startBrowser } from './browser.js';
import { RoomPage } from './room-page.js';

describe('opening for the first time', () => {
  it('opens the next page though the first was left in its first moments, while its database was being made', async () => {
    for (let turn = 0; turn < 6; turn += 1) {
      const browser = await startBrowser();
      try {
        const room = new RoomPage();
        room.enterWith(browser, inject('address'));
        await browser.driver.get(`${inject('address')}/demo`);
        await browser.driver.executeScript("localStorage.setItem('left', '1')");
        await resize(browser.driver, 1280, 800);
        await browser.driver.get(`${inject('address')}/demo/draft/lamp-plain/draft`);
        await room.find('.drawing');
        expect(await room.text('header')).toContain('Lamp operator');
      } finally {
        await browser.quit();
      }
    }
  });

  it('says that a view could not be loaded, and shows it with all that was entered once it can be', async () => {
    const browser = await startBrowser();
    try {
      const room = new RoomPage();
      room.enterWith(browser, inject('address'));
      await room.visit('/demo/draft/lamp-plain/measure');
      await room.enter('Waist', '84');
      await room.saved();
      await browser.driver.sendDevToolsCommand('Network.enable', {});
      await browser.driver.sendDevToolsCommand('Network.setBlockedURLs', { urls: ['*/assets/CutStation*'] });
      await room.visit('/demo/draft/lamp-plain/cut');
      expect(await room.text('[role="alert"]')).toMatch(/could not be loaded\. Everything entered is kept/);
      // Walk and head stand about it: the other stations go on.
      expect(await room.text('header')).toContain('Lamp operator');
      await browser.driver.sendDevToolsCommand('Network.setBlockedURLs', { urls: [] });
      await room.press('Load the page again');
      await room.find('[aria-label="Print preview"]');
      await room.goTo('measure');
      await room.find('[data-line="waist"]');
      expect(await room.valueOf('Waist')).toBe('84');
    } finally {
      await browser.quit();
    }
  });
});
