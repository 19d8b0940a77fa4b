import { FREE, type LayJob, type Way } from './job.js';

/** Where a copy is tried besides where it lies: near it, and anywhere; for each way that it may lie. */
const NEAR = 8;
const ANYWHERE = 16;
/** So many of the best tries are brought down to where they cost least. */
const BROUGHT_DOWN = 3;
/** A try is brought down until its steps are as small as this, in mm; the best of them on until they are smallest. */
const SMALL_STEP = 0.1;
const SMALLEST_STEP = 0.0005;
/** The first step is so much of the size of a copy. */
const STEP_SHARE = 0.02;
/** Weights of pairs that overlap grow by up to this at each pass; the others fade. */
const LEAST_GROWTH = 1.2;
const MOST_GROWTH = 2;
const FADE = 0.95;
/** Passes without gain until a strike, and strikes until a strip is given up. */
const PASSES = 30;
const STRIKES = 3;

/** Where every copy lies: which of its ways, and its origin. */
export interface Lay {
  readonly way: Int32Array;
  readonly x: Float64Array;
  readonly y: Float64Array;
}

/** A lay of its own with the same places. */
export const copyOf = ({ way, x, y }: Lay): Lay => ({ way: way.slice(), x: x.slice(), y: y.slice() });

/** A number from 0 to 1, always the same row for the same seed. */
export type Random = () => number;

/**
 * Takes overlaps out of a lay within a strip (guided local search on penetration depths): the copy that lies in others is
 * put where it costs least, the cost of each pair the root of its depth by a weight that grows while they overlap.
 */
export class Separator {
  private readonly weights: Float64Array;
  private readonly depths: Float64Array;
  private readonly count: number;
  /** All copies, those first that the one in hand lies in: what a place costs too much is known soonest so. */
  private readonly order: Int32Array;

  constructor(
    private readonly job: LayJob,
    private readonly lay: Lay,
    private readonly length: number,
    private readonly random: Random,
    private readonly over: () => boolean,
    private readonly strikes = STRIKES,
  ) {
    this.count = job.copies.length;
    this.weights = new Float64Array(this.count * this.count).fill(1);
    this.depths = new Float64Array(this.count * this.count);
    this.order = Int32Array.from({ length: this.count }, (_, i) => i);
  }

  /** Puts those first that a copy would lie in at a place. */
  private orderBy(copy: number, { way, x, y }: { way: number; x: number; y: number }): void {
    const { lay, job, order, count } = this;
    let first = 0;
    for (let k = 0; k < count; k++) {
      const j = order[k] as number;
      const depth = job.depth(way, lay.way[j] as number, (lay.x[j] as number) - x, (lay.y[j] as number) - y);
      if (j === copy || depth <= FREE) continue;
      order[k] = order[first] as number;
      order[first] = j;
      first += 1;
    }
  }

  private depthOf(i: number, j: number): number {
    const { way, x, y } = this.lay;
    return this.job.depth(
      way[i] as number,
      way[j] as number,
      (x[j] as number) - (x[i] as number),
      (y[j] as number) - (y[i] as number),
    );
  }

  /** Measures all pairs anew; the sum of all depths, in mm. */
  private measure(): number {
    let sum = 0;
    for (let i = 0; i < this.count; i++) {
      for (let j = i + 1; j < this.count; j++) {
        // Two that are held lie as they were put: nothing can be done about them.
        const depth = this.job.copies[i]?.held && this.job.copies[j]?.held ? 0 : this.depthOf(i, j);
        this.depths[i * this.count + j] = depth;
        this.depths[j * this.count + i] = depth;
        if (depth > FREE) sum += depth;
      }
    }
    return sum;
  }

  /** What a place costs a copy, by its weights; given up where it costs more than `bound`. */
  private cost(copy: number, way: number, x: number, y: number, bound: number): number {
    const { lay, job, weights, count, order } = this;
    const { way: ways, x: xs, y: ys } = lay;
    let sum = 0;
    for (let k = 0; k < count; k++) {
      const j = order[k] as number;
      if (j === copy) continue;
      const depth = job.depth(way, ways[j] as number, (xs[j] as number) - x, (ys[j] as number) - y);
      if (depth <= FREE) continue;
      sum += (weights[copy * count + j] as number) * Math.sqrt(depth);
      if (sum >= bound) return Infinity;
    }
    return sum;
  }

  /** Puts a copy where it costs least of what is tried. */
  private place(copy: number): void {
    const { lay, job, random } = this;
    const { ways } = job.copies[copy] as { ways: readonly number[] };
    const [x0, y0, way0] = [lay.x[copy] as number, lay.y[copy] as number, lay.way[copy] as number];
    const best: { cost: number; way: number; x: number; y: number }[] = [
      { cost: this.cost(copy, way0, x0, y0, Infinity), way: way0, x: x0, y: y0 },
    ];
    const start = best[0]?.cost ?? 0;
    const keep = (way: number, toX: number, toY: number): void => {
      const place = job.settled(way, toX, toY, this.length);
      if (!place) return;
      const [x, y] = place;
      const worst = best.length < BROUGHT_DOWN ? Infinity : (best[best.length - 1]?.cost ?? Infinity);
      const cost = this.cost(copy, way, x, y, worst);
      if (cost >= worst) return;
      best.push({ cost, way, x, y });
      best.sort((a, b) => a.cost - b.cost);
      if (best.length > BROUGHT_DOWN) best.pop();
    };
    for (const way of ways) {
      const { bounds } = job.ways[way] as Way;
      const [minX, maxX] = [-bounds.left, this.length - bounds.right];
      const [minY, maxY] = [-bounds.low, job.cloth.width - bounds.high];
      if (maxX < minX - 1e-9 || maxY < minY - 1e-9) continue;
      const [reachX, reachY] = [(bounds.right - bounds.left) * 0.15, (bounds.high - bounds.low) * 0.15];
      if (way !== way0) keep(way, x0, y0);
      for (let k = 0; k < NEAR; k++) {
        keep(way, x0 + (random() * 2 - 1) * reachX, y0 + (random() * 2 - 1) * reachY);
      }
      for (let k = 0; k < ANYWHERE; k++) {
        keep(way, minX + random() * (maxX - minX), minY + random() * (maxY - minY));
      }
    }
    let chosen: { cost: number; way: number; x: number; y: number } | undefined;
    for (const one of best) {
      const down = this.broughtDown(copy, one, STEP_SHARE, SMALL_STEP);
      if (!chosen || down.cost < chosen.cost) chosen = down;
      if (chosen.cost === 0) break;
    }
    if (!chosen) return;
    const { way, x, y, cost } = this.broughtDown(copy, chosen, 0, SMALLEST_STEP);
    if (cost >= start) return;
    lay.way[copy] = way;
    lay.x[copy] = x;
    lay.y[copy] = y;
  }

  /** A place brought down, step by step along the axes and across them, to where it costs least near by. */
  private broughtDown(
    copy: number,
    from: { cost: number; way: number; x: number; y: number },
    share: number,
    smallest: number,
  ): { cost: number; way: number; x: number; y: number } {
    const { bounds } = this.job.ways[from.way] as Way;
    const { random } = this;
    const [barRepeat, stripeRepeat] = this.job.stepsOf(from.way);
    let { cost, x, y } = from;
    let [stepX, stepY] = [
      Math.max(2 * SMALL_STEP, (bounds.right - bounds.left) * share, 2 * barRepeat),
      Math.max(2 * SMALL_STEP, (bounds.high - bounds.low) * share, 2 * stripeRepeat),
    ];
    if (cost > 0) this.orderBy(copy, from);
    while (cost > 0 && (stepX > smallest || stepY > smallest)) {
      const axis = random();
      const [dx, dy] =
        axis < 0.35 ? [stepX, 0] : axis < 0.7 ? [0, stepY] : axis < 0.85 ? [stepX, stepY] : [stepX, -stepY];
      let found = false;
      for (const sign of random() < 0.5 ? [1, -1] : [-1, 1]) {
        const place = this.job.settled(from.way, x + sign * dx, y + sign * dy, this.length);
        if (!place) continue;
        const [nx, ny] = place;
        const there = this.cost(copy, from.way, nx, ny, cost);
        if (there < cost) {
          [x, y, cost, found] = [nx, ny, there, true];
          break;
        }
      }
      const scale = found ? 1.1 : 0.5;
      if (dx !== 0) stepX *= scale;
      if (dy !== 0) stepY *= scale;
    }
    return { cost, way: from.way, x, y };
  }

  /** Weights of what overlaps grow, by how deep it lies; the others fade. */
  private weigh(): void {
    const { depths, weights } = this;
    let deepest = 0;
    for (const depth of depths) deepest = Math.max(deepest, depth);
    for (let k = 0; k < depths.length; k++) {
      const depth = depths[k] as number;
      const weight = weights[k] as number;
      weights[k] =
        depth > FREE
          ? weight * (LEAST_GROWTH + ((MOST_GROWTH - LEAST_GROWTH) * depth) / deepest)
          : Math.max(1, weight * FADE);
    }
  }

  /** Takes out what overlaps; true where nothing does. What is left lies in the lay, as little overlapping as was found. */
  separate(): boolean {
    const { lay, count, random } = this;
    let loss = this.measure();
    let least = loss;
    let kept = copyOf(lay);
    let strikes = 0;
    while (strikes < this.strikes && !this.over()) {
      const before = least;
      let idle = 0;
      while (idle < PASSES && !this.over()) {
        const order = Array.from({ length: count }, (_, i) => i).filter((i) => {
          if (this.job.copies[i]?.held) return false;
          for (let j = 0; j < count; j++) if ((this.depths[i * count + j] as number) > FREE) return true;
          return false;
        });
        for (let i = order.length - 1; i > 0; i--) {
          const j = Math.floor(random() * (i + 1));
          [order[i], order[j]] = [order[j] as number, order[i] as number];
        }
        for (const copy of order) this.place(copy);
        loss = this.measure();
        if (loss === 0) return true;
        if (loss < least) {
          if (loss < 0.98 * least) idle = 0;
          least = loss;
          kept = copyOf(lay);
        } else idle++;
        this.weigh();
      }
      strikes = least < 0.98 * before ? 0 : strikes + 1;
      this.restore(kept);
      this.measure();
    }
    this.restore(kept);
    return false;
  }

  private restore({ way, x, y }: Lay): void {
    this.lay.way.set(way);
    this.lay.x.set(x);
    this.lay.y.set(y);
  }

  /** How deep all pairs lie in one another together, in mm. */
  loss(): number {
    return this.measure();
  }
}
