import {
  angleBetween,
  crossLine,
  directionAtPlace,
  distance,
  endDirection,
  endOf,
  nearestPlace,
  pointAtPlace,
  quarterTurn,
  startDirection,
  startOf,
  type Path,
  type PathPlace,
  type Point,
} from '../geometry/index.js';
import { edgeOf, type Garment, type Part } from '../garment/index.js';

/** A notch: where on the stitching line, which way is out, and how many cuts (one in front, two behind). */
export interface Notch {
  readonly edge: string;
  readonly label: string;
  readonly at: Point;
  readonly outward: Point;
  readonly count: 1 | 2;
  /** Where on the cut line the snip is made; on the stitching line where no cut line was asked for. */
  readonly cutAt?: Point;
}

/** Where the way out of a notch meets the cut line: beyond its edge, which may be further off than another corner. */
function atCut(notch: Notch, cut: Path): Point {
  const nearest = nearestPlace(cut, notch.at);
  const [crossed] = crossLine(cut, notch.at, notch.outward)
    .filter(({ along }) => along > -TOUCHES)
    .sort((a, b) => a.along - b.along);
  // A way that passes through the joint of two curves may miss both: the nearest place is the one square to the edge.
  return crossed && crossed.along < FURTHEST * nearest.distance + 1 ? crossed.at : nearest.at;
}

/** A crossing is no further off than so many times the nearest place. */
const FURTHEST = 3;

/** A cut line this near inside the stitching line, in mm, lies on it. */
const TOUCHES = 0.01;

/** The notches of a part with where each is snipped at the cut line (docs/trade/pieces.md). */
export const snippedNotches = (garment: Pick<Garment, 'seams'>, part: Part, cut: Path): Notch[] =>
  notchesOf(garment, part).map((notch) => ({ ...notch, cutAt: atCut(notch, cut) }));

function notchAt(part: Part, edge: string, label: string, place: PathPlace, count: 1 | 2): Notch {
  const { path } = edgeOf(part, edge);
  return {
    edge,
    label,
    at: pointAtPlace(path, place),
    outward: quarterTurn(directionAtPlace(path, place)),
    count,
  };
}

/** Notches nearer to one another than this, in mm, are one. */
const SAME_PLACE = 0.01;

/** True at the end of an edge where the outline turns: the corner itself is the mark there. */
function atCorner({ edges }: Part, { edge, at }: Notch): boolean {
  const i = edges.findIndex((e) => e.id === edge);
  const [here, before, after] = [edges[i], edges[(i + edges.length - 1) % edges.length], edges[(i + 1) % edges.length]];
  if (!here || !before || !after) return false;
  const turns = (a: Point, b: Point): boolean => angleBetween(a, b) > LEAST_TURN;
  if (distance(at, startOf(here.path)) < AT_CORNER) return turns(endDirection(before.path), startDirection(here.path));
  return distance(at, endOf(here.path)) < AT_CORNER && turns(endDirection(here.path), startDirection(after.path));
}

/** An outline that turns by less, in radians, runs on. */
const LEAST_TURN = 0.2;

/** A notch this near to the end of its edge, in mm, is its corner. */
const AT_CORNER = 0.5;

/**
 * The notches of a part: every place at which one of its seams is matched, and its own (docs/trade/pieces.md). None
 * stands at a corner.
 */
export function notchesOf({ seams }: Pick<Garment, 'seams'>, part: Part): Notch[] {
  const found: Notch[] = [];
  const take = (notch: Notch): void => {
    if (!atCorner(part, notch) && !found.some((n) => distance(n.at, notch.at) < SAME_PLACE)) found.push(notch);
  };
  for (const { first, second, matches, cuts } of seams) {
    for (const match of matches) {
      const here = [
        ...(first.part === part.id ? [notchAt(part, first.edge, match.label, match.first, cuts[0])] : []),
        ...(second.part === part.id ? [notchAt(part, second.edge, match.label, match.second, cuts[1])] : []),
      ];
      here.forEach(take);
    }
  }
  for (const own of part.notches ?? []) take(notchAt(part, own.edge, own.label, own.at, own.count));
  return found;
}
