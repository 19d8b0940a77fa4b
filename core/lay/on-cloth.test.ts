import { describe, expect, it } from 'vitest';
import { box } from '../../bench/box-shape.js';
import { blob, layFaults } from '../../bench/lay-faults.js';
import { oriented } from './job.js';
import type { Corner } from './polygon.js';
import { seeded } from '../geometry/index.js';
import { layAt, layFault, LayJob, layOf, type FoundLay, type LayCloth, type LayShape, type Placed } from './index.js';

function found(
  shapes: readonly LayShape[],
  cloth: LayCloth,
  steps: number,
  from: readonly Placed[] = [],
  locked: readonly Placed[] = [],
  seed = 1,
): FoundLay {
  let left = steps;
  const lays = [...layOf(new LayJob(shapes, cloth, locked), seed, () => left-- <= 0, from)];
  return lays.at(-1) as FoundLay;
}

describe('flaws', () => {
  it('are kept clear of, and what lies beyond the lay costs nothing', () => {
    const shapes = [box('a', 200, 100, 4)];
    const free = { width: 200, gap: 0 };
    expect(found(shapes, free, 400).length).toBeCloseTo(400, 0);
    const flawed = { ...free, flaws: [{ along: 150, across: 80, length: 20, width: 40 }] };
    const lay = found(shapes, flawed, 400);
    expect(layFaults(shapes, flawed, lay)).toEqual([]);
    expect(lay.length).toBeGreaterThan(560);
    const beyond = { ...free, flaws: [{ along: 1000, across: 0, length: 20, width: 200 }] };
    expect(found(shapes, beyond, 400).length).toBeCloseTo(400, 0);
    expect(lay.placed).toHaveLength(4);
  });

  it('are kept clear of on random cloth', () => {
    const random = seeded(3);
    for (let i = 0; i < 25; i++) {
      const shapes = [0, 1].map((k): LayShape => ({
        ...box(`s${k}`, 1, 1, 2),
        outline: blob(random, 9),
        mirrored: k === 1,
      }));
      const flaws = Array.from({ length: 3 }, () => ({
        along: 600 * random(),
        across: 400 * random(),
        length: 10 + 60 * random(),
        width: 10 + 60 * random(),
      }));
      const cloth = { width: 420, gap: 2, flaws };
      expect([i, layFaults(shapes, cloth, found(shapes, cloth, 25, [], [], i))]).toEqual([i, []]);
    }
  });
});

describe('what is locked', () => {
  const shapes = [box('a', 200, 100, 4)];
  const cloth = { width: 200, gap: 0 };
  const at = (copy: number, x: number, y: number): Placed => ({ id: 'a', copy, x, y, turn: 0, flipped: false });

  it('stays where it lies, and the rest is laid round it', () => {
    const lay = found(shapes, cloth, 500, [], [at(0, 300, 50)]);
    expect(lay.placed.find((p) => p.copy === 0)).toEqual(at(0, 300, 50));
    expect(layFaults(shapes, cloth, lay)).toEqual([]);
    expect(lay.length).toBeGreaterThanOrEqual(500);
  });

  it('is laid like the rest where it may not lie so: off the cloth, in another that is locked, on a flaw', () => {
    for (const [locked, on] of [
      [[at(0, -5, 0)], cloth],
      [[at(0, 0, 150)], cloth],
      [[at(0, 0, 0), at(1, 100, 0)], cloth],
      [[at(0, 0, 0)], { ...cloth, flaws: [{ along: 50, across: 50, length: 10, width: 10 }] }],
    ] as const) {
      const lay = found(shapes, on, 400, [], locked);
      expect(layFaults(shapes, on, lay)).toEqual([]);
      expect(lay.placed).toHaveLength(4);
    }
  });
});

describe('a lay that is gone on with', () => {
  const shapes = [box('a', 200, 100, 4)];
  const cloth = { width: 200, gap: 0 };
  const kept: Placed[] = [0, 1, 2, 3].map((copy) => ({
    id: 'a',
    copy,
    x: 210 * Math.floor(copy / 2),
    y: 100 * (copy % 2),
    turn: 0,
    flipped: false,
  }));

  it('begins as it was kept, while it can lie so', () => {
    expect(layAt(new LayJob(shapes, cloth), kept)?.length).toBe(410);
    expect(found(shapes, cloth, 0, kept)).toMatchObject({ length: 410, placed: kept });
    expect(layAt(new LayJob(shapes, cloth), kept.slice(1))).toBeUndefined();
    expect(layAt(new LayJob([box('a', 215, 100, 4)], cloth), kept)).toBeUndefined();
    expect(layAt(new LayJob(shapes, { ...cloth, width: 199 }), kept)).toBeUndefined();
  });

  it('is put right where its pieces have grown since, rather than thrown away', () => {
    const grown = [box('a', 215, 99, 4)];
    const lay = found(grown, cloth, 200, kept);
    expect(layFaults(grown, cloth, lay)).toEqual([]);
    expect(lay.placed.map((p) => Math.round(p.y / 100))).toEqual([0, 1, 0, 1]);
    expect(lay.length).toBeLessThan(445);
  });
});

describe('stripes and bars', () => {
  it('have what is matched on them, flipped and turned as it may be, and the rest anywhere', () => {
    const random = seeded(9);
    for (let i = 0; i < 25; i++) {
      const match: Corner = [20 * random(), 30 * random()];
      const shapes: LayShape[] = [
        { ...box('leg', 1, 1, 4), outline: blob(random, 8), mirrored: true, turns: [0, 180], match },
        box('facing', 90, 40, 2),
      ];
      const cloth = { width: 700, gap: 1, barRepeat: 35 + 40 * random(), stripeRepeat: 20 + 30 * random() };
      const lay = found(shapes, cloth, 30, [], [], i);
      expect([i, layFaults(shapes, cloth, lay)]).toEqual([i, []]);
      for (const p of lay.placed.filter((one) => one.id === 'leg')) {
        const [[mx, my]] = oriented([match], p.turn, p.flipped) as [Corner];
        for (const [at, repeat] of [
          [p.x + mx, cloth.barRepeat],
          [p.y + my, cloth.stripeRepeat],
        ] as const) {
          expect(Math.abs(at / repeat - Math.round(at / repeat))).toBeLessThan(1e-6);
        }
      }
    }
  });

  it('are refused where a part finds none, with the way out', () => {
    const shapes = [box('leg', 300, 280, 1, { match: [0, 10] })];
    const cloth = { width: 300, gap: 0, stripeRepeat: 200 };
    expect(layFault(shapes, cloth, String)).toContain('“leg” finds no stripe on cloth 300 wide');
    expect(layFault(shapes, { ...cloth, stripeRepeat: 10 }, String)).toBeUndefined();
  });
});
