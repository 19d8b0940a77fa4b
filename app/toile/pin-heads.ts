import type { Block } from '../../core/draft/index.js';
import { distance } from '../../core/geometry/index.js';
import type { PinPlace } from '../../core/toile/index.js';

/** Pins whose places begin within this of one another, in mm, have their heads one above the other. */
const NEAR = 12;

/** How many of the places before one begin where it begins, on the same piece. */
export const beforeAt = (places: readonly PinPlace[], index: number): number => {
  const one = places[index];
  const at = one?.corners[0];
  return places.slice(0, index).filter(({ panel, corners: [from] }) => {
    return panel === one?.panel && at && from && distance(from, at) < NEAR;
  }).length;
};

/** Which way is out of its piece where a pin begins: toward the centre (1) or the side (-1), in panel coordinates. */
export const outward = ({ panel, corners: [at] }: PinPlace, block: Block): 1 | -1 =>
  at && at.x < block[panel].crease ? -1 : 1;
