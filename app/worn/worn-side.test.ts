import { describe, expect, it } from 'vitest';
import type { HungLeg } from '../../core/sew/index.js';
import { extentOf, placeOf, wornSide } from './worn-side.js';

const body = { places: Float32Array.from([0, 0, 0, 10, 1200, -5]), triangles: new Uint32Array() };
const half = (by: number): HungLeg =>
  ({
    parts: [{ part: 'back', places: Float32Array.from([1, 2, 3, 4, 5, 6 + by]), maps: { gap: [0, by] } }],
  }) as unknown as HungLeg;
const side = wornSide('now', body, half(0), undefined, 'gap');

describe('what is seen of a garment', () => {
  it('reaches from the floor to the top of its body', () => {
    expect(extentOf([side])).toEqual({ middle: 600, reach: 600 });
    expect(extentOf([])).toEqual({ middle: 0, reach: 1 });
  });

  it('has a place for what one points at, and none for a part or a place that it does not have', () => {
    expect(placeOf(side, { leg: 'left', part: 'back', place: 1 })).toEqual([4, 5, 6]);
    expect(placeOf(side, { leg: 'left', part: 'back', place: 2 })).toBeUndefined();
    expect(placeOf(side, { leg: 'left', part: 'front', place: 0 })).toBeUndefined();
    expect(placeOf(side, undefined)).toBeUndefined();
  });

  it('shows one leg in the mirror where both are alike, and each by itself where they or what they were differ', () => {
    expect(side.halves.right).toBe(side.halves.left);
    const unlike = wornSide('now', body, { ...half(0), rightLeg: half(20) }, undefined, 'gap');
    expect(placeOf(unlike, { leg: 'left', part: 'back', place: 1 })).toEqual([4, 5, 6]);
    expect(placeOf(unlike, { leg: 'right', part: 'back', place: 1 })).toEqual([-4, 5, 26]);
    expect(unlike.halves.right.hung).not.toBe(unlike.halves.left.hung);
  });
});
