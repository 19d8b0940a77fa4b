import {
  along,
  distance,
  endDirection,
  endOf,
  line,
  meetLines,
  meetPaths,
  partOf as cubicPart,
  scale,
  startDirection,
  startOf,
  type Path,
  type Point,
} from '../geometry/index.js';

/** A corner whose mitre would reach further than this many widths is cut off square. */
const LONGEST_MITRE = 3;

/** Cuts the end of `path` back to, or keeps it up to, a parameter of its curve `index`. */
export const upTo = (path: Path, index: number, t: number): Path => [
  ...path.slice(0, index),
  ...path.slice(index, index + 1).map((c) => cubicPart(c, 0, t)),
];

/** The stretch of `path` from a parameter of its curve `index` on. */
export const from = (path: Path, index: number, t: number): Path => [
  ...path.slice(index, index + 1).map((c) => cubicPart(c, t, 1)),
  ...path.slice(index + 1),
];

/** Two neighbouring offset edges after joining: the first cut back, what lies between, the second cut back. */
interface Joint {
  readonly first: Path;
  readonly corner: readonly Point[];
  readonly second: Path;
}

/** Two offset edges joined by a mitre outside, cut back inside; `widest` is what no mitre reaches three times of, in mm. */
export function joinMitred(a: Path, b: Path, widest: number): Joint {
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

/** Straight lines through points, none of no length. */
export const linesThrough = (points: readonly Point[]): Path =>
  points.slice(1).flatMap((p, i) => {
    const before = points[i];
    return before && distance(before, p) > 1e-9 ? [line(before, p)] : [];
  });
