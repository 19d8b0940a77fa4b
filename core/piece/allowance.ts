import {
  along,
  distance,
  endDirection,
  endOf,
  isStraight,
  line,
  meetLines,
  meetPaths,
  mirror,
  offsetPath,
  partOf,
  scale,
  startDirection,
  startOf,
  type Path,
  type Point,
} from '../geometry/index.js';
import { EDGE_NAMES, type EdgeName, type Panel } from '../draft/index.js';
import type { Unit } from '../units/index.js';

/** How much is added outside the stitching line of each edge, in mm. */
export type Allowances = Readonly<Record<EdgeName, number>>;

/** The metric house allowances: 1.5 cm at the long seams, 1 cm at waist and rise, a hem of 4 cm. */
export const HOUSE_ALLOWANCES: Allowances = { waist: 10, side: 15, inseam: 15, rise: 10, hem: 40 };

const INCH_ALLOWANCES: Allowances = {
  waist: 0.375 * 25.4,
  side: 0.625 * 25.4,
  inseam: 0.625 * 25.4,
  rise: 0.375 * 25.4,
  hem: 1.5 * 25.4,
};

/** The house allowances, in mm, for a maker's unit: for inches 5/8 at the long seams, 3/8 at waist and rise, a hem of 1 1/2. */
export const houseAllowances = (unit: Unit): Allowances => (unit === 'in' ? INCH_ALLOWANCES : HOUSE_ALLOWANCES);

/** A corner whose mitre would reach further than this many widths is cut off square. */
const LONGEST_MITRE = 3;

/** Cuts the end of `path` back to, or keeps it up to, a parameter of its curve `index`. */
const upTo = (path: Path, index: number, t: number): Path => [
  ...path.slice(0, index),
  ...path.slice(index, index + 1).map((c) => partOf(c, 0, t)),
];

const from = (path: Path, index: number, t: number): Path => [
  ...path.slice(index, index + 1).map((c) => partOf(c, t, 1)),
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
 * allowance lies on the piece. `seam` is the offset seam, `fold` the net hem corner, `across` the hem's direction.
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

/** Joins the curves of one offset edge to one another: dart mouths make corners within the waist. */
function joinWithin(pieces: readonly Path[], width: number): Path {
  return pieces.reduce((done, next) => {
    if (done.length === 0) return next;
    const { first, corner, second } = joinMitred(done, next, width);
    return [...first, ...linesThrough([endOf(first), ...corner, startOf(second)]), ...second];
  }, [] as Path);
}

/**
 * The cut line of a panel: each edge offset by its own width and joined to its neighbours at proper corners, mitred
 * outside and trimmed inside; the hem folds, so its ends are mirrored (docs/trade/pieces.md). Closed; mm.
 */
export function cutLine(panel: Panel, allowances: Allowances): Path {
  const names = EDGE_NAMES;
  const edges = names.map((name) =>
    joinWithin(
      panel.edges[name].map((c) => offsetPath([c], allowances[name])),
      allowances[name],
    ),
  );
  const corners: (readonly Point[])[] = names.map(() => []);
  const widest = Math.max(...Object.values(allowances));
  for (const [i, name] of names.entries()) {
    const j = (i + 1) % names.length;
    const next = names[j];
    const a = edges[i];
    const b = edges[j];
    if (!a || !b || !next) continue;
    if (name === 'side' || name === 'hem') {
      const seam = name === 'side' ? a : b;
      const hem = panel.edges.hem;
      const fold = name === 'side' ? startOf(hem) : endOf(hem);
      const seamEnd = name === 'side' ? endOf(seam) : startOf(seam);
      const seamDirection = name === 'side' ? endDirection(seam) : startDirection(seam);
      const across = name === 'side' ? startDirection(hem) : endDirection(hem);
      const points = foldCorner(seamEnd, seamDirection, fold, across, allowances.hem);
      if (points) {
        // A straight hem's own offset runs between the mirrored ends, so only those are kept.
        corners[i] = name === 'side' ? points : [...points].reverse();
        continue;
      }
    }
    const joint = joinMitred(a, b, widest);
    edges[i] = joint.first;
    edges[j] = joint.second;
    corners[i] = joint.corner;
  }
  const curvedHem = !panel.edges.hem.every((c) => isStraight(c));
  const path: Path[number][] = [];
  for (const [i, name] of names.entries()) {
    const edge = edges[i];
    const next = edges[(i + 1) % names.length];
    if (!edge || !next) continue;
    if (name !== 'hem' || curvedHem) path.push(...edge);
    const start = name === 'hem' && !curvedHem ? path[path.length - 1]?.p3 : endOf(edge);
    const end = names[(i + 1) % names.length] === 'hem' && !curvedHem ? undefined : startOf(next);
    const points = [start, ...(corners[i] ?? []), end].filter((p): p is Point => p !== undefined);
    path.push(...linesThrough(points));
  }
  return path;
}
