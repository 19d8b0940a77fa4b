import type { SolidBody } from './body.js';
import { sliceAt, valueIn } from './form.js';
import { surfaceAlong } from './tape.js';

/** How far a body reaches at a level, in mm: outward from its middle, to the front and (below nought) behind. */
export interface Reach {
  readonly y: number;
  readonly outer: number;
  /** Where a leg begins beside the middle; nought on the trunk. */
  readonly inner: number;
  readonly front: number;
  readonly back: number;
}

/** Between the middle of the body and the middle of the leg so many places are tried for what stands out most. */
const TRIED = 6;

/** How far a body reaches at a level, `y` mm above where its inseam ends. */
export function reachAt({ form }: SolidBody, y: number): Reach {
  const slice = sliceAt(form, y);
  const middle = slice.legMiddle;
  const most = 1.5 * (slice.half + slice.front + slice.back);
  const across = (way: 1 | -1, far: number): number =>
    middle + way * surfaceAlong((t) => valueIn(slice, middle + way * t, 0), far);
  const deep = (way: 1 | -1): number =>
    Math.max(
      ...Array.from({ length: TRIED + 1 }, (_, i) => (i * middle) / TRIED).map((x) =>
        surfaceAlong((t) => valueIn(slice, x, way * t), most),
      ),
    );
  return { y, outer: across(1, most), inner: across(-1, middle), front: deep(1), back: -deep(-1) };
}
