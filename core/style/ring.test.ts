import { describe, expect, it } from 'vitest';
import { distance, endOf, line, point, startOf } from '../geometry/index.js';
import { endedAt, ringOf, ringWords } from './ring.js';

describe('a ring of edges', () => {
  // A triangle whose second edge stops three tenths short of where the third begins.
  const ring = ringOf([
    { id: 'a', role: 'waist', path: [line(point(0, 0), point(0, 50)), line(point(0, 50), point(0, 100))] },
    { id: 'b', role: 'side', path: [line(point(0, 100), point(80, 100.3))] },
    { id: 'c', role: 'join', path: [line(point(80, 100), point(0, 0))] },
  ]);

  it('has each edge end exactly where the next begins, and nothing else moved', () => {
    ring.forEach(({ path }, i) => {
      expect(distance(endOf(path), startOf(ring[(i + 1) % 3]?.path ?? []))).toBe(0);
    });
    expect(ring[0]?.path).toEqual([line(point(0, 0), point(0, 50)), line(point(0, 50), point(0, 100))]);
    expect(endOf(endedAt([line(point(0, 0), point(5, 5))], point(5, 6)))).toEqual(point(5, 6));
  });

  it('bears its grain upright within it, at the panel’s own where it reaches there', () => {
    for (const [wished, given] of [
      [40, 40],
      [-30, 8],
      [200, 72],
    ] as const) {
      const [top, bottom] = ringWords(ring, wished).grain;
      expect([top.x, bottom.x]).toEqual([given, given]);
      expect(top.y > 0 && bottom.y < 100 && bottom.y > top.y).toBe(true);
    }
  });
});
