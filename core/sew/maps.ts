import { distanceInto, type DistanceGrid } from '../body/index.js';
import type { Draped } from './drape.js';
import { THICK } from './solver.js';

/** How a cloth is pulled, triangle by triangle: shares of its length, more than nought where it is stretched. */
export interface Strain {
  /** Along the warp, across in the weft, and how far warp and weft are off square, as a share. */
  readonly warp: Float64Array;
  readonly weft: Float64Array;
  readonly shear: Float64Array;
}

/** How every triangle of a draped garment is strained. */
export function strainOf({ assembly, at }: Draped): Strain {
  const { corners, pulls, area } = assembly.triangles;
  const count = area.length;
  const [warp, weft, shear] = [new Float64Array(count), new Float64Array(count), new Float64Array(count)];
  for (let t = 0; t < count; t++) {
    const u = [0, 0, 0];
    const v = [0, 0, 0];
    for (let k = 0; k < 3; k++) {
      const from = 3 * (corners[3 * t + k] as number);
      for (let d = 0; d < 3; d++) {
        u[d] = (u[d] as number) + (at[from + d] as number) * (pulls[6 * t + 2 * k] as number);
        v[d] = (v[d] as number) + (at[from + d] as number) * (pulls[6 * t + 2 * k + 1] as number);
      }
    }
    const [ux, uy, uz] = u as [number, number, number];
    const [vx, vy, vz] = v as [number, number, number];
    const [lu, lv] = [Math.hypot(ux, uy, uz), Math.hypot(vx, vy, vz)];
    weft[t] = lu - 1;
    warp[t] = lv - 1;
    shear[t] = (ux * vx + uy * vy + uz * vz) / Math.max(1e-9, lu * lv);
  }
  return { warp, weft, shear };
}

/** How far each particle of a draped garment lies off where it would lie on the body, in mm. */
export function gapOf({ assembly, at }: Draped, grid: DistanceGrid): Float64Array {
  const found = new Float64Array(4);
  return Float64Array.from({ length: assembly.count }, (_, p) => {
    distanceInto(
      grid,
      1000 * (at[3 * p] as number),
      1000 * (at[3 * p + 1] as number),
      1000 * (at[3 * p + 2] as number),
      found,
    );
    return (found[0] as number) - 1000 * THICK;
  });
}

/** How hard the body presses on the cloth at each particle, in kPa. */
export const pressureOf = ({ assembly, press }: Draped): Float64Array =>
  press.map((force, p) => force / Math.max(1e-9, assembly.share[p] as number) / 1000);
