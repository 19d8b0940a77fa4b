import { cubic, line, type Cubic } from './cubic.js';
import { add, distance, point, scale, type Point } from './point.js';

/** No piece of an arc turns by more than this, in radians: a thirty degree piece is true to 1e-7 of its radius. */
const MOST_TURN = Math.PI / 6;
const MOST_PIECES = 400;

/**
 * An arc of an ellipse as cubics: centre + cos(t)·`major` + sin(t)·`minor`, for t from `from` to `to` radians, run in
 * that direction. A circle has two half axes of equal length, square to each other. Nothing where it has no length.
 */
export function ellipseArc(centre: Point, major: Point, minor: Point, from: number, to: number): Cubic[] {
  const count = Math.min(MOST_PIECES, Math.ceil(Math.abs(to - from) / MOST_TURN));
  const step = (to - from) / Math.max(1, count);
  const handle = (4 / 3) * Math.tan(step / 4);
  const at = (t: number): Point => add(centre, add(scale(major, Math.cos(t)), scale(minor, Math.sin(t))));
  const onward = (t: number): Point => add(scale(major, -Math.sin(t)), scale(minor, Math.cos(t)));
  return Array.from({ length: count }, (_, i) => {
    const [a, b] = [from + i * step, from + (i + 1) * step];
    return cubic(at(a), add(at(a), scale(onward(a), handle)), add(at(b), scale(onward(b), -handle)), at(b));
  });
}

/**
 * The circular arc from `a` to `b` whose bulge is the tangent of a quarter of its sweep: 0 is straight, 1 a half
 * circle, positive turns from x toward y.
 */
export function bulgeArc(a: Point, b: Point, bulge: number): Cubic[] {
  if (Math.abs(bulge) < 1e-9 || distance(a, b) === 0) return [line(a, b)];
  const away = (1 - bulge * bulge) / (4 * bulge);
  const centre = point((a.x + b.x) / 2 - (b.y - a.y) * away, (a.y + b.y) / 2 + (b.x - a.x) * away);
  const radius = distance(centre, a);
  const from = Math.atan2(a.y - centre.y, a.x - centre.x);
  const arc = ellipseArc(centre, point(radius, 0), point(0, radius), from, from + 4 * Math.atan(bulge));
  // Its ends are the given ones to the last digit, so that what joins there stays joined.
  return arc.map((c, i) => cubic(i === 0 ? a : c.p0, c.p1, c.p2, i === arc.length - 1 ? b : c.p3));
}
