import { crossLine, cubicLength, pathLength, reverse, splitAt, type Cubic, type Point } from '../geometry/index.js';
import type { RunName } from './paper.js';

/** A curve of the outline with the stretch it belongs to. */
export interface Bit {
  readonly run: RunName;
  readonly c: Cubic;
}

/** The line at which cloth is folded away. */
export interface Fold {
  readonly on: Point;
  readonly d: Point;
}

/** An arc of which an end was folded away, and how much of its length, in mm. */
interface Trimmed {
  readonly bits: readonly Bit[];
  readonly away: number;
}

/** What is shorter than this, in mm or as a share, is nothing. */
export const NOTHING = 1e-9;

/**
 * Where so many times as much of one part's edge would fall away as of the other's, the first is a sliver at the fold.
 */
const SLIVER = 3;

/**
 * A fold runs out at an edge it meets at so sharp an angle at the least: what falls away there is so many times its
 * depth.
 */
const MOST_FOLDED_AWAY = 12;

/**
 * Cuts the head of an arc off at its first crossing with a fold that is `by` deep there; nothing where it does not
 * cross nearby.
 */
function trimHead(arc: readonly Bit[], { on, d }: Fold, by: number): Trimmed | undefined {
  const path = arc.map((bit) => bit.c);
  const [hit] = crossLine(path, on, d);
  if (!hit) return undefined;
  const bit = arc[hit.index];
  if (!bit) return undefined;
  const away = pathLength(path.slice(0, hit.index)) + cubicLength(bit.c, 0, hit.t);
  if (away > MOST_FOLDED_AWAY * Math.abs(by)) return undefined;
  const tail = hit.t <= NOTHING ? bit.c : hit.t >= 1 - NOTHING ? undefined : splitAt(bit.c, hit.t)[1];
  return { bits: [...(tail ? [{ run: bit.run, c: tail }] : []), ...arc.slice(hit.index + 1)], away };
}

/**
 * Both arcs where the fold's end lies between them: the one is trimmed at its head, or the other, and the rest is
 * whole.
 */
export interface FoldedEnd {
  readonly moving: readonly Bit[];
  readonly staying: readonly Bit[];
  readonly fromStaying: boolean;
  /** The stretch of the part that moves that ends at the fold: the gap is bridged as a part of it. */
  readonly along: RunName | undefined;
}

/**
 * Folds `by` away at one end of a cut, where both arcs have their heads: from the part that moves, or, where that is
 * but a sliver there or nothing at all, from the part that stays. Nothing where neither has the cloth.
 */
export function foldEnd(
  moving: readonly Bit[],
  staying: readonly Bit[],
  by: number,
  lineTo: (carried: 'moving' | 'staying') => Fold,
): FoldedEnd | undefined {
  if (by > -NOTHING) return { moving, staying, fromStaying: false, along: undefined };
  const ofMoving = trimHead(moving, lineTo('moving'), by);
  const ofStaying = trimHead(staying, lineTo('staying'), by);
  if (ofStaying && ofStaying.away < (ofMoving?.away ?? Infinity) / SLIVER)
    return { moving, staying: ofStaying.bits, fromStaying: true, along: moving[0]?.run };
  return ofMoving && { moving: ofMoving.bits, staying, fromStaying: false, along: moving[0]?.run };
}

/** An arc run the other way. */
export const reversed = (arc: readonly Bit[]): Bit[] => arc.map(({ run, c }) => ({ run, c: reverse(c) })).reverse();
