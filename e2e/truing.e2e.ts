import { writeFile, mkdtemp } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Key, Origin } from 'selenium-webdriver';
import { describe, expect, it } from 'vitest';
import { inRoom } from './harness.js';

const room = inRoom();

const verdict = async (check: string): Promise<string> => (await room.check(check)).verdict;
const figure = async (check: string): Promise<number> =>
  parseFloat((await room.check(check)).said.replace('≈', '').replace('−', '-'));
const alterations = async (): Promise<number> => {
  await room.section('Alterations');
  return (await room.driver.findElements({ css: '[data-alteration]' })).length;
};

/** Drags over the board from one place on the screen to another. */
async function pull(from: { x: number; y: number }, to: { x: number; y: number }): Promise<void> {
  const at = (p: { x: number; y: number }, duration: number) => ({
    x: Math.round(p.x),
    y: Math.round(p.y),
    duration,
    origin: Origin.VIEWPORT,
  });
  const middle = { x: (from.x + to.x) / 2, y: (from.y + to.y) / 2 };
  await room.driver.actions().move(at(from, 0)).press().move(at(middle, 80)).move(at(to, 80)).release().perform();
}

describe('a seat that is 20 mm short', () => {
  it('is brought into its band from the check, with the effect shown before it is taken', async () => {
    await room.visit('/demo/draft/puppeteer-black/measure');
    const rise = await figure('backRise');
    await room.enter('Back rise', String(rise + 2));
    await room.until('the check does not notice', async () => (await verdict('backRise')) === 'out');
    await room.goTo('true');
    await (await room.find('[data-check-line="backRise"]')).click();
    const wedge = '[data-offer="backRise.wedge"]';
    expect(await room.text(wedge)).toContain('Back: open 20 mm at the rise at the hip line, hinge at the side');
    expect(await room.text(wedge)).toMatch(/Back rise 35\.\d cm 37\.\d cm\s+✓\s+in band/);
    expect(await room.text(wedge)).toContain('on the bias');
    expect(await room.text('[data-offer="backRise.wedge-part"]')).toContain('open 15 mm');
    // Pointed at, the piece shows what it would become; let go, it is as it was.
    const before = await room.edge('back.rise');
    await room.driver
      .actions()
      .move({ origin: await room.find(`${wedge} strong`) })
      .perform();
    await room.until('nothing is shown', async () => (await room.edge('back.rise')) !== before);
    await (await room.find(`${wedge} button`)).click();
    await room.until('not in band', async () => (await verdict('backRise')) === 'in');
    expect(await alterations()).toBe(1);
    expect(await alterations()).toBe(1);
    expect(await room.text('[data-alteration]')).toContain('Back rise +2.0');
    expect(await room.has('.alter-wedge')).toBe(true);
  });

  it('is undone, done again, switched off and on', async () => {
    await room.press('Undo');
    await room.until('still in', async () => (await verdict('backRise')) === 'out');
    await room.press('Redo');
    await room.until('not in again', async () => (await verdict('backRise')) === 'in');
    const on = async (): Promise<void> => {
      await room.section('Alterations');
      await (await room.find('[data-alteration] input[type=checkbox]')).click();
    };
    await on();
    await room.until('off leaves a trace', async () => (await verdict('backRise')) === 'out');
    await on();
    await room.until('not on again', async () => (await verdict('backRise')) === 'in');
    await room.saved();
    await room.visit('/demo/draft/puppeteer-black/true');
    await room.until('lost over a reload', async () => (await alterations()) === 1);
  });

  it('has its figures on the check report', async () => {
    await room.press('Check report');
    expect(await room.text('[data-report="backRise"]')).toContain('in band');
    expect(await room.text('.report')).toContain('Back: open 20 mm at the rise');
    await room.press('Back to True');
  });
});

describe('by hand on the piece', () => {
  it('a wedge is drawn from seam to hinge and pulled open', async () => {
    await room.visit('/demo/draft/cellist-dress/true');
    await room.find('[data-edge="back.rise"]');
    const rise = await figure('backRise');
    await room.press('Slash');
    await pull(await room.spot('back.rise', 0.62), await room.spot('back.side', 0.17));
    await room.until('no wedge', async () => (await alterations()) === 1);
    expect(await room.text('[data-alteration]')).toContain('open 5 mm at the rise');
    const [x, y] = [0, -14];
    await room.drag('wedge', x, y);
    await room.until('not pulled', async () => !(await room.text('[data-alteration]')).includes('open 5 mm'));
    expect(await figure('backRise')).toBeGreaterThan(rise + 0.6);
    const wide = await figure('backRise');
    await (await room.find('[data-handle="wedge"]')).sendKeys(Key.ARROW_DOWN);
    await room.until('no step by key', async () => (await figure('backRise')) < wide);
  });

  it('a seam is moved, the curve scooped, the seat line turned and a dart moved', async () => {
    const tools: readonly (readonly [string, string, number, { x: number; y: number }, string])[] = [
      ['Seam', 'front.side', 0.2, { x: 8, y: 0 }, 'side'],
      ['Scoop', 'back.rise', 0.3, { x: -3, y: 6 }, 'crotch curve'],
      ['Seat line', 'back.rise', 0.93, { x: -6, y: 0 }, 'seat line'],
    ];
    for (const [tool, edge, share, by, words] of tools) {
      const count = await alterations();
      await room.press(tool);
      const at = await room.spot(edge, share);
      await pull(at, { x: at.x + by.x, y: at.y + by.y });
      await room.until(`${tool} does nothing`, async () => (await alterations()) === count + 1);
      const rows = await room.driver.findElements({ css: '[data-alteration]' });
      expect(await rows[count]?.getText()).toContain(words);
      await room.press(tool);
    }
  });

  it('a dart is turned into the hem by letting it go there', async () => {
    await room.visit('/demo/draft/cellist-dress/true');
    await room.find('[data-edge="back.hem"]');
    const count = await alterations();
    const point: { x: number; y: number } = await room.driver.executeScript(
      `const path = document.querySelector('.piece-back .dart-line');
       const p = path.getPointAtLength(path.getTotalLength() / 2).matrixTransform(path.getScreenCTM());
       return { x: p.x, y: p.y };`,
    );
    const hem = await figure('hem');
    await room.press('Dart');
    await pull(point, await room.spot('back.hem', 0.5));
    await room.until('not turned', async () => (await alterations()) === count + 1);
    expect(await room.text('.alterations')).toContain('dart turned into the hem');
    await room.until('the hem is as it was', async () => (await figure('hem')) > hem + 8);
    await room.press('Undo');
  });

  it('is given up by Escape', async () => {
    const count = await alterations();
    await room.press('Seam');
    const at = await room.spot('front.side', 0.5);
    await room.driver
      .actions()
      .move({ x: Math.round(at.x), y: Math.round(at.y) })
      .press()
      .move({ x: Math.round(at.x) + 20, y: Math.round(at.y) })
      .sendKeys(Key.ESCAPE)
      .release()
      .perform();
    expect(await alterations()).toBe(count);
    await room.keys(Key.ESCAPE);
    await room.until('the tool stays', async () => !(await room.has('[data-tool-sheet]')));
  });

  it('is changed in figures, moved in the list, and taken out', async () => {
    const first = async (): Promise<string> => room.text('[data-alteration]');
    await (await room.find('[data-alteration] [aria-label^="Change:"]')).click();
    await room.enter('Opened (+) or closed (−)', '-0.6');
    await room.until('not closed', async () => (await first()).includes('close 6 mm'));
    await (await room.find('[data-alteration] [aria-label^="Later:"]')).click();
    await room.until('not moved', async () => !(await first()).includes('close 6 mm'));
    const count = await alterations();
    await (await room.find('[data-alteration] [aria-label^="Remove:"]')).click();
    await room.until('not out', async () => (await alterations()) === count - 1);
  });

  it('is refused in a sentence where it cannot be done, and the rest stays', async () => {
    await room.choose('Add', 'across');
    const rows = await room.driver.findElements({ css: '[data-alteration="across"] [aria-label^="Change:"]' });
    await rows[0]?.click();
    await room.enter('Longer (+) or shorter (−)', '-90');
    await room.until('no sentence', async () => (await room.text('[data-alteration="across"]')).includes('left out'));
    expect(await room.has('[data-edge="back.rise"]')).toBe(true);
    expect(await room.text('.walk')).toContain('needs you');
  });
});

describe('walking the seams', () => {
  const length = async (): Promise<number> =>
    Number(await (await room.find('[data-walk]')).getAttribute('data-length'));

  it('walks the inseam by play and by keys, with the difference at every notch', async () => {
    await room.visit('/demo/draft/rigger-work/true');
    await room.press('Walk the seams');
    await room.find('[data-walk="inseam"]');
    expect(await room.text('[data-mark="knee"]')).toContain('+1/8');
    await room.press('Walk');
    await room.until('it does not walk', async () => (await length()) > 60);
    await room.press('Stop');
    const stopped = await length();
    await room.keys('n');
    await room.until('N leads nowhere', async () => (await length()) > stopped);
    const knee = await length();
    await room.keys('p');
    await room.until('P leads nowhere', async () => (await length()) < knee);
    await room.press('Side');
    await room.find('[data-walk="side"]');
    expect(await room.text('[data-mark="hem"]')).toMatch(/0$/);
    await room.choose('Begin at', 'knee');
    await room.until('it does not begin at the knee', async () => (await length()) > 300);
    expect(await room.text('aside')).toContain('Walked 0 in');
    expect(await room.has('[data-mark="knee"]')).toBe(false);
    expect(await room.text('[data-mark="waist"]')).toMatch(/0$/);
    const begun = await length();
    await room.press('Walk');
    await room.until('it does not walk on', async () => (await length()) > begun + 60);
    await room.press('Stop');
    await room.keys('pp');
    await room.until('it does not walk upward', async () => (await length()) < begun);
    await room.choose('Begin at', 'hem');
    const end = await length();
    await room.press('Walk');
    await room.until('it does not walk up from the hem', async () => (await length()) < end - 60);
    await room.press('Stop');
    await room.driver.executeScript('document.activeElement.blur()');
    await room.keys(Key.HOME);
    await room.until('Home leads nowhere', async () => (await length()) === 0);
    await room.keys(' ');
    await room.until('Space does not begin anew at the hem', async () => (await length()) > end / 2);
    await room.keys(' ');
    await room.press('Rises');
    expect(await room.text('aside')).toContain('They run on to 0.');
  });
});

describe('the waist walked', () => {
  it('lies at the side with its darts closed', async () => {
    await room.visit('/demo/draft/cellist-dress/true/walk');
    await room.press('Waist');
    await room.find('[data-walk="waist"]');
    expect(await room.driver.findElements({ css: '.closed-waist' })).toHaveLength(2);
    expect(await room.text('aside')).toMatch(/They run on to 0\.\d°/);
  });

  it('offers the mend where a seam does not walk', async () => {
    await room.visit('/demo/draft/cellist-dress/draft');
    await room.press('Back');

    await room.enter('Side lift', '3');
    await room.goTo('true');
    await room.press('Walk the seams');
    await room.press('Side');
    await room.until('the walk is even', async () => (await verdict('sideWalk')) === 'out');
    const mend = '[data-offer="sideWalk.waist-side"]';
    expect(await room.text(mend)).toContain('lower the waist');
    await (await room.find(`${mend} button`)).click();
    await room.until('not mended', async () => (await verdict('sideWalk')) === 'in');
    await room.press('Back to True');
    await alterations();
    expect(await room.text('.alterations')).toContain('lower the waist');
  });
});

describe('True it', () => {
  it('finds four changes, of which two are taken and undone in one step', async () => {
    await room.visit('/demo/draft/puppeteer-black/measure');
    for (const [label, cm] of [
      ['Front rise', '25.5'],
      ['Back rise', '41'],
      ['Crotch length', '66.5'],
      ['Thigh', '60'],
    ] as const) {
      await room.enter(label, cm);
    }
    await room.goTo('true');
    // The wedge of an earlier journey is not part of this one.
    while ((await alterations()) > 0) await (await room.find('[data-alteration] [aria-label^="Remove:"]')).click();
    await room.press('True it');
    await (await room.at('//aside//button[normalize-space()="True it"]')).click();
    await room.until('nothing found', async () => room.has('.trued-list'));
    const changes = await room.driver.findElements({ css: '[data-change]' });
    expect(changes).toHaveLength(4);
    for (const id of ['frontRise', 'backRise', 'thigh', 'waist', 'hip']) {
      expect(await (await room.find(`[data-trued="${id}"]`)).getAttribute('data-verdict')).toBe('in');
    }
    // Nothing is kept yet; the board shows all four.
    await room.until('the board does not show it', async () => (await verdict('backRise')) === 'in');
    for (const change of changes.slice(2)) await (await change.findElement({ css: 'input' })).click();
    await room.press('Take 2 of 4');
    await room.until('not taken', async () => !(await room.has('.trued-list')));
    await room.press('Undo');
    await room.until('not undone at once', async () => (await verdict('frontRise')) === 'out');
    await room.press('Redo');
    await room.goTo('draft');
    await room.press('Front');
    expect(await room.sourceOf('front.centreLift')).toBe('hand');
  });
});

describe('the body’s curve', () => {
  it('is laid on the joined rises, said in words, and its shape is taken', async () => {
    await room.visit('/demo/draft/rigger-work/true/curve');
    await room.find('.curve-drawing');
    expect(await room.text('[data-shape="back"]')).toMatch(/stands .* inside the body .* above the crotch: scoop it/);
    await (await room.at('//aside//button[normalize-space()="front and back"]')).click();
    await room.until('the seam does not follow', async () =>
      (await room.text('[data-shape="back"]')).includes('follows the body'),
    );
    await room.press('Back to True');
    await room.until('no alteration', async () => (await alterations()) === 2);
  });

  it('is entered as points or from a file, refused where it is none, and kept with the person', async () => {
    await room.visit('/demo/draft/cellist-dress/true/curve');
    const text = await room.find('.trace-text');
    await text.sendKeys('0 0');
    await room.press('Lay it on');
    await room.until('no sentence', async () => (await room.text('aside')).includes('fewer than five points'));
    const folder = await mkdtemp(join(tmpdir(), 'upstride-trace-'));
    const file = join(folder, 'trace.svg');
    await writeFile(
      file,
      '<svg xmlns="http://www.w3.org/2000/svg"><path d="M0 0 C 5 140 20 255 100 262 C 200 270 240 200 320 10"/></svg>',
    );
    await room.enter('Whole length by tape', '66');
    await (await room.driver.findElement({ css: 'input[aria-label="Trace from a file"]' })).sendKeys(file);
    await room.find('.curve-drawing');
    expect(await room.text('aside')).toContain('The front seam');
    await room.saved();
    await room.visit('/demo/draft/cellist-dress/true/curve');
    await room.find('.curve-drawing');
  });
});

describe('a trace over a photo', () => {
  it('is clicked from a known length and points, scaled, and laid on', async () => {
    await room.visit('/demo/draft/bargee-shorts/true/curve');
    const file = join(process.cwd(), 'docs/screenshots/welcome.png');
    await room.find('.trace-text');
    await (await room.driver.findElement({ css: 'input[aria-label="Photo to trace over"]' })).sendKeys(file);
    const photo = await room.find('.photo-trace svg');
    await room.until('the photo is not laid out', () =>
      room.driver.executeScript<boolean>('return arguments[0].viewBox.baseVal.width > 100', photo),
    );
    const { width, height } = await photo.getRect();
    /** Clicks at shares of the photo's width and height. */
    const click = async (x: number, y: number): Promise<void> => {
      await room.driver
        .actions()
        .move({ origin: photo, x: Math.round((x - 0.5) * width), y: Math.round((y - 0.5) * height) })
        .click()
        .perform();
    };
    // 20 cm along the top, then a curve about 70 cm long from the front's waist under to the back's.
    await click(0.3, 0.05);
    await click(0.55, 0.05);
    for (let i = 0; i <= 12; i++) {
      const angle = Math.PI * (1 - i / 12);
      await click(0.5 + 0.17 * Math.cos(angle), 0.42 + 0.44 * Math.sin(angle));
    }
    expect(await room.text('.photo-trace')).toContain('13 points so far');
    await room.press('Take the last click back');
    expect(await room.text('.photo-trace')).toContain('12 points so far');
    await (await room.at('//div[contains(@class,"photo-trace")]//button[normalize-space()="Lay it on"]')).click();
    await room.find('.curve-drawing');
    await room.until('the photo stays', async () => !(await room.has('.photo-trace')));
    expect(await room.text('aside')).toMatch(/The back seam (stands|follows)/);
    expect(await verdict('riseShape')).toMatch(/in|near|out/);
    await room.press('Remove this trace');
    await room.until('the trace stays', async () => !(await room.has('.curve-drawing')));
    await room.press('Undo');
    await room.find('.curve-drawing');
  });
});
