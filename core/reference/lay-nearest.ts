import { outlineOf, type Panel } from '../draft/index.js';
import { add, boxOf, cross, dot, point, scale, subtract, turn, type Path, type Point } from '../geometry/index.js';
import { evenAlong, nearestIn, nearLine, runnerOf, type Near, type NearLine } from './sampling.js';
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

/** A turn about the origin, in radians, and a shift after it. */
export interface Motion {
  readonly angle: number;
  readonly shift: Point;
}

const moved = ({ angle, shift }: Motion, p: Point): Point => add(turn(p, angle), shift);

/**
 * The rigid motion that carries the first of each pair nearest to the second (Kabsch's method in the plane), its turn
 * held or free.
 */
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

/** A line laid on another. */
export interface Laid {
  readonly motion: Motion;
  /** The root of the mean square of the distances, in mm. */
  readonly apart: number;
}

/** The nearest places of a line to points along another, each sought first where its neighbour's was found. */
function nearestAll(line: NearLine, points: readonly Point[]): Near[] {
  let box = 0;
  return points.map((p) => {
    const near = nearestIn(line, p, box);
    box = near.box;
    return near;
  });
}

/**
 * Pairs each point with the nearest on the other line, both ways, so that a short line does not hide within a long one.
 */
function settle(own: NearLine, other: NearLine, start: Motion, rounds: number, held?: number): Laid {
  let motion = start;
  let apart = Infinity;
  for (let round = 0; round < rounds; round++) {
    const there = nearestAll(
      other,
      own.points.map((p) => moved(motion, p)),
    );
    const { angle, shift } = motion;
    const back = nearestAll(
      own,
      other.points.map((q) => turn(subtract(q, shift), -angle)),
    );
    const squares = [...there, ...back].reduce((sum, { distance }) => sum + distance * distance, 0);
    const now = Math.sqrt(squares / (there.length + back.length));
    const settled = apart - now < 1e-4;
    apart = now;
    if (settled) break;
    const pairs = [
      ...there.map(({ at }, k) => [own.points[k] ?? at, at] as const),
      ...back.map(({ at }, k) => [at, other.points[k] ?? at] as const),
    ];
    motion = bestMotion(pairs, held);
  }
  return { motion, apart };
}

/** A line as it is laid: few points to find its place by, many to lay it exactly. */
interface Sampled {
  readonly coarse: NearLine;
  readonly fine: NearLine;
}

function sampled(path: Path): Sampled {
  const run = runnerOf(path);
  return { coarse: nearLine(evenAlong(run, SAMPLES)), fine: nearLine(evenAlong(run, FINE)) };
}

/** A panel's outline, ready for lines to be laid on it. */
export interface LayTarget extends Sampled {
  /** The direction in which it is longest, in radians. */
  readonly along: number;
}

/** A panel as lines are laid on it. */
export function layTarget(panel: Panel): LayTarget {
  const own = sampled(outlineOf(panel));
  return { ...own, along: lengthwise(own.coarse.points) };
}

/** An outline from a file, about its middle and at its scale in mm, as it was drawn and turned over. */
export interface Layable {
  /** The middle of its box, in the file's units. */
  readonly from: Point;
  readonly drawn: Sampled;
  readonly turnedOver: Sampled;
}

/** An outline (file units) ready to be laid. */
export function layable(outline: Path, mmPerUnit: number): Layable {
  const { coarse, fine } = sampled(outline);
  const box = boxOf(coarse.points);
  const from = point((box.minX + box.maxX) / 2, (box.minY + box.maxY) / 2);
  const about = ({ points }: NearLine, hand: 1 | -1): NearLine =>
    nearLine(points.map((p) => point(hand * (p.x - from.x) * mmPerUnit, (p.y - from.y) * mmPerUnit)));
  const both = (hand: 1 | -1): Sampled => ({ coarse: about(coarse, hand), fine: about(fine, hand) });
  return { from, drawn: both(1), turnedOver: both(-1) };
}

/** Where an outline lies nearest as few points tell. */
export interface RoughlyLaid extends Laid {
  readonly mirrored: boolean;
}

/** As many rounds tell which of the starting places are worth following, and as many are followed. */
const TRIAL_ROUNDS = 6;
const FOLLOWED = 3;

/**
 * Where an outline lies nearest to a panel's, turned and turned over as need be: the iterated closest point method of
 * Besl and McKay from eight starting places, the best of them followed to the end.
 */
export function layRoughly(outline: Layable, target: LayTarget): RoughlyLaid {
  return followed(outline, target).reduce((a, b) => (b.apart < a.apart ? b : a));
}

/** The few ways in which an outline may lie on a panel's, followed to the end. */
function followed({ drawn, turnedOver }: Layable, { coarse, along }: LayTarget): RoughlyLaid[] {
  const begun = [drawn, turnedOver].flatMap(({ coarse: own }) => {
    const turned = along - lengthwise(own.points);
    return [0, 0.5, 1, 1.5].map((quarter) => {
      const angle = turned + quarter * Math.PI;
      const start = { angle, shift: subtract(centreOf(coarse.points), turn(centreOf(own.points), angle)) };
      return { own, ...settle(own, coarse, start, TRIAL_ROUNDS) };
    });
  });
  return begun
    .sort((a, b) => a.apart - b.apart)
    .slice(0, FOLLOWED)
    .map(({ own, motion }) => ({ mirrored: own === turnedOver.coarse, ...settle(own, coarse, motion, ROUNDS) }));
}

/** An outline laid exactly from where it roughly lies. */
export function layExactly(outline: Layable, { fine }: LayTarget, rough: RoughlyLaid): Nearest {
  const own = (rough.mirrored ? outline.turnedOver : outline.drawn).fine;
  const free = settle(own, fine, rough.motion, ROUNDS);
  const { motion, apart } = upright(own, fine, free) ?? free;
  const angle = Math.atan2(Math.sin(motion.angle), Math.cos(motion.angle));
  return { place: { from: outline.from, to: motion.shift, turn: angle, mirrored: rough.mirrored }, apart };
}

/** An outline (file units) laid nearest to a panel's, at the given scale. */
export function layNearest(outline: Path, panel: Panel, mmPerUnit: number): Nearest {
  const [own, target] = [layable(outline, mmPerUnit), layTarget(panel)];
  return layExactly(own, target, layRoughly(own, target));
}

/** A turn within this of a quarter, in radians, may be the quarter itself: drawings mostly lie on the grain. */
const NEARLY = (5 * Math.PI) / 180;
/** How much farther apart lines may lie, as a share and in mm, for being on the grain. */
const WORSE = { share: 0.4, mm: 0.4 };

/** The same lay with the drawing's own grain kept upright or level, where that costs little. */
function upright(own: NearLine, other: NearLine, free: Laid): Laid | undefined {
  const quarter = (Math.PI / 2) * Math.round(free.motion.angle / (Math.PI / 2));
  if (Math.abs(free.motion.angle - quarter) > NEARLY) return undefined;
  const middle = centreOf(own.points);
  const start = { angle: quarter, shift: subtract(moved(free.motion, middle), turn(middle, quarter)) };
  const held = settle(own, other, start, ROUNDS, quarter);
  return held.apart <= free.apart * (1 + WORSE.share) + WORSE.mm ? held : undefined;
}

/** The few ways in which an outline (file units) may lie on a panel's at the given scale, the nearest first. */
export function waysToLie(outline: Path, panel: Panel, mmPerUnit: number): Nearest[] {
  const [own, target] = [layable(outline, mmPerUnit), layTarget(panel)];
  return followed(own, target)
    .map((rough) => layExactly(own, target, rough))
    .sort((a, b) => a.apart - b.apart);
}
