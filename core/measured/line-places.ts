import type { Cubic, Path } from '../geometry/index.js';

/** A place on a line with its direction and bend, run in one direction. */
export interface Place {
  readonly x: number;
  readonly y: number;
  /** Direction of travel, radians, without jumps. */
  readonly angle: number;
  /** Signed curvature, 1/mm. */
  readonly k: number;
  /** Running length, mm. */
  readonly s: number;
}

/** Degrees in a radian. */
export const DEGREES = 180 / Math.PI;
const STEPS = 6;

/** The places of a path, a few on each curve, run in its direction. */
export function placesOf(path: Path): Place[] {
  const out: Place[] = [];
  let s = 0;
  let last: Place | undefined;
  for (const c of path) {
    for (let i = last ? 1 : 0; i <= STEPS; i++) {
      const place = placeAt(c, i / STEPS, last, s);
      s = place.s;
      last = place;
      out.push(place);
    }
  }
  return out;
}

/** Written out in plain numbers: every line of both panels is measured in each recompute. */
function placeAt({ p0, p1, p2, p3 }: Cubic, t: number, last: Place | undefined, run: number): Place {
  const u = 1 - t;
  const [a, b, c, d] = [u * u * u, 3 * u * u * t, 3 * u * t * t, t * t * t];
  const x = a * p0.x + b * p1.x + c * p2.x + d * p3.x;
  const y = a * p0.y + b * p1.y + c * p2.y + d * p3.y;
  const [e, f, g] = [3 * u * u, 6 * u * t, 3 * t * t];
  const dx = e * (p1.x - p0.x) + f * (p2.x - p1.x) + g * (p3.x - p2.x);
  const dy = e * (p1.y - p0.y) + f * (p2.y - p1.y) + g * (p3.y - p2.y);
  const ddx = 6 * (u * (p2.x - 2 * p1.x + p0.x) + t * (p3.x - 2 * p2.x + p1.x));
  const ddy = 6 * (u * (p2.y - 2 * p1.y + p0.y) + t * (p3.y - 2 * p2.y + p1.y));
  const speed = Math.sqrt(dx * dx + dy * dy);
  let angle = Math.atan2(dy, dx);
  if (last) angle += 2 * Math.PI * Math.round((last.angle - angle) / (2 * Math.PI));
  return {
    x,
    y,
    angle,
    k: speed > 1e-9 ? (dx * ddy - dy * ddx) / (speed * speed * speed) : 0,
    s: last ? run + Math.sqrt((x - last.x) ** 2 + (y - last.y) ** 2) : 0,
  };
}
