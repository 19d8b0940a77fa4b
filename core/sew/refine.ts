import type { Assembly } from './assembly.js';
import { finderIn } from './finder.js';
import type { PartMesh } from './mesh.js';

/** Positions of a finer assembly of the same garment laid where those of a coarser one lie. Metres. */
export function refine(coarse: Assembly, at: Float64Array, fine: Assembly): Float64Array {
  const sums = new Float64Array(3 * fine.count);
  const times = new Float64Array(fine.count);
  fine.meshes.forEach((mesh, m) => {
    const { places, triangles } = coarse.meshes[m] as PartMesh;
    const find = finderIn(places, triangles);
    mesh.places.forEach((p, i) => {
      const { corners, shares } = find(p);
      const to = fine.particles[m]?.[i] as number;
      times[to] = (times[to] as number) + 1;
      corners.forEach((corner, k) => {
        const from = coarse.particles[m]?.[corner] as number;
        for (let d = 0; d < 3; d++)
          sums[3 * to + d] = (sums[3 * to + d] as number) + (shares[k] as number) * (at[3 * from + d] as number);
      });
    });
  });
  return sums.map((v, k) => v / (times[Math.floor(k / 3)] as number));
}
