import { areaOf, turnOf, type Corner, type Polygon } from './polygon.js';

/** How far a corner may be put outside the outline, in mm, and by which share of it the area may grow in all. */
const MOST_OUT = 1.2;
const MOST_GROWTH = 0.004;
/** An outline of no more corners is straight-edged, and stays as it is. */
const STRAIGHT_EDGED = 12;

const gap = (a: Corner, b: Corner): number => Math.hypot(a[0] - b[0], a[1] - b[1]);

/** How far a corner lies off the line through two others, in mm. */
const offLine = (a: Corner, b: Corner, c: Corner): number => Math.abs(turnOf(a, b, c)) / Math.max(1e-9, gap(a, b));

/** Where the lines a to b and d to c, both run on, meet; nothing where they are all but parallel. */
function meet(a: Corner, b: Corner, c: Corner, d: Corner): Corner | undefined {
  const [ux, uy] = [b[0] - a[0], b[1] - a[1]];
  const [vx, vy] = [c[0] - d[0], c[1] - d[1]];
  const det = ux * vy - uy * vx;
  if (Math.abs(det) < 1e-9 * Math.hypot(ux, uy) * Math.hypot(vx, vy)) return undefined;
  const t = ((d[0] - a[0]) * vy - (d[1] - a[1]) * vx) / det;
  return t > 1 ? [a[0] + ux * t, a[1] + uy * t] : undefined;
}

/** A way to have one corner less: which corners go, what comes in their place, and by how much the area grows. */
interface Step {
  readonly at: number;
  readonly take: 1 | 2;
  readonly put: Corner | undefined;
  readonly grows: number;
}

/** The way to leave corner `at`, or the edge from it, out of an outline without cutting anything off it. */
function stepAt(polygon: Polygon, at: number): Step | undefined {
  const n = polygon.length;
  const corner = (i: number): Corner => polygon[(i + n) % n] as Corner;
  const [a, b, c, d] = [corner(at - 1), corner(at), corner(at + 1), corner(at + 2)];
  const hollow = turnOf(a, b, c);
  if (hollow < 0) {
    // A corner that turns in: without it the outline grows by the triangle.
    return offLine(a, c, b) <= MOST_OUT ? { at, take: 1, put: undefined, grows: -hollow / 2 } : undefined;
  }
  if (turnOf(b, c, d) < 0) return undefined;
  // An edge between two corners that turn out: its neighbours are run on until they meet.
  const put = meet(a, b, c, d);
  if (!put || offLine(b, c, put) > MOST_OUT) return undefined;
  return { at, take: 2, put, grows: Math.abs(turnOf(b, put, c)) / 2 };
}

/**
 * An outline with fewer corners that lies nowhere inside it: hollows are bridged and short edges run on to where their
 * neighbours meet, the least growth first. Straight-edged outlines stay as they are.
 */
export function outward(polygon: Polygon): Polygon {
  if (polygon.length <= STRAIGHT_EDGED) return polygon;
  let left = MOST_GROWTH * areaOf(polygon);
  let now = [...polygon];
  for (;;) {
    let best: Step | undefined;
    for (let at = 0; at < now.length; at++) {
      const step = stepAt(now, at);
      if (step && step.grows <= left && (!best || step.grows < best.grows)) best = step;
    }
    if (!best || now.length <= 4) return now;
    left -= best.grows;
    const { at, take, put } = best;
    const gone = new Set(Array.from({ length: take }, (_, i) => (at + i) % now.length));
    now = now.flatMap((corner, i) => (i === at && put ? [put] : gone.has(i) ? [] : [corner]));
  }
}
