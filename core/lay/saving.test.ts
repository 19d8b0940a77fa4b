import { describe, expect, it } from 'vitest';
import { computeDraft, EMPTY_INPUT } from '../chain/index.js';
import { houseCloth } from '../cloth/index.js';
import { HOUSE_ALLOWANCES, piecesOf } from '../piece/index.js';
import { draftGarment } from '../style/index.js';
import {
  estimatedLength,
  laidUnder,
  layAreaOf,
  LayJob,
  LOOKS,
  layOf,
  orderLaid,
  quickLength,
  savingsFor,
  withSaving,
  type LayOrder,
} from './index.js';

const order: LayOrder = {
  input: { ...EMPTY_INPUT, measured: { waist: 780, hip: 1000, crotchDepth: 272, inseam: 780 } },
  style: ['fly', 'slantPocket', 'band'].map((id) => ({ id, values: {} })),
  allowances: HOUSE_ALLOWANCES,
  cloths: undefined,
  unit: 'cm',
};
const laid = (of: LayOrder, kind: 'shell' | 'pocketing' = 'shell') => {
  const found = orderLaid(of, kind);
  if (!found) throw new Error('must be made');
  return found;
};
const saving = (id: string, kind: 'shell' | 'pocketing' = 'shell', of = order) => {
  const found = savingsFor(of, kind).find((s) => s.id === id);
  if (!found) throw new Error(`no saving ${id}`);
  return withSaving(of, found.change);
};

describe('what saves cloth', () => {
  it('is what this garment has: nothing is offered that is so already', () => {
    expect(savingsFor(order, 'shell').map((s) => s.id)).toEqual([
      'eitherWay',
      'noGap',
      'seams',
      'hem',
      'band',
      'side',
      'sideMore',
      'leg',
    ]);
    expect(savingsFor(order, 'pocketing').map((s) => s.id)).toEqual(['eitherWay', 'noGap', 'bag']);
    const plain: LayOrder = {
      ...order,
      style: [{ id: 'taper', values: {} }],
      cloths: { shell: { ...houseCloth('shell', 'cm'), nap: 'two-way', gap: 0, fold: 'folded' } },
      allowances: { ...HOUSE_ALLOWANCES, profile: { ...HOUSE_ALLOWANCES.profile, side: 8, inseam: 8, hem: 20 } },
    };
    expect(savingsFor(plain, 'shell').map((s) => s.id)).toEqual(['open', 'side', 'sideMore']);
  });

  it('is reckoned with what lies beside it: so many of itself, others as they are, all on the changed cloth', () => {
    const alone = laid(order);
    const other = laid({ ...order, style: [{ id: 'taper', values: {} }] });
    const outcome = computeDraft(order.input);
    if (!outcome.ok) throw new Error('must draft');
    const { garment } = draftGarment(outcome.value, [{ id: 'taper', values: {} }], 'cm');
    const others = [{ draft: 'other', pieces: piecesOf(garment, HOUSE_ALLOWANCES), count: 1 }];
    const area = (of: LayOrder, count: number): number =>
      layAreaOf(orderLaid(of, 'shell', { count, others })?.shapes ?? []);
    expect(area(order, 2)).toBeCloseTo(2 * layAreaOf(alone.shapes) + layAreaOf(other.shapes), 0);
    // A shorter hem is this garment's alone, both of it; lying either way is the cloth's, and so the other's too.
    const hem = layAreaOf(alone.shapes) - layAreaOf(laid(saving('hem')).shapes);
    expect(area(order, 2) - area(saving('hem'), 2)).toBeCloseTo(2 * hem, 0);
    const either = orderLaid(saving('eitherWay'), 'shell', { count: 1, others });
    expect(either?.shapes.filter((s) => s.id.startsWith('other/')).every((s) => s.turns.length === 2)).toBe(true);
  });

  it('does what it says to the pieces and the figures', () => {
    const now = laid(order);
    const area = layAreaOf(now.shapes);
    for (const id of ['seams', 'hem', 'side', 'sideMore', 'leg']) {
      expect([id, layAreaOf(laid(saving(id)).shapes) < area - 1000]).toEqual([id, true]);
    }
    expect(laid(saving('eitherWay')).shapes.every((s) => s.turns.length === 2)).toBe(true);
    expect(laid(saving('noGap')).cloth.gap).toBe(0);
    expect(laid(saving('band')).shapes.filter((s) => s.id.startsWith('band')).length).toBeGreaterThan(
      now.shapes.filter((s) => s.id.startsWith('band')).length,
    );
    // The side in by 1 cm on front and back of both legs is 4 cm of the hip, and 2 cm of a thigh and a hem.
    const side = laid(saving('side')).figures;
    expect(now.figures.hip - side.hip).toBeCloseTo(40, 0);
    expect(now.figures.thigh - side.thigh).toBeCloseTo(20, 0);
    expect(now.figures.hem - side.hem).toBeCloseTo(20, 0);
    const seams = laid(saving('seams'));
    expect(seams.figures).toEqual(now.figures);
    expect(laid(saving('leg')).figures.hem).toBeCloseTo(now.figures.hem - 40, 0);
    expect(laid(saving('leg')).figures.hip).toBeCloseTo(now.figures.hip, 6);
    const bags = layAreaOf(laid(order, 'pocketing').shapes);
    expect(layAreaOf(laid(saving('bag', 'pocketing'), 'pocketing').shapes)).toBeLessThan(bags - 1000);
  });

  it('is no garment where the draft or a component cannot be made', () => {
    expect(orderLaid({ ...order, input: EMPTY_INPUT }, 'shell')).toBeUndefined();
    expect(orderLaid({ ...order, style: [{ id: 'taper', values: { by: 149 } }] }, 'shell')).toBeUndefined();
  });
});

describe('how much cloth, before it is laid', () => {
  it('is near to what a search finds, for legs side by side and in two rows, open and folded', () => {
    for (const [width, nap, fold, within] of [
      [1600, 'one-way', 'open', 0.06],
      [1500, 'two-way', 'open', 0.06],
      [900, 'one-way', 'open', 0.1],
      [1500, 'two-way', 'folded', 0.15],
    ] as const) {
      const cloths = { shell: { ...houseCloth('shell', 'cm'), width, nap, fold } };
      const { shapes, cloth } = laid({ ...order, cloths });
      let left = 700;
      let length = NaN;
      for (const lay of layOf(new LayJob(shapes, cloth), 1, () => left-- <= 0)) length = lay.length;
      expect(Math.abs(estimatedLength(shapes, cloth, LOOKS.closely) / length - 1)).toBeLessThan(within);
    }
  }, 120_000);

  it('is the last lay where nothing changed, and that by the area where only figures did', () => {
    const { shapes, cloth } = laid(order);
    const last = { length: 1300, area: layAreaOf(shapes), under: laidUnder(shapes, cloth) };
    expect(quickLength(shapes, cloth, last)).toEqual({ length: 1300, from: 'lay' });
    const longer = laid({ ...order, input: { ...order.input, measured: { ...order.input.measured, inseam: 800 } } });
    const quick = quickLength(longer.shapes, cloth, last);
    expect(quick.from).toBe('figures');
    expect(quick.length).toBeGreaterThan(1305);
    expect(quick.length).toBeLessThan(1340);
    expect(quickLength(shapes, cloth, undefined).from).toBe('estimate');
    expect(quickLength(shapes, cloth, { ...last, estimated: true })).toEqual({ length: 1300, from: 'estimate' });
    expect(quickLength(longer.shapes, cloth, { ...last, estimated: true })).toEqual({ ...quick, from: 'estimate' });
    // Under other terms a length says nothing: another width, nap, flaw or part.
    expect(quickLength(shapes, { ...cloth, width: 1400 }, last).from).toBe('estimate');
    expect(quickLength(laid(saving('eitherWay')).shapes, cloth, last).from).toBe('estimate');
    const flaws = [{ along: 0, across: 0, length: 10, width: 10 }];
    expect(quickLength(shapes, { ...cloth, flaws }, last).from).toBe('estimate');
    expect(quickLength(shapes.slice(1), cloth, last).from).toBe('estimate');
  });
});
