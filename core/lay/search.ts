import { seeded } from '../geometry/index.js';
import { firstLay } from './first-lay.js';
import { heldLay, lengthOf, reachOf, wayOf } from './held-lay.js';
import { FREE, type LayJob, type Placed, type Way } from './job.js';
import { copyOf, Separator, type Lay, type Random } from './separate.js';

/** A lay that was found: how long its cloth is, in mm, what of the cloth is used, and where everything lies. */
export interface FoundLay {
  readonly length: number;
  /** Net area over length times width, as a share. */
  readonly use: number;
  readonly placed: readonly Placed[];
}

/** The strip is made shorter by this share at first, by up to the most after a success, by half after a failure. */
const FIRST_SHORTER = 0.02;
const MOST_SHORTER = 0.04;
const LEAST_SHORTER = 0.002;
/** On a long cloth by no more at first than this, and by half after a failure down to this, in mm. */
const FIRST_SHORTER_MM = 100;
const LEAST_SHORTER_MM = 12;
const PRESSED = 0.0008;

/** A lay as it is told. */
function found(job: LayJob, lay: Lay): FoundLay {
  const length = lengthOf(job, lay);
  return {
    length,
    use: job.area / (length * job.cloth.width),
    placed: job.copies.flatMap((one, i): Placed[] => {
      if (!job.isLaid(i)) return [];
      const { turn, flipped } = wayOf(job, lay, i);
      return [{ id: job.idOf(one), copy: one.copy, x: lay.x[i] as number, y: lay.y[i] as number, turn, flipped }];
    }),
  };
}

/** Puts a copy next to a place, where it may lie there. */
function put(job: LayJob, lay: Lay, copy: number, x: number, y: number, length: number): void {
  const place = job.settled(lay.way[copy] as number, x, y, length);
  if (place) [lay.x[copy], lay.y[copy]] = place as [number, number];
}

/** Copies that stick out of a shorter strip are put somewhere in it; false where one has no place there. */
function pushedIn(job: LayJob, lay: Lay, length: number, random: Random): boolean {
  for (const [i, { held }] of job.copies.entries()) {
    const { bounds } = wayOf(job, lay, i);
    const most = length - bounds.right;
    if (held || (lay.x[i] as number) <= most) continue;
    const x = random() < 0.5 ? most : -bounds.left + random() * (most + bounds.left);
    const y = random() < 0.3 ? -bounds.low + random() * (job.cloth.width - bounds.high + bounds.low) : lay.y[i];
    put(job, lay, i, x, y as number, length);
    if ((lay.x[i] as number) > most + 1e-6) return false;
  }
  return true;
}

/** Two large copies change places: what a lay that is stuck begins again from. */
function swapped(job: LayJob, lay: Lay, length: number, random: Random): void {
  const size = (i: number): number => {
    const { left, right, low, high } = wayOf(job, lay, i).bounds;
    return (right - left) * (high - low);
  };
  const large = job.copies
    .map((_, i) => i)
    .filter((i) => !job.copies[i]?.held)
    .sort((a, b) => size(b) - size(a))
    .slice(0, Math.max(2, Math.ceil(job.copies.length / 2)));
  if (large.length < 2) return;
  const pick = (): number => large[Math.floor(random() * large.length)] as number;
  const [a, b] = [pick(), pick()];
  if (a === b) return;
  const middle = (i: number): readonly [number, number] => {
    const { left, right, low, high } = wayOf(job, lay, i).bounds;
    return [(lay.x[i] as number) + (left + right) / 2, (lay.y[i] as number) + (low + high) / 2];
  };
  const [[ax, ay], [bx, by]] = [middle(a), middle(b)];
  const moved = (i: number, x: number, y: number): void => {
    const { ways } = job.copies[i] as { ways: readonly number[] };
    lay.way[i] = ways[Math.floor(random() * ways.length)] as number;
    const { left, right, low, high } = wayOf(job, lay, i).bounds;
    put(job, lay, i, x - (left + right) / 2, y - (low + high) / 2, length);
  };
  moved(a, bx, by);
  moved(b, ax, ay);
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
  for (const [i, { ways, held }] of job.copies.entries()) {
    if (held) continue;
    lay.way[i] = ways[Math.floor(random() * ways.length)] as number;
    const { left, right, low, high } = wayOf(job, lay, i).bounds;
    const x = -left + random() * Math.max(0, length - right + left);
    put(job, lay, i, x, -low + random() * Math.max(0, job.cloth.width - high + low), length);
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
  if (!pushedIn(job, lay, length, random)) return undefined;
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

/** The lay that places tell, where they tell of every copy and none lies in another or off the cloth; else nothing. */
export function layAt(job: LayJob, placed: readonly Placed[]): FoundLay | undefined {
  const lay = toldLay(job, placed);
  return lay && found(job, lay);
}

/** Every copy where places tell, or next to there; and whether each lies just there. Nothing where one is not told of. */
function toldPlaces(
  job: LayJob,
  placed: readonly Placed[],
): { readonly lay: Lay; readonly exact: boolean } | undefined {
  const lay = heldLay(job);
  let exact = true;
  for (const [i, one] of job.copies.entries()) {
    if (one.held) continue;
    const told = placed.find((p) => p.id === job.idOf(one) && p.copy === one.copy);
    const way = one.ways.find((w) => job.ways[w]?.turn === told?.turn && job.ways[w]?.flipped === told?.flipped);
    const place = told && way !== undefined ? job.settled(way, told.x, told.y, Infinity) : undefined;
    if (!told || !place || way === undefined) return undefined;
    exact &&= Math.hypot(place[0] - told.x, place[1] - told.y) <= FREE;
    lay.way[i] = way;
    [lay.x[i], lay.y[i]] = place as [number, number];
  }
  return { lay, exact };
}

/** The lay that places tell, as the search moves it, where it can lie so. */
function toldLay(job: LayJob, placed: readonly Placed[]): Lay | undefined {
  const told = toldPlaces(job, placed);
  if (!told?.exact) return undefined;
  const none = (): number => 0;
  return new Separator(job, told.lay, Infinity, none, () => true).loss() === 0 ? told.lay : undefined;
}

/** A lay whose pieces have changed since, put right within the length that it had; nothing where it is not had so. */
function mendedLay(job: LayJob, placed: readonly Placed[], random: Random, over: () => boolean): Lay | undefined {
  const lay = toldPlaces(job, placed)?.lay;
  return lay && new Separator(job, lay, lengthOf(job, lay), random, over, 1).separate() ? lay : undefined;
}

/**
 * The search for a short lay: a first one at once, or the one it goes on from, then ever shorter ones as they are found,
 * until `over` says that it is time. It begins from the shortest of those that are known already (found on another cloth,
 * say) where one of them can lie so and is shorter. Each is free of overlap. Deterministic by its seed as far as the time
 * allows.
 */
export function* layOf(
  job: LayJob,
  seed: number,
  over: () => boolean,
  from: readonly Placed[] = [],
  known: readonly (readonly Placed[])[] = [],
): Generator<FoundLay> {
  const random = seeded(seed);
  let best = toldLay(job, from) ?? mendedLay(job, from, random, over) ?? firstLay(job, random);
  for (const placed of known) {
    const lay = toldLay(job, placed);
    if (lay && lengthOf(job, lay) < lengthOf(job, best)) best = lay;
  }
  yield found(job, best);
  const along = (w: number): number => (job.ways[w] as Way).bounds.right - (job.ways[w] as Way).bounds.left;
  const longest = Math.max(...job.copies.map(({ ways }) => Math.min(...ways.map(along))));
  const held = job.copies.flatMap((c, i) => (c.held && job.isLaid(i) ? [reachOf(job, best, i)] : []));
  const shortest = Math.max(longest, job.area / job.cloth.width, ...held);
  let share = Math.min(FIRST_SHORTER, FIRST_SHORTER_MM / lengthOf(job, best));
  while (!over()) {
    const now = lengthOf(job, best);
    const least = Math.min(LEAST_SHORTER, LEAST_SHORTER_MM / now);
    const length = Math.max(now * (1 - share), shortest);
    if (length >= now - 1e-6) return;
    const lay = shortened(job, best, length, share <= least ? Infinity : TRIES, random, over);
    if (lay) {
      best = lay;
      yield found(job, best);
      share = share < PRESSED_FROM ? share : Math.min(MOST_SHORTER, share * 2);
    } else share = Math.max(least, share / 2);
    if (share > PRESSED_FROM) continue;
    for (const pressed of pressedFrom(job, best, shortest, random, over)) {
      best = pressed;
      yield found(job, best);
    }
  }
}

/** Brings every copy to where it ends within a length; false where one has no place there. */
const pressedIn = (job: LayJob, lay: Lay, length: number): boolean =>
  job.copies.every(({ held }, i) => {
    if (held || reachOf(job, lay, i) <= length) return true;
    put(job, lay, i, lay.x[i] as number, lay.y[i] as number, length);
    return reachOf(job, lay, i) <= length + 1e-6;
  });

/** A lay made shorter by the smallest steps for as long as its copies give way. */
function* pressedFrom(job: LayJob, from: Lay, shortest: number, random: Random, over: () => boolean): Generator<Lay> {
  let best = from;
  while (!over()) {
    const now = lengthOf(job, best);
    const length = Math.max(now * (1 - PRESSED), shortest);
    if (length >= now - 1e-6) return;
    const lay = copyOf(best);
    if (!pressedIn(job, lay, length)) return;
    if (!new Separator(job, lay, length, random, over, 1).separate()) return;
    best = lay;
    yield best;
  }
}
