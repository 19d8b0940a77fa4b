import { describe, expect, it } from 'vitest';
import { blob, layFaults, overlapOf } from '../../bench/lay-faults.js';
import { seeded } from '../geometry/index.js';
import {
  inPlaceOf,
  keptLay,
  laidUnder,
  layAreaOf,
  LayJob,
  layOf,
  lengthOfPlaced,
  lockedIn,
  placedOutline,
  placesIn,
  putByHand,
  SNAP,
  turnedInPlace,
  unchangedLay,
  type FoundLay,
  type LayShape,
  type Placed,
} from './index.js';

const square = (id: string, count: number): LayShape => ({
  id,
  outline: [
    [0, 0],
    [100, 0],
    [100, 100],
    [0, 100],
  ],
  count,
  turns: [0],
  mirrored: false,
});
const at = (copy: number, x: number, y: number): Placed => ({ id: 'a', copy, x, y, turn: 0, flipped: false });

describe('a part put by hand', () => {
  const job = new LayJob([square('a', 2)], { width: 400, gap: 0 });
  const lay = [at(0, 0, 0), at(1, 300, 250)];

  it('lies against what it is let go of near to, and where it is put otherwise', () => {
    const beside = putByHand(job, lay, at(1, 104, 40));
    expect(beside).toMatchObject({ y: 40, free: true });
    expect(beside.x).toBeCloseTo(100, 1);
    expect(putByHand(job, lay, at(1, 200, 5))).toEqual({ x: 200, y: 0, free: true });
    expect(putByHand(job, lay, at(1, 100 + SNAP + 1, 150))).toEqual({ x: 100 + SNAP + 1, y: 150, free: true });
  });

  it('comes out of what it was let go of in, and is brought on to the cloth', () => {
    const out = putByHand(job, lay, at(1, 90, 20));
    expect(out.free).toBe(true);
    expect(out.x).toBeCloseTo(100, 1);
    expect(putByHand(job, lay, at(1, 200, 900))).toEqual({ x: 200, y: 300, free: true });
    expect(putByHand(job, lay, at(1, -50, 200))).toEqual({ x: 0, y: 200, free: true });
  });

  it('is told where there is no room, and never moved further than it was put when moved exactly', () => {
    const walled = new LayJob([square('a', 2)], {
      width: 100,
      gap: 0,
      flaws: [{ along: 0, across: 0, length: 900, width: 100 }],
    });
    expect(putByHand(walled, [at(0, 1000, 0)], at(1, 300, 0)).free).toBe(false);
    expect(putByHand(job, lay, at(1, 99, 20), 'exactly').free).toBe(false);
    expect(putByHand(job, lay, at(1, 103, 40), 'exactly')).toEqual({ x: 103, y: 40, free: true });
  });

  it('is never put in another, by a package of its own, wherever a hand lets go of it', () => {
    const random = seeded(41);
    for (let i = 0; i < 60; i++) {
      const shapes = ['a', 'b'].map((id): LayShape => ({
        ...square(id, 2),
        outline: blob(random, 10),
        mirrored: id === 'b',
      }));
      const cloth = { width: 600, gap: 2 };
      const own = new LayJob(shapes, cloth);
      let left = 3;
      const { placed } = [...layOf(own, i, () => left-- <= 0)].at(-1) as FoundLay;
      const one = placed[i % placed.length] as Placed;
      const moved = { ...one, x: one.x + 400 * (random() - 0.3), y: one.y + 400 * (random() - 0.5) };
      const { x, y, free } = putByHand(own, placed, moved);
      if (!free) continue;
      const outline = (p: Placed) => placedOutline(shapes.find((s) => s.id === p.id) as LayShape, p);
      const mine = outline({ ...moved, x, y });
      for (const other of placed.filter((p) => p !== one)) expect(overlapOf(mine, outline(other))).toBeLessThan(0.01);
      for (const [, cy] of mine) {
        expect(cy).toBeGreaterThan(-0.01);
        expect(cy).toBeLessThan(600.01);
      }
    }
  });

  it('is turned about its middle, and changes places with the other of its pair', () => {
    const shape: LayShape = {
      ...square('a', 2),
      outline: [
        [0, 0],
        [80, 0],
        [60, 30],
        [0, 20],
      ],
      turns: [0, 180],
      mirrored: true,
    };
    const middle = (p: Placed): readonly number[] => {
      const [xs, ys] = [0, 1].map((k) => placedOutline(shape, p).map((c) => c[k as 0 | 1])) as [number[], number[]];
      return [(Math.min(...xs) + Math.max(...xs)) / 2, (Math.min(...ys) + Math.max(...ys)) / 2];
    };
    const [one, other] = [at(0, 10, 20), { ...at(1, 300, 90), flipped: true }];
    expect(middle(turnedInPlace(shape, one))).toEqual(middle(one));
    expect(turnedInPlace(shape, one).turn).toBe(180);
    expect(middle(inPlaceOf(shape, one, other))).toEqual(middle(other));
    expect(inPlaceOf(shape, one, other)).toMatchObject({ copy: 0, flipped: false });
    expect(lengthOfPlaced([shape], [one, other])).toBe(380);
  });
});

describe('a lay that is kept', () => {
  it('comes back as it was, with what was locked in it', () => {
    const shapes = [square('a', 3), { ...square('b', 2), mirrored: true }];
    const cloth = { width: 250, gap: 0 };
    let left = 60;
    const lay = [...layOf(new LayJob(shapes, cloth), 1, () => left-- <= 0)].at(-1) as FoundLay;
    const kept = keptLay(lay, { area: layAreaOf(shapes), under: laidUnder(shapes, cloth) }, new Set(['a 1']));
    const back = JSON.parse(JSON.stringify(kept)) as typeof kept;
    expect(placesIn(back, shapes)).toEqual(lay.placed);
    expect([...lockedIn(back)]).toEqual(['a 1']);
    expect(kept.area).toBeCloseTo(5 * 100 * 100, 3);
    expect(layFaults(shapes, cloth, { ...lay, placed: placesIn(back, shapes) })).toEqual([]);
    expect(placesIn(back, [square('c', 1)])).toEqual([]);
    expect(placesIn(undefined, shapes)).toEqual([]);
    // It is the same lay only as long as neither the cloth nor a piece has changed.
    expect(unchangedLay(back, shapes, cloth)).toEqual(lay.placed);
    const wider = shapes.map((s, i) =>
      i === 0 ? { ...s, outline: s.outline.map(([x, y]): [number, number] => [x * 1.01, y]) } : s,
    );
    expect(unchangedLay(back, wider, cloth)).toBeUndefined();
    expect(unchangedLay(back, shapes, { ...cloth, width: 300 })).toBeUndefined();
    expect(unchangedLay(undefined, shapes, cloth)).toBeUndefined();
  });
});
