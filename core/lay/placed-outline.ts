import { oriented, type LayShape, type Placed } from './job.js';
import type { Corner } from './polygon.js';

/** The outline of a copy where it lies on the cloth. */
export const placedOutline = (shape: LayShape, { x, y, turn, flipped }: Placed): Corner[] =>
  oriented(shape.outline, turn, flipped).map(([px, py]): Corner => [px + x, py + y]);
