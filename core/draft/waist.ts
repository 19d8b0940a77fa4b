import {
  along,
  cubicLength,
  distance,
  quarterTurn,
  scale,
  startDirection,
  subtract,
  unit,
  type Path,
  type Point,
} from '../geometry/index.js';
import type { DartPlace } from '../method/index.js';
import type { Dart } from './panel.js';
import type { SideSeam } from './side-seam.js';
import { closedWaist, legsUnder, openWaist, standApart, type FlatDart } from './waist-over.js';

/** What the waist has to meet. Lengths in mm. */
export interface WaistWish {
  readonly centreWaist: Point;
  /** Unit direction of the centre line downward. */
  readonly centreDown: Point;
  /** Level of the side end (y). */
  readonly sideLevel: number;
  readonly waistWidth: number;
  readonly dartCount: number;
  readonly dartIntake: number;
  readonly dartLength: number;
  readonly dartAt: DartPlace | number;
  readonly crease: number;
  /** Half the apex span, where it was measured. */
  readonly halfSpan: number | undefined;
  /** The side seam that belongs to a waist end. */
  readonly sideFor: (waistEnd: Point) => SideSeam;
}

/** The waist as drawn: open for cutting and closed for measuring. */
export interface WaistLine {
  readonly sideWaist: Point;
  readonly side: SideSeam;
  readonly edge: Path;
  readonly sections: readonly Path[];
  readonly closed: Path;
  readonly closedSideUp: Point;
  readonly darts: readonly Dart[];
}

/** Distances from the centre along the slanted waist at which the darts stand. */
function dartStations(wish: WaistWish, end: Point): number[] {
  const { centreWaist: from, dartCount, dartIntake, dartAt, halfSpan } = wish;
  const length = distance(from, end);
  if (dartAt === 'midway' || (dartAt === 'apexSpan' && halfSpan === undefined)) {
    return Array.from({ length: dartCount }, (_, k) => (length * (k + 1)) / (dartCount + 1));
  }
  const toCrease = ((wish.crease - from.x) / (end.x - from.x)) * length;
  const first = typeof dartAt === 'number' ? dartAt : dartAt === 'crease' ? toCrease : (halfSpan ?? length / 2);
  const held = Math.min(Math.max(first, dartIntake * 0.6), length - dartIntake * (0.6 + (dartCount - 1)));
  return Array.from({ length: dartCount }, (_, k) => held + ((length - held) * k) / dartCount);
}

/** The darts on the slanted waist; `legs` are their leg lengths as far as they are known, so that the intake comes out. */
function flatDarts(wish: WaistWish, end: Point, legs: readonly number[]): FlatDart[] {
  if (wish.dartCount === 0 || wish.dartIntake <= 0) return [];
  const e = unit(subtract(end, wish.centreWaist));
  const down = scale(quarterTurn(e), -1);
  return dartStations(wish, end).map((s, k) => ({
    apex: along(along(wish.centreWaist, e, s), down, wish.dartLength),
    up: scale(down, -1),
    angle:
      2 * Math.asin(Math.min(0.9, wish.dartIntake / 2 / (legs[k] ?? Math.hypot(wish.dartLength, wish.dartIntake / 2)))),
  }));
}

/**
 * The waist (handbook 2, sections 5 and 7): laid off from the centre along the slanted waist, one smooth line across
 * the closed darts, square to the centre line and square to the side seam (so that it runs level into the
 * neighbouring panel), settled so that closed it is `waistWidth` long; then reopened, with legs of equal length and
 * the dart mouths peaked. Where it cannot be drawn: 'short' if the width does not reach from the centre to the side
 * level, 'darts' if the darts do not stand side by side within it.
 */
export function drawWaist(wish: WaistWish): WaistLine | 'short' | 'darts' {
  const from = wish.centreWaist;
  const rise = wish.sideLevel - from.y;
  const total = wish.waistWidth + wish.dartCount * wish.dartIntake;
  if (total <= Math.abs(rise) + 1) return 'short';
  let x = from.x - Math.sqrt(total * total - rise * rise);
  let legs: readonly number[] = [];
  for (let round = 0; ; round++) {
    const sideWaist = { x, y: wish.sideLevel };
    const side = wish.sideFor(sideWaist);
    const darts = flatDarts(wish, sideWaist, legs);
    const ends = {
      centreWaist: from,
      centreDown: wish.centreDown,
      sideWaist,
      sideDown: startDirection(side.waistToHip),
    };
    const closed = closedWaist(ends, darts);
    const error = cubicLength(closed.curve) - wish.waistWidth;
    const found = legsUnder(closed, darts);
    const settled = found.every((r, k) => Math.abs(r - (legs[k] ?? 0)) < 1e-4);
    if ((Math.abs(error) > 1e-5 || !settled) && round < 30) {
      x += error;
      legs = found;
      continue;
    }
    if (!(Math.abs(error) < 0.01) || !standApart(closed)) return 'darts';
    return { sideWaist, side, ...openWaist(closed, darts), closed: [closed.curve], closedSideUp: closed.sideUp };
  }
}
