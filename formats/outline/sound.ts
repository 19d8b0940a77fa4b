import type { Path } from '../../core/geometry/index.js';

/** No figure of a drawing is larger than this, in its own units. */
const LARGEST = 1e9;

/** True where every figure of a path is a number that a drawing can have. */
export const isSoundPath = (path: Path): boolean =>
  path.every((c) => [c.p0, c.p1, c.p2, c.p3].every((p) => Math.abs(p.x) < LARGEST && Math.abs(p.y) < LARGEST));
