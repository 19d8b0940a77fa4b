import { readFile } from 'node:fs/promises';
import DxfParser from 'dxf-parser';
import { strFromU8, unzipSync } from 'fflate';
import { PDFDocument } from '@cantoo/pdf-lib';
import { Key } from 'selenium-webdriver';
import { describe, expect, it } from 'vitest';
import { resize } from './browser.js';
import { inRoom } from './harness.js';
import { faultsOf } from './views.js';

const room = inRoom();
/** Work on many bodies is waited for so long on a slow machine, in ms. */
const LONG = 150_000;

/** Waits until a garment was applied to all bodies. */
const applied = (): Promise<void> =>
  room.until('not applied to all', async () => room.has('[data-batch-busy="false"]'), LONG);
const cell = (body: string, field: string): Promise<string> =>
  room.text(`[role=row][data-id="${body}"] [data-field="${field}"]`);
const asking = async (): Promise<number> =>
  Number(await (await room.find('[data-batch-asks]')).getAttribute('data-batch-asks'));

describe('a garment for many', () => {
  it('is drafted for the crew from their table: what asks for something, trued, kept, undone, all in one zip', async () => {
    await room.visit('/demo/crew');
    await room.find('[role=row][data-id="cook"]');
    await room.press('Draft for all');
    await (await room.find('[data-garment="lamp-plain"]')).click();
    await applied();
    expect(await cell('apprentice', 'asks')).toContain('Inseam is missing');
    expect(await cell('cook', 'cloth')).toMatch(/^\d\.\d\d m$/);
    const before = await asking();
    expect(before).toBeGreaterThan(0);

    // One that is out is trued, for that body alone.
    await room.press(`Ask for something ${before}`);
    await (await room.find('[data-body="lead-puppeteer"]')).click();
    const inHand = (): Promise<string> => room.text('[data-body-in-hand]');
    expect(await inHand()).toContain('Measured 2026-10-05');
    expect(await inHand()).toContain('✕ Back rise');
    await room.press('True it');
    await room.until(
      'nothing was told of it',
      async () => (await room.text('.bench')).includes('1 changed. Undo takes it back.'),
      LONG,
    );
    await room.until(
      'its back rise is still out',
      async () => /cloth/.test(await inHand()) && !(await inHand()).includes('Back rise'),
      LONG,
    );
    expect(await asking()).toBeLessThanOrEqual(before);
    await room.press(`All 8`);
    const hand = (): Promise<string> => cell('lead-puppeteer', 'hand');
    expect(await hand()).toContain('by hand');
    await room.press('Give back to the garment');
    await room.until('not given back', async () => (await hand()) === '');
    await room.press('Undo');
    await room.until('not by hand again', async () => (await hand()).includes('by hand'));

    // The run is there again after the page was loaded anew.
    await room.saved();
    await room.driver.navigate().refresh();
    await applied();
    expect(await room.text('.batch-said')).toContain('The crew: 8 bodies');

    await room.section('Files');
    await (await room.at('//label[span[.="Chalk sheets"]]')).click();
    await room.press('Save all in a zip');
    const zip = unzipSync(new Uint8Array(await readFile(await room.download('.zip', LONG))));
    const names = Object.keys(zip);
    for (const name of ['Cook.pdf', 'Cook chalk sheet.pdf', 'Cook cut list.csv', 'summary.csv', 'measurements.csv'])
      expect(names).toContain(name);
    expect(names.some((n) => n.startsWith('Apprentice'))).toBe(false);
    const pdf = await PDFDocument.load(zip['Stage rigger.pdf'] ?? new Uint8Array());
    expect(pdf.getPageCount()).toBeGreaterThan(5);
    const summary = strFromU8(zip['summary.csv'] ?? new Uint8Array());
    expect(summary.trim().split('\r\n')).toHaveLength(9);
    expect(summary).toMatch(/Apprentice.*Inseam is missing/);
    expect(strFromU8(zip['measurements.csv'] ?? new Uint8Array())).toContain('Ticket seller');
  });

  it('becomes a draft of its own for one of them, which stays as it is when the garment changes', async () => {
    await room.section('Each');
    await (await room.find('[data-body="cellist"]')).click();
    await room.press('Make it a draft of its own');
    await room.until('not opened', async () => (await room.text('.head')).includes('Cellist'));
    await room.goTo('choose');
    await room.enter('Hem girth', '46');
    await room.saved();
    await room.visit('/demo/draft/lamp-plain/cut/many');
    await applied();
    expect(await cell('cellist', 'hand')).toBe('own draft');
    await room.press('Spec');
    const hem = async (): Promise<string[]> => (await room.text('[data-point="hem"]')).split(/\s+/).slice(1);
    // The columns of the table come one after the other.
    await room.until('the own hem is not in the spec', async () => (await hem())[1] === '46.0');
    await room.visit('/demo/draft/lamp-plain/cut/many');
    await applied();
    await room.press('Each body');
    await (await room.find('[data-body="cellist"]')).click();
    await room.press('Give back to the garment');
    await room.until('still its own', async () => (await cell('cellist', 'hand')) === '');
  });

  it('is nested in the sizes of a chart: a line and a layer for each, with its grade', async () => {
    await room.visit('/demo/sizes');
    await room.press('Draft its sizes');
    await (await room.find('[data-garment="lamp-plain"]')).click();
    await applied();
    await room.press('Nest');
    await room.find('.nest-drawing');
    const lines = await room.driver.findElements({ css: '[data-nest="front"] [data-size]' });
    expect(lines).toHaveLength(12);
    const grade = await room.text('[data-grade="front"]');
    expect(grade).toContain('98 – 104');
    await room.section('Nest');
    await room.choose('Brought together at', 'point hem/inseam');
    await room.choose('Brought together at', 'crotch');
    await room.until('not moved', async () =>
      /Inseam and rise 0\.0 \| 0\.0/.test((await room.text('[data-grade="front"]')).replace(/\n/g, ' ')),
    );
    await room.press('Save DXF');
    const read = new DxfParser().parseSync(await readFile(await room.download('.dxf'), 'utf8'));
    const layers = new Set(read?.entities.map((e) => e.layer));
    for (const size of ['98', '128', '164']) expect(layers).toContain(`SIZE_${size}_CUT`);
    await room.press('PDF on A4');
    await room.until('no PDF', async () => (await room.text('.bench')).includes('Made'));
  });

  it('writes a grade rule from its sizes, by which another garment is made in them, undone and opened as a draft', async () => {
    await room.press('Keep as a grade rule');
    await room.until('no rule', async () => (await room.text('.bench')).includes('Kept as a grade rule'));
    await room.saved();
    await room.visit('/demo/draft/ticket-plain/cut/many');
    await room.choose('This draft is size', '146');
    await room.press('12 sizes by this rule');
    await applied();
    await room.press('Nest');
    await room.find('.nest-drawing');
    const lines = await room.driver.findElements({ css: '[data-nest="back"] [data-size]' });
    expect(lines).toHaveLength(12);
    await room.section('Nest');
    expect(await room.text('[data-made-by-rule]')).toContain('this draft is size 146');
    await room.section('Who');
    await room.choose('This draft is size', '158');
    await room.section('Nest');
    expect(await room.text('[data-made-by-rule]')).toContain('this draft is size 158');
    await room.press('Undo');
    await room.until('not undone', async () => (await room.text('[data-made-by-rule]')).includes('size 146'));
    await room.press('Each body');
    await room.section('Each');
    await (await room.find('[data-body="152"]')).click();
    expect(await room.text('[data-body-in-hand]')).toContain('by the grade rule');
    await room.press('Make it a draft of its own');
    await room.until('not opened', async () => (await room.text('.head')).includes('152'));
    expect(await room.has('.board [data-panel], .board svg')).toBe(true);
    await room.visit('/demo');
    await room.press('Undo');
    await room.until('it stays', async () => !(await room.text('.page')).includes('Plain trousers, 152'));
    await room.visit('/demo/draft/ticket-plain/cut/many');
    await room.section('Who');
    await room.press('Forget this run');
    await room.until('still there', async () => (await room.text('.board')).includes('Apply this garment'));
    await room.saved();
    await room.visit('/demo/draft/lamp-plain/cut/many');
    await applied();
  });

  it('has a spec for each size, and tells what of a sewn one is out of tolerance, in inches too', async () => {
    await room.press('Spec');
    await room.choose('Size or person', '128');
    await room.press('Enter a sewn garment');
    const hip = await room.text('[data-point="hip"]');
    const sizes = hip.split(/\s+/).slice(1);
    const field = await room.find('[data-sewn] [data-point="hip"] input');
    const right = Number(sizes[5]);
    await field.sendKeys(String(right + 3), Key.ENTER);
    await room.until('not told', async () => (await room.text('[data-sewn]')).includes('✕ out: hip'));
    await field.sendKeys(Key.chord(Key.CONTROL, 'a'), String(right + 0.9), Key.ENTER);
    await room.until('not within', async () => (await room.text('[data-sewn]')).includes('✓ within tolerance'));
    expect(await room.text('[data-sewn-out]')).toBe('1 measured, none out of tolerance.');
    await field.sendKeys(Key.chord(Key.CONTROL, 'a'), 'wide', Key.ENTER);
    await room.until('not refused', async () => (await room.text('[data-sewn]')).includes('is not a length'));
    await room.keys(Key.ESCAPE);
    await room.press('Take out');
    await room.until('not taken out', async () => !(await room.has('[data-sewn]')));
    // Of a size too a draft of its own is made, with a person who has its figures.
    await room.press('Each body');
    await room.section('Each');
    await (await room.find('[data-body="128"]')).click();
    await room.press('Make it a draft of its own');
    await room.until('not opened', async () => (await room.text('.head')).includes('128, Children by height'));
    await room.visit('/demo');
    await room.press('Undo');
    await room.until('it stays', async () => !(await room.text('.page')).includes('128, Children by height'));
  });

  it('is laid on one cloth for all of them, one after the other, then two beside one another, never longer', async () => {
    await room.visit('/demo/draft/cook-kitchen/cut/many');
    await room.press('Everyone in the crew, 8');
    await applied();
    await room.press('On cloth');
    await room.press('Lay all 8');
    const laid = (): Promise<void> =>
      room.until('not laid', async () => room.has('[data-laying="false"]:not([data-laid="0"])'), LONG);
    const bought = async (): Promise<number> => Number(/([\d.]+) m of cloth/.exec(await room.text('[data-laid]'))?.[1]);
    await laid();
    // The apprentice has no inseam yet: seven are laid, by themselves.
    expect((await room.driver.findElements({ css: '[data-section]' })).length).toBe(7);
    const alone = await bought();
    expect(alone).toBeGreaterThan(6);
    await room.press('Look on');
    await room.until(
      'not paired',
      async () => (await room.driver.findElements({ css: '[data-section]' })).length === 4,
    );
    await room.press('Stop');
    await laid();
    expect(await bought()).toBeLessThanOrEqual(alone + 0.051);
    await room.press('Save SVG');
    const svg = await readFile(await room.download('.svg'), 'utf8');
    for (const part of ['Front, Cook', 'Back, Lamp operator', 'Back, Ticket seller']) expect(svg).toContain(part);
  });

  it('has no fault of any grade in any of its looks, and runs off no side of a telephone', async () => {
    await room.visit('/demo/draft/ticket-plain/cut/many');
    await room.press('Everyone in the crew, 8');
    await applied();
    const looks = [
      ['Each body', '[role=row] .picture'],
      ['Nest', '.nest-drawing'],
      ['Spec', '[data-spec]'],
      ['On cloth', '.lay-all'],
    ] as const;
    const found: string[] = [];
    for (const [look, ready] of looks) {
      await room.press(look);
      await room.find(ready);
      const faults = await faultsOf(room.driver);
      found.push(...faults.map((fault) => `${look} ${fault}`));
      await resize(room.driver, 390, 844, true);
      const over = await room.driver.executeScript<number>('return document.documentElement.scrollWidth - innerWidth');
      if (over > 1) found.push(`${look} runs ${over} px off the side`);
      await resize(room.driver, 1280, 800);
    }
    expect(found).toEqual([]);
  });
});
