import {
  directionAtPlace,
  distance,
  pointAtPlace,
  quarterTurn,
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
}

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

/** The notches of a part: every place at which one of its seams is matched (docs/trade/pieces.md). */
export function notchesOf({ seams }: Pick<Garment, 'seams'>, part: Part): Notch[] {
  const found: Notch[] = [];
  for (const { first, second, matches, cuts } of seams) {
    for (const match of matches) {
      const here = [
        ...(first.part === part.id ? [notchAt(part, first.edge, match.label, match.first, cuts[0])] : []),
        ...(second.part === part.id ? [notchAt(part, second.edge, match.label, match.second, cuts[1])] : []),
      ];
      for (const notch of here) if (!found.some((n) => distance(n.at, notch.at) < SAME_PLACE)) found.push(notch);
    }
  }
  return found;
}
