import { oriented, type LayShape, type Placed } from './job.js';
import { boundsOf } from './polygon.js';

/** The middle of the box about a copy, from its origin, in mm. */
function middleOf({ outline }: LayShape, { turn, flipped }: Pick<Placed, 'turn' | 'flipped'>): [number, number] {
  const { left, right, low, high } = boundsOf(oriented(outline, turn, flipped));
  return [(left + right) / 2, (low + high) / 2];
}

/** A copy laid with the middle of its box where it was before, otherwise turned or flipped. */
function about(shape: LayShape, before: Placed, after: Placed): Placed {
  const [from, to] = [middleOf(shape, before), middleOf(shape, after)];
  return { ...after, x: before.x + from[0] - to[0], y: before.y + from[1] - to[1] };
}

/** A copy turned by half where it lies. */
export const turnedInPlace = (shape: LayShape, placed: Placed): Placed =>
  about(shape, placed, { ...placed, turn: placed.turn === 0 ? 180 : 0 });

/** A copy put in the place of another of the same shape, turned as that one. */
export const inPlaceOf = (shape: LayShape, one: Placed, other: Placed): Placed =>
  about(shape, other, { ...one, turn: other.turn });

/** How much cloth copies reach over as they lie, in mm. */
export const lengthOfPlaced = (shapes: readonly LayShape[], placed: readonly Placed[]): number =>
  placed.reduce((most, { id, x, turn, flipped }) => {
    const shape = shapes.find((s) => s.id === id);
    return shape ? Math.max(most, x + boundsOf(oriented(shape.outline, turn, flipped)).right) : most;
  }, 0);
