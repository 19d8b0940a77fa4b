import type { Panel } from '../draft/index.js';
import { lengthAlong, seamOf, stretchPath, type Garment } from '../garment/index.js';
import {
  add,
  angleBetween,
  cross,
  directionAtPlace,
  endOf,
  mapPath,
  pathLength,
  placeAtLength,
  point,
  scale,
  startDirection,
  subtract,
  turn,
  type Path,
  type Point,
} from '../geometry/index.js';

/** A place on both seams by its name and how far along each it lies from where sewing starts, in mm. */
export interface WalkStop {
  readonly label: string;
  readonly first: number;
  readonly second: number;
}

/** A stop at which two seams are compared. */
export interface WalkMark extends WalkStop {
  /**
   * First less second, since the stop before it on the way from where the walk began: what is eased or stretched there.
   */
  readonly difference: number;
}

/** Two seams walked along one another from a common start. Lengths in mm, part coordinates. */
export interface SeamWalk {
  /** The name of the seam that is walked. */
  readonly id: string;
  readonly first: Path;
  readonly second: Path;
  /** True where the second piece is turned over to be walked; false where it lies beside the first as it is. */
  readonly turnedOver: boolean;
  /** Every place at which the walk may be begun, in the order of the seam: both ends and the notches. */
  readonly stops: readonly WalkStop[];
  /** Where both seams lie together. */
  readonly from: WalkStop;
  /** Every other stop, with the difference since the stop before it on the way from there. */
  readonly marks: readonly WalkMark[];
}

/** A rigid motion with a turn-over: (x, y) goes to (a·x + c·y + e, b·x + d·y + f). */
export interface Pose {
  readonly a: number;
  readonly b: number;
  readonly c: number;
  readonly d: number;
  readonly e: number;
  readonly f: number;
}

/** Where a pose carries a point. */
export const posed = ({ a, b, c, d, e, f }: Pose, p: Point): Point =>
  point(a * p.x + c * p.y + e, b * p.x + d * p.y + f);

/** The stops but the one from which is walked, each with the difference since its neighbour on the way from there. */
function marksOf(stops: readonly WalkStop[], from: WalkStop): WalkMark[] {
  const at = stops.indexOf(from);
  return stops.flatMap((stop, i): WalkMark[] => {
    const before = stops[i < at ? i + 1 : i - 1];
    if (i === at || !before) return [];
    const difference = Math.abs(stop.first - before.first) - Math.abs(stop.second - before.second);
    return [{ ...stop, difference }];
  });
}

/**
 * The same seams walked from another of their stops, both ways (docs/trade/truing.md); from the first where none is so
 * named.
 */
export function walkFrom(walk: SeamWalk, label: string | undefined): SeamWalk {
  const from = walk.stops.find((s) => s.label === label) ?? walk.stops[0];
  return !from || from === walk.from ? walk : { ...walk, from, marks: marksOf(walk.stops, from) };
}

/**
 * Walks a seam of a garment from where its sewing starts (docs/trade/truing.md), with the difference at every notch and
 * at its end.
 */
export function walkSeam(garment: Garment, id: string): SeamWalk {
  const { first, second, matches, start, end } = seamOf(garment, id);
  const [here, there] = [stretchPath(garment, first), stretchPath(garment, second)];
  const [whole, other] = [pathLength(here), pathLength(there)];
  const joints = matches
    .map((m) => ({
      label: m.label,
      first: lengthAlong(garment, first, m.first),
      second: lengthAlong(garment, second, m.second),
    }))
    // What lies at an end is that end.
    .filter((j) => Math.max(j.first, j.second) > AT_END && Math.max(whole - j.first, other - j.second) > AT_END);
  // Where both run the same way round their pieces, one has to be turned over for the other to lie beside it.
  const turnedOver = first.backward === second.backward;
  return { ...walkPaths(id, here, there, joints, [start, end]), turnedOver };
}

/** A notch this near to the end of a seam on both its sides, in mm, is that end. */
const AT_END = 0.5;

/** The same walk with the other piece standing still: the first is walked along the second. */
export function walkedRound(walk: SeamWalk): SeamWalk {
  const stops = walk.stops.map(({ label, first, second }) => ({ label, first: second, second: first }));
  const from = stops[walk.stops.indexOf(walk.from)] ?? walk.from;
  return { ...walk, first: walk.second, second: walk.first, stops, from, marks: marksOf(stops, from) };
}

/** Two paths walked along one another from their start, with stops at the given lengths of each and at their ends. */
export function walkPaths(
  id: string,
  first: Path,
  second: Path,
  joints: readonly WalkStop[] = [],
  [start, end]: readonly [string, string] = ['start', 'end'],
): SeamWalk {
  const from = { label: start, first: 0, second: 0 };
  const stops = [from, ...joints, { label: end, first: pathLength(first), second: pathLength(second) }];
  return { id, first, second, turnedOver: true, stops, from, marks: marksOf(stops, from) };
}

/**
 * How the second piece lies when the walk has come to the place `length` mm along the first: turned over where it has
 * to be, its seam on the first's, both places together and both seams running the same way. Both lie as far from where
 * the walk began.
 */
export function poseAt(
  { first, second, from, turnedOver }: Pick<SeamWalk, 'first' | 'second' | 'from' | 'turnedOver'>,
  length: number,
): Pose {
  const [p, q] = [placeAtLength(first, length), placeAtLength(second, length - from.first + from.second)];
  const [u, v] = [directionAtPlace(first, p), directionAtPlace(second, q)];
  // A turn that carries v to u; or the same turned over in a line along u, a reflection.
  const over = turnedOver ? -1 : 1;
  const a = u.x * v.x + over * u.y * v.y;
  const b = u.y * v.x - over * u.x * v.y;
  const [c, d] = [over * -b, over * a];
  return { a, b, c, d, e: p.at.x - (a * q.at.x + c * q.at.y), f: p.at.y - (b * q.at.x + d * q.at.y) };
}

/** The waist of a panel with its darts closed, laid at its side end as it is sewn there. Panel coordinates, mm. */
export function closedWaistAtSide({ closedWaist, closedSideUp, edges: { side }, points }: Panel): Path {
  const up = scale(startDirection(side), -1);
  const angle = Math.sign(cross(closedSideUp, up)) * angleBetween(closedSideUp, up);
  const end = endOf(closedWaist);
  return mapPath(closedWaist, (p) => add(turn(subtract(p, end), angle), points.sideWaist));
}
