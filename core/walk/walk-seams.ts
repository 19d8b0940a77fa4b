import type { Block, Panel } from '../draft/index.js';
import {
  add,
  angleBetween,
  cross,
  directionAtPlace,
  endDirection,
  endOf,
  mapPath,
  pathLength,
  placeAtLength,
  point,
  reversePath,
  scale,
  startDirection,
  subtract,
  turn,
  type Path,
  type Point,
} from '../geometry/index.js';
import { crotchJoin } from './joins.js';

/** The seams that are walked. */
export const WALKS = ['inseam', 'side', 'rise', 'waist'] as const;

/** The name of a walk. */
export type WalkId = (typeof WALKS)[number];

/** A place at which two seams are compared: how far along each it lies, in mm, and by how much the front is longer. */
export interface WalkMark {
  readonly label: string;
  readonly front: number;
  readonly back: number;
  /** Front less back, since the mark before: what has to be eased or stretched on this stretch. */
  readonly difference: number;
}

/** Two seams walked along one another from a common start. Lengths in mm, panel coordinates. */
export interface SeamWalk {
  readonly id: WalkId;
  readonly front: Path;
  readonly back: Path;
  readonly marks: readonly WalkMark[];
  /** Degrees by which the two do not run straight on into one another where they join; for walks over a joint. */
  readonly angle: number | undefined;
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
  readonly front: number;
  readonly back: number;
}

function marksOf(joints: readonly Joint[]): WalkMark[] {
  return joints.map((joint, i) => {
    const before = joints[i - 1] ?? { front: 0, back: 0 };
    return { ...joint, difference: joint.front - before.front - (joint.back - before.back) };
  });
}

/** Both panels' joints of a seam as marks. `lengthsOf` gives the lengths from the start of the walk to each joint. */
function pairedMarks(
  block: Block,
  labels: readonly string[],
  lengthsOf: (panel: Panel) => readonly number[],
): WalkMark[] {
  const [front, back] = [lengthsOf(block.front), lengthsOf(block.back)];
  return marksOf(
    labels.flatMap((label, i) => {
      const [f, b] = [front[i], back[i]];
      return f === undefined || b === undefined ? [] : [{ label, front: f, back: b }];
    }),
  );
}

const lengthTo = (path: Path, count: number): number => pathLength(path.slice(0, count));

function inseamWalk(block: Block): SeamWalk {
  const down = (panel: Panel): Path => reversePath(panel.edges.inseam);
  const knee = block.front.kneeOnPiece && block.back.kneeOnPiece;
  const marks = pairedMarks(block, knee ? ['knee', 'hem'] : ['hem'], (panel) => {
    const path = down(panel);
    const whole = pathLength(path);
    return knee ? [lengthTo(path, path.length - panel.joints.inseamKnee), whole] : [whole];
  });
  return { id: 'inseam', front: down(block.front), back: down(block.back), marks, angle: undefined };
}

function sideWalk(block: Block): SeamWalk {
  const knee = block.front.kneeOnPiece && block.back.kneeOnPiece;
  const marks = pairedMarks(block, knee ? ['hip', 'knee', 'hem'] : ['hip', 'hem'], (panel) => {
    const { side } = panel.edges;
    const { sideHip, sideKnee } = panel.joints;
    const whole = pathLength(side);
    return knee ? [lengthTo(side, sideHip), lengthTo(side, sideKnee), whole] : [lengthTo(side, sideHip), whole];
  });
  return { id: 'side', front: block.front.edges.side, back: block.back.edges.side, marks, angle: undefined };
}

/**
 * Walks the seams that are sewn together (docs/trade/truing.md): the inseam from the crotch, the side from the waist,
 * each with the difference at every notch; the rises laid together at the inseam, and the waists, darts closed, at the
 * side, with the angle by which they do not run on.
 */
export function walkSeam(block: Block, id: WalkId): SeamWalk {
  switch (id) {
    case 'inseam':
      return inseamWalk(block);
    case 'side':
      return sideWalk(block);
    case 'rise':
      return { ...inseamWalk(block), id, marks: [], angle: crotchJoin(block) };
    case 'waist': {
      const across = (panel: Panel): number => {
        const [w, s] = [endDirection(panel.closedWaist), panel.closedSideUp];
        return (Math.atan2(w.x * s.y - w.y * s.x, w.x * s.x + w.y * s.y) * 180) / Math.PI;
      };
      const angle = Math.abs(across(block.front)) + Math.abs(across(block.back)) - 180;
      return { ...sideWalk(block), id, marks: [], angle };
    }
  }
}

/** Two paths walked along one another, with marks at the given lengths of each. */
export const walkPaths = (first: Path, second: Path, joints: readonly Joint[] = []): SeamWalk => ({
  id: 'side',
  front: first,
  back: second,
  marks: marksOf([...joints, { label: 'end', front: pathLength(first), back: pathLength(second) }]),
  angle: undefined,
});

/**
 * How the second piece lies when it has been walked `length` mm along the first: turned over, its seam on the first's,
 * both places together and both seams running the same way.
 */
export function poseAt({ front, back }: Pick<SeamWalk, 'front' | 'back'>, length: number): Pose {
  const [p, q] = [placeAtLength(front, length), placeAtLength(back, length)];
  const [u, v] = [directionAtPlace(front, p), directionAtPlace(back, q)];
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
