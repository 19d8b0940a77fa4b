import { mkdtemp, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { computeDraft, EMPTY_INPUT } from '../core/chain/index.js';
import { garmentShapes } from '../core/lay/index.js';
import { HOUSE_ALLOWANCES, piecesOf } from '../core/piece/index.js';
import { draftGarment } from '../core/style/index.js';
import { command } from './command.js';

const folder = await mkdtemp(join(tmpdir(), 'upstride-lay-'));
let files = 0;
async function file(json: unknown): Promise<string> {
  const path = join(folder, `${files++}.json`);
  await writeFile(path, JSON.stringify(json));
  return path;
}

interface Answer {
  readonly length: number;
  readonly use: number;
  readonly bound: number;
  readonly seconds: number;
  readonly cloth: string;
  readonly placed: readonly Readonly<Record<string, unknown>>[];
  readonly notLaid?: readonly string[];
}

const ORDER = {
  measurements: { unit: 'cm', waist: 78, hip: 100, crotchDepth: 27.2, inseam: 78 },
  style: { fly: true, slantPocket: true, band: true },
};
const CLOTH = { width: 1500, fold: 'open', nap: 'one-way', gap: 2 };

const asked = async (lay: unknown, ...more: string[]): Promise<Answer> => {
  const { status, out, error } = await command(['lay', await file(lay), '--seconds', '0.5', ...more]);
  expect(error).toBe('');
  expect(status).toBe(0);
  return JSON.parse(String(out)) as Answer;
};

const refused = async (lay: unknown, ...more: string[]): Promise<string> => {
  const { status, error } = await command(['lay', await file(lay), '--seconds', '0', ...more]);
  expect(status).toBe(1);
  return error;
};

describe('upstride lay', () => {
  it('lays the parts of orders with their grain along the cloth, and says how much to buy', async () => {
    const answer = await asked({ unit: 'mm', cloth: CLOTH, orders: [ORDER, ORDER] });
    const fronts = answer.placed.filter((p) => p['part'] === 'front');
    expect(fronts.map((p) => [p['order'], p['copy'], p['turn'], p['flipped']])).toEqual([
      [0, 0, 0, false],
      [0, 1, 0, true],
      [1, 0, 0, false],
      [1, 1, 0, true],
    ]);
    expect(answer.use).toBeGreaterThan(45);
    expect(answer.use).toBeLessThan(100);
    expect(answer.bound).toBeCloseTo((answer.use / 100) * answer.length, 6);
    expect(answer.notLaid).toEqual(['pocketing', 'interfacing']);
  });

  it('has a lay for every cloth that is named', async () => {
    const cloths = { shell: CLOTH, pocketing: { width: 900 }, interfacing: { width: 900 } };
    const { lays } = (await asked({ cloths, orders: [ORDER] })) as unknown as { lays: readonly Answer[] };
    expect(lays.map((l) => l.cloth)).toEqual(['shell', 'pocketing', 'interfacing']);
    for (const lay of lays) expect(lay.length).toBeGreaterThan(0);
  });

  it('cuts pairs at once on folded cloth, half as wide', async () => {
    const answer = await asked({ cloth: { ...CLOTH, fold: 'folded' }, orders: [ORDER] });
    expect(answer.placed.filter((p) => p['part'] === 'front')).toHaveLength(1);
    const outcome = computeDraft({
      ...EMPTY_INPUT,
      measured: { waist: 780, hip: 1000, crotchDepth: 272, inseam: 780 },
    });
    if (!outcome.ok) throw new Error('must draft');
    const style = ['fly', 'slantPocket', 'band'].map((id) => ({ id, values: {} }));
    const pieces = piecesOf(draftGarment(outcome.value, style, 'cm').garment, HOUSE_ALLOWANCES);
    const shapes = garmentShapes(pieces, 'shell', 'one-way', 'folded');
    for (const { part, y, flipped } of answer.placed) {
      const across = (shapes.find((s) => s.id === part)?.outline ?? []).map(
        (c) => Number(y) + (flipped ? -c[1] : c[1]),
      );
      expect(across.length).toBeGreaterThan(3);
      expect(Math.min(...across)).toBeGreaterThan(-0.01);
      expect(Math.max(...across)).toBeLessThan(750.01);
    }
  });

  it('keeps clear of flaws, lies on stripes, and grows what will shrink, in the unit of the file', async () => {
    const square = {
      id: 'a',
      outline: [
        [0, 0],
        [10, 0],
        [10, 10],
        [0, 10],
      ],
      count: 2,
    };
    const flaws = [{ along: 0, across: 0, length: 5, width: 14 }];
    const on = { width: 20, gap: 0, flaws };
    const clear = await asked({ unit: 'cm', cloth: on, shapes: [square] });
    // Fourteen of twenty are flawed at the cut end: nothing of ten lies beside that.
    for (const p of clear.placed) expect(Number(p['x'])).toBeGreaterThanOrEqual(50 - 0.01);
    const bars = await asked({ cloth: { ...CLOTH, barRepeat: 70, stripeRepeat: 30 }, orders: [ORDER] });
    const legs = bars.placed.filter((p) => p['part'] === 'front' || p['part'] === 'back');
    for (const p of legs) {
      const along = Number(p['x']) / 70;
      expect(Math.abs(along - Math.round(along))).toBeLessThan(1e-6);
    }
    const plain = await asked({ cloth: CLOTH, orders: [ORDER] });
    const grown = await asked({ cloth: { ...CLOTH, shrinkLength: 0.1 }, orders: [ORDER] });
    expect(grown.bound / plain.bound).toBeGreaterThan(1.07);
    expect(grown.bound / plain.bound).toBeLessThan(1.12);
    expect(
      await refused({ cloth: { ...CLOTH, flaws: [{ along: 0, across: 0, length: 9, width: 1500 }] }, orders: [ORDER] }),
    ).toContain('takes the whole width at the cut end');
    expect(await refused({ cloth: { ...CLOTH, barRepeat: 1 }, orders: [ORDER] })).toContain(
      'The repeat along the cloth is 1 mm',
    );
  });

  it('lays shapes, turned only where nap and shape allow it', async () => {
    const shape = {
      id: 'a',
      outline: [
        [0, 0],
        [300, 0],
        [300, 200],
        [0, 120],
      ],
      count: 4,
      mirrored: true,
    };
    const answer = await asked({
      unit: 'mm',
      cloth: { ...CLOTH, width: 420, nap: 'two-way' },
      shapes: [{ ...shape, turns: [0] }],
    });
    expect(answer.placed.map((p) => p['turn'])).toEqual([0, 0, 0, 0]);
    expect(answer.placed.filter((p) => p['flipped'])).toHaveLength(2);
    expect(answer.placed[0]?.['id']).toBe('a');
  });

  it('draws the lay', async () => {
    const lay = await file({ cloth: CLOTH, orders: [ORDER] });
    const svg = await command(['lay', lay, '--seconds', '0', '--format', 'svg']);
    expect(String(svg.out)).toContain('Waistband');
    const dxf = await command(['lay', lay, '--seconds', '0', '--format', 'dxf']);
    expect(String(dxf.out)).toContain('AC1009');
    const pdf = await command(['lay', lay, '--seconds', '0', '--format', 'pdf']);
    expect(String.fromCharCode(...(pdf.out as Uint8Array).slice(0, 5))).toBe('%PDF-');
  });

  it('says in a sentence what cannot be, with the way out', async () => {
    expect(await refused({ cloth: { ...CLOTH, width: 200 }, orders: [ORDER] })).toMatch(
      /is \d+\.\d mm across, the cloth 200 mm\. Take wider cloth/,
    );
    expect(await refused({ cloth: CLOTH })).toContain('either “orders” or “shapes”');
    expect(await refused({ orders: [ORDER] })).toContain('Name the “cloth”');
    expect(await refused({ cloth: { ...CLOTH, stripe: 10 }, orders: [ORDER] })).toContain('cloth');
    expect(await refused({ cloth: CLOTH, orders: [{ measurements: { waist: 78 } }] })).toContain('Order 1');
    expect(await refused({ cloth: CLOTH, orders: [ORDER] }, '--format', 'png')).toContain('There is no format “png”');
    const long = await command(['lay', await file({ cloth: CLOTH, orders: [ORDER] }), '--seconds', 'abc']);
    expect(long.error).toContain('“abc” is no number of seconds');
    const turned = {
      id: 'a',
      outline: [
        [0, 0],
        [9, 0],
        [9, 9],
      ],
      turns: [180],
    };
    expect(await refused({ cloth: CLOTH, shapes: [turned] })).toContain('the nap forbids that');
  });
});
