import { outlineOf, type Panel } from '../draft/index.js';
import { add, boxOf, cross, dot, point, scale, subtract, turn, type Path, type Point } from '../geometry/index.js';
import { evenPoints, nearestOnLine } from './sampling.js';
import type { ReferencePlace } from './reference.js';

/** A place found, and how far the lines then stand apart: the root of the mean square, in mm. */
export interface Nearest {
  readonly place: ReferencePlace;
  readonly apart: number;
}

const SAMPLES = 90;
const FINE = 240;
const ROUNDS = 40;

const centreOf = (points: readonly Point[]): Point => {
  const sum = points.reduce(add, point(0, 0));
  return scale(sum, 1 / Math.max(1, points.length));
};

/** The direction in which a run of points is longest, in radians. */
function lengthwise(points: readonly Point[]): number {
  const centre = centreOf(points);
  let [xx, xy, yy] = [0, 0, 0];
  for (const p of points) {
    const d = subtract(p, centre);
    xx += d.x * d.x;
    xy += d.x * d.y;
    yy += d.y * d.y;
  }
  return Math.atan2(2 * xy, xx - yy) / 2;
}

interface Motion {
  readonly angle: number;
  readonly shift: Point;
}

const moved = ({ angle, shift }: Motion, p: Point): Point => add(turn(p, angle), shift);

/** The rigid motion that carries the first of each pair nearest to the second (Kabsch's method in the plane), its turn held or free. */
function bestMotion(pairs: readonly (readonly [Point, Point])[], held: number | undefined): Motion {
  const [a, b] = [centreOf(pairs.map(([p]) => p)), centreOf(pairs.map(([, q]) => q))];
  let [sine, cosine] = [0, 0];
  for (const [p, q] of pairs) {
    const [u, v] = [subtract(p, a), subtract(q, b)];
    sine += cross(u, v);
    cosine += dot(u, v);
  }
  const angle = held ?? Math.atan2(sine, cosine);
  return { angle, shift: subtract(b, turn(a, angle)) };
}

interface Laid {
  readonly motion: Motion;
  /** The root of the mean square of the distances, in mm. */
  readonly apart: number;
}

/** Pairs each point with the nearest on the other line, both ways, so that a short line does not hide within a long one. */
function settle(own: readonly Point[], other: readonly Point[], start: Motion, rounds: number, held?: number): Laid {
  let motion = start;
  let apart = Infinity;
  for (let round = 0; round < rounds; round++) {
    const laid = own.map((p) => moved(motion, p));
    const there = laid.map((p, i) => [own[i] ?? p, nearestOnLine(other, p)] as const);
    const { angle, shift } = motion;
    const back = other.map((q) => {
      const hit = nearestOnLine(laid, q);
      return [turn(subtract(hit.at, shift), -angle), q, hit.distance] as const;
    });
    const squares = [...there.map(([, hit]) => hit.distance), ...back.map(([, , d]) => d)];
    const now = Math.sqrt(squares.reduce((sum, d) => sum + d * d, 0) / squares.length);
    const settled = apart - now < 1e-4;
    apart = now;
    if (settled) break;
    motion = bestMotion(
      [...there.map(([p, hit]) => [p, hit.at] as const), ...back.map(([p, q]) => [p, q] as const)],
      held,
    );
  }
  return { motion, apart };
}

/**
 * Lays an outline (file units) so that it and the panel's stand nearest together, turned and turned over as need be, at
 * the given scale: the iterated closest point method of Besl and McKay from eight starting places.
 */
export function layNearest(outline: Path, panel: Panel, mmPerUnit: number): Nearest {
  const box = boxOf(evenPoints(outline, SAMPLES));
  const from = point((box.minX + box.maxX) / 2, (box.minY + box.maxY) / 2);
  const scaled = (count: number, mirrored: boolean): Point[] =>
    evenPoints(outline, count).map((p) => {
      const d = scale(subtract(p, from), mmPerUnit);
      return mirrored ? point(-d.x, d.y) : d;
    });
  const target = (count: number): Point[] => evenPoints(outlineOf(panel), count);
  const [coarse, fine] = [target(SAMPLES), target(FINE)];
  const along = lengthwise(coarse);
  const tries = [false, true].flatMap((mirrored) => {
    const own = scaled(SAMPLES, mirrored);
    const turned = along - lengthwise(own);
    return [0, 0.5, 1, 1.5].map((quarter) => {
      const angle = turned + quarter * Math.PI;
      const start = { angle, shift: subtract(centreOf(coarse), turn(centreOf(own), angle)) };
      return { mirrored, ...settle(own, coarse, start, ROUNDS) };
    });
  });
  const best = tries.reduce((a, b) => (b.apart < a.apart ? b : a));
  const own = scaled(FINE, best.mirrored);
  const free = settle(own, fine, best.motion, ROUNDS);
  const straight = upright(own, fine, free);
  const { motion, apart } = straight ?? free;
  const angle = Math.atan2(Math.sin(motion.angle), Math.cos(motion.angle));
  return { place: { from, to: motion.shift, turn: angle, mirrored: best.mirrored }, apart };
}

/** A turn within this of a quarter, in radians, may be the quarter itself: drawings mostly lie on the grain. */
const NEARLY = (5 * Math.PI) / 180;
/** How much farther apart lines may lie, as a share and in mm, for being on the grain. */
const WORSE = { share: 0.4, mm: 0.4 };

/** The same lay with the drawing's own grain kept upright or level, where that costs little. */
function upright(own: readonly Point[], other: readonly Point[], free: Laid): Laid | undefined {
  const quarter = (Math.PI / 2) * Math.round(free.motion.angle / (Math.PI / 2));
  if (Math.abs(free.motion.angle - quarter) > NEARLY) return undefined;
  const start = { angle: quarter, shift: subtract(moved(free.motion, centreOf(own)), turn(centreOf(own), quarter)) };
  const held = settle(own, other, start, ROUNDS, quarter);
  return held.apart <= free.apart * (1 + WORSE.share) + WORSE.mm ? held : undefined;
}
