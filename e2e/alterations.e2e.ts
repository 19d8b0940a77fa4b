import { describe, expect, it } from 'vitest';
import { inRoom } from './harness.js';

const room = inRoom();

const alterations = async (): Promise<number> => (await room.driver.findElements({ css: '[data-alteration]' })).length;

describe('an alteration of one leg', () => {
  it('draws the legs apart, each looked at in turn, and is one step to take back', async () => {
    await room.visit('/demo/draft/lamp-plain/true');
    expect(await room.has('.leg-switch')).toBe(false);
    const rise = await room.edge('back.rise');
    await room.choose('Add', 'scoop');
    expect(await room.edge('back.rise')).not.toBe(rise);
    await (await room.find('[data-alteration="scoop"] [aria-label^="Change:"]')).click();
    await room.choose('Done to', 'right');
    await room.find('.leg-switch');
    expect(await room.text('[data-alteration="scoop"]')).toContain('Back, right leg: scoop');
    expect(await room.edge('back.rise')).not.toBe(rise);
    await room.press('Left leg');
    await room.until('the left leg is scooped', async () => (await room.edge('back.rise')) === rise);
    await room.goTo('cut');
    await room.until('the backs are not two', async () =>
      /Front\s*Left back\s*Right back/.test(await room.text('main')),
    );
    await room.goTo('true');
    await room.press('Undo');
    await room.until('the legs stay apart', async () => !(await room.has('.leg-switch')));
    await room.press('Undo');
    await room.until('the scoop stays', async () => (await room.edge('back.rise')) === rise);
  });
});

describe('a list that is copied', () => {
  it('comes over from another draft, each told where it is from, and is undone at once', async () => {
    await room.visit('/demo/draft/cook-copy/true');
    await room.choose('Copy those of', 'lamp-plain');
    await room.until('nothing copied', async () => (await alterations()) === 2);
    expect(await room.text('[data-alteration="across"]')).toContain('lengthen 12 mm across');
    await room.press('Undo');
    await room.until('not undone at once', async () => (await alterations()) === 0);
  });
});

describe('lending a rise', () => {
  it('takes the rise of another draft and runs the checks again', async () => {
    await room.visit('/demo/draft/cook-kitchen/true');
    const rise = await room.edge('back.rise');
    await room.choose('Take the rise of', 'cook-copy');
    await (await room.at('//div[contains(@class,"lend-rise")]//button[normalize-space()="Take"]')).click();
    await room.until('nothing taken', async () => (await alterations()) === 2);
    expect(await room.edge('back.rise')).not.toBe(rise);
    expect(await room.text('[data-alteration]')).toContain('The rise of Copy of the old kitchen pair');
  });
});
