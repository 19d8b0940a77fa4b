import { By, Key } from 'selenium-webdriver';
import { describe, expect, it } from 'vitest';
import { resize } from './browser.js';
import { inRoom } from './harness.js';
import { faultsOf } from './views.js';

const room = inRoom();
/** Sewing two garments on a slow machine takes a while. */
const SEWN_MS = 120_000;

const state = (): Promise<string | null> =>
  room.driver.executeScript('return document.querySelector("[data-worn]")?.dataset.worn ?? null');

describe('the virtual toile', () => {
  it('is stopped at a press, hung with what changed since the first version, kept, and held against the toile', async () => {
    await room.visit('/demo/draft/puppeteer-black/toile');
    await room.section('On the body');
    await (await room.at('//a[normalize-space()="Virtual toile"]')).click();
    await room.press('Sew and hang');
    await room.until('not begun', async () => (await state()) === 'running');
    await room.press('Stop');
    await room.until('not stopped', async () => (await state()) === 'none');
    await room.press('Sew and hang');
    await room.driver.wait(async () => (await state()) === 'done', SEWN_MS, 'not sewn');

    // Most telling first; the seat that was folded out held the waist down behind.
    const told = await room.text('[aria-label="What changed"]');
    expect(told).toMatch(/Over the seat the cloth is stretched along by .* it has more length there/);
    expect(told).toMatch(/The waist behind must be held up with [\d.]+ N, [\d.]+ N before/);
    expect(told).toMatch(/Centre back waist lies .* cm higher/);
    expect(told).not.toMatch(/fits|alter by/);
    // The map lies on the pieces too: what is pointed at there is said, and marked on the body.
    await room.driver.wait(
      async () => (await room.find('.worn-canvas')).getAttribute('data-drawn').then((d) => d !== 'not yet'),
      SEWN_MS,
    );
    const pieces = await room.find('.worn-pieces');
    const { width, height } = await pieces.getRect();
    await room.driver
      .actions()
      .move({ origin: pieces, x: Math.round(width * 0.3), y: Math.round(-0.2 * height) })
      .perform();
    await room.until('nothing is said', async () => /^Back, here: /.test(await room.text('[data-here]')));
    // By keys from place to place, and off again.
    await pieces.sendKeys(Key.ARROW_DOWN);
    const here = await room.text('[data-here]');
    await pieces.sendKeys(Key.ARROW_RIGHT, Key.ARROW_RIGHT, Key.ARROW_RIGHT, Key.ARROW_RIGHT, Key.ARROW_UP);
    expect(here).toMatch(/^(Front|Back), here: /);
    expect(await room.text('[data-here]')).toMatch(/^(Front|Back), here: /);
    await pieces.sendKeys(Key.ESCAPE);
    await room.until('still pointed at', async () => (await room.text('[data-here]')).startsWith('Point at a place'));
    // Turned by keys alone: the picture changes.
    const canvas = await room.find('.worn-canvas');
    const before = await canvas.takeScreenshot();
    await canvas.sendKeys(Key.ARROW_LEFT, Key.ARROW_LEFT, '+');
    await room.until('not turned', async () => (await canvas.takeScreenshot()) !== before);
    expect(await faultsOf(room.driver)).toEqual([]);

    await room.press('Begin a fitting with it');
    await room.at('//button[@disabled][normalize-space()="Kept with the fitting"]');
    await room.saved();
    await resize(room.driver, 390, 844, true);
    expect(await room.driver.executeScript('return document.documentElement.scrollWidth')).toBe(390);
    await resize(room.driver, 1280, 800);
    await (await room.at('//a[normalize-space()="Back to Toile"]')).click();
    await room.section('Fitting');
    await room.find('[data-prediction="seatAlong"]');
    const pick = await room.find('[data-prediction="seatAlong"] select');
    await pick.findElement(By.css('option[value="so"]')).click();
    await room.until('not counted', async () => (await room.text('[data-predicted]')).includes('Right: Rise 1 of 1.'));
    await room.saved();
    // What hangs is remembered while the program runs; a version sends there too.
    await room.section('Versions');
    await room.press('Hold against version 1, toile on the body');
    await room.until('forgotten', async () => (await state()) === 'done');
    expect(await room.text('[data-score]')).toContain('Rise 1 of 1');
    // Beside the figures of two drafts that are compared they hang too, without being sewn anew.
    await (await room.at('//a[normalize-space()="Back to Toile"]')).click();
    await room.section('Versions');
    await room.press('Compare with version 1, toile');
    await room.find('[data-hung="done"] .worn-canvas');
    expect(await room.text('[data-hung]')).toMatch(/From B to A, in calico:\s+.*Over the seat the cloth is stretched/);
  });

  it('says that there is nothing to hold against where nothing differs, and what it may not speak of', async () => {
    await room.visit('/demo/draft/cook-kitchen/toile/virtual');
    await room.find('.bench button');
    expect(await room.text('.bench')).toContain('only a difference can be told');
    await room.visit('/demo/draft/lamp-plain/toile/virtual');
    expect(await room.text('.bench')).toContain('As it was drafted, nothing altered');
  });
});
