import { readFile } from 'node:fs/promises';
import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs';
import { Key } from 'selenium-webdriver';
import { describe, expect, it } from 'vitest';
import { inRoom } from './harness.js';

const room = inRoom();

describe('choosing', () => {
  it('changes the variant, and the pieces and their sums with it', async () => {
    await room.visit('/demo/draft/lamp-plain/choose');
    await room.section('Method');
    const waist = await room.edge('front.waist');
    await (await room.find('input[type=radio][value=even]')).click();
    expect(await room.edge('front.waist')).not.toBe(waist);
    expect(await room.valueOf('Hip ease')).toBe('2.5');
    await room.section('Method');
    await (await room.find('input[type=radio][value=surplus-shared]')).click();
    expect(await room.valueOf('Hip ease')).toBe('0.0');
    expect(await room.edge('front.waist')).toBe(waist);
  });

  it('drafts by another method, says what it rests on, and comes back with everything by undo', async () => {
    const rise = await room.edge('back.rise');
    await room.choose('Method', 'close');
    await room.until('the back stays', async () => (await room.edge('back.rise')) !== rise);
    expect(await room.text('[data-wants]')).toContain('rests on the thigh, which is estimated');
    expect(await room.text('.head')).toContain('by the method Close');
    await (await room.find('input[type=radio][value=by-hip]')).click();
    await room.section('Ease');
    await room.until('the note of the class stays', async () =>
      (await room.text('aside')).includes('meant to be close, contoured'),
    );
    await room.press('Undo');
    await room.press('Undo');
    await room.until('not back', async () => (await room.edge('back.rise')) === rise);
  });

  it('takes a leg width and a length by hand, and gives them back', async () => {
    const hem = await room.edge('back.hem');
    await room.enter('Hem girth', '50');
    expect(await room.sourceOf('hemGirth')).toBe('hand');
    expect(await room.edge('back.hem')).not.toBe(hem);
    await room.enter('Inside length', '60 cm');
    expect(await room.text('.drawing')).toContain('Hem line 87.2 cm');
    await room.press('Give inside length back to the sheet');
    await room.press('Give hem girth back to the sheet');
    expect(await room.edge('back.hem')).toBe(hem);
  });

  it('switches a rule of the house off and on', async () => {
    await room.goTo('draft');
    await room.section('Settled');
    expect(await room.text('.notes')).toContain('to true the seams');
    await room.goTo('choose');
    const rule = async (): Promise<void> => {
      await room.section('House');
      await (await room.at('//label[contains(., "True the seams")]')).click();
    };
    await rule();
    await room.until('the walk stays in band', async () => (await room.check('inseamWalk')).verdict !== 'in');
    await rule();
    await room.until('the walk stays out', async () => (await room.check('inseamWalk')).verdict === 'in');
  });

  it('refuses an ease that no trouser has, in a sentence', async () => {
    await room.enter('Hip ease', '90');
    expect(await room.text('[data-line="hipEase"] .problem')).toMatch(/Hip ease 90 cm cannot be drafted.*Enter/);
    await room.press('Undo');
    expect(await room.has('.problem')).toBe(false);
  });
});

describe('measuring', () => {
  it('puts a measured figure in the place of its estimate, and takes it out again', async () => {
    await room.visit('/demo/draft/cook-kitchen/measure');
    await room.look('Pieces');
    expect(await room.sourceOf('kneeDepth')).toBe('estimate');
    expect(await room.text('.drawing')).toContain('Knee line ≈ 63.0 cm');
    await room.enter('Knee depth', '60');
    expect(await room.sourceOf('kneeDepth')).toBe('measured');
    expect(await room.text('.drawing')).toContain('Knee line 60.0 cm');
    await room.enter('Knee depth', Key.DELETE);
    expect(await room.text('.drawing')).toContain('Knee line ≈ 63.0 cm');
  });

  it('shows every figure in the unit that is asked for, and computes with none of the rounding', async () => {
    const rise = await room.edge('back.rise');
    await room.unit('in');
    expect(await room.valueOf('Hip')).toBe('50 3/8');
    expect((await room.check('hip')).said).toMatch(/\d+ \d+\/\d+ in/);
    expect(await room.edge('back.rise')).toBe(rise);
    await room.unit('cm');
    expect(await room.valueOf('Hip')).toBe('128');
  });

  it('steps a field by the tape with arrow keys', async () => {
    const field = await room.fieldFor('Hip');
    await field.sendKeys(Key.ARROW_UP);
    expect(await room.valueOf('Hip')).toBe('128.25');
    await field.sendKeys(Key.chord(Key.SHIFT, Key.ARROW_DOWN));
    expect(await room.valueOf('Hip')).toBe('128.2');
    await room.press('Undo');
    await room.press('Undo');
    expect(await room.valueOf('Hip')).toBe('128');
  });

  it('says that a newer set exists and what would change, and moves to it', async () => {
    await room.visit('/demo/draft/rigger-work/measure');
    await room.press('newer: 2026-09-20');
    expect(await room.text('[data-change="hip"]')).toMatch(/40 1\/2 41 \+1\/2/);
    expect(await room.text('[data-change="front.hipWidth"]')).toContain('+1/8');
    expect((await room.driver.findElements({ css: '.overlay path' })).length).toBe(4);
    await room.press('Move to the newer set');
    await room.until('the hip stays', async () => (await room.valueOf('Hip')) === '41');
    expect(await room.text('.head')).not.toContain('newer');
  });
});

describe('cutting', () => {
  it('counts the pages for each paper, and measures the roll', async () => {
    await room.visit('/demo/draft/cellist-dress/cut');
    const pages = async (): Promise<string> => room.text('[data-testid="page-count"]');
    expect(await pages()).toMatch(/^\d+ pages/);
    await (await room.find('#paper option[value=letter]')).click();
    expect(await pages()).toMatch(/^\d+ pages: \d+ rows of \d/);
    await (await room.find('#paper option[value=roll]')).click();
    expect(await pages()).toMatch(/^One sheet, [\d.]+ cm × [\d.]+ cm/);
    await room.enter('Roll width', '50');
    expect(await pages()).toMatch(/× [23]\d\d\.\d cm/);
    await room.enter('Roll width', '91.4');
    await room.press('Make PDF');
    const pdf = await getDocument({ data: new Uint8Array(await readFile(await room.download('.pdf'))), verbosity: 0 })
      .promise;
    expect(pdf.numPages).toBe(1);
    const [, , width = 0] = (await pdf.getPage(1)).view;
    expect((width / 72) * 2.54).toBeCloseTo(Number(/One sheet, ([\d.]+)/.exec(await pages())?.[1]), 0);
  });

  it('follows the allowances that are set at Finish, where one that is too wide is refused', async () => {
    const outline = async (): Promise<string> => {
      await room.goTo('cut');
      return (await (await room.find('.tile-preview path[stroke-dasharray="6 3"]')).getAttribute('d')) ?? '';
    };
    await room.section('Print');
    const before = await outline();
    await room.goTo('finish');
    await room.find('[data-piece-button]');
    await room.section('Edges');
    await room.enter('Side', '2.5');
    expect(await outline()).not.toBe(before);
    await room.goTo('finish');
    await room.find('[data-piece-button]');
    await room.enter('Hem', '30');
    await room.until('not refused', async () => (await room.text('.bench')).includes('lies between 0 and 12.0 cm'));
    await room.press('Undo');
    expect(await outline()).toBe(before);
  });
});
