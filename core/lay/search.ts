import type { LayJob, Placed, Way } from './job.js';
import { copyOf, Separator, type Lay, type Random } from './separate.js';

/** A lay that was found: how long its cloth is, in mm, what of the cloth is used, and where everything lies. */
export interface FoundLay {
  readonly length: number;
  /** Net area over length times width, as a share. */
  readonly use: number;
  readonly placed: readonly Placed[];
}

/** A small seeded generator (mulberry32). */
export function randomOf(seed: number): Random {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let t = state;
    t = Math.imul(t ^ (t >>> 15), t | 1);
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
}

const wayOf = (job: LayJob, lay: Lay, copy: number): Way => job.ways[lay.way[copy] as number] as Way;

/** How far a lay reaches along the cloth, in mm. */
const lengthOf = (job: LayJob, lay: Lay): number =>
  job.copies.reduce((most, _, i) => Math.max(most, (lay.x[i] as number) + wayOf(job, lay, i).bounds.right), 0);

/** Places tried across the cloth for each copy of a first lay. */
const ACROSS = 24;
/** And along it, from where what lies there ends. */
const ALONG = 40;

/** A first lay without overlap: the largest first, each as far to the left as it goes among what lies there. */
export function firstLay(job: LayJob): Lay {
  const count = job.copies.length;
  const lay: Lay = { way: new Int32Array(count), x: new Float64Array(count), y: new Float64Array(count) };
  const size = (i: number): number => {
    const { left, right, low, high } = (job.ways[job.copies[i]?.ways[0] as number] as Way).bounds;
    return (right - left) * (high - low);
  };
  const order = job.copies.map((_, i) => i).sort((a, b) => size(b) - size(a) || a - b);
  const laid: number[] = [];
  const free = (way: number, x: number, y: number): boolean =>
    laid.every(
      (j) => job.overlap(way, lay.way[j] as number).depth((lay.x[j] as number) - x, (lay.y[j] as number) - y) <= 0,
    );
  for (const copy of order) {
    let best: { way: number; x: number; y: number; reach: number } | undefined;
    for (const way of job.copies[copy]?.ways ?? []) {
      const { bounds } = job.ways[way] as Way;
      const [minX, minY] = [-bounds.left, -bounds.low];
      const maxY = job.cloth.width - bounds.high;
      const end = laid.reduce((most, j) => Math.max(most, (lay.x[j] as number) + wayOf(job, lay, j).bounds.right), 0);
      const last = minX + end + job.cloth.gap;
      for (let a = 0; a <= ACROSS; a++) {
        const y = minY + ((maxY - minY) * a) / ACROSS;
        for (let s = 0; s <= ALONG; s++) {
          const x = minX + ((last - minX) * s) / ALONG;
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

/** The strip is made shorter by this share at first, by up to the most after a success, by half after a failure. */
const FIRST_SHORTER = 0.02;
const MOST_SHORTER = 0.04;
const LEAST_SHORTER = 0.002;
const PRESSED = 0.0008;

/** A lay as it is told. */
function found(job: LayJob, lay: Lay): FoundLay {
  const length = lengthOf(job, lay);
  return {
    length,
    use: job.area / (length * job.cloth.width),
    placed: job.copies.map(({ shape, copy }, i): Placed => {
      const { turn, flipped } = wayOf(job, lay, i);
      return { id: job.shapes[shape]?.id ?? '', copy, x: lay.x[i] as number, y: lay.y[i] as number, turn, flipped };
    }),
  };
}

/** Copies that stick out of a shorter strip are put somewhere in it. */
function pushedIn(job: LayJob, lay: Lay, length: number, random: Random): void {
  for (let i = 0; i < job.copies.length; i++) {
    const { bounds } = wayOf(job, lay, i);
    const most = length - bounds.right;
    if ((lay.x[i] as number) <= most) continue;
    lay.x[i] = random() < 0.5 ? most : -bounds.left + random() * (most + bounds.left);
    if (random() < 0.3) lay.y[i] = -bounds.low + random() * (job.cloth.width - bounds.high + bounds.low);
  }
}

/** Two large copies change places: what a lay that is stuck begins again from. */
function swapped(job: LayJob, lay: Lay, length: number, random: Random): void {
  const size = (i: number): number => {
    const { left, right, low, high } = wayOf(job, lay, i).bounds;
    return (right - left) * (high - low);
  };
  const large = job.copies
    .map((_, i) => i)
    .sort((a, b) => size(b) - size(a))
    .slice(0, Math.max(2, Math.ceil(job.copies.length / 2)));
  const pick = (): number => large[Math.floor(random() * large.length)] as number;
  const [a, b] = [pick(), pick()];
  if (a === b) return;
  const middle = (i: number): readonly [number, number] => {
    const { left, right, low, high } = wayOf(job, lay, i).bounds;
    return [(lay.x[i] as number) + (left + right) / 2, (lay.y[i] as number) + (low + high) / 2];
  };
  const [[ax, ay], [bx, by]] = [middle(a), middle(b)];
  const put = (i: number, x: number, y: number): void => {
    const { ways } = job.copies[i] as { ways: readonly number[] };
    lay.way[i] = ways[Math.floor(random() * ways.length)] as number;
    const { left, right, low, high } = wayOf(job, lay, i).bounds;
    lay.x[i] = Math.min(length - right, Math.max(-left, x - (left + right) / 2));
    lay.y[i] = Math.min(job.cloth.width - high, Math.max(-low, y - (low + high) / 2));
  };
  put(a, bx, by);
  put(b, ax, ay);
}

/** So many of the least bad lays of a strip are kept to begin again from; now and then one is begun anew at random. */
const POOL = 12;
const ANEW = 5;
/** A strip is tried so often before a longer one is. */
const TRIES = 3;
/** A lay is pressed once it is shortened by no more than this. */
const PRESSED_FROM = 0.01;

/** Every copy somewhere in the strip. */
function scattered(job: LayJob, lay: Lay, length: number, random: Random): void {
  for (let i = 0; i < job.copies.length; i++) {
    const { ways } = job.copies[i] as { ways: readonly number[] };
    lay.way[i] = ways[Math.floor(random() * ways.length)] as number;
    const { left, right, low, high } = wayOf(job, lay, i).bounds;
    lay.x[i] = -left + random() * Math.max(0, length - right + left);
    lay.y[i] = -low + random() * Math.max(0, job.cloth.width - high + low);
  }
}

/** A lay within a strip of a length, begun from another that is longer; nothing where none was found in so many tries. */
function shortened(
  job: LayJob,
  from: Lay,
  length: number,
  tries: number,
  random: Random,
  over: () => boolean,
): Lay | undefined {
  let lay = copyOf(from);
  pushedIn(job, lay, length, random);
  const pool: { lay: Lay; loss: number }[] = [];
  for (let k = 1; !over(); k++) {
    const separator = new Separator(job, lay, length, random, over);
    if (separator.separate()) return lay;
    if (k >= tries) return undefined;
    pool.push({ lay: copyOf(lay), loss: separator.loss() });
    pool.sort((a, b) => a.loss - b.loss);
    if (pool.length > POOL) pool.pop();
    // The better a lay of the pool, the more often it is begun from.
    const chosen = pool[Math.floor(random() ** 2 * pool.length)];
    lay = copyOf(chosen?.lay ?? lay);
    if (k % ANEW === 0) scattered(job, lay, length, random);
    else swapped(job, lay, length, random);
  }
  return undefined;
}

/**
 * The search for a short lay: a first one at once, then ever shorter ones as they are found, until `over` says that it is
 * time. Each is free of overlap. Deterministic by its seed as far as the time allows.
 */
export function* layOf(job: LayJob, seed: number, over: () => boolean): Generator<FoundLay> {
  const random = randomOf(seed);
  let best = firstLay(job);
  yield found(job, best);
  const along = (w: number): number => (job.ways[w] as Way).bounds.right - (job.ways[w] as Way).bounds.left;
  const longest = Math.max(...job.copies.map(({ ways }) => Math.min(...ways.map(along))));
  const shortest = Math.max(longest, job.area / job.cloth.width);
  let share = FIRST_SHORTER;
  while (!over()) {
    const now = lengthOf(job, best);
    const length = Math.max(now * (1 - share), shortest);
    if (length >= now - 1e-6) return;
    const lay = shortened(job, best, length, share <= LEAST_SHORTER ? Infinity : TRIES, random, over);
    if (lay) {
      best = lay;
      yield found(job, best);
      share = share < PRESSED_FROM ? share : Math.min(MOST_SHORTER, share * 2);
    } else share = Math.max(LEAST_SHORTER, share / 2);
    if (share > PRESSED_FROM) continue;
    for (const pressed of pressedFrom(job, best, shortest, random, over)) {
      best = pressed;
      yield found(job, best);
    }
  }
}

/** A lay made shorter by the smallest steps for as long as its copies give way. */
function* pressedFrom(job: LayJob, from: Lay, shortest: number, random: Random, over: () => boolean): Generator<Lay> {
  let best = from;
  while (!over()) {
    const now = lengthOf(job, best);
    const length = Math.max(now * (1 - PRESSED), shortest);
    if (length >= now - 1e-6) return;
    const lay = copyOf(best);
    for (let i = 0; i < job.copies.length; i++) {
      lay.x[i] = Math.min(lay.x[i] as number, length - wayOf(job, lay, i).bounds.right);
    }
    if (!new Separator(job, lay, length, random, over, 1).separate()) return;
    best = lay;
    yield best;
  }
}
