import { mkdtemp, readFile, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Key } from 'selenium-webdriver';
import { describe, expect, it } from 'vitest';
import { resize } from './browser.js';
import { inRoom } from './harness.js';

const room = inRoom();

describe('a fitting', () => {
  const see = async (what: string): Promise<void> => {
    await (await room.find(`[data-seen="${what}"] input[type=checkbox]`)).click();
  };
  const causes = async (): Promise<(string | null)[]> =>
    Promise.all((await room.driver.findElements({ css: '[data-cause]' })).map((li) => li.getAttribute('data-cause')));
  const alterations = async (): Promise<number> => {
    await room.goTo('true');
    await room.section('Alterations');
    return (await room.driver.findElements({ css: '[data-alteration]' })).length;
  };

  /** How often what is looked at is drawn on a piece. */
  const drawn = async (panel: string): Promise<number> =>
    (await room.driver.findElements({ css: `[data-tried="${panel}"]` })).length;

  /** How long the band is where it is sewn to the back's waist on one side, in cm. */
  const bandBehind = async (): Promise<number> => {
    await room.goTo('finish');
    await room.section('Seams');
    return Number(/\d+\.\d/.exec(await room.text('[data-seam="waist.left"]'))?.[0]);
  };

  it('holds a fold wherever it is pinned: its ends pulled along the seams, taken out on the paper, undone', async () => {
    await room.visit('/demo/draft/lamp-plain/toile');
    await room.press('New fitting');
    await room.choose('Put a pin', 'back');
    const said = (): Promise<string> => room.text('[data-pin="fold"]');
    await room.until('no fold', async () => (await said()).includes('fold out 10 mm at the'));
    const enter = async (end: 'from' | 'to', what: '' | '-by', text: string): Promise<void> => {
      const field = await room.find(`[data-end="${end}"] input[id$="-${end}${what}"]`);
      await field.sendKeys(Key.chord(Key.CONTROL, 'a'), text, Key.ENTER);
    };
    await enter('to', '-by', '0.4');
    await room.until('not told', async () => (await said()).includes('4 mm at the side'));
    // By hand along the side, by keys, and by a figure.
    const down = async (): Promise<string> =>
      (await (await room.find('[data-end="to"] input[id$="-to"]')).getAttribute('value')) ?? '';
    const hip = Number(await down());
    await room.drag('fold.to', 0, 40);
    await room.until('the end stays', async () => Number(await down()) > hip + 3);
    await (await room.find('[data-handle="fold.to"]')).sendKeys(Key.ARROW_UP);
    await enter('to', '', '30');
    await room.until('not there', async () => Number(await down()) === 30);
    // It speaks for a cause by where it lies, until it is out of the paper.
    expect(await said()).toContain('it speaks as: a fold pinned across the seat, at the centre');
    await room.section('Causes');
    await room.until('it speaks for nothing', async () => (await causes())[0] === 'backRiseLong');
    expect(await room.text('[data-cause="backRiseLong"]')).toContain('as pinned');
    await room.section('Fitting');
    await room.press('What it does: pin 1');
    expect(await room.text('.effects')).toMatch(/back rise [\d.]+ cm now, [\d.]+ cm then/i);
    await room.press('Onto the paper: pin 1');
    await room.until('not taken', async () => (await said()).includes('Folded out'));
    await room.section('Causes');
    await room.until('it is asked for twice', async () => (await causes()).length === 0);
    await room.section('Fitting');
    await room.press('Undo');
    await room.until('still taken', async () => !(await said()).includes('Folded out'));
    await enter('to', '-by', '0');
    await enter('from', '-by', '0');
    expect(await said()).toContain('Give an amount above 0 at one end');
    await enter('from', '-by', '1');
    await room.choose('On', 'waist');
    await room.press('Move it to the centre back');
    await room.find('[data-pinned="pinchedCentreBack back"]');
    expect(Number(await room.valueOf('Pin 1, in all'))).toBe(2);
  });

  it('takes a band in that is pinned at its top alone: bent in the finish, its seam as it was, given back by one step', async () => {
    const band = (): Promise<readonly number[]> =>
      room.driver.executeScript(
        `return [...document.querySelectorAll('[data-piece-button="band"] path')].map((p) => p.getTotalLength())`,
      );
    await room.visit('/demo/draft/bargee-shorts/finish');
    await room.until('no band', async () => (await band()).length > 0);
    const before = await band();
    await room.goTo('toile');
    await room.press('New fitting');
    const give = await room.find('[id^="give-"]');
    await give.sendKeys(Key.chord(Key.CONTROL, 'a'), '400', Key.ENTER);
    expect(await room.text('[data-fitting]')).toContain('400 does not lie between 0 and 300');
    await give.sendKeys(Key.chord(Key.CONTROL, 'a'), '15 %', Key.ENTER);
    await room.enter('Stands', 'hips forward');
    await room.choose('Put a pin', 'pinchedBandTop');
    await room.enter('Pin 1, in all', '2');
    await room.section('Causes');
    expect(await room.text('[data-cause="bandTooStraight"]')).toContain('Give 1 1/2 in or less');
    await room.section('Fitting');
    await room.enter('Pin 1, in all', '5/8');
    await room.section('Causes');
    await (await room.at('//li[@data-cause="bandTooStraight"]//button[.="What it does"]')).click();
    expect(await room.text('[data-cause="bandTooStraight"]')).toContain('slash it behind in 10 places');
    await room.press('Take: The band is too straight');
    await room.goTo('finish');
    await room.until('it is not bent', async () => String(await band()) !== String(before));
    expect(await room.text('[data-piece-button="band"]')).toContain('2 mirrored');
    await room.press('Undo');
    await room.until('it is bent', async () => String(await band()) === String(before));
  });

  it('goes from what was seen and pinned to what may be behind it, to altered pieces, to a version', async () => {
    const before = await (async () => {
      await room.visit('/demo/draft/cellist-dress/toile');
      return alterations();
    })();
    const band = await bandBehind();
    await room.goTo('toile');
    await room.press('New fitting');
    await see('waistStandsBehind');
    await room.choose('Put a pin', 'pinchedCentreBack');
    await room.enter('Pin 1, in all', '1.6');
    await room.find('[data-pinned="pinchedCentreBack back"]');
    await room.section('Causes');
    await room.until('no cause', async () => (await causes())[0] === 'waistWideBehind');
    expect(await room.valueOf('Amount, of the waist')).toBe('1.6');
    expect(await room.text('[data-cause="waistWideBehind"]')).toContain('as pinned');
    await (await room.at('//li[@data-cause="waistWideBehind"]//button[.="What it does"]')).click();
    // What is pinned out of the waist is gone from it.
    expect(await room.text('[data-cause="waistWideBehind"] .effects')).toMatch(/waist [\d.]+ cm now, [\d.]+ cm then/);
    // How it is done on paper is drawn on the back before it is taken, and on the front nothing is.
    expect(await drawn('back')).toBe(1);
    expect(await drawn('front')).toBe(0);
    const lineOf = async (css: string): Promise<string | null> => (await room.find(css)).getAttribute('d');
    const [asIs, asItWouldBe] = [await lineOf('[data-piece="back"] .body'), await lineOf('.tried-line')];
    await room.press('Take: The waist is too wide behind');
    await room.until('it is not marked', async () =>
      (await room.text('[data-cause="waistWideBehind"]')).includes('Take again'),
    );
    // The piece is then just as it was drawn to be.
    expect(asItWouldBe).not.toBe(asIs);
    expect((await lineOf('[data-piece="back"] .body'))?.replace(/Z$/, '')).toBe(asItWouldBe);
    await room.section('Fitting');
    expect(await drawn('back')).toBe(0);
    await room.enter('Pin 1, in all', '0');
    expect(await room.text('.pin')).toContain('Give an amount above 0, or take it out.');
    await room.enter('Pin 1, in all', '1.6');
    await room.choose('Verdict', 'bastedAgain');
    await room.press('Close, and keep this version');
    await room.until('it stays open', async () =>
      (await room.text('[data-fitting]')).includes('again in basted cloth'),
    );
    await room.section('Versions');
    expect(await room.text('[data-version-in-hand]')).toContain('after the fitting of');
    // Each of the two back darts takes up its half, 4 mm, and the band is shorter by what they take where it sits, below
    // the waist line.
    expect(await alterations()).toBe(before + 2);
    const shorter = band - (await bandBehind());
    expect([shorter > 0.45, shorter < 0.85]).toEqual([true, true]);
    await room.saved();
    await room.driver.navigate().refresh();
    await room.goTo('toile');
    await room.section('Fitting');
    expect(await room.text('[data-fitting]')).toContain('again in basted cloth');
    await room.press('Undo');
    await room.until(
      'it is not open again',
      async () => !(await room.text('[data-fitting]')).includes('again in basted'),
    );
  });

  it('has a seam measured as it is sewn, taken off at the centre, and goes on a sheet without names', async () => {
    await room.visit('/demo/draft/cellist-dress/toile');
    await room.press('New fitting');
    await room.enter('Seam allowance left on it', '1.5');
    await room.choose('Measure a seam', 'backRise');
    await room.enter('It measures', '43');
    await room.enter('Wanted', '40');
    expect(await room.text('[data-sewn="backRise"]')).toContain('Between its stitching lines 41.5 cm');
    expect(await room.text('[data-sewn="backRise"]')).toContain('1.5 cm over what is wanted');
    await room.press('Take: Back rise, crotch seam to top edge');
    // A photo is made small, noted, kept over a reload, and goes on the sheet only where it is ticked.
    const file = join(await mkdtemp(join(tmpdir(), 'photo-')), 'behind.png');
    await writeFile(file, await room.driver.takeScreenshot(), 'base64');
    await (await room.find('input[aria-label="Photo of the fitting"]')).sendKeys(file);
    await room.choose('Photo 1 is taken', 'back');
    await room.find('.fitting-photo[alt="Photo 1, behind"]');
    const text = join(tmpdir(), 'no-picture.png');
    await writeFile(text, 'words');
    await (await room.find('input[aria-label="Photo of the fitting"]')).sendKeys(text);
    await room.until('no sentence', async () => (await room.text('.seen [role=status]')).includes('is no picture'));
    await room.saved();
    await room.driver.navigate().refresh();
    await room.find('.fitting-photo');
    await room.press('Fitting sheet');
    const sheet = '[data-sheet="fitting"]';
    await room.until('no sheet', async () => (await room.text(sheet)).includes('Seams as sewn'));
    expect(await room.text(sheet)).not.toContain('Cellist');
    await (await room.at('//label[contains(., "With names")]//input')).click();
    await room.until('no name', async () => (await room.text(sheet)).includes('Cellist'));
    expect(await room.has('.written-picture')).toBe(false);
    await (await room.at('//label[contains(., "With photos")]//input')).click();
    await room.find('.written-picture img');
    await room.press('Blank');
    await room.until('not blank', async () => (await room.text(sheet)).includes('Drag lines from the crotch'));
    await room.press('Make PDF');
    await room.download('.pdf');
  });

  it('tells causes by what a maker knows, saved to a file and changed there', async () => {
    await room.visit('/demo/draft/cellist-dress/toile');
    await room.press('New fitting');
    await see('seatBags');
    await room.section('Causes');
    await room.until('no cause', async () => (await causes())[0] === 'backRiseLong');
    await (await room.at('//summary[contains(., "What is known of toiles")]')).click();
    await room.press('Save it to a file');
    const text = await readFile(await room.download('.knowledge.json'), 'utf8');
    const known = JSON.parse(text) as { causes: { id: string; seen: Record<string, number> }[] };
    for (const cause of known.causes) if (cause.id === 'seatWide') cause.seen['seatBags'] = 9;
    const file = join(await mkdtemp(join(tmpdir(), 'knowledge-')), 'ours.json');
    await writeFile(file, JSON.stringify(known));
    await (await room.find('input[aria-label="Knowledge of toiles"]')).sendKeys(file);
    await room.until('not told by it', async () => (await causes())[0] === 'seatWide');
    await writeFile(file, text.slice(0, 100));
    await (await room.find('input[aria-label="Knowledge of toiles"]')).sendKeys(file);
    await room.until('not refused', async () =>
      (await room.text('.knowledge [role=status]')).includes('Nothing was changed'),
    );
    await room.press('Back to the house’s');
    await room.until('not the house’s', async () => (await causes())[0] === 'backRiseLong');
    await room.section('Fitting');
    await room.press('Forget this fitting');
  });

  it('is noted by pressing the drawn body where it shows, by hand and by keys', async () => {
    await room.visit('/demo/draft/lamp-plain/toile');
    await room.press('New fitting');
    await (await room.find('[data-body-place="back crotch"]')).click();
    const shown = async (): Promise<(string | null)[]> =>
      Promise.all(
        (await room.driver.findElements({ css: '[data-seen]' })).map((line) => line.getAttribute('data-seen')),
      );
    expect(await shown()).toEqual(['dragBackCrotch', 'foldsUnderSeat']);
    await see('foldsUnderSeat');
    await room.until('it is not marked on the body', async () =>
      (await (await room.find('[data-body-place="back crotch"]')).getText()).includes('1'),
    );
    await (await room.find('[data-body-place="side hem"]')).sendKeys(Key.ENTER);
    await room.until('the hem is not shown', async () => (await shown()).join() === 'hemLowInside,hemHighInside');
    await room.press('All places');
    await room.until('not all is shown', async () => (await shown()).length > 20);
    await room.press('Forget this fitting');
  });

  it('is noted on a telephone in one hand: what is seen, on which leg, and taken for that leg alone', async () => {
    await resize(room.driver, 390, 844);
    await room.visit('/demo/draft/lamp-plain/toile');
    await room.press('New fitting');
    await (await room.find('[data-body-place="side hem"]')).click();
    await see('hemLowInside');
    await room.choose('Leg', 'left');
    await room.section('Causes');
    await room.until('no cause', async () => (await causes())[0] === 'insideLong');
    expect(await room.text('[data-cause="insideLong"]')).toMatch(/left leg/i);
    const wide: boolean = await room.driver.executeScript(
      'return document.documentElement.scrollWidth > document.documentElement.clientWidth',
    );
    expect(wide).toBe(false);
    await room.press('Take: The inside of the leg is too long');
    await room.press('Undo');
    await resize(room.driver, 1280, 800);
  });
});
