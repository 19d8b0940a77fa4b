import type { SolidBody } from './body.js';
import { contourAt, placeOn } from './contour.js';

/** One half of a body as triangles, to be drawn; places in mm, three numbers each: x outward, y up, z to the front. */
export interface BodySurface {
  readonly places: Float32Array;
  readonly triangles: Uint32Array;
}

const ROUND = 36;
const LEVEL = 18;
/** How far the drawn body goes above the waist, in mm. */
const ABOVE = 90;

/**
 * The surface of one half of a body, drawn `within` mm inside it: cloth between its places cuts corners, and the body
 * would show through.
 */
export function surfaceOf(body: SolidBody, within = 3): BodySurface {
  const top = body.heights.waist + ABOVE;
  const count = Math.ceil(top / LEVEL);
  const levels = [
    ...Array.from({ length: count + 1 }, (_, i) => (i * top) / count),
    body.heights.crotch + 1,
    body.heights.crotch - 1,
  ].sort((a, b) => a - b);
  const places: number[] = [];
  for (const y of levels) {
    const round = contourAt(body, y, -within);
    for (let i = 0; i <= ROUND; i++) {
      const [x, z] = placeOn(round, (round.long * i) / ROUND);
      places.push(x, y, z);
    }
  }
  const triangles: number[] = [];
  const row = ROUND + 1;
  for (let l = 0; l + 1 < levels.length; l++)
    for (let i = 0; i < ROUND; i++) {
      const [a, b] = [l * row + i, (l + 1) * row + i];
      triangles.push(a, b, a + 1, a + 1, b, b + 1);
    }
  return { places: Float32Array.from(places), triangles: Uint32Array.from(triangles) };
}
