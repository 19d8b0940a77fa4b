import { describe, expect, it } from 'vitest';
import { inRoom } from './harness.js';

const room = inRoom();

describe('versions of a draft', () => {
  const inHand = async (): Promise<string> => {
    await room.section('Versions');
    return room.text('[data-version-in-hand]');
  };

  it('are kept with name and note, told in the head, and made current again with nothing lost', async () => {
    await room.visit('/demo/draft/lamp-plain/toile');
    expect(await inHand()).toContain('Nothing is kept of this draft yet');
    await (await room.at('//form//input[@placeholder]')).sendKeys('toile');
    await room.press('Keep this version');
    await room.until(
      'it is not in hand',
      async () => (await inHand()) === 'In hand: version 1, toile, as it was kept.',
    );
    expect(await room.text('.head')).toContain('version 1');
    await room.goTo('draft');
    await room.find('[data-handle="back.crotch"]');
    const kept = await room.valueOf('Crotch extension');
    await room.enter('Crotch extension', '14');
    await room.until('the head does not say so', async () => (await room.text('.head')).includes('version 1, changed'));
    await room.goTo('toile');
    expect(await inHand()).toContain('changed since it was kept');
    await room.press('Make version 1, toile current');
    await room.until(
      'it is not current',
      async () => (await inHand()) === 'In hand: version 1, toile, as it was kept.',
    );
    await room.goTo('draft');
    await room.find('[data-handle="back.crotch"]');
    expect(await room.valueOf('Crotch extension')).toBe(kept);
    await room.goTo('toile');
    await room.press('Make version 2 current');
    await room.goTo('draft');
    await room.find('[data-handle="back.crotch"]');
    expect(await room.valueOf('Crotch extension')).toBe('14');
    await room.saved();
    await room.driver.navigate().refresh();
    await room.goTo('toile');
    expect(await inHand()).toBe('In hand: version 2, as it was kept.');
    await room.press('Undo');
    await room.until('undo does not give it back', async () => (await inHand()).includes('version 1, toile'));
  });

  it('are laid over the draft with every figure that differs, and copied as drafts of their own', async () => {
    await room.visit('/demo/draft/rigger-work/toile');
    expect(await inHand()).toBe('In hand: version 2, basted cloth, as it was kept.');
    await room.press('Compare with version 1, toile');
    await room.find('[data-row="front.at.hemLevel"]');
    expect(await room.text('.compared')).toContain('Version 1, toile');
    // The toile's hem was 20 in round, the basted cloth's 18: an inch of it on each piece.
    expect(await room.text('[data-row="front.at.hemLevel"]')).toMatch(/1$/);
    // The version in hand is as the draft is: that is said, instead of a table with nothing in it.
    await room.visit('/demo/draft/rigger-work/choose/compare?beside=version:rigger-work-version-2');
    await room.until('not said', async () => (await room.text('.compare-table')).includes('No figure differs'));
    await room.visit('/demo/draft/rigger-work/toile');
    await inHand();
    await room.press('Copy version 1, toile as a draft');
    await room.until('no copy', async () =>
      (await room.driver.getTitle()).startsWith('Work trousers, version 1, toile'),
    );
    await room.goTo('toile');
    expect(await inHand()).toContain('Nothing is kept');
  });

  it('that is cut tells what is still to be had of its cloth, and one that fits is offered to the next draft', async () => {
    await room.visit('/demo/draft/rigger-work/toile');
    await inHand();
    await room.choose('Version 2 is', 'cut');
    await room.press('Version 2, basted cloth fits');
    await room.goTo('draft');
    await room.find('[data-handle="back.crotch"]');
    await room.enter('Knee width', '16');
    await room.goTo('toile');
    await room.section('Versions');
    const onCloth = '[aria-label="On the cloth that is cut"]';
    await room.until('nothing is told', async () => /Back side: .*(inlay|cloth)/.test(await room.text(onCloth)));
    await room.press('Copy version 1, toile as a draft');
    await room.until('no copy', async () =>
      (await room.driver.getTitle()).startsWith('Work trousers, version 1, toile'),
    );
    await room.goTo('choose');
    expect(await room.text('[data-fitted]')).toContain('“Work trousers” fits');
    // What the last fitting came to goes with it.
    expect(await room.text('[data-last-fitting]')).toBe(
      'Last fitting, 2026-10-05, of “Work trousers”: again in basted cloth. Note: Tried on the ladder.',
    );
    await room.press('Begin from the block that fits');
    await room.goTo('draft');
    await room.find('[data-handle="back.crotch"]');
    await room.press('Undo');
    // Its rise alone can be lent, blended into the seam that is here.
    await room.goTo('true');
    await room.section('By hand');
    const rise = await room.edge('back.rise');
    await room.choose('Take the rise of', 'fitted');
    await (await room.at('//div[contains(@class,"lend-rise")]//button[normalize-space()="Take"]')).click();
    await room.until('the rise is not lent', async () => (await room.edge('back.rise')) !== rise);
    await room.press('Undo');
    await room.until('the rise is not as it was', async () => (await room.edge('back.rise')) === rise);
    await room.saved();
  });
});
