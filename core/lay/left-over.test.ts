import { describe, expect, it } from 'vitest';
import { blob, overlapOf } from '../../bench/lay-faults.js';
import type { Corner } from './polygon.js';
import { seeded } from '../geometry/index.js';
import { LayJob, layOf, leftOvers, placedOutline, type FoundLay, type LayShape, type LeftOver } from './index.js';

const square: LayShape = {
  id: 'a',
  outline: [
    [0, 0],
    [400, 0],
    [400, 300],
    [0, 300],
  ],
  count: 1,
  turns: [0],
  mirrored: false,
};
const boxOf = ({ along, across, length, width }: LeftOver): Corner[] => [
  [along, across],
  [along + length, across],
  [along + length, across + width],
  [along, across + width],
];

describe('what is left of the cloth', () => {
  it('is the largest rectangles beside what lies, to within a centimetre, the largest first', () => {
    const placed = [{ id: 'a', copy: 0, x: 0, y: 0, turn: 0, flipped: false } as const];
    const [first, second, third] = leftOvers([square], placed, { length: 1000, width: 500 });
    // Behind the square 60 cm are left over the whole width, above it 40 by 20.
    expect(first).toEqual({
      along: expect.closeTo(410, -1) as number,
      across: 0,
      length: expect.closeTo(590, -1) as number,
      width: 500,
    });
    expect(second?.width).toBeGreaterThan(185);
    expect(second?.length).toBeGreaterThan(390);
    expect(third).toBeUndefined();
    expect(leftOvers([square], placed, { length: 400, width: 300 })).toEqual([]);
    expect(leftOvers([], [], { length: 90, width: 1500 })).toEqual([]);
  });

  it('is clear of every part and flaw, by a package of its own, and of one another', () => {
    const random = seeded(17);
    for (let i = 0; i < 25; i++) {
      const shapes = ['a', 'b'].map((id): LayShape => ({ ...square, id, outline: blob(random, 12), count: 3 }));
      const flaws = [{ along: 300 * random(), across: 300 * random(), length: 60, width: 40 }];
      const cloth = { width: 600, gap: 2, flaws };
      let left = 4;
      const lay = [...layOf(new LayJob(shapes, cloth), i, () => left-- <= 0)].at(-1) as FoundLay;
      const found = leftOvers(shapes, lay.placed, { length: lay.length + 150, width: 600 }, flaws);
      const areas = found.map((f) => f.length * f.width);
      expect(areas).toEqual([...areas].sort((a, b) => b - a));
      const others = [
        ...lay.placed.map((p) => placedOutline(shapes.find((s) => s.id === p.id) as LayShape, p)),
        ...flaws.map(boxOf),
      ];
      found.forEach((f, k) => {
        expect(Math.min(f.length, f.width)).toBeGreaterThanOrEqual(100);
        expect(f.along + f.length).toBeLessThanOrEqual(lay.length + 150);
        expect(f.across + f.width).toBeLessThanOrEqual(600);
        for (const other of [...others, ...found.slice(k + 1).map(boxOf)])
          expect(overlapOf(boxOf(f), other)).toBeLessThan(0.01);
      });
    }
  });
});
