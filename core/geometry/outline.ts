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

function segmentsCross(a: Point, b: Point, c: Point, d: Point): Point | undefined {
  const abx = b.x - a.x;
  const aby = b.y - a.y;
  const cdx = d.x - c.x;
  const cdy = d.y - c.y;
  const det = abx * cdy - aby * cdx;
  if (Math.abs(det) < 1e-12) return undefined;
  const acx = c.x - a.x;
  const acy = c.y - a.y;
  const s = (acx * cdy - acy * cdx) / det;
  if (s < 1e-9 || s > 1 - 1e-9) return undefined;
  const r = (acx * aby - acy * abx) / det;
  if (r < 1e-9 || r > 1 - 1e-9) return undefined;
  return { x: a.x + s * abx, y: a.y + s * aby };
}

/**
 * The first place where a closed run of points crosses itself, or nothing.
 * Neighbouring segments share an end and do not count. A sweep over x keeps it near n log n.
 */
export function selfCrossing(points: readonly Point[]): Point | undefined {
  const n = points.length;
  const segments = points
    .map((a, i) => {
      const b = points[(i + 1) % n] ?? a;
      return { a, b, i, minX: Math.min(a.x, b.x), maxX: Math.max(a.x, b.x) };
    })
    .filter((s) => distance(s.a, s.b) > 1e-9)
    .sort((s, r) => s.minX - r.minX);
  for (const [k, s] of segments.entries()) {
    for (let j = k + 1; j < segments.length; j++) {
      const r = segments[j];
      if (!r || r.minX > s.maxX) break;
      const apart = Math.abs(s.i - r.i);
      if (apart === 1 || apart === n - 1) continue;
      const hit = segmentsCross(s.a, s.b, r.a, r.b);
      if (hit) return hit;
    }
  }
  return undefined;
}

/** True where `p` lies inside the closed run of points (even-odd rule). */
export function contains(points: readonly Point[], p: Point): boolean {
  let inside = false;
  for (const [i, a] of points.entries()) {
    const b = points[(i + 1) % points.length] ?? a;
    if (a.y > p.y !== b.y > p.y && p.x < ((b.x - a.x) * (p.y - a.y)) / (b.y - a.y) + a.x) inside = !inside;
  }
  return inside;
}
