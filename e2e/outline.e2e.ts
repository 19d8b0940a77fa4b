import { mkdtemp, readFile, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Key, Origin } from 'selenium-webdriver';
import { describe, expect, it } from 'vitest';
import { computeDraft, EMPTY_INPUT } from '../core/chain/index.js';
import { edgeLengths, type Block } from '../core/draft/index.js';
import { sheetById } from '../core/shipped/index.js';
import { inRoom } from './harness.js';
import { draftAsDxf, nestAsSvg } from './outline-file.js';

const room = inRoom();

function oldBlock(): Block {
  const measured = { waist: 760, hip: 1010, crotchDepth: 270, inseam: 800 };
  const sheet = sheetById('thirds');
  const outcome = computeDraft({ ...EMPTY_INPUT, ...(sheet && { sheet }), measured });
  if (!outcome.ok) throw new Error('refused');
  return outcome.value.block;
}

async function chooseFile(name: string, content: string): Promise<void> {
  const path = join(await mkdtemp(join(tmpdir(), 'outline-')), name);
  await writeFile(path, content);
  await (await room.find('input[aria-label="Outline from a file"]')).sendKeys(path);
}

const outlineOf = async (panel: string): Promise<string> =>
  (await (await room.find(`[data-reference-outline="${panel}"]`)).getAttribute('d')) ?? '';

/** Where on the screen a place of the outline lies, by a share of its length. */
const spot = (panel: string, share: number): Promise<{ x: number; y: number }> =>
  room.driver.executeScript(
    `const path = document.querySelector('[data-reference-outline="${panel}"]');
     const p = path.getPointAtLength(path.getTotalLength() * ${share}).matrixTransform(path.getScreenCTM());
     return { x: Math.round(p.x), y: Math.round(p.y) };`,
  );

const clickAt = async ({ x, y }: { x: number; y: number }): Promise<void> => {
  await room.driver.actions().move({ x, y, origin: Origin.VIEWPORT }).press().release().perform();
};

/** A figure of the outline in centimetres. */
const figure = async (id: string): Promise<number> => {
  const [cell] = await (await room.find(`[data-figure="${id}"]`)).findElements({ css: 'td' });
  return parseFloat((await cell?.getText()) ?? '');
};

const block = oldBlock();

/** Where a handle lies on the screen, of a dart that is laid into the back. */
const dartAt = async (which: string): Promise<{ x: number; y: number }> => {
  const { x, y, width, height } = await (await room.handle(`back.laid-dart-0-${which}`)).getRect();
  return { x: x + width / 2, y: y + height / 2 };
};

/** Lays a dart into the back and pulls its apex: it stays under the hand, its waist follows, and one press gives it back. */
async function pullsDart(): Promise<void> {
  const { driver } = room;
  await room.press('Dart into the back');
  await room.find('[data-handle="back.laid-dart-0-apex"]');
  const [waist, from] = [await room.edge('back.waist'), await dartAt('apex')];
  const grip = await room.handle('back.laid-dart-0-apex');
  await driver.actions().move({ origin: grip }).press().move({ origin: grip, x: -12, y: 24, duration: 80 }).perform();
  await room.until('the apex is not under the hand', async () => {
    const at = await dartAt('apex');
    return Math.hypot(at.x - from.x + 12, at.y - from.y - 24) < 4;
  });
  expect(await room.has('[data-handle="back.laid-dart-0-apex"][data-held="true"]')).toBe(true);
  await driver.actions().release().perform();
  await room.until('the waist stays', async () => (await room.edge('back.waist')) !== waist);
  const legs = [await dartAt('centreLeg'), await dartAt('sideLeg'), await dartAt('apex')] as const;
  const [left, right] = [0, 1].map((i) => Math.hypot((legs[i]?.x ?? 0) - legs[2].x, (legs[i]?.y ?? 0) - legs[2].y));
  expect(Math.abs((left ?? 0) - (right ?? 99))).toBeLessThan(2);
  await room.press('Undo');
  await room.until('it is not where it was', async () => (await room.edge('back.waist')) === waist);
  await room.press('Undo');
  await room.until('it is still there', async () => !(await room.has('[data-handle="back.laid-dart-0-apex"]')));
}

describe('a bought pattern of three sizes', () => {
  it('is held against the body, adopted in two sizes, scooped, and printed at full size', async () => {
    await room.visit('/demo/draft/ticket-plain/true/outline');
    await room.find('[data-reference-outline="back"]');
    await room.press('Figures');
    await room.press('Compare its sizes');
    await room.find('[data-size-figure="hip"]');
    await room.choose('Front of size', 'size 1');
    await room.choose('Back of size', 'size 2');
    await room.press('Adopt these as the block');
    await room.until('it is not adopted', async () =>
      (await room.text('.head')).includes('adopted: three-sizes.svg, front size 1, back size 2'),
    );
    await room.goTo('true');
    const rise = await room.edge('back.rise');
    await room.section('By hand');
    await room.choose('Add', 'scoop');
    await room.until('nothing is scooped', async () => (await room.edge('back.rise')) !== rise);
    await room.goTo('cut');
    await room.find('.tile-preview svg path');
    await room.press('Make PDF');
    const pdf = await readFile(await room.download('.pdf', 60_000));
    expect(pdf.subarray(0, 5).toString('latin1')).toBe('%PDF-');
    expect(pdf.length).toBeGreaterThan(20_000);
  });
});

describe('a file with three sizes', () => {
  it('has them in one table, with the nearest of each figure marked', async () => {
    const nest = [-40, 0, 60].map((more): Block => {
      const outcome = computeDraft({
        ...EMPTY_INPUT,
        measured: { waist: 780 + more, hip: 1000 + more, crotchDepth: 272 + more / 10, inseam: 780 },
      });
      if (!outcome.ok) throw new Error('refused');
      return outcome.value.block;
    });
    await room.visit('/demo/draft/cellist-dress/true');
    await room.press('Outline from a file');
    await chooseFile('nest.svg', nestAsSvg(nest));
    await room.find('[data-reference-outline="back"]');
    await room.press('Figures');
    await room.press('Compare its sizes');
    await room.find('[data-size-figure="hip"]');
    const rows: readonly string[][] = await room.driver.executeScript(
      `return [...document.querySelectorAll('[data-size-figure]')].map((r) => [...r.children].map((c) => c.textContent))`,
    );
    expect(rows.map(([label]) => label)).toEqual(['Waist', 'Hip', 'Thigh', 'Front rise', 'Back rise', 'Hem']);
    for (const row of rows) {
      expect(row).toHaveLength(5);
      expect(row.filter((cell) => cell.includes('✓'))).toHaveLength(1);
    }
    const hips = rows[1]?.slice(1, 4).map((cell) => parseFloat(cell)) ?? [];
    expect((hips[1] ?? 0) - (hips[0] ?? 0)).toBeCloseTo(4, 0);
    expect((hips[2] ?? 0) - (hips[1] ?? 0)).toBeCloseTo(6, 0);
  });

  it('gives a front and a back to be adopted as the block, changed, kept, and left again', async () => {
    const head = (words: string): Promise<void> =>
      room.until(`the head does not say ${words}`, async () => (await room.text('.head')).includes(words));
    expect(await room.text('[data-proposed]')).toMatch(/^Size \d is nearest at the hip/);
    await room.choose('Front of size', 'Size 1');
    await room.choose('Back of size', 'Size 2');
    await room.press('Adopt these as the block');
    await head('adopted: nest.svg, front Size 1, back Size 2');
    await room.saved();
    await room.visit('/demo/draft/cellist-dress/draft');
    expect(await room.text('[data-adopted]')).toContain('The method’s lines do not draw it');
    // What the method sets has no handle; what is laid into a pattern has.
    expect(await room.has('[data-handle="back.crotch"]')).toBe(false);
    const hip = 'Hip line, above the crotch line';
    const [line, hipAbove] = [await room.find('[data-handle="back.hip-line"]'), await room.valueOf(hip)];
    await line.sendKeys(Key.ARROW_UP);
    await room.until('the hip line stays', async () => (await room.valueOf(hip)) !== hipAbove);
    await room.drag('back.hip-line', 0, 40);
    await room.until('the hip line is not lower', async () => Number(await room.valueOf(hip)) < Number(hipAbove));
    await (await room.find('[data-handle="back.hip-line"]')).sendKeys(Key.DELETE);
    await room.until('the hip line is not the body’s again', async () => (await room.valueOf(hip)) === hipAbove);
    const before = await room.edge('front.waist');
    await room.press('Dart into the front');
    await room.until('no dart is laid in', async () => (await room.edge('front.waist')) !== before);
    await pullsDart();
    await room.enter('Knee line, below the crotch line', '30');
    await room.saved();
    await room.visit('/demo/draft/cellist-dress/choose');
    expect(await room.text('[data-adopted]')).toContain('Dart laid into the front');
    expect(await room.valueOf('Knee line, below the crotch line')).toBe('30');
    await room.press('Draft by the method again');
    await head('by the method Quarter and half');
    expect(await room.has('[data-adopted]')).toBe(false);
    await room.press('Undo');
    await head('adopted: nest.svg, front Size 1, back Size 2');
    await room.press('Draft by the method again');
    await room.saved();
  });
});

describe('an outline from a DXF', () => {
  it('is laid under the draft: front and back found, scaled by the file, with what was left out', async () => {
    await room.visit('/demo/draft/cellist-dress/true');
    await room.press('Outline from a file');
    await chooseFile('old-block.dxf', draftAsDxf(block));
    await room.find('[data-reference-outline="back"]');
    const bench = '[aria-label="The file"]';
    expect(await room.text(bench)).toContain('old-block.dxf');
    expect(await room.text(bench)).toContain('as the file says.');
    await (await room.at('//summary[.="Left out of what the file holds"]')).click();
    const left = await room.text('.left-out');
    expect(left).toContain('2 × text');
    expect(left).toContain('1 × GARMENT');
    await room.saved();
  });

  it('gives its figures beside the draft’s, the largest difference first', async () => {
    await room.press('Figures');
    expect(await figure('front.inseam')).toBeCloseTo(edgeLengths(block.front).inseam / 10, 1);
    expect(await figure('front.rise')).toBeCloseTo(edgeLengths(block.front).rise / 10, 1);
    expect(await room.has('[data-off^="front."]')).toBe(true);
    expect(await room.has('[data-off^="back."]')).toBe(false);
    await room.press('Together');
    expect(await room.has('[data-off^="back."]')).toBe(true);
    expect(await figure('both.hem')).toBeCloseTo((edgeLengths(block.front).hem + edgeLengths(block.back).hem) / 10, 1);
    const differences: readonly string[] = await room.driver.executeScript(
      `return [...document.querySelectorAll('.outline-figures tbody tr')].map((r) => r.children[3].textContent)`,
    );
    const sizes = differences.map((d) => Math.abs(parseFloat(d.replace('−', '-').replace('+', ''))) || 0);
    expect(sizes.length).toBeGreaterThan(2);
    expect(sizes).toEqual([...sizes].sort((a, b) => b - a));
  });

  it('has its rises held against the body, its character told, and its one size', async () => {
    const rises = '[aria-label="Its rises and the body"]';
    expect(await figure('body.frontRise')).toBeCloseTo(edgeLengths(block.front).rise / 10, 1);
    expect(await room.text('[data-character]')).toMatch(/^.* front, .* behind; back .* cm longer\.$/);
    expect(await room.text(rises)).toContain('Whole rise');
    await room.press('Compare its sizes');
    await room.until('not laid', async () =>
      (await room.text('[aria-label="Sizes in this file"]')).includes('one size'),
    );
  });

  it('is measured between two places, and scaled by a length that is known', async () => {
    await room.press('Lay');
    await (await room.at('//aside//button[normalize-space()="Measure"]')).click();
    const before = await outlineOf('back');
    await clickAt(await spot('back', 0.3));
    await clickAt(await spot('back', 0.45));
    const straight = parseFloat(await room.text('[data-measured="straight"]'));
    const along = parseFloat(await room.text('[data-measured="along"]'));
    const whole: number = await room.driver.executeScript(
      `return document.querySelector('[data-reference-outline="back"]').getTotalLength()`,
    );
    expect(along).toBeGreaterThan((whole * 0.15) / 10 - 1);
    expect(along).toBeLessThan((whole * 0.15) / 10 + 1);
    expect(straight).toBeLessThanOrEqual(along);
    await room.enter('The known length,', '0');
    expect(await room.text('[aria-label="Measured"] .problem')).toContain('A known length of 0.0 cm scales nothing.');
    expect(await outlineOf('back')).toBe(before);
    await room.enter('The known length,', `${(straight * 1.01).toFixed(2)}`);
    await room.until('not scaled', async () => (await outlineOf('back')) !== before);
    expect(await room.text('[aria-label="The file"]')).toContain('as set here.');
    await room.press('Undo');
    await room.until('not undone', async () => (await outlineOf('back')) === before);
  });

  it('is moved by hand and by nudges, and laid corner on corner', async () => {
    const before = await outlineOf('front');
    await room.press('Move');
    const from = await spot('front', 0.5);
    await room.driver
      .actions()
      .move({ ...from, origin: Origin.VIEWPORT })
      .press()
      .move({ x: from.x + 20, y: from.y + 6, duration: 60, origin: Origin.VIEWPORT })
      .release()
      .perform();
    await room.until('not moved', async () => (await outlineOf('front')) !== before);
    const moved = await outlineOf('front');
    await room.press('Move left');
    await room.until('not nudged', async () => (await outlineOf('front')) !== moved);
    await room.choose('Lay the front', 'crotchPoint');
    const near: number = await room.driver.executeScript(
      `const at = (css, end) => { const p = document.querySelector(css); return p.getPointAtLength(end ? p.getTotalLength() : 0); };
       const draft = at('[data-edge="front.rise"]', false);
       const outline = document.querySelector('[data-reference-outline="front"]');
       let best = 1e9;
       for (let i = 0; i <= 2000; i++) {
         const p = outline.getPointAtLength((outline.getTotalLength() * i) / 2000);
         best = Math.min(best, Math.hypot(p.x - draft.x, p.y - draft.y));
       }
       return best;`,
    );
    expect(near).toBeLessThan(1.5);
  });

  it('has its stretches named, joined and divided', async () => {
    await room.press('Seams');
    const names = async (): Promise<readonly string[]> =>
      room.driver.executeScript(
        `return [...document.querySelectorAll('[data-stretch]')].map((r) => r.dataset.stretch)`,
      );
    expect([...(await names())].sort()).toEqual(['hem', 'inseam', 'rise', 'side', 'waist']);
    await room.press('Divide a stretch');
    await clickAt(await spot('front', 0.27));
    await room.until('not divided', async () => (await names()).length === 6);
    await room.press('Undo');
    await room.until('still divided', async () => (await names()).length === 5);
    await (await room.at('//tr[@data-stretch="hem"]//option[@value="none"]')).click();
    await room.press('Figures');
    await room.press('Front');
    await room.until('the hem is still measured', async () => !(await room.has('[data-figure="front.hem"]')));
    await room.press('Undo');
    await room.find('[data-figure="front.hem"]');
  });

  it('is walked: its back along its front', async () => {
    await room.press('Walk');
    const end = await room.text('[data-mark="end"]');
    expect(end).toContain((edgeLengths(block.front).inseam / 10).toFixed(1));
    await (await room.find('.walk-slider')).sendKeys(Key.ARROW_RIGHT, Key.ARROW_RIGHT);
    await room.until('not walked', async () => await room.has('[data-walk][data-length="20"]'));
    await room.press('Back to True');
  });

  it('lends its rise to the draft', async () => {
    await room.choose('Take the rise of', 'outline');
    await room.press('Take');
    await room.until('no rise taken', async () => (await room.text('[data-alteration]')).includes('rise'));
    expect(await room.text('.alterations')).toContain('The rise of old-block.dxf');
    await room.press('Undo');
  });

  it('lies under the draft at every station, is kept over a reload and can be taken away', async () => {
    await room.saved();
    await room.visit('/demo/draft/cellist-dress/draft');
    await room.find('[data-reference-outline="front"]');
    await room.visit('/demo/draft/cellist-dress/true/outline');
    await room.press('Take the outline away');
    await room.until('it still lies there', async () => !(await room.has('[data-reference-outline]')));
    await room.find('input[aria-label="Outline from a file"]');
    await room.saved();
  });
});

describe('a file that cannot be laid under', () => {
  it('is refused in a sentence: too large, of another kind, without a line', async () => {
    await room.visit('/demo/draft/cellist-dress/true/outline');
    await chooseFile('large.dxf', ' '.repeat(20 * 1024 * 1024 + 1));
    await room.until('no refusal', async () =>
      (await room.text('.problem')).includes('“large.dxf” is 20.1 MB large; an outline of up to 20 MB can be read.'),
    );
    await chooseFile('list.dxf', 'waist;hip\n78;100\n');
    await room.until('no refusal', async () => (await room.text('.problem')).includes('neither SVG nor DXF'));
    await chooseFile('words.svg', '<svg xmlns="http://www.w3.org/2000/svg"><text>Front</text></svg>');
    await room.until('no refusal', async () => (await room.text('.problem')).includes('left out: 1 × text'));
    expect(await room.has('[data-reference-outline]')).toBe(false);
  });

  it('without a unit is taken at the size of trousers, and says that it guesses', async () => {
    const path = 'M0 0H240L260 400L230 1040H30L-10 400z';
    await chooseFile('scan.svg', `<svg xmlns="http://www.w3.org/2000/svg"><path d="${path}"/><path d="M400`);
    await room.find('[data-reference-outline]');
    expect(await room.text('[aria-label="The file"]')).toContain('the file does not say');
    expect(await room.text('.left-out')).toContain('the damaged end or part of the file');
    await room.press('Take the outline away');
    await room.saved();
  });
});
