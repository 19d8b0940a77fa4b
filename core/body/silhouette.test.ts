import { describe, expect, it } from 'vitest';
import { completeBody } from '../measure/index.js';
import { bodyFrom, contourAt, reachAt, TO_DRAW } from './index.js';

const four = { waist: 780, hip: 1000, crotchDepth: 272, inseam: 780 };
const body = bodyFrom(completeBody({ ...four, frontRise: 300, backRise: 390 }, 'unknown'));

describe('how far a body reaches', () => {
  it('is how far its outline does at every level, on the trunk from the middle and on a leg beside it', () => {
    for (let y = 60; y < body.heights.waist; y += 23) {
      const { outer, inner, front, back } = reachAt(body, y);
      const { places } = contourAt(body, y, 0, 720);
      const [xs, zs] = [places.map(([x]) => x), places.map(([, z]) => z)];
      expect([y, Math.abs(outer - Math.max(...xs)) < 1.5]).toEqual([y, true]);
      expect([y, Math.abs(inner - Math.min(...xs)) < 1.5]).toEqual([y, true]);
      // The fullest place of a section may lie between two that are tried.
      expect([y, Math.abs(front - Math.max(...zs)) < 2.5]).toEqual([y, true]);
      expect([y, Math.abs(back - Math.min(...zs)) < 2.5]).toEqual([y, true]);
      expect(inner > 0).toBe(y < body.heights.crotch);
    }
  });

  it('is fullest behind at the hip, still full half way to the crotch, and much less under the fold', () => {
    const behind = (y: number): number => -reachAt(body, y).back;
    const { hip, crotch, waist } = body.heights;
    expect(behind(hip)).toBeGreaterThan(behind(waist) + 20);
    expect(behind((hip + crotch) / 2) / behind(hip)).toBeGreaterThan(0.88);
    expect(behind(crotch) / behind(hip)).toBeLessThan(0.85);
    // It stands out nowhere: what is drawn goes on from level to level.
    for (let y = crotch - 100; y < waist; y += 4) expect(Math.abs(behind(y + 4) - behind(y))).toBeLessThan(4.5);
  });

  it('is drawn nearly as it is sewn on, in a part of the time', () => {
    const drawn = bodyFrom(completeBody({ ...four, frontRise: 300, backRise: 390 }, 'unknown'), {}, TO_DRAW);
    for (let y = 60; y < body.heights.waist; y += 30) {
      const [one, other] = [reachAt(body, y), reachAt(drawn, y)];
      for (const key of ['outer', 'front', 'back'] as const) expect(Math.abs(one[key] - other[key])).toBeLessThan(8);
    }
    expect(TO_DRAW.rays * TO_DRAW.rounds).toBeLessThan(30);
  });
});
