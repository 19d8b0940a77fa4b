import {
  along,
  cross,
  cubic,
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
  subtract,
  turn,
  unit,
  velocityAt,
  type Cubic,
  type Path,
  type Point,
} from '../geometry/index.js';
import type { Dart } from './panel.js';

/** A dart before the waist is laid over it. */
export interface FlatDart {
  readonly apex: Point;
  /** Unit direction of its middle line, apex to waist. */
  readonly up: Point;
  /** Angle between the legs, radians. */
  readonly angle: number;
}

/** What a waist line runs between: its ends, and the directions down the seams that it is square to. */
export interface WaistEnds {
  readonly centreWaist: Point;
  readonly centreDown: Point;
  readonly sideWaist: Point;
  readonly sideDown: Point;
}

/** The waist over closed darts, and where the darts cut it. */
export interface ClosedWaist {
  readonly curve: Cubic;
  /** The parameter of the curve at each dart, from the centre. */
  readonly cuts: readonly number[];
  /** Direction of the side seam upward once the darts are closed. */
  readonly sideUp: Point;
}

/** The waist opened again for cutting. */
export interface OpenWaist {
  readonly edge: Path;
  readonly sections: readonly Path[];
  readonly darts: readonly Dart[];
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
 * One smooth waist line over the closed darts (handbook 2, section 7), square to the centre line and to the side seam,
 * so that it runs level into the neighbouring panel.
 */
export function closedWaist(ends: WaistEnds, darts: readonly FlatDart[]): ClosedWaist {
  const { centreWaist: from, sideWaist } = ends;
  const n = darts.length;
  const closedEnd = close(sideWaist, darts, n);
  const closedDown = subtract(close(along(sideWaist, ends.sideDown, 1), darts, n), closedEnd);
  const reach = distance(from, closedEnd) / 3;
  const curve = cubic(
    from,
    along(from, quarterTurn(ends.centreDown), reach),
    along(closedEnd, quarterTurn(closedDown), -reach),
    closedEnd,
  );
  // Closed, both legs lie on the centre leg: half the dart's angle toward the centre from its middle line.
  const cuts = darts.map((d, k) =>
    crossingParameter(
      curve,
      close(d.apex, darts, k),
      close(turn(along(d.apex, d.up, 100), d.angle / 2, d.apex), darts, k),
    ),
  );
  return { curve, cuts, sideUp: scale(closedDown, -1) };
}

/** The length of each dart's legs under a closed waist, in mm. */
export const legsUnder = ({ curve, cuts }: ClosedWaist, darts: readonly FlatDart[]): number[] =>
  cuts.map((t, k) => distance(close(darts[k]?.apex ?? curve.p0, darts, k), pointAt(curve, t)));

/** True where the darts stand side by side within the waist, none at its very ends. */
export const standApart = ({ cuts }: ClosedWaist): boolean =>
  [...cuts, 1].every((t, k) => t - (k === 0 ? 0 : (cuts[k - 1] ?? 0)) >= 0.01);

/** Opens a closed waist again: sections between the darts, legs of equal length, the mouths peaked. */
export function openWaist({ curve, cuts }: ClosedWaist, flat: readonly FlatDart[]): OpenWaist {
  const bounds = [0, ...cuts, 1];
  const sections = bounds.slice(0, -1).map((t, k): Path => {
    return mapPath([partOf(curve, t, bounds[k + 1] ?? 1)], (p) => open(p, flat, k));
  });
  const darts = flat.map((d, k): Dart => {
    const at = pointAt(curve, cuts[k] ?? 0);
    const centreLeg = open(at, flat, k);
    const sideLeg = open(at, flat, k + 1);
    const before = sections[k]?.[0];
    const toCentre = before ? scale(directionAt(before, 1), -1) : unit(subtract(curve.p0, centreLeg));
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
    const d = darts[k];
    return d ? [...section, line(d.centreLeg, d.peak), line(d.peak, d.sideLeg)] : section;
  });
  return { edge, sections, darts };
}
