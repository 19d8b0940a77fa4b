import {
  along,
  crossLine,
  distance,
  endDirection,
  endOf,
  isStraight,
  line,
  meetLines,
  meetPaths,
  mirror,
  offsetPath,
  partOf as cubicPart,
  reversePath,
  scale,
  startDirection,
  startOf,
  type Path,
  type Point,
} from '../geometry/index.js';
import type { Garment, Part } from '../garment/index.js';
import { widthsAlong, type Allowances, type WidthRun } from './allowance.js';

/** A corner whose mitre would reach further than this many widths is cut off square. */
const LONGEST_MITRE = 3;

/** Cuts the end of `path` back to, or keeps it up to, a parameter of its curve `index`. */
const upTo = (path: Path, index: number, t: number): Path => [
  ...path.slice(0, index),
  ...path.slice(index, index + 1).map((c) => cubicPart(c, 0, t)),
];

const from = (path: Path, index: number, t: number): Path => [
  ...path.slice(index, index + 1).map((c) => cubicPart(c, t, 1)),
  ...path.slice(index + 1),
];

/** Two neighbouring offset edges after joining: the first cut back, what lies between, the second cut back. */
interface Joint {
  readonly first: Path;
  readonly corner: readonly Point[];
  readonly second: Path;
}

function joinMitred(a: Path, b: Path, widest: number): Joint {
  if (distance(endOf(a), startOf(b)) < 1e-6) return { first: a, corner: [], second: b };
  const hits = meetPaths(a, b);
  const hit = hits[hits.length - 1];
  if (hit) return { first: upTo(a, hit.firstIndex, hit.t), corner: [], second: from(b, hit.secondIndex, hit.u) };
  const u = endDirection(a);
  const v = scale(startDirection(b), -1);
  const meeting = meetLines(endOf(a), u, startOf(b), v);
  if (!meeting || meeting.alongFirst < -1e-6 || meeting.alongSecond < -1e-6) {
    return { first: a, corner: [endOf(a), startOf(b)], second: b };
  }
  const reach = LONGEST_MITRE * Math.max(widest, 1);
  if (meeting.alongFirst <= reach && meeting.alongSecond <= reach) return { first: a, corner: [meeting.at], second: b };
  const held = (d: number): number => Math.min(d, reach / 2);
  return {
    first: a,
    corner: [along(endOf(a), u, held(meeting.alongFirst)), along(startOf(b), v, held(meeting.alongSecond))],
    second: b,
  };
}

/**
 * A hem is folded up, so beyond the fold the cut line runs as the mirror image of the seam above it: folded, the
 * allowance lies on the piece. `seamEnd` and `seamDirection` are the offset seam's toward the hem, `fold` the net hem
 * corner, `across` the hem's direction.
 */
function foldCorner(
  seamEnd: Point,
  seamDirection: Point,
  fold: Point,
  across: Point,
  depth: number,
): Point[] | undefined {
  const onFold = meetLines(seamEnd, seamDirection, fold, across);
  if (!onFold) return undefined;
  const outward = { x: -across.y, y: across.x };
  const mirrored = mirror(along(onFold.at, seamDirection, -1), fold, across);
  const down = { x: mirrored.x - onFold.at.x, y: mirrored.y - onFold.at.y };
  const end = meetLines(onFold.at, down, along(fold, outward, depth), across);
  return end ? [onFold.at, end.at] : undefined;
}

const linesThrough = (points: readonly Point[]): Path =>
  points.slice(1).flatMap((p, i) => {
    const before = points[i];
    return before && distance(before, p) > 1e-9 ? [line(before, p)] : [];
  });

/** Directions that differ by less than this share of a right angle run on into one another. */
const RUNS_ON = 0.02;

/** True where the net line runs on from one curve to the next without a corner. */
const runsOn = (a: Path, b: Path): boolean => {
  const [u, v] = [endDirection(a), startDirection(b)];
  return Math.abs(u.x * v.y - u.y * v.x) < RUNS_ON;
};

/**
 * An edge's offset: curve by curve, dart mouths mitred; where the width changes along a line that runs on, the cut line
 * steps square from one width to the other.
 */
function offsetEdge(runs: readonly WidthRun[]): Path {
  const curves = runs.flatMap(({ path, mm }) => path.map((c) => ({ net: [c], mm, out: offsetPath([c], mm) })));
  let done: Path = [];
  let last: (typeof curves)[number] | undefined;
  for (const next of curves) {
    if (!last) done = next.out;
    else {
      const steps = last.mm !== next.mm && runsOn(last.net, next.net);
      const { first, corner, second } = steps
        ? { first: done, corner: [], second: next.out }
        : joinMitred(done, next.out, Math.max(last.mm, next.mm));
      done = [...first, ...linesThrough([endOf(first), ...corner, startOf(second)]), ...second];
    }
    last = next;
  }
  return done;
}

/** An edge on its way to the cut line. */
interface OffsetEdge {
  readonly net: Path;
  readonly folded: boolean;
  /** Its widths at its beginning and end, and the widest, in mm. */
  readonly first: number;
  readonly last: number;
  readonly widest: number;
  /** False for a straight hem of one width: its cut line runs between the mirrored ends alone. */
  readonly drawn: boolean;
  out: Path;
}

/** An edge offset by its widths. */
function offsetOf(net: Path, folded: boolean, runs: readonly WidthRun[]): OffsetEdge {
  const widths = runs.map(({ mm }) => mm);
  const [first = 0] = widths;
  const straight = runs.length === 1 && net.every((c) => isStraight(c));
  return {
    net,
    folded,
    first,
    last: widths[widths.length - 1] ?? first,
    widest: Math.max(...widths),
    drawn: !folded || !straight,
    out: offsetEdge(runs),
  };
}

/** The end of an offset seam cut back to the fold, where it reaches beyond. */
function cutBack(seam: Path, fold: Point, across: Point): Path {
  const hit = crossLine(seam, fold, across).at(-1);
  return hit ? upTo(seam, hit.index, hit.t) : seam;
}

/**
 * Joins a seam and a hem that folds: the corner, run as the outline does, with the seam cut back to the fold; nothing
 * where the two do not meet.
 */
function cornerAtFold(before: OffsetEdge, after: OffsetEdge): Point[] | undefined {
  if (after.folded) {
    const [fold, across] = [startOf(after.net), startDirection(after.net)];
    const points = foldCorner(endOf(before.out), endDirection(before.out), fold, across, after.first);
    if (!points) return undefined;
    before.out = cutBack(before.out, fold, across);
    const met = metByFold(points, after);
    if (met) after.out = from(after.out, met.secondIndex, met.u);
    return met ? points.slice(0, 1) : points;
  }
  const [fold, across] = [endOf(before.net), endDirection(before.net)];
  const points = foldCorner(startOf(after.out), startDirection(after.out), fold, across, before.last);
  if (!points) return undefined;
  after.out = reversePath(cutBack(reversePath(after.out), fold, across));
  const met = metByFold(points, before);
  if (met) before.out = upTo(before.out, met.secondIndex, met.u);
  return met ? points.slice(0, 1) : points.reverse();
}

/**
 * Where the mirrored end of a seam meets the hem's own offset, if that is drawn: a leg that flares is cut off there.
 */
const metByFold = (
  [onFold, end]: readonly Point[],
  { drawn, out }: OffsetEdge,
): ReturnType<typeof meetPaths>[number] | undefined =>
  drawn && onFold && end ? meetPaths([line(onFold, end)], out)[0] : undefined;

/**
 * The cut line of a part: each edge offset by its widths and joined to its neighbours at proper corners, mitred outside
 * and trimmed inside; a hem folds, so its ends are mirrored (docs/trade/pieces.md). Closed; mm.
 */
export function cutLine(garment: Pick<Garment, 'seams'>, part: Part, allowances: Allowances): Path {
  const edges = part.edges.map(({ id, role, path }): OffsetEdge =>
    offsetOf(path, role === 'hem', widthsAlong(garment, part, id, allowances)),
  );
  const widest = Math.max(...edges.map((edge) => edge.widest));
  const corners = edges.map((edge, i): readonly Point[] => {
    const next = edges[(i + 1) % edges.length] ?? edge;
    if (edge.folded !== next.folded) {
      const points = cornerAtFold(edge, next);
      if (points) return points;
    }
    const joint = joinMitred(edge.out, next.out, widest);
    edge.out = joint.first;
    next.out = joint.second;
    return joint.corner;
  });
  const path: Path[number][] = [];
  for (const [i, edge] of edges.entries()) {
    const next = edges[(i + 1) % edges.length] ?? edge;
    if (edge.drawn) path.push(...edge.out);
    const start = edge.drawn ? endOf(edge.out) : path[path.length - 1]?.p3;
    const end = next.drawn ? startOf(next.out) : undefined;
    path.push(...linesThrough([start, ...(corners[i] ?? []), end].filter((p): p is Point => p !== undefined)));
  }
  return path;
}
