import {
  along,
  cross,
  cubic,
  cubicLength,
  directionAt,
  distance,
  line,
  mapPath,
  meetLines,
  mirror,
  partOf,
  pointAt,
  quarterTurn,
  scale,
  startDirection,
  subtract,
  turn,
  unit,
  velocityAt,
  type Cubic,
  type Path,
  type Point,
} from '../geometry/index.js';
import type { DartPlace } from '../method/index.js';
import type { Dart } from './panel.js';
import type { SideSeam } from './side-seam.js';

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

interface FlatDart {
  readonly apex: Point;
  readonly along: number;
  /** Angle between the legs, radians. */
  readonly angle: number;
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
    along: s,
    apex: along(along(wish.centreWaist, e, s), down, wish.dartLength),
    angle:
      2 * Math.asin(Math.min(0.9, wish.dartIntake / 2 / (legs[k] ?? Math.hypot(wish.dartLength, wish.dartIntake / 2)))),
  }));
}

/** Carries a point sideward of the first `count` darts to where it lies once those are closed. */
function close(p: Point, darts: readonly FlatDart[], count: number): Point {
  let q = p;
  for (let i = count - 1; i >= 0; i--) {
    const d = darts[i];
    if (d) q = turn(q, d.angle, d.apex);
  }
  return q;
}

/** The reverse of `close`. */
function open(p: Point, darts: readonly FlatDart[], count: number): Point {
  let q = p;
  for (let i = 0; i < count; i++) {
    const d = darts[i];
    if (d) q = turn(q, -d.angle, d.apex);
  }
  return q;
}

/** The parameter at which a curve crosses the line from `from` through `through` (Newton's method, kept in 0..1). */
function crossingParameter(c: Cubic, from: Point, through: Point): number {
  const ray = subtract(through, from);
  let t = 0.5;
  for (let i = 0; i < 12; i++) {
    const step = cross(ray, subtract(pointAt(c, t), from)) / cross(ray, velocityAt(c, t));
    t = Math.min(1, Math.max(0, t - step));
    if (Math.abs(step) < 1e-12) break;
  }
  return t;
}

/** The tip between the legs: the waist on the centre's side, folded back over the leg, meets the dart's fold there. */
function peakOf(apex: Point, centreLeg: Point, sideLeg: Point, waistward: Point): Point {
  const legUp = unit(subtract(centreLeg, apex));
  const folded = subtract(mirror(along(centreLeg, waistward, 1), centreLeg, legUp), centreLeg);
  const foldUp = unit(subtract(scale({ x: centreLeg.x + sideLeg.x, y: centreLeg.y + sideLeg.y }, 0.5), apex));
  const meeting = meetLines(apex, foldUp, centreLeg, folded);
  return meeting?.at ?? along(apex, foldUp, distance(apex, centreLeg));
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
    const n = darts.length;
    const down = startDirection(side.waistToHip);
    const closedEnd = close(sideWaist, darts, n);
    const closedDown = subtract(close(along(sideWaist, down, 1), darts, n), closedEnd);
    const reach = distance(from, closedEnd) / 3;
    const leave = quarterTurn(wish.centreDown);
    const arrive = quarterTurn(closedDown);
    const curve = cubic(from, along(from, leave, reach), along(closedEnd, arrive, -reach), closedEnd);
    const error = cubicLength(curve) - wish.waistWidth;
    const cuts = dartCuts(wish, sideWaist, darts, curve);
    const found = cuts.map((t, k) => distance(close(darts[k]?.apex ?? from, darts, k), pointAt(curve, t)));
    const settled = found.every((r, k) => Math.abs(r - (legs[k] ?? 0)) < 1e-4);
    if ((Math.abs(error) > 1e-5 || !settled) && round < 30) {
      x += error;
      legs = found;
      continue;
    }
    const bounds = [0, ...cuts, 1];
    if (!(Math.abs(error) < 0.01) || bounds.some((t, k) => k > 0 && t - (bounds[k - 1] ?? 0) < 0.01)) return 'darts';
    return reopen(wish, { sideWaist, side, darts, curve, cuts, closedSideUp: scale(closedDown, -1) });
  }
}

/** The parameters at which the closed waist crosses the closed darts. */
function dartCuts(wish: WaistWish, sideWaist: Point, darts: readonly FlatDart[], curve: Cubic): number[] {
  const across = unit(subtract(wish.centreWaist, sideWaist));
  return darts.map((d, k) => {
    // Closed, both legs lie on the centre leg: half the dart's angle toward the centre from its middle line.
    const middle = along(d.apex, quarterTurn(across), -wish.dartLength);
    return crossingParameter(curve, close(d.apex, darts, k), close(turn(middle, d.angle / 2, d.apex), darts, k));
  });
}

function reopen(
  wish: WaistWish,
  drawn: {
    readonly sideWaist: Point;
    readonly side: SideSeam;
    readonly darts: readonly FlatDart[];
    readonly curve: Cubic;
    readonly cuts: readonly number[];
    readonly closedSideUp: Point;
  },
): WaistLine {
  const { darts, curve, cuts } = drawn;
  const bounds = [0, ...cuts, 1];
  const sections = bounds.slice(0, -1).map((t, k): Path => {
    return mapPath([partOf(curve, t, bounds[k + 1] ?? 1)], (p) => open(p, darts, k));
  });
  const openDarts = darts.map((d, k): Dart => {
    const at = pointAt(curve, cuts[k] ?? 0);
    const centreLeg = open(at, darts, k);
    const sideLeg = open(at, darts, k + 1);
    const before = sections[k]?.[0];
    const toCentre = before ? scale(directionAt(before, 1), -1) : unit(subtract(wish.centreWaist, centreLeg));
    return {
      apex: d.apex,
      centreLeg,
      sideLeg,
      peak: peakOf(d.apex, centreLeg, sideLeg, toCentre),
      intake: distance(centreLeg, sideLeg),
      length: distance(d.apex, centreLeg),
    };
  });
  const edge = sections.flatMap((section, k): Path => {
    const d = openDarts[k];
    return d ? [...section, line(d.centreLeg, d.peak), line(d.peak, d.sideLeg)] : section;
  });
  return {
    sideWaist: drawn.sideWaist,
    side: drawn.side,
    edge,
    sections,
    closed: [curve],
    closedSideUp: drawn.closedSideUp,
    darts: openDarts,
  };
}
