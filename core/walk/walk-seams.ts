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

/** A place at which two seams are compared: how far along each it lies, in mm, and by how much the first is longer. */
export interface WalkMark {
  readonly label: string;
  readonly first: number;
  readonly second: number;
  /** First less second, since the mark before: what has to be eased or stretched on this stretch. */
  readonly difference: number;
}

/** Two seams walked along one another from a common start. Lengths in mm, part coordinates. */
export interface SeamWalk {
  /** The name of the seam that is walked. */
  readonly id: string;
  readonly first: Path;
  readonly second: Path;
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

/** A mark on both seams by its length along each. */
interface Joint {
  readonly label: string;
  readonly first: number;
  readonly second: number;
}

function marksOf(joints: readonly Joint[]): WalkMark[] {
  return joints.map((joint, i) => {
    const before = joints[i - 1] ?? { first: 0, second: 0 };
    return { ...joint, difference: joint.first - before.first - (joint.second - before.second) };
  });
}

/**
 * Walks a seam of a garment from where its sewing starts (docs/trade/truing.md), with the difference at every notch and
 * at its end.
 */
export function walkSeam(garment: Garment, id: string): SeamWalk {
  const { first, second, matches, end } = seamOf(garment, id);
  const joints = matches.map((m) => ({
    label: m.label,
    first: lengthAlong(garment, first, m.first),
    second: lengthAlong(garment, second, m.second),
  }));
  return walkPaths(id, stretchPath(garment, first), stretchPath(garment, second), joints, end);
}

/** Two paths walked along one another, with marks at the given lengths of each and at their `end`. */
export const walkPaths = (
  id: string,
  first: Path,
  second: Path,
  joints: readonly Joint[] = [],
  end = 'end',
): SeamWalk => ({
  id,
  first,
  second,
  marks: marksOf([...joints, { label: end, first: pathLength(first), second: pathLength(second) }]),
});

/**
 * How the second piece lies when it has been walked `length` mm along the first: turned over, its seam on the first's,
 * both places together and both seams running the same way.
 */
export function poseAt({ first, second }: Pick<SeamWalk, 'first' | 'second'>, length: number): Pose {
  const [p, q] = [placeAtLength(first, length), placeAtLength(second, length)];
  const [u, v] = [directionAtPlace(first, p), directionAtPlace(second, q)];
  // Turned over in a line along u, after v has been laid onto u: a reflection that carries v to u.
  const a = u.x * v.x - u.y * v.y;
  const b = u.x * v.y + u.y * v.x;
  return {
    a,
    b,
    c: b,
    d: -a,
    e: p.at.x - (a * q.at.x + b * q.at.y),
    f: p.at.y - (b * q.at.x - a * q.at.y),
  };
}

/** The waist of a panel with its darts closed, laid at its side end as it is sewn there. Panel coordinates, mm. */
export function closedWaistAtSide({ closedWaist, closedSideUp, edges: { side }, points }: Panel): Path {
  const up = scale(startDirection(side), -1);
  const angle = Math.sign(cross(closedSideUp, up)) * angleBetween(closedSideUp, up);
  const end = endOf(closedWaist);
  return mapPath(closedWaist, (p) => add(turn(subtract(p, end), angle), points.sideWaist));
}
