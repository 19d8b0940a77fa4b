import { Key } from 'selenium-webdriver';
import { describe, expect, it } from 'vitest';
import { inRoom } from './harness.js';

const room = inRoom();

const focused = (): Promise<string> => room.driver.executeScript<string>('return document.activeElement.id');
const cell = (person: string, field: string): Promise<string> =>
  room.text(`[role=row][data-id="${person}"] [data-field="${field}"]`);

describe('measuring a new person from an empty start', () => {
  it('takes one figure after another by keyboard, shows where the tape lies, and ends with pieces', async () => {
    await room.visit('/own/crew');
    await room.press('New person');
    await room.until('the cursor does not wait at the waist', async () => (await focused()) === 'measure-waist');
    await room.press('One at a time');
    await (await room.find('#measure-waist')).click();
    expect(await room.text('.one-at-a-time')).toContain('1 of 25, 0 taken');
    for (const [id, figure] of [
      ['waist', '78'],
      ['hip', '102 cm'],
      ['crotchDepth', '27,6'],
    ] as const) {
      await room.until(`${id} is not in hand`, async () => (await focused()) === `measure-${id}`);
      expect(await (await room.find('.body-figure')).getAttribute('data-in-hand')).toBe(id);
      expect(await room.has('.body-tape path')).toBe(true);
      await room.keys(figure, Key.ENTER);
    }
    await room.until('the inseam is not in hand', async () => (await focused()) === 'measure-inseam');
    expect(await room.text('.pieces-beside')).toContain('Still needed: inseam');
    await room.keys('79', Key.ENTER);
    await room.find('.pieces-beside svg path');
    expect(await room.text('.one-at-a-time')).toContain('What it sharpens');
    await room.press('All at once');
    await room.enter('Person or role', 'Bosun');
    await room.saved();
  });

  it('takes the outseam in the place of the inseam, and a rule in the place of the crotch depth', async () => {
    await room.enter('Inseam', Key.DELETE);
    expect(await room.text('[data-line="inseam"] .problem')).toContain('Enter the inseam, or the outseam in its place');
    await room.enter('Outseam', '106.6');
    expect(await room.has('[data-line="inseam"] .problem')).toBe(false);
    expect(await room.sourceOf('inseam')).toBe('estimate');
    await room.enter('Crotch depth', Key.DELETE);
    await room.press('Rules for crotch depth');
    await room.press('Adopt hip ÷ 4 + 1 in for crotch depth');
    expect(await room.sourceOf('crotchDepth')).toBe('estimate');
    expect(await room.told('crotchDepth')).toContain('Adopted: hip ÷ 4 + 1 in = 102.0 cm ÷ 4 + 2.5 cm');
    for (let i = 0; i < 4; i++) await room.press('Undo');
    expect(await room.valueOf('Crotch depth')).toBe('27.6');
    expect(await room.valueOf('Inseam')).toBe('79');
  });

  it('keeps a draft only once one steps on', async () => {
    await room.saved();
    await room.visit('/own');
    expect(await room.text('.page')).toContain('Without a draft');
    await (await room.find('a[href^="/own/person/"]')).click();
    await room.goTo('draft');
    await room.find('[data-handle="back.crotch"]');
    await room.press('Keep: all drafts');
    await room.find('.shelf [data-draft="Trousers"]');
    expect(await room.text('.page')).toContain('Bosun');
  });
});

describe('sets of measurements', () => {
  it('are found doubtful, corrected with one press, and the old value is kept', async () => {
    await room.visit('/demo/crew');
    await (await room.find('button[value=doubtful]')).click();
    await room.until(
      'the others stay',
      async () => (await room.driver.findElements({ css: '.MuiDataGrid-row' })).length === 1,
    );
    await room.press('Measure Ticket seller');
    expect(await room.text('[data-doubt="waist"]')).toMatch(
      /Waist 48\.0 cm looks like 84\.0 cm \(two digits swapped\).*hip 99\.0 cm/s,
    );
    await room.press('Change to 84.0 cm');
    await room.until('the doubt stays', async () => !(await room.has('[data-doubt]')));
    expect(await room.valueOf('Waist')).toBe('84');
    await room.section('Set');
    expect(await room.text('aside')).toContain('Waist was 48.0 cm');
    await room.saved();
    await room.visit('/demo/crew');
    await room.until('still doubtful', async () => (await cell('ticket-seller', 'state')).includes('complete'));
  });

  it('are added and not overwritten, charted, and held against one another and a size', async () => {
    await room.visit('/demo/draft/cellist-dress/measure');
    await room.press('Add a set');
    await room.pick('From the body, starting from these figures');
    await room.enter('Waist', '80');
    expect(await room.text('.head')).not.toContain('newer');
    await room.saved();
    await room.press('History and comparison');
    await room.find('.figure-chart svg path');
    expect((await room.driver.findElements({ css: '[data-set]' })).length).toBe(2);
    expect(await room.text('.figure-chart')).toContain('+2.6 %');
    expect(await room.text('[data-compare="waist"]')).toMatch(/78\.0 80\.0 \+2\.0 \+2\.6 %/);
    await room.choose('against', 'chart women');
    expect(await room.text('[aria-label="Comparison"]')).toContain('The nearest size of “Women” is 5');
  });

  it('may come from a finished pair, doubled and with the band taken off', async () => {
    await room.visit('/own/crew');
    await room.press('New person');
    await room.press('Add a set');
    await room.pick('From a finished pair');
    await (await room.find('#pair-halfWaist')).click();
    for (const figure of ['41', '53', '29', '34.5', '30', '40', '4', '105', '77', '24', '21'])
      await room.keys(figure, Key.ENTER);
    expect(await room.text('[data-gives="waist"]')).toMatch(/2 × 41\.0 cm\s+82\.0 cm/);
    expect(await room.text('[data-gives="crotchDepth"]')).toMatch(/outseam 101\.0 cm − inseam 77\.0 cm\s+24\.0 cm/);
    await room.find('.pieces-beside svg path');
    await room.press('Take the eases as nought, and its leg');
    await room.saved();
    await room.goTo('choose');
    expect(await room.valueOf('Hip ease')).toBe('0');
    expect(await room.told('hipEase')).toContain('the rises leave their centre lines');
    expect(await room.valueOf('Hem girth')).toBe('42');
  });

  it('may come from a size of a chart', async () => {
    await room.visit('/own/crew');
    await room.press('New person');
    await room.press('Add a set');
    await room.pick('From a size chart');
    await room.choose('Chart', 'men');
    await room.choose('Size', '4');
    await room.press('Take size 4');
    await room.find('.pieces-beside svg path');
    expect(await room.text('aside')).toContain('This set holds size 4 of “Men”');
  });
});

describe('a person who is measured again', () => {
  it('is asked whether the rises hold where the weight has changed, and told what was taken elsewhere or alone', async () => {
    await room.visit('/demo/draft/puppeteer-black/measure');
    await room.press('Add a set');
    await room.pick('From the body, starting from these figures');
    await room.enter('Hip', '102');
    await room.find('[data-rises-ask]');
    expect(await room.text('[data-rises-ask]')).toMatch(
      /^Hip \+4 % since 2026-10-05, and the rises are still those of then/,
    );
    await room.press('Keep it, measure again');
    await room.until('the cursor is not at the front rise', async () => (await focused()) === 'measure-frontRise');
    expect(await room.valueOf('Front rise')).toBe('');
    expect(await room.has('[data-rises-ask]')).toBe(false);
    await room.press('Undo');
    expect(await room.valueOf('Front rise')).toBe('28.5');
    await room.press('The length holds too');
    expect(await room.has('[data-rises-ask]')).toBe(false);
    await room.enter('Thigh taken below', '90');
    expect(await room.text('[data-line="thighTakenAt"] .problem')).toContain('Enter 0.0 cm to 20.0 cm');
    await room.enter('Thigh taken below', '7.5');
    expect(await room.sourceOf('thigh')).toBe('measured');
    expect(await room.told('thigh')).toMatch(/At the crotch line 63\.2 cm: .* = 57\.5 cm \+ \(57\.5 cm − /);
    await room.enter('Front hip', '52');
    await room.section('Set');
    await room.choose('By oneself', 'yes');
    await room.section('Figures');
    expect(await room.text('[data-doubt="crotchDepth"]')).toContain('taken by oneself, and so in doubt');
    await room.saved();
    await room.driver.navigate().refresh();
    await room.find('[data-doubt="crotchDepth"]');
    expect(await room.valueOf('Front hip')).toBe('52');
    expect(await room.has('[data-rises-ask]')).toBe(false);
    await room.goTo('draft');
    await room.press('Front');
    await room.section('Seat');
    expect(await room.told('front.hipWidth')).toMatch(/measured front: front hip 52(\.0)? ÷ 2/);
    await room.visit('/demo');
    await room.press('Reset demo');
    await room.until('not reset', async () => (await room.text('.page')).includes('Black stage trousers'));
  });
});

describe('aids at Measure', () => {
  it('show where a top edge would sit and how tight', async () => {
    await room.visit('/demo/draft/cellist-dress/measure');
    await (await room.at('//summary[.="Girths at heights"]')).click();
    expect(await room.text('[aria-label="Girths at heights"]')).toContain('23.5 cm up');
    await room.enter('Height', '21');
    await room.enter('Girth there', '86');
    await room.press('Add the girth');
    expect(await room.text('[aria-label="Girths at heights"]')).toContain('21.0 cm up');
    await room.enter('Edge at height', '22');
    await room.enter('Finished girth of the edge', '82');
    // Between 82 at 23.5 and 86 at 21: 84.4 at 22, 5.6 below a depth of 27.6.
    const told = await room.text('[data-testid="top-edge"]');
    expect(told).toContain('5.6 cm below the waist line');
    expect(told).toContain('84.4 cm there: the edge is 2.4 cm tight');
    await room.press('Undo');
    expect(await room.text('[aria-label="Girths at heights"]')).not.toContain('21.0 cm up');
  });

  it('find the nearest size of a chart with its differences', async () => {
    await room.section('Sizes');
    expect(await room.text('aside')).toContain('5, the nearest');
    await room.choose('Chart', 'men');
    expect(await room.text('aside .figures')).toMatch(/Hip 10[04]\.0 102\.0 [+−]2\.0/);
  });

  it('follow the order that a maker likes, and the cursor goes on with Enter', async () => {
    await room.press('Round');
    await (await room.find('#measure-waist')).click();
    await room.keys(Key.ENTER);
    await room.until('not the high hip', async () => (await focused()) === 'measure-highHip');
    expect(await (await room.find('.body-figure')).getAttribute('data-in-hand')).toBe('highHip');
    await room.press('Needed first');
    await (await room.find('#measure-waist')).click();
    await room.keys(Key.ENTER);
    await room.until('not the hip', async () => (await focused()) === 'measure-hip');
    expect(await room.text('.figure-words')).toContain('The tape slips up at the back');
  });

  it('compare every formula for the crotch depth with the seated figure', async () => {
    await room.press('Rules for crotch depth');
    expect(await room.text('table[aria-label="Rules for crotch depth"]')).toMatch(
      /hip ÷ 4 25\.5 cm −2\.1\s+hip ÷ 4 \+ 1 in 28\.0 cm \+0\.4/,
    );
    expect(await room.text('table[aria-label="Rules for crotch depth"]')).toContain('needs outseam');
  });

  it('keep build, note, taker and where the waist was taken', async () => {
    await room.section('Person');
    await room.choose('Seat', 'full');
    await room.section('Set');
    await room.choose('Waist taken', 'low');
    await room.enter('Below the natural waist', '4');
    await room.saved();
    await room.driver.navigate().refresh();
    await room.section('Set');
    expect(await room.valueOf('Below the natural waist')).toBe('4');
  });
});

describe('fit and ease', () => {
  it('takes a class and every finished girth with it; a typed girth wins, and both pieces follow', async () => {
    await room.visit('/demo/draft/puppeteer-black/choose');
    await room.choose('Fit', 'regular');
    expect(await room.valueOf('Hip ease')).toBe('3.5');
    expect(Number(await room.valueOf('Finished hip'))).toBeCloseTo(102.8, 0);
    const rise = await room.edge('back.rise');
    await room.enter('Finished hip', '106');
    expect(Number(await room.valueOf('Finished hip'))).toBeCloseTo(106, 0);
    expect(Number(await room.valueOf('Hip ease'))).toBeGreaterThan(6);
    expect(await room.edge('back.rise')).not.toBe(rise);
    await room.enter('Finished thigh', '70');
    expect(await room.valueOf('Finished thigh')).toBe('70');
    expect(await room.sourceOf('thighWidth')).toBe('hand');
    await room.choose('Fit', 'knit');
    expect(await room.text('aside [role=note]')).toContain('stretches 40 % and more');
    await room.enter('Stretch', '60');
    expect(await room.has('aside [role=note]')).toBe(false);
  });
});
