import { readFile } from 'node:fs/promises';
import { Key, Origin } from 'selenium-webdriver';
import { describe, expect, it } from 'vitest';
import { inRoom } from './harness.js';

const room = inRoom();

describe('the lay', () => {
  /** Waits until the lay is there and nothing is being looked for. */
  const settled = async (): Promise<void> => {
    await room.find('[data-to-buy]');
    await room.until('the first look does not end', () => room.has('[data-searching="false"]'));
  };
  const bought = async (): Promise<number> => Number(/^([\d.]+) m/.exec(await room.text('[data-to-buy]'))?.[1]);

  it('says at once how much cloth to buy, follows the cloth, and stops at a press with what it has', async () => {
    await room.visit('/demo/draft/cook-kitchen/cut/lay');
    await room.until('no lay', async () => (await bought()) > 0);
    const wide = await bought();
    expect(wide).toBeGreaterThan(0.9);
    expect(wide).toBeLessThan(3);
    expect((await room.driver.findElements({ css: '.lay-part' })).length).toBe(4);
    await room.until('the first look does not end', () => room.has('[data-searching="false"]'));
    // The cloth is drawn as it is bought, beyond where the lay ends, so that what is left of it lies on it.
    const drawn = Number(await (await room.find('.lay-cloth')).getAttribute('width'));
    expect(drawn / 1000).toBeCloseTo(await bought(), 6);
    await room.enter('Usable width', '90');
    await room.until('narrow cloth takes more', async () => (await bought()) > wide);
    await room.enter('Usable width', '20');
    expect(await room.text('.bench')).toMatch(/is \d+\.\d cm across, the cloth 20\.0 cm\. Take wider cloth/);
    await room.enter('Usable width', '150');
    await room.choose('Nap', 'two-way');
    await room.until('no lay', async () => (await bought()) > 0);
    await room.until('the first look does not end', () => room.has('[data-searching="false"]'));
    await room.section('Lay');
    await room.press('Look on for 30 s');
    await room.press('Stop');
    expect(await bought()).toBeLessThanOrEqual(wide);
    await room.choose('Lies', 'folded');
    await room.until(
      'a pair is cut at once',
      async () => (await room.driver.findElements({ css: '.lay-part' })).length === 2,
    );
    await room.choose('Lies', 'open');
    await room.until('no lay', async () => (await bought()) > 0);
    await room.section('Files');
    await room.press('Save SVG');
    expect(await readFile(await room.download('.svg'), 'utf8')).toContain('front.0');
  });

  it('has others laid on the cloth with it, more of its own, and layers; what is bought is for all', async () => {
    await room.visit('/demo/draft/ticket-plain/cut/lay');
    await settled();
    const [alone, parts] = [await bought(), (await room.driver.findElements({ css: '.lay-part' })).length];
    const partsNow = async (): Promise<number> => (await room.driver.findElements({ css: '.lay-part' })).length;
    await room.section('With');
    await room.choose('Lay with it', 'bargee-shorts');
    await room.until('the shorts lie there too', async () => (await partsNow()) > parts);
    const two = await partsNow();
    expect(await room.text('.lay-board')).toContain('Bargee, Shorts: Front');
    expect(await bought()).toBeGreaterThan(alone);
    await room.enter('Of this garment', '2');
    await room.until('twice the own', async () => (await partsNow()) === two + parts);
    await settled();
    expect(await room.text('[data-to-buy]')).toContain('for 3 garments');
    await room.section('Lay');
    await room.press('Keep 1');
    expect(await room.text('[data-remnant]')).toMatch(/^Shell left of Front of house trousers, .* × .*, kept\./);
    await room.visit('/demo/draft/bargee-shorts/cut/lay');
    await settled();
    await room.section('Cloth');
    const kept = await room.driver.findElement({ xpath: '//option[contains(., "left of Front of house")]' });
    await room.choose('Cloths at hand', (await kept.getAttribute('value')) ?? '');
    expect(await (await room.find('#cloth-inHand')).getAttribute('value')).not.toBe('');
    await room.press('Undo');
    await room.saved();
    await room.visit('/demo/draft/ticket-plain/cut/lay');
    await settled();
    await room.section('Less');
    // What would help is reckoned with all that lies there; what is changed is of this garment.
    await room.press('Look what would save cloth');
    await room.until(
      'nothing saves',
      async () => (await room.text('.bench')).includes('what lies beside it stays as it is'),
      60_000,
    );
    expect(await room.has('[data-saving]')).toBe(true);
    const one = await bought();
    await room.section('Cloth');
    await room.enter('Layers', '2');
    await room.until('two layers take twice as much', async () => Math.abs((await bought()) - 2 * one) < 0.06);
    expect(await room.text('[data-to-buy]')).toContain('in 2 layers');
    await room.press('Undo');
    await room.section('With');
    await room.press('Take off');
    await room.until('the shorts are gone', async () => (await partsNow()) === 2 * parts);
    await room.enter('Of this garment', '1');
    await room.until('one is left', async () => (await partsNow()) === parts);
  });

  it('is changed by hand and by keys, each move one step to undo, kept over a reload with what is locked', async () => {
    await room.visit('/demo/draft/lamp-plain/cut/lay');
    await settled();
    const front = (): Promise<number> =>
      room.driver.executeScript('return document.querySelector(`[data-placed="front 0"]`).getBBox().x');
    expect(await front()).toBeCloseTo(0, 0);
    const part = await room.find('[data-copy="front 0"]');
    await room.driver
      .actions()
      .move({ origin: part })
      .press()
      .move({ origin: Origin.POINTER, x: 200, y: 0, duration: 300 })
      .perform();
    await room.until('it is not told how long the lay would be', async () =>
      (await room.text('.lay-told')).includes('cm'),
    );
    await room.driver.actions().release().perform();
    await room.until('it was not laid there', async () => (await front()) > 200);
    const dragged = await front();
    await room.keys(Key.ARROW_RIGHT);
    await room.until('the arrow does not move it', async () => (await front()) > dragged + 2);
    expect((await front()) - dragged).toBeCloseTo(2.5, 1);
    await room.press('Undo');
    await room.until('undo does not give it back', async () => Math.abs((await front()) - dragged) < 0.01);
    await room.press('Undo');
    await room.until('the first lay does not come back', async () => Math.abs(await front()) < 0.01);
    expect((await room.driver.findElements({ css: '.lay-part' })).length).toBe(4);
    await room.press('Redo');
    await room.until('redo does not lay it again', async () => Math.abs((await front()) - dragged) < 0.01);
    await (await room.find('[data-copy="front 0"]')).sendKeys(Key.ARROW_RIGHT);
    await room.until('the arrow does not move it again', async () => (await front()) > dragged + 2);
    await room.keys(Key.ARROW_UP, 'l');
    await room.until('it is not locked', () => room.has('[data-copy="front 0"][data-locked="true"]'));
    await room.saved();
    await room.driver.navigate().refresh();
    await room.until('the lay is not kept', async () => (await front()) > dragged + 2);
    expect(await room.has('[data-copy="front 0"][data-locked="true"]')).toBe(true);
    await settled();
    const locked = await front();
    await room.section('Lay');
    await room.press('Look on for 30 s');
    await room.press('Stop');
    expect(await front()).toBe(locked);
  });

  it('stands as a small picture on the make sheet, as long as nothing of it has changed', async () => {
    await room.visit('/demo/draft/lamp-plain/cut/lay');
    await settled();
    await room.section('Lay');
    await room.press('Look on for 30 s');
    await room.press('Stop');
    await room.until('the search does not end', () => room.has('[data-searching="false"]'));
    await room.saved();
    await room.visit('/demo/draft/lamp-plain/cut/make');
    await room.find('[data-sheet="make"] .sketch');
    expect(await room.text('.written')).toContain('Laid on the shell');
    await room.visit('/demo/draft/lamp-plain/choose');
    await room.enter('Hem girth', '47');
    await room.saved();
    await room.visit('/demo/draft/lamp-plain/cut/make');
    await room.find('[data-sheet="make"]');
    expect(await room.has('[data-sheet="make"] .sketch')).toBe(false);
    await room.press('Undo');
    await room.find('[data-sheet="make"] .sketch');
    await room.press('Undo');
  });

  it('has its legs on the stripe, clear of flaws, and says what would help where there is too little', async () => {
    await room.visit('/demo/draft/bargee-shorts/cut/lay');
    await settled();
    await room.enter('Length in hand', '40');
    await room.until('too little is not told', async () =>
      (await room.text('.lay-said')).includes('The cloth in hand is'),
    );
    await room.section('Less');
    await room.press('Look what would save cloth');
    await room.until('the band is not offered in halves', () => room.has('[data-saving="band"]'));
    expect(await room.text('[data-saving="band"]')).toMatch(/^Saves .+ in: .+ yd to buy.*A join at the centre back/m);
    await room.press('Take: The band in two halves');
    await room.until(
      'the band is whole',
      async () => (await room.driver.findElements({ css: '[data-placed^="band"]' })).length === 2,
    );
    await room.enter('Repeat across', '2');
    await room.press('Note a flaw');
    await settled();
    expect(await room.has('[data-flaw]')).toBe(true);
    await room.enter('Called', 'Striped twill');
    await room.saved();
    await room.visit('/demo/draft/ticket-plain/cut/lay');
    await room.section('Cloth');
    await room.choose('Cloths at hand', 'Striped twill');
    await room.until('the cloth is not taken over', async () => (await room.valueOf('Repeat across')) === '5.08');
    await room.press('Undo');
    await room.section('Files');
    await room.press('PDF to scale');
    expect((await readFile(await room.download('.pdf'))).subarray(0, 5).toString()).toBe('%PDF-');
  });

  it('is told of at once where the pieces are finished, and laid soon after', async () => {
    await room.visit('/demo/draft/rigger-work/finish');
    await room.section('List');
    expect(await room.text('[data-needed="shell"]')).toMatch(/Shell: about 1 .*yd of 60 in cloth/);
    await room.until(
      'it is not laid',
      async () => (await (await room.find('[data-needed="shell"]')).getAttribute('data-from')) === 'lay',
    );
    expect(await room.text('[data-needed="shell"]')).toContain('as laid');
  });
});
