import { along, distance, pathLength, quarterTurn, scale, subtract, unit, type Point } from '../geometry/index.js';
import type { DartPlace, PanelName } from '../method/index.js';
import type { FlatDart } from './flat-dart.js';
import { PAIR_OFF } from './waist-bend.js';
import { closedWaist, legsUnder, standApart, type ClosedWaist } from './waist-over.js';

/** What the waist has to meet. Lengths in mm. */
export interface WaistWish {
  readonly panel: PanelName;
  readonly centreWaist: Point;
  /** Unit direction of the centre line downward. */
  readonly centreDown: Point;
  readonly sideWaist: Point;
  /** Direction of the side seam downward at the waist. */
  readonly sideDown: Point;
  readonly offSquare: number | undefined;
  readonly dartCount: number;
  readonly dartIntake: number;
  readonly dartLength: number;
  readonly dartAt: DartPlace | number;
  readonly crease: number;
  /** Half the apex span, where it was measured. */
  readonly halfSpan: number | undefined;
  /** How deep the apex of each dart lies under the slanted waist, by the round before, in mm. */
  readonly dartDepths: readonly number[];
}

/**
 * A waist over its closed darts, the darts that lie under it, and the depths at which their legs would be as long as
 * listed.
 */
export interface WaistRound {
  readonly closed: ClosedWaist;
  readonly flat: readonly FlatDart[];
  readonly length: number;
  readonly dartDepths: readonly number[];
  readonly apart: boolean;
}

/** Distances from the centre along the slanted waist at which the darts stand. */
function dartStations(wish: WaistWish): number[] {
  const { centreWaist: from, sideWaist: end, dartCount, dartIntake, dartAt, halfSpan } = wish;
  const length = distance(from, end);
  if (dartAt === 'midway' || (dartAt === 'apexSpan' && halfSpan === undefined)) {
    return Array.from({ length: dartCount }, (_, k) => (length * (k + 1)) / (dartCount + 1));
  }
  const toCrease = ((wish.crease - from.x) / (end.x - from.x)) * length;
  const first = typeof dartAt === 'number' ? dartAt : dartAt === 'crease' ? toCrease : (halfSpan ?? length / 2);
  const held = Math.min(Math.max(first, dartIntake * 0.6), length - dartIntake * (0.6 + (dartCount - 1)));
  return Array.from({ length: dartCount }, (_, k) => held + ((length - held) * k) / dartCount);
}

/** How deep a dart's apex lies: its listed length, until a round has said better. */
const depthOf = ({ dartDepths, dartLength }: WaistWish, k: number): number => dartDepths[k] ?? dartLength;

/** The darts on the slanted waist, square to it, so that legs and intake come out as asked. */
function flatDarts(wish: WaistWish): FlatDart[] {
  if (wish.dartCount === 0 || wish.dartIntake <= 0) return [];
  const e = unit(subtract(wish.sideWaist, wish.centreWaist));
  const down = scale(quarterTurn(e), -1);
  const angle = 2 * Math.asin(Math.min(0.9, wish.dartIntake / 2 / wish.dartLength));
  return dartStations(wish).map((s, k) => ({
    apex: along(along(wish.centreWaist, e, s), down, depthOf(wish, k)),
    up: scale(down, -1),
    angle,
  }));
}

/**
 * One round of the waist (docs/trade/curves.md): the fair line over the closed darts as its ends now lie. The caller
 * moves the side end by what the line is too long or too short; the darts sink or rise until their legs are as long as
 * listed.
 */
export function waistRound(wish: WaistWish): WaistRound {
  const flat = flatDarts(wish);
  const closed = closedWaist(
    {
      panel: wish.panel,
      centreWaist: wish.centreWaist,
      centreDown: wish.centreDown,
      sideWaist: wish.sideWaist,
      sideDown: wish.sideDown,
      offSquare: wish.offSquare,
      offSquareWithin: PAIR_OFF,
    },
    flat,
  );
  const legs = legsUnder(closed, flat);
  const dartDepths = legs.map((leg, k) => Math.max(5, depthOf(wish, k) + wish.dartLength - leg));
  return { closed, flat, length: pathLength(closed.path), dartDepths, apart: standApart(closed) };
}
