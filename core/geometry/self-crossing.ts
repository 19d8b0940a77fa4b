import { orient2d } from 'robust-predicates';
import { distance, dot, subtract, type Point } from './point.js';

/** Points nearer than this to the one before, in mm, are that one. */
const SAME = 1e-3;

/** On which side of a line through two points a third lies: exactly, whatever the figures (Shewchuk 1997). */
const sideOf = (a: Point, b: Point, p: Point): number => Math.sign(orient2d(a.x, a.y, b.x, b.y, p.x, p.y));

const within = (a: Point, b: Point, p: Point): boolean =>
  Math.min(a.x, b.x) <= p.x && p.x <= Math.max(a.x, b.x) && Math.min(a.y, b.y) <= p.y && p.y <= Math.max(a.y, b.y);

/** Where two stretches meet: cross, touch with an end, or lie on one another; nothing where they do not. */
function meeting(a: Point, b: Point, c: Point, d: Point): Point | undefined {
  const [ofC, ofD, ofA, ofB] = [sideOf(a, b, c), sideOf(a, b, d), sideOf(c, d, a), sideOf(c, d, b)];
  if (ofC * ofD < 0 && ofA * ofB < 0) {
    const [u, v, w] = [subtract(b, a), subtract(d, c), subtract(c, a)];
    const s = (w.x * v.y - w.y * v.x) / (u.x * v.y - u.y * v.x);
    return { x: a.x + s * u.x, y: a.y + s * u.y };
  }
  if (ofC === 0 && within(a, b, c)) return c;
  if (ofD === 0 && within(a, b, d)) return d;
  if (ofA === 0 && within(c, d, a)) return a;
  if (ofB === 0 && within(c, d, b)) return b;
  return undefined;
}

/**
 * The first place where a closed run of points crosses itself, touches itself with a vertex, or runs back on itself;
 * nothing where it does none of these. Neighbouring stretches share an end, which does not count. Decided exactly. A
 * sweep over x keeps it near n log n.
 */
export function selfCrossing(points: readonly Point[]): Point | undefined {
  const ring = points.filter((p, i) => distance(p, points[(i + points.length - 1) % points.length] ?? p) > SAME);
  const n = ring.length;
  if (n < 3) return ring[0];
  const stretches = ring.map((a, i) => {
    const b = ring[(i + 1) % n] ?? a;
    return { a, b, i, minX: Math.min(a.x, b.x), maxX: Math.max(a.x, b.x) };
  });
  for (const { a, b, i } of stretches) {
    const c = ring[(i + 2) % n] ?? a;
    if (sideOf(a, b, c) === 0 && dot(subtract(b, a), subtract(c, b)) < 0) return b;
  }
  stretches.sort((s, r) => s.minX - r.minX);
  for (let k = 0; k < n; k++) {
    const s = stretches[k];
    for (let j = k + 1; s && j < n; j++) {
      const r = stretches[j];
      if (!r || r.minX > s.maxX) break;
      const apart = Math.abs(s.i - r.i);
      if (apart === 1 || apart === n - 1) continue;
      if (Math.min(s.a.y, s.b.y) > Math.max(r.a.y, r.b.y) || Math.min(r.a.y, r.b.y) > Math.max(s.a.y, s.b.y)) continue;
      const hit = meeting(s.a, s.b, r.a, r.b);
      if (hit) return hit;
    }
  }
  return undefined;
}
