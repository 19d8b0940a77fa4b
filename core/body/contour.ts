import type { SolidBody } from './body.js';
import { sliceAt, valueIn } from './form.js';
import { placeAlong, surfaceAlong, type Flat } from './tape.js';

/** A half section of a body at a level, from its middle in front round the outside to its middle behind. */
export interface Contour {
  readonly places: readonly Flat[];
  /** How far along each place lies from the first, and in all, in mm. */
  readonly along: readonly number[];
  readonly long: number;
}

/** So many rays seek the outline at a level, where nothing else is said. */
const RAYS = 72;

/**
 * The outline of one half of a body at a level, `out` mm outside it: above the crotch from the middle in front to the
 * middle behind, below it once round the leg from within.
 */
export function contourAt({ form, heights, under, crotchAt }: SolidBody, y: number, out = 0, rays = RAYS): Contour {
  const slice = sliceAt(form, y);
  // From the middle of the trunk the rays move out to the middle of the leg as the trunk closes.
  const share = Math.min(1, Math.max(0, (heights.hip - y) / (heights.hip - heights.crotch)));
  const centre = slice.legMiddle * share;
  const most = 1.5 * (slice.half + slice.front + slice.back) + out;
  const [pinZ] = placeAlong(under, crotchAt);
  const fades = Math.min(1, Math.max(0, (y - heights.midThigh) / (heights.crotch - heights.midThigh)));
  const begins = Math.atan2(pinZ * fades, -centre || -1);
  const places: Flat[] = [];
  const onMiddle = (way: 1 | -1): Flat => [0, way * surfaceAlong((t) => valueIn(slice, 0, way * t) - out, most)];
  const above = valueIn(slice, 0, pinZ) - out < 0;
  for (let i = 0; i <= rays; i++) {
    const angle = (above ? Math.PI : begins) - (2 * Math.PI * i) / rays;
    const [dx, dz] = [Math.cos(angle), Math.sin(angle)];
    // Within the middle no ray goes on: there is the other leg.
    const toMiddle = dx < 0 ? centre / -dx : Infinity;
    const reach = Math.min(most, toMiddle);
    const t = surfaceAlong((r) => valueIn(slice, centre + r * dx, r * dz) - out, reach);
    if (t < toMiddle) places.push([centre + t * dx, t * dz]);
    else if (!above) places.push([0, t * dz]);
  }
  const round = above ? [onMiddle(1), ...places, onMiddle(-1)] : places;
  const along: number[] = [];
  let long = 0;
  for (const [i, p] of round.entries()) {
    const before = round[i - 1];
    if (before) long += Math.hypot(p[0] - before[0], p[1] - before[1]);
    along.push(long);
  }
  return { places: round, along, long };
}

/** The place so far along a contour, in mm from its beginning. */
export function placeOn({ places, along, long }: Contour, at: number): Flat {
  const want = Math.min(long, Math.max(0, at));
  let [low, high] = [0, places.length - 1];
  while (high - low > 1) {
    const middle = (low + high) >> 1;
    if ((along[middle] as number) <= want) low = middle;
    else high = middle;
  }
  const [a, b] = [places[low] as Flat, places[high] as Flat];
  const from = along[low] as number;
  const step = (along[high] as number) - from;
  const t = step > 0 ? (want - from) / step : 0;
  return [a[0] + (b[0] - a[0]) * t, a[1] + (b[1] - a[1]) * t];
}
