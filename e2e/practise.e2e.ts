import { readFile, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { By, Key } from 'selenium-webdriver';
import { describe, expect, it } from 'vitest';
import { resize } from './browser.js';
import { inRoom } from './harness.js';

const room = inRoom();

/** The figures that are given for the sum in hand, in the learner's unit. */
async function given(): Promise<Record<string, number>> {
  const cells = await room.driver.findElements(By.css('[data-given]'));
  const figures = await Promise.all(
    cells.map(async (cell): Promise<[string, number]> => {
      const text = (await cell.getText()).replace('\u2044', '/').trim();
      const [whole = '0', part] = text.includes('/') && !text.includes(' ') ? ['0', text] : text.split(' ');
      const [over = 0, under = 1] = part?.split('/').map(Number) ?? [];
      return [(await cell.getAttribute('data-given')) ?? '', Number(whole) + over / under];
    }),
  );
  return Object.fromEntries(figures);
}

const asked = async (): Promise<string> => (await (await room.find('[data-asked]')).getAttribute('data-asked')) ?? '';
const verdict = (): Promise<string> => room.text('.practise-verdict[data-verdict]');
const answer = async (figure: number | string): Promise<void> => {
  await (await room.find('.practise-answer input')).sendKeys(String(figure), Key.ENTER);
  await room.find('.practise-verdict[data-verdict]');
};

/** Goes on to the next that is asked, or to the end. */
async function goOn(): Promise<void> {
  const was = await asked();
  await room.press('Go on');
  await room.until('it does not go on', async () => (await room.has('[data-lesson-end]')) || (await asked()) !== was);
}

/** Moves what has the keys by so many millimetres, with arrow keys, finely at last. */
async function nudge(grip: string, x: number, y: number): Promise<void> {
  const at = await room.find(`[data-grip="${grip}"]`);
  await room.driver.executeScript('arguments[0].focus()', at);
  const place = async (): Promise<readonly [number, number]> => [
    Number(await at.getAttribute('data-x')),
    Number(await at.getAttribute('data-y')),
  ];
  const front = (await room.text('h2')).includes('front') || (await room.text('.practise-where')).includes('Front');
  const [right, left] = front ? [Key.ARROW_LEFT, Key.ARROW_RIGHT] : [Key.ARROW_RIGHT, Key.ARROW_LEFT];
  const [x0, y0] = await place();
  const steps = (mm: number, step: number): number => Math.round(Math.abs(mm) / step);
  const press = (key: string, times: number): string[] => Array.from({ length: times }, () => key);
  await at.sendKeys(
    ...press(x > x0 ? right : left, steps(x - x0, 3.175)),
    ...press(y > y0 ? Key.ARROW_DOWN : Key.ARROW_UP, steps(y - y0, 3.175)),
  );
  await room.until('it did not come there', async () => {
    const [px, py] = await place();
    return Math.abs(px - x) < 3.2 && Math.abs(py - y) < 3.2;
  });
}

describe('practising', () => {
  it('goes through the first lesson on a telephone, to its end and to the next', async () => {
    await resize(room.driver, 390, 844, true);
    await room.visit('/demo/practise');
    await (await room.find('[data-lesson="first-line"] a')).click();
    await room.find('[data-sum]');
    for (let i = 0; i < 12 && !(await room.has('[data-lesson-end]')); i += 1) {
      const { crotchDepth = 0, crotchEase = 0, insideLength = 0, crotchLevel = 0 } = await given();
      const sum = await (await room.find('[data-sum]')).getAttribute('data-sum');
      await answer(
        sum === 'hemLevel'
          ? crotchDepth + insideLength
          : sum === 'crotchLevel'
            ? crotchDepth + crotchEase
            : crotchLevel + 3,
      );
      expect(await verdict()).toMatch(/^✓ Right|^≈ Near/);
      await goOn();
    }
    expect(await room.text('.practise-sum')).toMatch(/^\d of \d right/);
    expect(await room.driver.executeScript('return document.documentElement.scrollWidth')).toBeLessThanOrEqual(390);
    await (await room.at('//a[normalize-space()="Next: A quarter of the hip"]')).click();
    await room.find('[data-sum="front.hipWidth"]');
    await room.visit('/demo/practise');
    await room.find('[data-lesson="first-line"][data-passed="true"]');
    await resize(room.driver, 1280, 800);
  });

  it('names the slip that was made, gives hints in three steps, and asks it once more on other figures', async () => {
    await room.visit('/demo/practise/extension');
    await room.find('[data-sum="front.extension"]');
    const first = await given();
    await room.press('Hint 1 of 3');
    await room.press('Hint 2 of 3');
    expect(await room.text('.practise-hints')).toContain('hip ÷ 4 − split');
    // The quarter of the panel is taken as its half.
    await answer(((first['hip'] ?? 0) / 4 - (first['split'] ?? 0)) / 2);
    expect(await verdict()).toContain('That is a half of “hip ÷ 4 − split”, not a quarter.');
    expect(await verdict()).toContain('The sum is (');
    expect(await room.has('[data-asked="1"]')).toBe(true);
    await goOn();
    // The lesson is where it was after a reload.
    const where = await room.text('.practise-where');
    await room.driver.navigate().refresh();
    expect(await room.text('.practise-where')).toBe(where);
    // The point is asked by its own figures; it is passed over here, and so is all that follows.
    for (let i = 0; i < 3; i += 1) {
      if (await room.has('.practise-answer')) await answer(1);
      else await room.press('Ask what it is worth');
      await goOn();
    }
    expect(await room.text('.practise-where')).toContain('once more on other figures');
    const again = await given();
    await answer(((again['hip'] ?? 0) / 4 - (again['split'] ?? 0)) / 4);
    expect(await verdict()).toMatch(/^✓ Right/);
    await room.visit('/demo/practise');
    expect(await room.text('[data-slip="divideLess"]')).toMatch(/1$/);
    // What was missed is due; undo takes the last answer back.
    const due = (): Promise<string> => room.text('[data-practice="quarter-and-half"]');
    const before = await due();
    await room.press('Undo');
    await room.until('undo takes nothing back', async () => (await due()) !== before);
    await room.press('Redo');
    await room.until('redo does not bring it again', async () => (await due()) === before);
    await room.driver.navigate().refresh();
    expect(await due()).toBe(before);
  });

  it('draws the crotch curve by keys until it is right, beside the master’s line', async () => {
    await room.visit('/demo/practise/own?method=quarter-and-half&level=eighths&ask=curves');
    await room.find('[data-task="front.rise"]');
    await room.press('Ask what it is worth');
    expect(await verdict()).toMatch(/^✕ The front crotch curve runs up to .* in off/);
    const master = await (await room.find('[data-master]')).getAttribute('d');
    // The paper of the front lies turned: its side is at the right.
    const all = [...(master ?? '').matchAll(/(-?[\d.]+)[ ,](-?[\d.]+)/g)].map(
      ([, x, y]) => [-Number(x), Number(y)] as const,
    );
    const [[x0, y0] = [0, 0]] = all;
    const [x3, y3] = all.at(-1) ?? [0, 0];
    const told: string[] = [];
    // Straight down from the centre line, and level out to the crotch point, a little more each time.
    for (const [down, out] of [0.5, 0.6, 0.7].flatMap((d) => [0.4, 0.55, 0.7].map((o) => [d, o] as const))) {
      if (told.at(-1)?.startsWith('✓')) break;
      await nudge('first', x0, y0 + down * (y3 - y0));
      await nudge('second', x3 - out * (x3 - x0), y3);
      await room.keys(Key.ENTER);
      told.push(await verdict());
    }
    expect(told.at(-1)).toMatch(/^✓ The front crotch curve runs within .* of the master’s line, and is fair\./);
    await goOn();
    await room.find('[data-task="front.inseam"]');
  });

  it('trues the pair: finds the lesson by its name, works out what goes down, and puts it there', async () => {
    await room.visit('/demo');
    await (await room.find('[aria-label="Find anything"]')).click();
    await (await room.find('input.find-field')).sendKeys('both seams');
    await room.at('//li[@role="option"][contains(., "Both seams walk")]');
    await room.keys(Key.ENTER);
    await room.find('[data-sum="crotchDown"], [data-sum="inseamOver"]');
    if (await room.has('[data-sum="inseamOver"]')) {
      const { laidBackInseam = 0, laidFrontInseam = 0 } = await given();
      await answer(laidBackInseam - laidFrontInseam);
      await goOn();
    }
    const { laidBackInseam = 0, laidFrontInseam = 0, stretch = 0 } = await given();
    // Without the stretch both would only be as long as one another.
    await answer(laidBackInseam - laidFrontInseam);
    expect(await verdict()).toContain('stretch of the back’s inseam');
    await goOn();
    expect(stretch).toBe(1 / 8);
    while (!(await room.has('[data-task]'))) {
      await answer(1);
      await goOn();
    }
    expect(await room.text('h2')).toMatch(/^Lower the back’s crotch point by [\d⁄/ ]+ in$/);
    await room.press('Ask what it is worth');
    const there = await room.find('.practise-master-point');
    const [x, y] = [Number(await there.getAttribute('cx')), Number(await there.getAttribute('cy'))];
    await nudge('point', x, y);
    await room.press('Ask again');
    expect(await verdict()).toMatch(/^✓ The back’s crotch point is where it belongs/);
  });

  it('finds the wrong tape among the figures', async () => {
    await room.visit('/demo/practise/wrong-tape');
    const tape = await room.find('[data-tape]');
    const wrong = (await tape.getAttribute('data-tape')) ?? '';
    const other = wrong === 'hip' ? 'waist' : 'hip';
    await (await room.find(`[data-tape-figure="${other}"]`)).click();
    expect(await verdict()).toMatch(/^✕ The (hip|waist) is sound; it is the /);
    await goOn();
    const next = (await (await room.find('[data-tape]')).getAttribute('data-tape')) ?? '';
    await (await room.find(`[data-tape-figure="${next}"]`)).click();
    expect(await verdict()).toMatch(/^✓ Right, the /);
    await goOn();
    while (!(await room.has('[data-lesson-end]'))) {
      const id = (await (await room.find('[data-tape]')).getAttribute('data-tape')) ?? '';
      await (await room.find(`[data-tape-figure="${id}"]`)).click();
      await goOn();
    }
    // The last body, its figure put right, is drafted as the piece.
    await room.press('Keep the piece and print it');
    await room.until('it is not at Cut', async () => (await room.driver.getCurrentUrl()).endsWith('/cut'));
    await room.find('.tile-preview svg');
  });

  it('hands a lesson over as a file, which comes back with its result', async () => {
    await room.visit('/demo/practise');
    await (await room.at('//label[contains(., "What")]//option[@value="allowances"]')).click();
    await (await room.at('//summary[.="Hand it over as a lesson"]')).click();
    await (await room.at('//label[contains(., "Title")]//input')).sendKeys('Hems for the wardrobe');
    await room.press('Save the lesson');
    const lesson = await readFile(await room.download('.lesson.json'), 'utf8');
    expect(JSON.parse(lesson)).toMatchObject({ lesson: { title: 'Hems for the wardrobe', subject: 'allowances' } });
    const file = join(tmpdir(), `upstride-${Date.now()}.lesson.json`);
    await writeFile(file, lesson);
    await (await room.find('[aria-label="Lesson file"]')).sendKeys(file);
    await room.find('[data-sum="sideCut"]');
    const { frontSide = 0, seamAllowance = 0, hemAllowance = 0 } = await given();
    await answer(frontSide + seamAllowance + hemAllowance);
    expect(await verdict()).toMatch(/^✓ Right/);
    await goOn();
    for (let i = 0; i < 30 && !(await room.has('[data-lesson-end]')); i += 1) {
      await answer(1);
      await goOn();
    }
    await (await room.at('//input[@id=//label[.="Your name or role"]/@for]')).sendKeys('Apprentice');
    await room.press('Save the result for a teacher');
    const result = await room.download('.result.json');
    await room.visit('/demo/practise');
    await (await room.find('[aria-label="Lesson file"]')).sendKeys(result);
    expect(await room.text('[data-result] h3')).toMatch(
      /^Hems for the wardrobe, by Apprentice, \d{4}-\d\d-\d\d: 1 of \d+ right$/,
    );
    await (await room.find('[aria-label="Lesson file"]')).sendKeys(await other());
    expect(await room.text('.problem')).toContain('neither an Upstride lesson');
  });

  it('is made by a teacher on figures of their own, with the steps that they pick', async () => {
    await room.visit('/demo/practise');
    await (await room.at('//summary[.="Hand it over as a lesson"]')).click();
    await (await room.at('//label[contains(., "Title")]//input')).sendKeys('By our own tape');
    await (await room.at('//label[contains(., "Figures of my own")]//input')).click();
    await room.press('Save the lesson');
    await room.until('no sentence', async () =>
      (await room.text('.practise-make [role=alert]')).includes('Give the waist, hip, crotch depth, inseam too'),
    );
    for (const [id, figure] of [
      ['waist', '31 1/2'],
      ['hip', '41'],
      ['crotchDepth', '10 3/4'],
      ['inseam', '30 1/2'],
    ] as const) {
      await (await room.find(`#lesson-${id}`)).sendKeys(Key.chord(Key.CONTROL, 'a'), figure, Key.ENTER);
    }
    for (const box of (
      await room.driver.findElements({ xpath: '//fieldset[legend="Steps that are asked"]//input' })
    ).slice(1)) {
      await box.click();
    }
    await room.press('Save the lesson');
    const { lesson } = JSON.parse(await readFile(await room.download('by-our-own-tape.lesson.json'), 'utf8')) as {
      lesson: { figures: Record<string, number>; steps: string[] };
    };
    expect(lesson.figures['hip']).toBeCloseTo(1041.4, 6);
    expect(lesson.steps).toHaveLength(1);
  });

  it('keeps the piece of a lesson as a draft that can be printed', async () => {
    await room.visit('/demo/practise/own?subject=chalk&method=quarter-and-half&level=halves');
    await room.find('[data-sum]');
    for (let i = 0; i < 30 && !(await room.has('[data-lesson-end]')); i += 1) {
      await answer(1);
      await goOn();
    }
    await room.press('Keep the piece and print it');
    await room.until('it is not at Cut', async () => (await room.driver.getCurrentUrl()).endsWith('/cut'));
    await room.until('it is not the practice body', async () => (await room.text('.head')).includes('Practice body'));
    await room.find('.tile-preview svg');
  });
});

/** A file that is no lesson. */
async function other(): Promise<string> {
  const file = join(tmpdir(), `upstride-${Date.now()}.json`);
  await writeFile(file, '{"format": "something"}');
  return file;
}
