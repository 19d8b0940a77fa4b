import { FREE, type LayJob, type Placed, type Way } from './job.js';
import type { Corner } from './polygon.js';

/** A part that is let go of this near to another, or to an edge of the cloth, in mm, is laid against it. */
export const SNAP = 8;
/** A part that is let go of in another is pushed out of it where it comes free within this, in mm. */
const PUSHED_OUT = 60;
/** Places beside the one asked for are looked at in so many directions. */
const DIRECTIONS = 24;
/** A contact is found to this, in mm. */
const CONTACT = 0.01;

/** Where a part comes to lie that a hand puts somewhere, and whether it lies free there. */
export interface HandPlace {
  readonly x: number;
  readonly y: number;
  readonly free: boolean;
}

/** The ways of the copies of a lay, by their places in the job's lists. */
interface Among {
  readonly way: number;
  readonly x: number;
  readonly y: number;
}

const wayOf = (job: LayJob, placed: Placed): number | undefined => {
  const copy = job.copies.find((c) => job.idOf(c) === placed.id && c.copy === placed.copy);
  return copy?.ways.find((w) => job.ways[w]?.turn === placed.turn && job.ways[w].flipped === placed.flipped);
};

/** Everything that a copy must keep clear of: the other copies as they lie, and the flaws. */
function others(job: LayJob, lay: readonly Placed[], moved: Placed): Among[] {
  const parts = lay.flatMap((p): Among[] => {
    const way = p.id === moved.id && p.copy === moved.copy ? undefined : wayOf(job, p);
    return way === undefined ? [] : [{ way, x: p.x, y: p.y }];
  });
  const flaws = job.copies.flatMap((c, i): Among[] =>
    c.held && !job.isLaid(i) ? [{ way: c.ways[0] as number, ...c.held }] : [],
  );
  return [...parts, ...flaws];
}

/**
 * Where a copy comes to lie that is put at a place by hand, turned and flipped as told, among the others of a lay: on the
 * cloth and on its bar and stripe; let go of, also out of what it was put in where that is near, and against what it was
 * put near to. It is told where it cannot lie free; it is never put there.
 */
export function putByHand(
  job: LayJob,
  lay: readonly Placed[],
  moved: Placed,
  how: 'let go' | 'exactly' = 'let go',
): HandPlace {
  const way = wayOf(job, moved);
  if (way === undefined) return { x: moved.x, y: moved.y, free: false };
  const among = others(job, lay, moved);
  const depth = ([x, y]: Corner): number =>
    among.reduce((most, o) => Math.max(most, job.depth(way, o.way, o.x - x, o.y - y)), 0);
  const at = job.settled(way, moved.x, moved.y, Infinity);
  if (!at) return { x: moved.x, y: moved.y, free: false };
  const clear = depth(at) <= FREE;
  if (clear && how === 'exactly') return { x: at[0], y: at[1], free: true };
  const free = clear ? at : how === 'let go' ? pushedOut(job, way, at, depth) : undefined;
  if (!free) return { x: at[0], y: at[1], free: false };
  const [x, y] = against(job, way, free, depth);
  // No minus nought.
  return { x: x + 0, y: y + 0, free: true };
}

/** The nearest free place about one, by the rings about it; nothing where none is near. */
function pushedOut(job: LayJob, way: number, at: Corner, depth: (at: Corner) => number): Corner | undefined {
  for (let far = 0.5; far <= PUSHED_OUT; far *= 1.25) {
    let best: Corner | undefined;
    let nearest = Infinity;
    for (let k = 0; k < DIRECTIONS; k++) {
      const angle = (2 * Math.PI * k) / DIRECTIONS;
      const place = job.settled(way, at[0] + far * Math.cos(angle), at[1] + far * Math.sin(angle), Infinity);
      if (!place || depth(place) > FREE) continue;
      const away = Math.hypot(place[0] - at[0], place[1] - at[1]);
      if (away < nearest) [best, nearest] = [place, away];
    }
    if (best) return best;
  }
  return undefined;
}

/** A free place moved against what is near: along the cloth first, then across it. */
function against(job: LayJob, way: number, from: Corner, depth: (at: Corner) => number): Corner {
  const [barRepeat, stripeRepeat] = job.stepsOf(way);
  const { bounds } = job.ways[way] as Way;
  let [x, y] = from;
  const moved = (dx: number, dy: number): Corner => [x + dx, y + dy];
  /** How far it may go one way before it touches; nothing where it touches nothing within reach. */
  const reach = (dx: number, dy: number, toEdge: number): number | undefined => {
    if (toEdge <= SNAP && depth(moved(dx * toEdge, dy * toEdge)) <= FREE) return toEdge;
    const most = Math.min(SNAP, toEdge);
    if (depth(moved(dx * most, dy * most)) <= FREE) return undefined;
    let [near, far] = [0, most];
    while (far - near > CONTACT) {
      const middle = (near + far) / 2;
      if (depth(moved(dx * middle, dy * middle)) <= FREE) near = middle;
      else far = middle;
    }
    return near;
  };
  if (barRepeat === 0) {
    const left = reach(-1, 0, bounds.left + x);
    const right = left === undefined ? reach(1, 0, Infinity) : undefined;
    x += right ?? -(left ?? 0);
  }
  if (stripeRepeat === 0) {
    const up = reach(0, -1, bounds.low + y);
    const down = reach(0, 1, job.cloth.width - bounds.high - y);
    if (up !== undefined && (down === undefined || up <= down)) y -= up;
    else if (down !== undefined) y += down;
  }
  return [x, y];
}
