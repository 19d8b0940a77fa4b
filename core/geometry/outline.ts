import type { Cubic } from './cubic.js';
import { flatten, type Path } from './path.js';
import { cross, distance, type Point } from './point.js';

/**
 * The area enclosed by a closed path, in mm², exact for cubics (Green's theorem).
 * Positive where the path runs clockwise as seen with y down.
 */
export function enclosedArea(path: Path): number {
  const share = ({ p0, p1, p2, p3 }: Cubic): number =>
    (6 * cross(p0, p1) +
      3 * cross(p0, p2) +
      cross(p0, p3) +
      3 * cross(p1, p2) +
      3 * cross(p1, p3) +
      6 * cross(p2, p3)) /
    20;
  return path.reduce((sum, c) => sum + share(c), 0);
}

/** True where each curve starts within `tolerance` mm of the end of the one before, and the first at the last. */
export function isClosed(path: Path, tolerance = 1e-6): boolean {
  if (path.length === 0) return false;
  return path.every((c, i) => {
    const before = path[(i + path.length - 1) % path.length];
    return before !== undefined && distance(before.p3, c.p0) <= tolerance;
  });
}

/** The least box that holds the points, in mm. */
export interface Box {
  readonly minX: number;
  readonly minY: number;
  readonly maxX: number;
  readonly maxY: number;
}

/** The box about a list of points; an empty list gives a box of no size at the origin. */
export function boxOf(points: readonly Point[]): Box {
  if (points.length === 0) return { minX: 0, minY: 0, maxX: 0, maxY: 0 };
  let minX = Infinity;
  let minY = Infinity;
  let maxX = -Infinity;
  let maxY = -Infinity;
  for (const p of points) {
    if (p.x < minX) minX = p.x;
    if (p.x > maxX) maxX = p.x;
    if (p.y < minY) minY = p.y;
    if (p.y > maxY) maxY = p.y;
  }
  return { minX, minY, maxX, maxY };
}

/** The box about a path, to 0.05 mm. */
export const pathBox = (path: Path): Box => boxOf(flatten(path));

/** True where `p` lies inside the closed run of points (even-odd rule). */
export function contains(points: readonly Point[], p: Point): boolean {
  let inside = false;
  for (const [i, a] of points.entries()) {
    const b = points[(i + 1) % points.length] ?? a;
    if (a.y > p.y !== b.y > p.y && p.x < ((b.x - a.x) * (p.y - a.y)) / (b.y - a.y) + a.x) inside = !inside;
  }
  return inside;
}
