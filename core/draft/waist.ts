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

function flatDarts(wish: WaistWish, end: Point): FlatDart[] {
  if (wish.dartCount === 0 || wish.dartIntake <= 0) return [];
  const e = unit(subtract(end, wish.centreWaist));
  const down = scale(quarterTurn(e), -1);
  return dartStations(wish, end).map((s) => ({
    along: s,
    apex: along(along(wish.centreWaist, e, s), down, wish.dartLength),
    angle: 2 * Math.atan(wish.dartIntake / 2 / wish.dartLength),
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

/** The parameter at which a curve crosses the ray from `from` through `through`, by bisection. */
function crossingParameter(c: Cubic, from: Point, through: Point): number {
  const ray = subtract(through, from);
  const off = (t: number): number => cross(ray, subtract(pointAt(c, t), from));
  let low = 0;
  let high = 1;
  const sign = off(0) > 0 ? 1 : -1;
  for (let i = 0; i < 50; i++) {
    const middle = (low + high) / 2;
    if (off(middle) * sign > 0) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
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
 * the dart mouths peaked. Nothing where the width does not reach from the centre to the side level.
 */
export function drawWaist(wish: WaistWish): WaistLine | undefined {
  const from = wish.centreWaist;
  const rise = wish.sideLevel - from.y;
  const total = wish.waistWidth + wish.dartCount * wish.dartIntake;
  if (total <= Math.abs(rise) + 1) return undefined;
  let x = from.x - Math.sqrt(total * total - rise * rise);
  for (let round = 0; ; round++) {
    const sideWaist = { x, y: wish.sideLevel };
    const side = wish.sideFor(sideWaist);
    const darts = flatDarts(wish, sideWaist);
    const n = darts.length;
    const down = startDirection(side.waistToHip);
    const closedEnd = close(sideWaist, darts, n);
    const closedDown = subtract(close(along(sideWaist, down, 1), darts, n), closedEnd);
    const reach = distance(from, closedEnd) / 3;
    const leave = quarterTurn(wish.centreDown);
    const arrive = quarterTurn(closedDown);
    const curve = cubic(from, along(from, leave, reach), along(closedEnd, arrive, -reach), closedEnd);
    const error = cubicLength(curve) - wish.waistWidth;
    if (Math.abs(error) > 1e-5 && round < 30) {
      x += error;
      continue;
    }
    return reopen(wish, { sideWaist, side, darts, curve, closedSideUp: scale(closedDown, -1) });
  }
}

function reopen(
  wish: WaistWish,
  drawn: {
    readonly sideWaist: Point;
    readonly side: SideSeam;
    readonly darts: readonly FlatDart[];
    readonly curve: Cubic;
    readonly closedSideUp: Point;
  },
): WaistLine {
  const { darts, curve } = drawn;
  const cuts = darts.map((d, k) => {
    const apex = close(d.apex, darts, k);
    // Closed, both legs lie on the centre leg: half the dart's angle toward the centre from its middle line.
    const up = subtract(wish.centreWaist, drawn.sideWaist);
    const middle = along(d.apex, quarterTurn(unit(up)), -wish.dartLength);
    const through = close(turn(middle, d.angle / 2, d.apex), darts, k);
    return crossingParameter(curve, apex, through);
  });
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
