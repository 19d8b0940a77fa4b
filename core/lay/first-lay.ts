import { heldLay, lengthOf, wayOf } from './held-lay.js';
import type { LayJob, Way } from './job.js';
import { laidInRows } from './laid-in-rows.js';
import { Separator, type Lay, type Random } from './separate.js';

/** Places tried across the cloth for each copy of a first lay. */
const ACROSS = 24;
/** And along it, from where what lies there ends. */
const ALONG = 40;
/** A copy this far behind all others, in mm, is clear of them. */
const CLEAR = 1;

/** The largest first, each as far to the left as it goes among what lies there, in places tried one by one. */
function laidByPlaces(job: LayJob): Lay {
  const lay = heldLay(job);
  const size = (i: number): number => {
    const { left, right, low, high } = (job.ways[job.copies[i]?.ways[0] as number] as Way).bounds;
    return (right - left) * (high - low);
  };
  const all = job.copies.map((_, i) => i);
  const order = all.filter((i) => !job.copies[i]?.held).sort((a, b) => size(b) - size(a) || a - b);
  const laid = all.filter((i) => job.copies[i]?.held);
  const free = (way: number, x: number, y: number): boolean =>
    laid.every((j) => job.depth(way, lay.way[j] as number, (lay.x[j] as number) - x, (lay.y[j] as number) - y) <= 0);
  for (const copy of order) {
    let best: { way: number; x: number; y: number; reach: number } | undefined;
    for (const way of job.copies[copy]?.ways ?? []) {
      const { bounds, outer } = job.ways[way] as Way;
      const [minX, minY] = [-bounds.left, -bounds.low];
      const maxY = job.cloth.width - bounds.high;
      const end = laid.reduce((most, j) => Math.max(most, (lay.x[j] as number) + wayOf(job, lay, j).outer.right), 0);
      // Clear of all others, and one bar further: there a copy finds a place on its bar.
      const last = end - outer.left + job.cloth.gap + job.stepsOf(way)[0] + CLEAR;
      for (let a = 0; a <= ACROSS; a++) {
        for (let s = 0; s <= ALONG; s++) {
          const place = job.settled(
            way,
            minX + ((last - minX) * s) / ALONG,
            minY + ((maxY - minY) * a) / ACROSS,
            Infinity,
          );
          if (!place) continue;
          const [x, y] = place;
          const reach = x + bounds.right;
          if (best && reach >= best.reach - 1e-6) break;
          if (!free(way, x, y)) continue;
          best = { way, x, y, reach };
          break;
        }
      }
    }
    if (!best) throw new Error('A copy that fits the cloth finds a place behind all others');
    lay.way[copy] = best.way;
    lay.x[copy] = best.x;
    lay.y[copy] = best.y;
    laid.push(copy);
  }
  return lay;
}

/** How many rows a first lay looks at, in some hundredths of a second. */
const LOOKS = 1_000_000;
/** Of a lay with more copies than this no other first lay is made beside the one in rows. */
const MANY = 60;

/** A lay in rows, its corners put right; nothing where there is none. */
function rightInRows(job: LayJob, random: Random): Lay | undefined {
  const lay = laidInRows(job, LOOKS, random);
  if (!lay) return undefined;
  const length = lengthOf(job, lay) + job.cloth.gap;
  return new Separator(job, lay, length, random, () => false, 1).separate() ? lay : undefined;
}

/** A first lay without overlap: in rows of cloth, or by places one by one where that is shorter or the only one. */
export function firstLay(job: LayJob, random: Random): Lay {
  const rows = rightInRows(job, random);
  if (rows && job.copies.length > MANY) return rows;
  const places = laidByPlaces(job);
  return rows && lengthOf(job, rows) <= lengthOf(job, places) ? rows : places;
}
