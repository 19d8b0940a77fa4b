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
  quarterTurn,
  reversePath,
  scale,
  startDirection,
  startOf,
  withoutLoops,
  type Path,
  type Point,
} from '../geometry/index.js';
import type { Edge, EdgeRole, Garment, Part } from '../garment/index.js';
import { cornerWay, foldsOf, widthsAlong, type Allowances, type WidthRun } from './allowance.js';
import { endedCorner, sewnFirst, type CornerWay } from './corner.js';
import { foldedEnd } from './folded-end.js';
import { from, joinMitred, linesThrough, upTo } from './joint.js';
import { offsetEdge } from './offset-edge.js';

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
  outward: Point,
  depth: number,
): Point[] | undefined {
  const onFold = meetLines(seamEnd, seamDirection, fold, across);
  if (!onFold) return undefined;
  const mirrored = mirror(along(onFold.at, seamDirection, -1), fold, across);
  const down = { x: mirrored.x - onFold.at.x, y: mirrored.y - onFold.at.y };
  const end = meetLines(onFold.at, down, along(fold, outward, depth), across);
  return end ? [onFold.at, end.at] : undefined;
}

/** An edge on its way to the cut line. */
interface OffsetEdge {
  readonly net: Path;
  readonly role: EdgeRole;
  /** How its corner with the next edge is cut. */
  readonly ends: CornerWay;
  readonly folded: boolean;
  /** How deep it is folded, fold by fold, in mm. */
  readonly folds: readonly number[];
  /** Its widths at its beginning and end, and the widest, in mm. */
  readonly first: number;
  readonly last: number;
  readonly widest: number;
  /** False for a straight hem of one width: its cut line runs between the mirrored ends alone. */
  readonly drawn: boolean;
  out: Path;
}

/** An edge offset by its widths. */
function offsetOf(
  { path: net, role }: Edge,
  folds: readonly number[] | undefined,
  runs: readonly WidthRun[],
  ends: CornerWay,
): OffsetEdge {
  const widths = runs.flatMap(({ mm, end }) => [mm, end ?? mm]);
  const [first = 0] = widths;
  const folded = folds !== undefined;
  const straight = runs.length === 1 && net.every((c) => isStraight(c));
  return {
    net,
    role,
    ends,
    folded,
    folds: folds ?? [],
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
 * Joins a seam and an edge that folds: the corner, run as the outline does, with the seam cut back to the fold; nothing
 * where the two do not meet. A straight fold mirrors the seam itself, a curved one the seam's direction at its end.
 */
function cornerAtFold(before: OffsetEdge, after: OffsetEdge): Path | undefined {
  const edge = after.folded ? after : before;
  const seam = after.folded ? before.out : reversePath(after.out);
  const net = after.folded ? edge.net : reversePath(edge.net);
  const [fold, across] = [startOf(net), startDirection(net)];
  const outward = quarterTurn(after.folded ? across : scale(across, -1));
  const cut = cutBack(seam, fold, across);
  const keep = (trimmed: Path): void => {
    if (after.folded) before.out = trimmed;
    else after.out = reversePath(trimmed);
  };
  const run = (path: Path): Path => (after.folded ? path : reversePath(path));
  if (!edge.drawn) {
    const end = foldedEnd(cut, { at: fold, across, outward }, edge.folds);
    if (!end) return undefined;
    keep(cut);
    return run(end);
  }
  const depth = after.folded ? after.first : before.last;
  const points = foldCorner(endOf(seam), endDirection(seam), fold, across, outward, depth);
  if (!points) return undefined;
  keep(cut);
  const met = metByFold(points, edge);
  if (met && after.folded) after.out = from(after.out, met.secondIndex, met.u);
  if (met && !after.folded) before.out = upTo(before.out, met.secondIndex, met.u);
  const corner = met ? points.slice(0, 1) : points;
  return run(linesThrough([endOf(cut), ...corner]));
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
 * (or squared or stepped, as given) and trimmed inside; a hem folds, so its ends are mirrored (docs/trade/pieces.md). Where allowances of edges that are no
 * neighbours run into one another, the cut line goes on where they meet. Closed; mm.
 */
export const cutLine = (garment: Pick<Garment, 'seams'>, part: Part, allowances: Allowances): Path =>
  withoutLoops(
    joined(
      part.edges.map((edge): OffsetEdge => {
        const runs = widthsAlong(garment, part, edge.id, allowances);
        return offsetOf(edge, foldsOf(edge, runs), runs, cornerWay(part, edge.id, allowances));
      }),
    ),
  );

/** The outline of a part moved out edge by edge, inward where a width is negative, with nothing folded; mm. */
export const offsetOutline = (garment: Pick<Garment, 'seams'>, part: Part, allowances: Allowances): Path =>
  joined(
    part.edges.map((edge): OffsetEdge => {
      return offsetOf(edge, undefined, widthsAlong(garment, part, edge.id, allowances), 'mitred');
    }),
  );

/** A corner that is not to be mitred, where its two cut lines do not lap; nothing where it is mitred after all. */
function cornerOf(edge: OffsetEdge, next: OffsetEdge): ReturnType<typeof endedCorner> {
  const { ends } = edge;
  if (ends === 'mitred' || edge.folded || next.folded || meetPaths(edge.out, next.out).length > 0) return undefined;
  const [before, after] = [
    { net: edge.net, out: edge.out, width: edge.last },
    { net: next.net, out: next.out, width: next.first },
  ];
  return endedCorner(before, after, ends, sewnFirst(edge, next));
}

/** The edges of an outline joined at their corners. */
function joined(edges: OffsetEdge[]): Path {
  const widest = Math.max(...edges.map((edge) => edge.widest));
  const corners = edges.map((edge, i): readonly Point[] | { readonly path: Path } => {
    const next = edges[(i + 1) % edges.length] ?? edge;
    if (edge.folded !== next.folded) {
      const path = cornerAtFold(edge, next);
      if (path) return { path };
    }
    const joint = cornerOf(edge, next) ?? joinMitred(edge.out, next.out, widest);
    edge.out = joint.first;
    next.out = joint.second;
    // Where two folds meet neither is drawn by itself: their outer lines meet here.
    const bothFold = edge.folded && !edge.drawn && !next.drawn;
    return bothFold ? [endOf(joint.first), ...joint.corner, startOf(joint.second)] : joint.corner;
  });
  const path: Path[number][] = [];
  let here: Point | undefined;
  let first: Point | undefined;
  const to = (p: Point): void => {
    if (here && distance(here, p) > 1e-9) path.push(line(here, p));
    here = p;
    first ??= p;
  };
  const run = (stretch: Path): void => {
    if (stretch.length === 0) return;
    to(startOf(stretch));
    path.push(...stretch);
    here = endOf(stretch);
  };
  for (const [i, edge] of edges.entries()) {
    if (edge.drawn) run(edge.out);
    const corner = corners[i] ?? [];
    if ('path' in corner) run(corner.path);
    else corner.forEach(to);
  }
  if (first) to(first);
  return path;
}
