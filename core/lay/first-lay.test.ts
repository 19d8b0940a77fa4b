import { describe, expect, it } from 'vitest';
import { box } from '../../bench/box-shape.js';
import { blob, layFaults } from '../../bench/lay-faults.js';
import { seeded } from '../geometry/index.js';
import { firstLay } from './first-lay.js';
import { LayJob, layAt, layOf, type LayCloth, type LayShape, type Placed } from './index.js';
import { laidInRows } from './laid-in-rows.js';
import { lengthOf } from './held-lay.js';

/** The first lay that a search tells. */
const first = (shapes: readonly LayShape[], cloth: LayCloth, locked: readonly Placed[] = []) => {
  const [lay] = layOf(new LayJob(shapes, cloth, locked), 1, () => true);
  if (!lay) throw new Error('a first lay');
  return lay;
};

describe('a first lay', () => {
  it('of several hundred pieces is had at once, more than half of the cloth used, none in another', () => {
    const random = seeded(3);
    const shapes = Array.from({ length: 60 }, (_, i): LayShape => ({
      ...box(`s${i}`, 1, 1, 4, { turns: [0, 180], mirrored: true }),
      outline: blob(random, 12 + (i % 9)),
    }));
    const cloth = { width: 1400, gap: 2 };
    const lay = first(shapes, cloth);
    expect(lay.placed).toHaveLength(240);
    expect(layFaults(shapes, cloth, lay)).toEqual([]);
    // They are round, so that much of the cloth lies between them.
    expect(lay.use).toBeGreaterThan(0.55);
  });

  it('in rows keeps the gap, what is locked, flaws and bars', () => {
    const random = seeded(5);
    for (let i = 0; i < 25; i++) {
      const shapes = [0, 1, 2].map((k): LayShape => ({
        ...box(`s${k}`, 1, 1, 3, { turns: [0, 180], ...(i % 2 ? { match: [20, 10] as const } : {}) }),
        outline: blob(random, 10),
      }));
      const cloth: LayCloth = {
        width: 500 + 200 * random(),
        gap: 3 * random(),
        barRepeat: i % 2 ? 35 : 0,
        flaws: [{ along: 200 * random(), across: 100 * random(), length: 60, width: 40 }],
      };
      const [locked] = first(shapes, cloth).placed;
      const job = new LayJob(shapes, cloth, locked && [locked]);
      const lay = laidInRows(job, 20_000, seeded(i));
      if (!lay) throw new Error('lies in rows');
      const placed = job.copies.flatMap((one, c): Placed[] => {
        const way = job.ways[lay.way[c] as number];
        if (!way || !job.isLaid(c)) return [];
        const [x, y] = [lay.x[c] as number, lay.y[c] as number];
        return [{ id: job.idOf(one), copy: one.copy, x, y, turn: way.turn, flipped: way.flipped }];
      });
      // The search holds sharp corners further apart than the gap, by the least of a millimetre; no piece lies in another.
      const told = { placed, length: lengthOf(job, lay), use: job.area / (lengthOf(job, lay) * cloth.width) };
      expect(layFaults(shapes, cloth, told)).toEqual([]);
      expect(placed.find((p) => p.id === locked?.id && p.copy === locked.copy)).toEqual(locked);
    }
  });

  it('puts boxes side by side up to the very width of the cloth, and behind one another a gap apart', () => {
    const lay = first([box('a', 300, 100, 8)], { width: 400, gap: 0 });
    expect(lay.length).toBeCloseTo(600, 6);
    const apart = first([box('a', 300, 100, 2)], { width: 104, gap: 4 });
    expect(apart.length).toBeCloseTo(604, 6);
    // Pieces on stripes lie on no rows: they are laid by places one by one.
    const striped = { width: 300, gap: 0, stripeRepeat: 37 };
    const on = box('b', 200, 60, 3, { match: [10, 30] });
    expect(laidInRows(new LayJob([on], striped), 1000, seeded(1))).toBeUndefined();
    const lying = first([on], striped);
    expect(layFaults([on], striped, lying)).toEqual([]);
    expect(layAt(new LayJob([on], striped), lying.placed)?.length).toBeCloseTo(lying.length, 6);
  });

  it('is the shorter of rows and places where few are laid', () => {
    const shapes = [box('a', 400, 203, 3), box('b', 150, 52, 6)];
    const job = new LayJob(shapes, { width: 610, gap: 0 });
    const [rows, lay] = [laidInRows(job, 100_000, seeded(1)), firstLay(job, seeded(1))];
    expect(lengthOf(job, lay)).toBeLessThanOrEqual(rows ? lengthOf(job, rows) : Infinity);
  });
});
