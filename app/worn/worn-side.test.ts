import { describe, expect, it } from 'vitest';
import type { Hung } from '../../core/sew/index.js';
import { extentOf, placeOf, type WornSide } from './worn-side.js';

const side = {
  label: 'now',
  hung: { parts: [{ part: 'back', places: Float32Array.from([1, 2, 3, 4, 5, 6]) }] } as unknown as Hung,
  body: { places: Float32Array.from([0, 0, 0, 10, 1200, -5]), triangles: new Uint32Array() },
  colours: [],
} satisfies WornSide;

describe('what is seen of a garment', () => {
  it('reaches from the floor to the top of its body', () => {
    expect(extentOf([side])).toEqual({ middle: 600, reach: 600 });
    expect(extentOf([])).toEqual({ middle: 0, reach: 1 });
  });

  it('has a place for what one points at, and none for a part or a place that it does not have', () => {
    expect(placeOf(side, { part: 'back', place: 1 })).toEqual([4, 5, 6]);
    expect(placeOf(side, { part: 'back', place: 2 })).toBeUndefined();
    expect(placeOf(side, { part: 'front', place: 0 })).toBeUndefined();
    expect(placeOf(side, undefined)).toBeUndefined();
  });
});
