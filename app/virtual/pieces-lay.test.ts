import { describe, expect, it } from 'vitest';
import type { HungLeg } from '../../core/sew/index.js';
import { beside, layOf, nearest, type Place } from './pieces-lay.js';

/** Two pieces of places 20 mm apart, 3 across and 4 down, far from one another on their sheets. */
const piece = (part: string, left: number): HungLeg['parts'][number] =>
  ({
    part,
    flat: Float32Array.from(Array.from({ length: 12 }, (_, i) => [left + 20 * (i % 3), 20 * Math.floor(i / 3)]).flat()),
  }) as unknown as HungLeg['parts'][number];
const hung = { parts: [piece('front', 500), piece('back', -700)] };
const { moved, size } = layOf(hung);

describe('pieces beside one another', () => {
  it('lie in a row with room round them, wherever they lie on their sheets', () => {
    expect(moved).toEqual([
      [-460, 40],
      [820, 40],
    ]);
    expect(size).toEqual([200, 140]);
  });

  it('are pointed at where they lie, and nowhere else', () => {
    expect(nearest(hung, moved, 41, 42)).toEqual({ part: 'front', place: 0 });
    expect(nearest(hung, moved, 159, 99)).toEqual({ part: 'back', place: 11 });
    expect(nearest(hung, moved, 41, 5)).toBeUndefined();
  });

  it('are gone through by arrows, from piece to piece and no further than their edges', () => {
    const first = beside(hung, moved, undefined, [1, 0]);
    expect(first).toEqual({ part: 'front', place: 6 });
    let at: Place | undefined = { part: 'front', place: 0 };
    const went: string[] = [];
    for (let i = 0; i < 6; i++) {
      at = beside(hung, moved, at, [1, 0]);
      went.push(`${at?.part ?? ''} ${at?.place ?? ''}`);
    }
    expect(went).toEqual(['front 1', 'front 2', 'back 0', 'back 1', 'back 2', 'back 2']);
    expect(beside(hung, moved, { part: 'back', place: 0 }, [-1, 0])).toEqual({ part: 'front', place: 2 });
    expect(beside(hung, moved, { part: 'front', place: 4 }, [0, 1])).toEqual({ part: 'front', place: 7 });
    expect(beside(hung, moved, { part: 'front', place: 0 }, [0, -1])).toEqual({ part: 'front', place: 0 });
  });
});
