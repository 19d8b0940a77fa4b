import type { Flaw } from '../cloth/index.js';
import { convexParts } from './convex-parts.js';
import { outward } from './outward.js';
import { Overlap, type Lying } from './overlap.js';
import { areaOf, boundsOf, tidied, type Bounds, type Corner, type Polygon } from './polygon.js';

/** A shape to be laid, and how often; turns in degrees about its origin. The cloth runs along x. */
export interface LayShape {
  readonly id: string;
  readonly outline: readonly Corner[];
  readonly count: number;
  readonly turns: readonly (0 | 180)[];
  /** Half of the copies lie flipped across the cloth. */
  readonly mirrored: boolean;
  /** The place of it that lies on a bar and on a stripe, where the cloth has such. */
  readonly match?: Corner | undefined;
}

/**
 * The cloth that shapes are laid on: its usable width, what is kept free between two of them, flaws that nothing lies on,
 * and how far apart bars lie along it and stripes across it (0 or nothing where there are none), the first at 0; mm.
 */
export interface LayCloth {
  readonly width: number;
  readonly gap: number;
  readonly flaws?: readonly Pick<Flaw, 'along' | 'across' | 'length' | 'width'>[] | undefined;
  readonly barRepeat?: number | undefined;
  readonly stripeRepeat?: number | undefined;
}

/** A copy of a shape where it lies: flipped across the cloth, turned about its origin, then moved. */
export interface Placed {
  readonly id: string;
  readonly copy: number;
  readonly x: number;
  readonly y: number;
  readonly turn: 0 | 180;
  readonly flipped: boolean;
}

/** An outline flipped across the cloth, then turned. */
export const oriented = (outline: readonly Corner[], turn: 0 | 180, flipped: boolean): Corner[] =>
  outline.map(([x, y]): Corner => {
    const across = flipped ? -y : y;
    return turn === 180 ? [-x, -across] : [x, across];
  });

/** One way in which a copy may lie, by its place in the list of all ways. */
export interface Way extends Lying {
  readonly shape: number;
  readonly turn: 0 | 180;
  readonly flipped: boolean;
  readonly match: Corner | undefined;
  /** The box about the outline made simpler, which reaches a little further than the outline. */
  readonly outer: Bounds;
}

/** A copy with the ways in which it may lie. */
export interface Copy {
  readonly shape: number;
  readonly copy: number;
  readonly ways: readonly number[];
  /** Where it is locked, and not moved. */
  readonly held?: { readonly x: number; readonly y: number };
}

/** Two copies that lie in one another by no more than this, in mm, are free. */
export const FREE = 0.001;

/** A flaw is no copy of any shape. */
const FLAW = -1;

/** A place brought between two limits and on to a grid of so much, counted from `from`; nothing where none lies there. */
function onGrid(at: number, low: number, high: number, repeat: number, from: number): number | undefined {
  if (high < low - 1e-9) return undefined;
  const within = Math.min(high, Math.max(low, at));
  if (repeat <= 0) return within;
  const nth = (n: number): number => n * repeat + from;
  const near = Math.round((within - from) / repeat);
  for (const n of [near, near - 1, near + 1]) {
    if (nth(n) >= low - 1e-9 && nth(n) <= high + 1e-9) return nth(n);
  }
  return undefined;
}

/** Shapes on a cloth, prepared for laying: every way to lie, every copy, and how deep any two lie in one another. */
export class LayJob {
  readonly ways: readonly Way[];
  readonly copies: readonly Copy[];
  /** The area of all copies, in mm². */
  readonly area: number;
  private readonly tables: (Overlap | undefined)[];
  /** The outer boxes of all ways, one after the other: left, right, low, high. */
  private readonly boxes: Float64Array;

  constructor(
    readonly shapes: readonly LayShape[],
    readonly cloth: LayCloth,
    locked: readonly Placed[] = [],
  ) {
    const ways: Way[] = [];
    const copies: Copy[] = [];
    let area = 0;
    for (const { along, across, length, width } of cloth.flaws ?? []) {
      const box: Polygon = [
        [0, 0],
        [length, 0],
        [length, width],
        [0, width],
      ];
      const bounds = boundsOf(box);
      ways.push({ shape: FLAW, turn: 0, flipped: false, parts: [box], bounds, match: undefined, outer: bounds });
      copies.push({ shape: FLAW, copy: 0, ways: [ways.length - 1], held: { x: along, y: across } });
    }
    for (const [shape, { outline, count, turns, mirrored, match }] of shapes.entries()) {
      const net = tidied(outline);
      const simple = outward(net);
      const parts = convexParts(simple);
      area += areaOf(net) * count;
      const wayOf = new Map<string, number>();
      const way = (turn: 0 | 180, flipped: boolean): number => {
        const key = `${turn} ${flipped}`;
        const known = wayOf.get(key);
        if (known !== undefined) return known;
        const lies = (p: Polygon): Polygon => tidied(oriented(p, turn, flipped));
        ways.push({
          shape,
          turn,
          flipped,
          parts: parts.map(lies),
          bounds: boundsOf(oriented(net, turn, flipped)),
          outer: boundsOf(oriented(simple, turn, flipped)),
          match: match && oriented([match], turn, flipped)[0],
        });
        wayOf.set(key, ways.length - 1);
        return ways.length - 1;
      };
      for (let copy = 0; copy < count; copy++) {
        const flipped = mirrored && copy % 2 === 1;
        copies.push({ shape, copy, ways: turns.map((turn) => way(turn, flipped)) });
      }
    }
    this.ways = ways;
    this.tables = new Array<Overlap | undefined>(ways.length ** 2).fill(undefined);
    this.boxes = Float64Array.from(ways.flatMap(({ outer: o }) => [o.left, o.right, o.low, o.high]));
    this.area = area;
    this.copies = copies;
    for (const place of locked) this.hold(place);
  }

  /** Whether a copy is one of what is laid, and no flaw. */
  isLaid(copy: number): boolean {
    return this.copies[copy]?.shape !== FLAW;
  }

  /** The id of the shape that a copy is one of. */
  idOf({ shape }: Copy): string {
    return this.shapes[shape]?.id ?? '';
  }

  /**
   * Locks a copy where it lies, unless it may not lie so or lies in what is held already: then it is laid like the rest.
   */
  private hold({ id, copy, x, y, turn, flipped }: Placed): void {
    const at = this.copies.findIndex((c) => this.idOf(c) === id && c.copy === copy);
    const found = this.copies[at];
    const way = found?.ways.find((w) => this.ways[w]?.turn === turn && this.ways[w].flipped === flipped);
    if (!found || way === undefined || found.shape === FLAW) return;
    const { bounds } = this.ways[way] as Way;
    const off = x + bounds.left < -1e-6 || y + bounds.low < -1e-6 || y + bounds.high > this.cloth.width + 1e-6;
    const hits = this.copies.some(
      ({ ways, held }) => held && this.depth(way, ways[0] as number, held.x - x, held.y - y) > FREE,
    );
    if (!off && !hits) (this.copies as Copy[])[at] = { ...found, ways: [way], held: { x, y } };
  }

  /**
   * The place next to one at which a copy may lie in a strip of a length: on the cloth, on its bar and stripe. Nothing where
   * there is none.
   */
  settled(way: number, x: number, y: number, length: number): Corner | undefined {
    const { bounds, match } = this.ways[way] as Way;
    const { width, barRepeat = 0, stripeRepeat = 0 } = this.cloth;
    const at = onGrid(x, -bounds.left, length - bounds.right, match ? barRepeat : 0, -(match?.[0] ?? 0));
    const across = onGrid(y, -bounds.low, width - bounds.high, match ? stripeRepeat : 0, -(match?.[1] ?? 0));
    return at === undefined || across === undefined ? undefined : [at, across];
  }

  /** How far apart the places of a way lie along and across, in mm; 0 where it may lie anywhere. */
  stepsOf(way: number): Corner {
    const { barRepeat = 0, stripeRepeat = 0 } = this.cloth;
    return this.ways[way]?.match ? [barRepeat, stripeRepeat] : [0, 0];
  }

  /**
   * How deep a copy lying one way lies in another whose origin lies at (x, y) from its own, in mm; 0 where they are apart.
   * Two that have never been near one another are told by their boxes alone.
   */
  depth(first: number, second: number, x: number, y: number): number {
    const { boxes } = this;
    const { gap } = this.cloth;
    const [a, b] = [4 * first, 4 * second];
    if (
      x <= (boxes[a] as number) - (boxes[b + 1] as number) - gap ||
      x >= (boxes[a + 1] as number) - (boxes[b] as number) + gap ||
      y <= (boxes[a + 2] as number) - (boxes[b + 3] as number) - gap ||
      y >= (boxes[a + 3] as number) - (boxes[b + 2] as number) + gap
    )
      return 0;
    return this.overlap(first, second).depth(x, y);
  }

  /** How deep a shape lying one way lies in another lying its way. */
  private overlap(first: number, second: number): Overlap {
    const key = first * this.ways.length + second;
    let table = this.tables[key];
    if (!table) {
      const [a, b] = [this.ways[first] as Way, this.ways[second] as Way];
      // The gap lies between two parts; a flaw is told as large as it is to be kept clear of.
      table = new Overlap(a, b, a.shape === FLAW || b.shape === FLAW ? 0 : this.cloth.gap);
      this.tables[key] = table;
    }
    return table;
  }
}
