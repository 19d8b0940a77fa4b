import type { Point } from './point.js';

/** Bounds on a bend; radii in mm, shares of its length. */
export interface BendLimits {
  /** Nowhere is it tighter than this. */
  readonly leastRadius: number;
  /** No tighter than this where it leaves the straight. */
  readonly startRadius: number;
  /** It never runs straighter than this. */
  readonly mostRadius: number;
  /** What is flatter than this radius counts as flat. */
  readonly flatRadius: number;
  /** The longest flat run from its start, and at its end. */
  readonly flatStart: number;
  readonly flatEnd: number;
  /** Half of the turn is spread over at least this. */
  readonly spread: number;
  /** Its one peak lies between these shares. */
  readonly peakFrom: number;
  readonly peakTo: number;
}

/** What may give way so that a bend is fair, each with how dear it is (the square of an amount times its weight). */
export interface BendGive {
  /** Weight per mm off the point it is to pass through, along the diagonal. */
  readonly through: number;
  /** Weight per mm by which it begins up or down the straight, and how far it may. */
  readonly start: number;
  readonly startUp: number;
  readonly startDown: number;
  /** Most lean of the straight about its pivot, radians; 0 holds it. */
  readonly lean: number;
  /** Most the end may move outward, in mm; 0 holds it. */
  readonly end: number;
}

/** What a bend has to meet. Lengths in mm, directions of length 1. */
export interface BendWish {
  readonly start: Point;
  readonly leaving: Point;
  /** The point about which the straight leans, where it may. */
  readonly pivot: Point;
  readonly end: Point;
  readonly arriving: Point;
  /** The direction in which the end may move. */
  readonly outward: Point;
  /** The point it should pass through: at `hollow` mm along `diagonal` from `corner`. */
  readonly corner: Point;
  readonly diagonal: Point;
  readonly hollow: number;
  readonly limits: BendLimits;
  readonly give: BendGive;
}
