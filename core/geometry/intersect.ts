import { controlBox, isStraight, pointAt, splitAt, velocityAt, type Cubic } from './cubic.js';
import { cross, distance, norm, subtract, type Point } from './point.js';
import type { Path } from './path.js';

/** A meeting of two curves: the parameter on each and the place. */
export interface Meeting {
  readonly t: number;
  readonly u: number;
  readonly at: Point;
}

function boxesApart(a: Cubic, b: Cubic): boolean {
  const p = controlBox(a);
  const q = controlBox(b);
  const slack = 1e-9;
  return p.maxX < q.minX - slack || q.maxX < p.minX - slack || p.maxY < q.minY - slack || q.maxY < p.minY - slack;
}

function polish(a: Cubic, b: Cubic, t: number, u: number): Meeting | undefined {
  let x = t;
  let y = u;
  for (let i = 0; i < 12; i++) {
    const gap = subtract(pointAt(b, y), pointAt(a, x));
    if (norm(gap) < 1e-10) break;
    const va = velocityAt(a, x);
    const vb = velocityAt(b, y);
    const det = cross(va, vb);
    if (Math.abs(det) < 1e-12) break;
    x += cross(gap, vb) / det;
    y += cross(gap, va) / det;
  }
  const inside = x > -1e-7 && x < 1 + 1e-7 && y > -1e-7 && y < 1 + 1e-7;
  if (!inside || distance(pointAt(a, x), pointAt(b, y)) > 1e-6) return undefined;
  const held = Math.min(1, Math.max(0, x));
  return { t: held, u: Math.min(1, Math.max(0, y)), at: pointAt(a, held) };
}

/** Every place where two cubics cross or touch (box subdivision, then Newton's method), to 1e-6 mm. */
export function meetCubics(a: Cubic, b: Cubic): Meeting[] {
  const found: Meeting[] = [];
  const search = (p: Cubic, t0: number, t1: number, q: Cubic, u0: number, u1: number, depth: number): void => {
    if (boxesApart(p, q)) return;
    if (depth === 0 || (isStraight(p, 0.01) && isStraight(q, 0.01))) {
      const chordP = subtract(p.p3, p.p0);
      const chordQ = subtract(q.p3, q.p0);
      const det = cross(chordP, chordQ);
      const gap = subtract(q.p0, p.p0);
      const s = Math.abs(det) < 1e-12 ? 0.5 : Math.min(1, Math.max(0, cross(gap, chordQ) / det));
      const r = Math.abs(det) < 1e-12 ? 0.5 : Math.min(1, Math.max(0, cross(gap, chordP) / det));
      const hit = polish(a, b, t0 + (t1 - t0) * s, u0 + (u1 - u0) * r);
      if (hit && !found.some((other) => distance(other.at, hit.at) < 1e-4)) found.push(hit);
      return;
    }
    const [p1, p2] = splitAt(p, 0.5);
    const [q1, q2] = splitAt(q, 0.5);
    const t = (t0 + t1) / 2;
    const u = (u0 + u1) / 2;
    search(p1, t0, t, q1, u0, u, depth - 1);
    search(p1, t0, t, q2, u, u1, depth - 1);
    search(p2, t, t1, q1, u0, u, depth - 1);
    search(p2, t, t1, q2, u, u1, depth - 1);
  };
  search(a, 0, 1, b, 0, 1, 16);
  return found.sort((p, q) => p.t - q.t);
}

/** A meeting of two paths: the curve and parameter on each, and the place. */
export interface PathMeeting extends Meeting {
  readonly firstIndex: number;
  readonly secondIndex: number;
}

/** Every place where two paths cross or touch, in the order of the first path. */
export function meetPaths(a: Path, b: Path): PathMeeting[] {
  const found: PathMeeting[] = [];
  for (const [firstIndex, p] of a.entries()) {
    for (const [secondIndex, q] of b.entries()) {
      for (const hit of meetCubics(p, q)) {
        if (!found.some((other) => distance(other.at, hit.at) < 1e-4)) {
          found.push({ ...hit, firstIndex, secondIndex });
        }
      }
    }
  }
  return found;
}
