import type { LayJob, Way } from './job.js';
import type { Lay } from './separate.js';

/** The way in which a copy lies. */
export const wayOf = (job: LayJob, lay: Lay, copy: number): Way => job.ways[lay.way[copy] as number] as Way;

/** How far a copy reaches along the cloth, in mm. */
export const reachOf = (job: LayJob, lay: Lay, copy: number): number =>
  (lay.x[copy] as number) + wayOf(job, lay, copy).bounds.right;

/** How far a lay reaches along the cloth, in mm: flaws that lie beyond it do not count. */
export const lengthOf = (job: LayJob, lay: Lay): number =>
  job.copies.reduce((most, _, i) => (job.isLaid(i) ? Math.max(most, reachOf(job, lay, i)) : most), 0);

/** A lay of which only what is held lies where it belongs. */
export function heldLay(job: LayJob): Lay {
  const count = job.copies.length;
  const lay: Lay = { way: new Int32Array(count), x: new Float64Array(count), y: new Float64Array(count) };
  for (const [i, { ways, held }] of job.copies.entries()) {
    lay.way[i] = ways[0] as number;
    lay.x[i] = held?.x ?? 0;
    lay.y[i] = held?.y ?? 0;
  }
  return lay;
}
