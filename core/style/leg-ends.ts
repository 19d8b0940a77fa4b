import type { Block, Panel } from '../draft/index.js';
import {
  along,
  crossLine,
  cubic,
  distance,
  endDirection,
  endOf,
  line,
  pathLength,
  placeAtLength,
  point,
  reversePath,
  splitPath,
  startDirection,
  startOf,
  subtract,
  unit,
  type Path,
  type PathPlace,
  type Point,
} from '../geometry/index.js';

/** The bend with which a leg leaves its old line reaches so far to either side of its corner, in mm. */
export const BEND = 40;

/** Where a seam passes a level, the lowest such place for one that runs down; nothing where it does not reach it. */
export function placeAtLevel(path: Path, y: number): PathPlace | undefined {
  const hit = crossLine(path, point(0, y), point(1, 0)).at(-1);
  return hit && { index: hit.index, t: hit.t };
}

/** A seam cut in two at a level, `path` run downward. A level above its start cuts off nothing. */
export function cutAtLevel(path: Path, y: number): readonly [Path, Path] | undefined {
  if (y <= startOf(path).y + 1e-6) return [[], path];
  const place = placeAtLevel(path, y);
  return place && splitPath(path, place);
}

/** A straight line to `to` that leaves `from` in the direction `d` and bends once, softly. */
function straightTo(from: Point, d: Point, to: Point): Path {
  const bend = Math.min(BEND, distance(from, to) / 6);
  const corner = along(from, d, bend);
  const u = unit(subtract(to, corner));
  const joint = along(corner, u, bend);
  const handle = bend * 0.6;
  return [cubic(from, along(from, d, handle), along(joint, u, -handle), joint), line(joint, to)];
}

/** A fair run from `from` in the direction `d` through `via`, from there straight to `to`. */
function fairTo(from: Point, d: Point, via: Point, to: Point): Path {
  const u = unit(subtract(to, via));
  const third = distance(from, via) / 3;
  return [cubic(from, along(from, d, third), along(via, u, -third), via), line(via, to)];
}

/** Where the two seams of a leg are to end, and the knee they pass through on the way, if that is set. */
export interface LegEnds {
  readonly side: Point;
  readonly inseam: Point;
  readonly knee?: { readonly side: Point; readonly inseam: Point };
}

/** The place on a path's end part where a level cuts it, as a joint between two curves. */
function jointed(path: Path, y: number): { path: Path; joint: number } {
  const place = placeAtLevel(path, y);
  if (!place) return { path, joint: path.length };
  const [head, tail] = splitPath(path, place);
  return { path: [...head, ...tail], joint: head.length };
}

/**
 * A panel whose leg is drawn anew below a level: from there straight, or through given knee points, to new ends of the
 * hem. Nothing above the level is touched. Nothing where a seam does not reach it.
 */
export function legFrom(panel: Panel, level: number, ends: LegEnds): Panel | undefined {
  const { edges, levels } = panel;
  const redrawn = (down: Path, to: Point, knee: Point | undefined): Path | undefined => {
    const cut = cutAtLevel(down, level);
    if (!cut) return undefined;
    const [above, below] = cut;
    const from = above.length > 0 ? endOf(above) : startOf(below);
    const d = above.length > 0 ? endDirection(above) : startDirection(below);
    return [...above, ...(knee ? fairTo(from, d, knee, to) : straightTo(from, d, to))];
  };
  const side = redrawn(edges.side, ends.side, ends.knee?.side);
  const inseam = redrawn(reversePath(edges.inseam), ends.inseam, ends.knee?.inseam);
  if (!side || !inseam) return undefined;
  return withLeg(panel, side, inseam, [line(ends.side, ends.inseam)], levels.hemLevel);
}

/** A panel with other seams below the crotch line, the inseam run downward, and its hem at another level. */
export function withLeg(panel: Panel, side: Path, inseamDown: Path, hem: Path, hemLevel: number): Panel {
  const { levels, joints, points } = panel;
  const knee = hemLevel > levels.kneeLevel + 1;
  const jointSide = knee ? jointed(side, levels.kneeLevel) : { path: side, joint: side.length };
  const jointIn = knee ? jointed(inseamDown, levels.kneeLevel) : { path: inseamDown, joint: inseamDown.length };
  const inseam = reversePath(jointIn.path);
  const sideHem = endOf(side);
  const inseamHem = endOf(inseamDown);
  const at = ({ path, joint }: { path: Path; joint: number }): Point =>
    joint < path.length ? startOf(path.slice(joint)) : endOf(path);
  return {
    ...panel,
    levels: { ...levels, hemLevel },
    edges: { ...panel.edges, side: jointSide.path, hem, inseam },
    joints: {
      ...joints,
      sideCrotch: Math.min(joints.sideCrotch, jointSide.path.length),
      sideKnee: jointSide.joint,
      inseamKnee: inseam.length - jointIn.joint,
    },
    points: { ...points, sideHem, inseamHem, sideKnee: at(jointSide), inseamKnee: at(jointIn) },
    kneeOnPiece: knee,
  };
}

/** A path without its last stretch, in mm along it; `path` itself where nothing is taken off. */
const without = (path: Path, length: number): Path =>
  length <= 1e-6 ? path : splitPath(path, placeAtLength(path, pathLength(path) - length))[0];

/**
 * Both panels with their legs cut off at a level of the front, the inseam `inseamDown` mm lower; the back loses as much
 * along each seam as the front, so that what was sewn together still is. Nothing where so much is not there.
 */
export function cutOff(block: Block, level: number, inseamDown = 0): Block | undefined {
  const { front, back } = block;
  const down = reversePath(front.edges.inseam);
  const side = cutAtLevel(front.edges.side, level)?.[0];
  const inseam = cutAtLevel(down, level + inseamDown)?.[0];
  const sideOff = side ? pathLength(front.edges.side) - pathLength(side) : 0;
  const inseamOff = inseam ? pathLength(down) - pathLength(inseam) : endOf(down).y - (level + inseamDown);
  const cut = (panel: Panel): Panel | undefined => {
    const [a, b] = [panel.edges.side, reversePath(panel.edges.inseam)];
    if (sideOff > pathLength(a) - 5 || inseamOff > pathLength(b) - 5) return undefined;
    const sideLeft = without(a, sideOff);
    const end = endOf(b);
    const d = endDirection(b);
    const inseamLeft =
      inseamOff < -1e-6 ? [...b, line(end, along(end, d, -inseamOff / Math.max(0.2, d.y)))] : without(b, inseamOff);
    return withLeg(panel, sideLeft, inseamLeft, [line(endOf(sideLeft), endOf(inseamLeft))], level);
  };
  const [one, two] = [cut(front), cut(back)];
  return one && two && { levels: { ...block.levels, hemLevel: level }, front: one, back: two };
}

/** A path carried on straight by a length, or shorter by it where it is negative; mm. */
function longerBy(path: Path, length: number): Path {
  if (length < 1e-6) return without(path, -length);
  const end = endOf(path);
  return [...path, line(end, along(end, endDirection(path), length))];
}

/**
 * A block with the back's seams ended so that side and inseam walk along the front's as they did before the legs were
 * drawn anew: two legs of other slopes are not as long to the same level.
 */
export function walkedLegs(block: Block, before: Block): Block {
  const lacks = (of: 'side' | 'inseam'): number => {
    const long = (b: Block, panel: 'front' | 'back'): number => pathLength(b[panel].edges[of]);
    return long(block, 'front') - long(block, 'back') - (long(before, 'front') - long(before, 'back'));
  };
  const [side, inseam] = [lacks('side'), lacks('inseam')];
  const { back } = block;
  const sideEnd = longerBy(back.edges.side, side);
  const inseamEnd = longerBy(reversePath(back.edges.inseam), inseam);
  const hem = [line(endOf(sideEnd), endOf(inseamEnd))];
  const ended = withLeg(back, sideEnd, inseamEnd, hem, back.levels.hemLevel);
  return { ...block, back: kneeWalked(ended, block.front) };
}

/** A joint this near to where a path is to be cut, in mm, is taken instead: a sliver of a curve could not be offset. */
const NEAR_JOINT = 0.5;

/** A path cut in two at a length from its start, or at a joint that is as good as there. */
function cutAtLength(path: Path, length: number): readonly [Path, Path] {
  let run = 0;
  for (const [i, c] of path.entries()) {
    if (i > 0 && Math.abs(run - length) < NEAR_JOINT) return [path.slice(0, i), path.slice(i)];
    run += pathLength([c]);
  }
  return splitPath(path, placeAtLength(path, length));
}

/** A back whose knee is joined where the front's comes to lie on it, walked from the hem up. */
function kneeWalked(back: Panel, front: Panel): Panel {
  if (!back.kneeOnPiece || !front.kneeOnPiece) return back;
  const belowSide = pathLength(front.edges.side.slice(front.joints.sideKnee));
  const belowInseam = pathLength(front.edges.inseam.slice(0, front.joints.inseamKnee));
  const { side, inseam } = back.edges;
  const [sideAbove, sideBelow] = cutAtLength(side, pathLength(side) - belowSide);
  const [inseamBelow, inseamAbove] = cutAtLength(inseam, belowInseam);
  return {
    ...back,
    edges: { ...back.edges, side: [...sideAbove, ...sideBelow], inseam: [...inseamBelow, ...inseamAbove] },
    joints: { ...back.joints, sideKnee: sideAbove.length, inseamKnee: inseamBelow.length },
    points: { ...back.points, sideKnee: startOf(sideBelow), inseamKnee: endOf(inseamBelow) },
  };
}
