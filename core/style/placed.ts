import {
  contains,
  crossLine,
  directionAtPlace,
  flatten,
  line,
  point,
  quarterTurn,
  type Path,
  type Point,
} from '../geometry/index.js';
import { partOutline, type Part, type PartMark } from '../garment/index.js';

/** Where a part's top edge lies above an `x`: the place, the direction toward the side, and the way down into the piece. */
export interface TopLine {
  readonly at: Point;
  /** Unit direction from left to right. */
  readonly d: Point;
  /** Unit direction into the piece. */
  readonly down: Point;
}

/** The top edge of a part at an `x`: waist, or what was cut below it. Nothing where the part has no edge there. */
export function topLineAt(part: Part, x: number): TopLine | undefined {
  let found: { at: Point; d: Point } | undefined;
  for (const { path } of part.edges) {
    for (const hit of crossLine(path, point(x, 0), point(0, 1))) {
      if (!found || hit.at.y < found.at.y) found = { at: hit.at, d: directionAtPlace(path, hit) };
    }
  }
  if (!found) return undefined;
  const d = found.d.x < 0 ? point(-found.d.x, -found.d.y) : found.d;
  // A dart's mouth would tilt what is laid below it: the slope is held to what a waist has.
  const level = Math.abs(d.y) > 0.4 ? point(1, 0) : d;
  return { at: found.at, d: level, down: quarterTurn(level) };
}

/**
 * Where across a part something of a width lies best, `down` mm below its top at `x`: at `x` itself, or as near to it
 * as the piece is wide enough; in the middle where it is not.
 */
export function fittedAcross(part: Part, x: number, width: number, down: number): number {
  const top = topLineAt(part, x);
  if (!top) return x;
  const hits = part.edges.flatMap(({ path }) =>
    crossLine(path, point(0, top.at.y + down), point(1, 0)).map((hit) => hit.at.x),
  );
  const [left, right] = [Math.min(...hits), Math.max(...hits)];
  const [least, most] = [left + width / 2 + CLEAR, right - width / 2 - CLEAR];
  return least > most ? (left + right) / 2 : Math.min(most, Math.max(least, x));
}

/** What is set on a piece keeps so clear of its edges, in mm. */
const CLEAR = 12;

/** The outline of a shape on a part as lines of placement. */
export function placement(corners: readonly Point[], label: string): PartMark {
  const path: Path = corners.map((p, i) => line(p, corners[(i + 1) % corners.length] ?? p));
  return { kind: 'line', meaning: 'placement', label, path };
}

/** True where all corners lie within a part. */
export function liesWithin(part: Part, corners: readonly Point[]): boolean {
  const ring = flatten(partOutline(part), 0.5);
  return corners.every((p) => contains(ring, p));
}
