import {
  along,
  cross,
  crossLine,
  directionAt,
  distance,
  dot,
  endDirection,
  endOf,
  meetLines,
  quarterTurn,
  reversePath,
  scale,
  startDirection,
  subtract,
  type Cubic,
  type Path,
  type Point,
} from '../geometry/index.js';
import type { Edge, EdgeRole, Part } from '../garment/index.js';
import { upTo } from './joint.js';

/** How the allowances of two edges meet at an outward corner (docs/trade/pieces.md). */
export const CORNER_WAYS = ['mitred', 'squared', 'stepped'] as const;
export type CornerWay = (typeof CORNER_WAYS)[number];

/** What is sewn before what, where two edges meet: the lower first. */
const SEWN: Readonly<Record<EdgeRole, number>> = {
  side: 0,
  inseam: 0,
  join: 1,
  rise: 2,
  opening: 3,
  waist: 4,
  hem: 5,
  fold: 6,
};

/** True where the edge that comes first along the outline is sewn first too. */
export const sewnFirst = (before: Pick<Edge, 'role'>, after: Pick<Edge, 'role'>): boolean =>
  SEWN[before.role] <= SEWN[after.role];

/** A corner turns by this at least, as the sine of the angle; flatter ones are mitred. */
const LEAST_TURN = 0.17;
/** An end of an allowance leans from square by no more than this, as a sine. */
const LEAST_SQUARE = 0.3;
/** An edge with less allowance than this, in mm, has no end to be shaped. */
const LEAST_WIDTH = 0.1;
/** No corner reaches further than so many of its widest width. */
const FURTHEST = 3;

/** The corners of a part that can be cut one way or another, by their two edges: what folds is mirrored, what runs on has none. */
export function cornersOf({ edges }: Pick<Part, 'edges'>): (readonly [before: Edge, after: Edge])[] {
  const folds = ({ role, turned }: Edge): boolean => role === 'fold' || role === 'hem' || turned !== undefined;
  return edges.flatMap((edge, i) => {
    const next = edges[(i + 1) % edges.length] ?? edge;
    const [before, after] = [endDirection(edge.path), startDirection(next.path)];
    const runsOn = dot(before, after) > 0 && Math.abs(cross(before, after)) < LEAST_TURN;
    return runsOn || folds(edge) || folds(next) ? [] : [[edge, next] as const];
  });
}

/** One side of a corner: its stitching line and cut line, both run toward the corner, and its width there in mm. */
interface CornerSide {
  readonly net: Path;
  readonly out: Path;
  readonly width: number;
}

/** A corner laid out: both cut lines up to it, the outer end of the allowance, and where it begins on the other cut line. */
interface LaidCorner {
  readonly sewn: Path;
  readonly other: Path;
  readonly end: Point;
  readonly through: Point;
}

/** Where a stitching line, run on from the corner, goes out through another cut line, and which way that runs back. */
function wayOut(corner: Point, ahead: Point, { out }: CornerSide): { at: Point; away: Point; out: Path } | undefined {
  const hit = crossLine(out, corner, ahead)
    .filter(({ along: far }) => far > 0)
    .at(-1);
  if (hit) {
    const direction = directionAt(out[hit.index] as Cubic, hit.t);
    return { at: hit.at, away: scale(direction, -1), out: upTo(out, hit.index, hit.t) };
  }
  const away = scale(endDirection(out), -1);
  const meeting = meetLines(corner, ahead, endOf(out), away);
  return meeting && meeting.alongFirst > 0 ? { at: meeting.at, away, out } : undefined;
}

/**
 * The end of the allowance of the seam that is sewn first: it begins where its stitching line, run on, meets the other
 * cut line, and runs from there square to it, or as the other cut line's mirror image, so that pressed open it lies
 * along that line. Nothing where the corner is too flat, or would reach too far.
 */
function laidCorner(sewn: CornerSide, other: CornerSide, way: 'squared' | 'stepped'): LaidCorner | undefined {
  if (Math.min(sewn.width, other.width) < LEAST_WIDTH) return undefined;
  const [corner, ahead] = [endOf(sewn.net), endDirection(sewn.net)];
  const out = wayOut(corner, ahead, other);
  if (!out || Math.abs(cross(ahead, out.away)) < LEAST_TURN) return undefined;
  // Square from the stitching line to the cut line, whichever way round the outline runs.
  const turned = quarterTurn(ahead);
  const normal = dot(subtract(endOf(sewn.out), corner), turned) < 0 ? scale(turned, -1) : turned;
  const run = way === 'squared' ? normal : subtract(out.away, scale(normal, 2 * dot(out.away, normal)));
  const rise = dot(run, normal);
  if (rise < LEAST_SQUARE) return undefined;
  const end = along(out.at, run, sewn.width / rise);
  const most = FURTHEST * Math.max(sewn.width, other.width);
  if (distance(corner, out.at) > most || Math.abs(dot(subtract(end, corner), ahead)) > most) return undefined;
  // Where the end leans back the cut line is cut off there; else it runs on.
  const hit = crossLine(sewn.out, out.at, run).at(-1);
  return { sewn: hit ? upTo(sewn.out, hit.index, hit.t) : sewn.out, other: out.out, end, through: out.at };
}

/**
 * An outward corner of two edges, run as the outline does, where the allowance of the seam sewn first ends squared or
 * stepped: the first cut line, what lies between, and the second; nothing where it cannot be, and is mitred.
 */
export function endedCorner(
  before: CornerSide,
  after: CornerSide,
  way: 'squared' | 'stepped',
  beforeFirst: boolean,
): { readonly first: Path; readonly corner: readonly Point[]; readonly second: Path } | undefined {
  const turned: CornerSide = { ...after, net: reversePath(after.net), out: reversePath(after.out) };
  const laid = beforeFirst ? laidCorner(before, turned, way) : laidCorner(turned, before, way);
  if (!laid) return undefined;
  const { sewn, other, end, through } = laid;
  return beforeFirst
    ? { first: sewn, corner: [end, through], second: reversePath(other) }
    : { first: other, corner: [through, end], second: reversePath(sewn) };
}
