import { convexParts } from './convex-parts.js';
import { outward } from './outward.js';
import { Overlap, type Lying } from './overlap.js';
import { areaOf, boundsOf, tidied, type Corner, type Polygon } from './polygon.js';

/** A shape to be laid, and how often; turns in degrees about its origin. The cloth runs along x. */
export interface LayShape {
  readonly id: string;
  readonly outline: readonly Corner[];
  readonly count: number;
  readonly turns: readonly (0 | 180)[];
  /** Half of the copies lie flipped across the cloth. */
  readonly mirrored: boolean;
}

/** The cloth that shapes are laid on: its usable width, and what is kept free between two of them; mm. */
export interface LayCloth {
  readonly width: number;
  readonly gap: number;
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
}

/** A copy with the ways in which it may lie. */
export interface Copy {
  readonly shape: number;
  readonly copy: number;
  readonly ways: readonly number[];
}

/** Shapes on a cloth, prepared for laying: every way to lie, every copy, and how deep any two lie in one another. */
export class LayJob {
  readonly ways: readonly Way[];
  readonly copies: readonly Copy[];
  /** The area of all copies, in mm². */
  readonly area: number;
  private readonly tables = new Map<number, Overlap>();

  constructor(
    readonly shapes: readonly LayShape[],
    readonly cloth: LayCloth,
  ) {
    const ways: Way[] = [];
    const copies: Copy[] = [];
    let area = 0;
    for (const [shape, { outline, count, turns, mirrored }] of shapes.entries()) {
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
    this.copies = copies;
    this.area = area;
  }

  /** How deep a shape lying one way lies in another lying its way. */
  overlap(first: number, second: number): Overlap {
    const key = first * this.ways.length + second;
    let table = this.tables.get(key);
    if (!table) {
      table = new Overlap(this.ways[first] as Way, this.ways[second] as Way, this.cloth.gap);
      this.tables.set(key, table);
    }
    return table;
  }
}
