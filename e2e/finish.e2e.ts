import { readFile } from 'node:fs/promises';
import { Key } from 'selenium-webdriver';
import { describe, expect, it } from 'vitest';
import { inRoom } from './harness.js';

const room = inRoom();

const pieces = async (): Promise<string[]> => {
  const found = await room.driver.findElements({ css: '[data-piece-button]' });
  return Promise.all(found.map(async (p) => (await p.getAttribute('data-piece-button')) ?? ''));
};

/** Switches a component on or off, wherever on the bench it stands. */
async function component(section: string, id: string): Promise<void> {
  await room.section(section);
  await (await room.find(`[data-component="${id}"] input[type=checkbox]`)).click();
}

const standsOn = async (id: string, on: boolean): Promise<void> => {
  await room.until(`${id} is not ${on ? 'on' : 'off'}`, () => room.has(`[data-component="${id}"][data-on="${on}"]`));
};

const girth = async (name: string): Promise<readonly number[]> => {
  const cells = await room.driver.findElements({ css: `[data-proof-line="${name}"] td` });
  return Promise.all(cells.map(async (cell) => Number((await cell.getText()).replace('−', '-'))));
};

describe('from a true block to the pieces', () => {
  it('a wide trouser gets its band and fly, is changed to an elastic waist and back, and nothing else has moved', async () => {
    await room.visit('/demo/draft/cook-kitchen/finish');
    await room.find('[data-piece-button="back"]');
    expect(await pieces()).toEqual(['front', 'back']);
    const [rise, inseam] = [await room.edge('back.rise'), await room.edge('front.inseam')];
    const waist = await room.edge('front.waist');
    await component('Waist', 'shapedBand');
    await standsOn('shapedBand', true);
    await component('Waist', 'fly');
    await standsOn('fly', true);
    await room.until('the band is not cut', async () => (await pieces()).includes('bandFront.left'));
    expect(await pieces()).toEqual(expect.arrayContaining(['flyFacing', 'flyShield', 'bandBack']));
    expect(await room.edge('front.inseam')).toBe(inseam);
    expect(await room.edge('back.rise')).not.toBe(rise);
    // A casing takes the place of the band and of the fly: a waist has one finish.
    await component('Waist', 'casing');
    await standsOn('casing', true);
    await standsOn('shapedBand', false);
    await standsOn('fly', false);
    expect(await pieces()).toEqual(['front', 'back']);
    expect(await room.text('[data-component="casing"]')).toContain('Cut the elastic');
    await component('Waist', 'casing');
    await standsOn('casing', false);
    expect(await room.edge('front.waist')).toBe(waist);
    expect(await room.edge('back.rise')).toBe(rise);
    await room.press('Undo');
    await standsOn('casing', true);
    await room.press('Undo');
    await standsOn('fly', true);
  });

  it('shows every seam with both its sides, and lights them where a row is pressed', async () => {
    await room.section('Seams');
    expect(await room.text('[data-seams-out]')).toMatch(/^All \d+ seams agree/);
    await (await room.find('[data-seam="waist.left"] button')).click();
    await room.find('[data-edge="bandFront.left.lower"].lit');
    await room.find('[data-piece-button="front"] .lit');
  });

  it('walks any seam of the garment, the band along the waist', async () => {
    await room.section('Seams');
    await (await room.at('//a[starts-with(@aria-label, "Walk the seam Waistband")]')).click();
    const gone = async (): Promise<number> =>
      Number(await (await room.find('[data-walk]')).getAttribute('data-length'));
    expect(await gone()).toBe(0);
    await room.keys(Key.END);
    await room.until('it does not walk', async () => (await gone()) > 100);
    // What one reads at the end is what the two sides are long.
    const [, first, second, apart] = (await room.text('.walk-figures tbody tr:last-child')).split(/\s+(?=-?[\d−])/);
    expect(first).toBe(second);
    expect(apart).toBe('0.0');
    await room.press('Back to Finish');
    await room.find('[data-piece-button="back"]');
    await room.until('the focus is not back at the row', () =>
      room.driver.executeScript<boolean>('return document.activeElement.matches(".walk-seam")'),
    );
  });

  it('is judged on the tape at every station; a press shows its seams', async () => {
    await room.goTo('draft');
    const pieces = await room.find('[data-group="pieces"]');
    expect(await pieces.getText()).toMatch(/^Pieces\s*✓?\s*[✓✕!]?\s*\d+/);
    await pieces.click();
    await room.find('[data-seams-out]');
  });

  it('says what cannot be, and keeps the last good garment', async () => {
    await room.section('Waist');
    const open = await room.edge('front.flyOpening').catch(() => '');
    await room.enter('Opening from the waist', '38');
    await room.until('nothing is said', async () =>
      (await room.text('[data-component="fly"]')).includes('longer than the front rise allows'),
    );
    await (await room.find('[data-piece-button="front"]')).click();
    expect(await room.edge('front.flyOpening')).not.toBe('');
    expect(open === '' || open === (await room.edge('front.flyOpening'))).toBe(true);
  });

  it('is set by hand on the piece: a flare is pulled out at the hem, by keys and by the hand', async () => {
    await component('Leg', 'flare');
    await standsOn('flare', true);
    await (await room.find('[data-piece-button="front"]')).click();
    const hem = await room.edge('front.hem');
    const side = await room.valueOf('Out, each side');
    await (await room.find('[data-handle="flare.by"]')).sendKeys(Key.ARROW_UP);
    await room.until('the flare stays', async () => (await room.valueOf('Out, each side')) !== side);
    await room.drag('flare.by', -14, 0);
    await room.until('the hem stays', async () => (await room.edge('front.hem')) !== hem);
    expect(Number(await room.valueOf('Out, each side'))).not.toBe(Number(side));
  });

  it('has all allowed on the back, and proves that it comes out', async () => {
    await room.section('Edges');
    await room.choose('Laid on', 'all-on-the-back');
    await room.until('the front has an allowance', async () => Number(await room.valueOf('Front, side seam')) === 0);
    for (const name of ['waist', 'hip', 'thigh', 'knee', 'hem']) {
      const [net, sewn, out] = await girth(name);
      expect([name, net, out]).toEqual([name, sewn, 0]);
    }
    await room.enter('Sewn at', '0.5');
    await room.until('nothing is out', async () => ((await girth('hip'))[2] ?? 0) > 5);
    await room.enter('Sewn at', '1.25');
    await room.until('it stays out', async () => (await girth('hip'))[2] === 0);
  });

  it('has a stretch of an edge widened by hand, and its corners cut as chosen', async () => {
    await room.visit('/demo/draft/cook-kitchen/finish');
    await room.find('[data-piece-button="back"]');
    await (await room.find('[data-piece-button="back"]')).click();
    await room.section('Edges');
    const cut = async (): Promise<string> =>
      (await (await room.find('.garment-board > svg [data-part="back"] .cut-line')).getAttribute('d')) ?? '';
    const before = await cut();
    await room.choose('Add a stretch of', 'rise');
    await room.find('[data-stretch="1"]');
    await room.enter('Begins', '500');
    await room.until('the sentence does not come', async () =>
      /begins 500.* cm: the edge is/.test(await room.text('.bench')),
    );
    await room.enter('Wide at its end', '2.5');
    await room.until('it is as before', async () => (await cut()) !== before);
    const widened = await cut();
    await room.choose('Corners', 'stepped');
    await room.until('the corners are as before', async () => (await cut()) !== widened);
    await room.press('Undo');
    await room.until('the corners stay', async () => (await cut()) === widened);
    await room.press('Take out rise, stretch 1');
    await room.until('the stretch stays', async () => (await cut()) === before);
  });

  it('is put on another person’s draft by its choices', async () => {
    await room.saved();
    await room.visit('/demo/draft/ticket-plain/finish');
    await room.find('[data-piece-button="front"]');
    await room.choose('Style of', 'cook-kitchen');
    await room.until('the style did not come', async () => (await pieces()).includes('bandFront.left'));
    await standsOn('flare', true);
    await room.press('Undo');
    await room.until('the style stays', async () => (await pieces()).length === 2);
  });

  it('is kept by a name, with its allowances, and put on another person’s draft', async () => {
    await room.visit('/demo/draft/cook-kitchen/finish');
    await room.find('[data-piece-button="bandFront.left"]');
    await room.section('Leg');
    await room.press('Keep this style');
    await room.enter('Name of the style', 'Front of house');
    await room.until('the name is free', async () => (await room.text('.keep-style')).includes('already'));
    await (await room.at('//form//label[normalize-space()="With its allowances"]//input')).click();
    await room.enter('Name of the style', 'Flared work trousers');
    await room.until('it is not told', async () => (await room.text('[data-styles-said]')).includes('Flared work'));
    await room.visit('/demo/draft/ticket-plain/finish');
    await room.find('[data-piece-button="front"]');
    await room.section('Leg');
    await (await room.find('.kept-styles summary')).click();
    await (await room.find('[data-kept-style="Flared work trousers"] button')).click();
    await room.until('the style did not come', async () => (await pieces()).includes('bandFront.left'));
    await room.section('Edges');
    expect(await room.valueOf('Sewn at')).toBe('1.25');
    await room.press('Undo');
    await room.until('the style stays', async () => (await pieces()).length === 2);
    await room.section('Leg');
    if (!(await room.has('.kept-styles[open]'))) await (await room.find('.kept-styles summary')).click();
    await (await room.at('//li[@data-kept-style="Flared work trousers"]//button[.="Forget"]')).click();
    await room.until('it is still there', async () => !(await room.has('[data-kept-style="Flared work trousers"]')));
    await room.press('Put back');
    await room.until('it is not back', () => room.has('[data-kept-style="Flared work trousers"]'));
    await room.driver.navigate().refresh();
    await room.section('Leg');
    await room.until('it is not kept', async () => (await room.text('.own-styles')).includes('3 kept styles'));
  });

  it('is cut whole: every piece is on the paper, ticked off in the list', async () => {
    await room.visit('/demo/draft/cook-kitchen/finish');
    await room.section('List');
    expect(await room.text('[data-cloth="shell"] caption')).toMatch(/^Shell: \d+ pieces, \d\.\d\d m²$/);
    await (await room.at('//table//label[normalize-space()="Fly shield"]//input')).click();
    await room.find('.cut-list tr[data-done="true"]');
    expect(await room.text('[data-cloth="trimmings"]')).toMatch(/Zip\s+1\s+\d+\.\d cm long/);
    await room.goTo('cut');
    await room.find('.tile-preview svg path');
    await room.section('Files');
    await room.press('Save SVG');
    const svg = await readFile(await room.download('.svg'), 'utf8');
    await room.press('Save DXF');
    expect(await readFile(await room.download('.dxf'), 'latin1')).toContain('AC1009');
    for (const name of ['front.cut', 'bandFront.left.lower', 'flyShield.lower']) expect(svg).toContain(`"${name}"`);
  });
});
