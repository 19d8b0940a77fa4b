import type { Dart, FlatDart, Panel } from '../draft/index.js';
import { closeOver, openWaist } from '../draft/index.js';
import {
  along,
  angleBetween,
  crossLine,
  endDirection,
  endOf,
  line,
  mapPath,
  meetPaths,
  nearestPlace,
  offsetPath,
  pathLength,
  placeAtLength,
  pointAtPlace,
  reversePath,
  splineThrough,
  splitPath,
  startDirection,
  startOf,
  subtract,
  unit,
  type Path,
  type PathPlace,
  type Point,
} from '../geometry/index.js';

/** A dart as it is folded: its point, its middle and the angle it takes. */
export const flatDart = ({ apex, centreLeg, sideLeg }: Pick<Dart, 'apex' | 'centreLeg' | 'sideLeg'>): FlatDart => {
  const [a, b] = [subtract(centreLeg, apex), subtract(sideLeg, apex)];
  return { apex, up: unit({ x: a.x + b.x, y: a.y + b.y }), angle: angleBetween(a, b) };
};

/** The darts of a panel as they are folded, from the centre outward. */
export const flatDarts = ({ darts }: Pick<Panel, 'darts'>): FlatDart[] => darts.map(flatDart);

/** A seam as it lies once the darts are closed, where it lies sideward of all of them. */
export const closedOver = (path: Path, flat: readonly FlatDart[]): Path =>
  mapPath(path, (p) => closeOver(p, flat, flat.length));

/** A path lengthened straight at both its ends, in mm. */
const lengthened = (path: Path, by: number): Path => {
  const [a, b] = [startOf(path), endOf(path)];
  return [line(along(a, startDirection(path), -by), a), ...path, line(b, along(b, endDirection(path), by))];
};

/** Where `path` meets `other` first along the latter, as places on both. */
function meetingOf(path: Path, other: Path): { on: PathPlace; other: PathPlace; at: Point } | undefined {
  const [first] = meetPaths(path, other).sort((a, b) => a.secondIndex - b.secondIndex || a.u - b.u);
  if (!first) return undefined;
  const there = { index: first.secondIndex, t: first.u };
  return { on: { index: first.firstIndex, t: first.t }, other: there, at: pointAtPlace(other, there) };
}

/** A line parallel to the closed waist of a panel, `by` mm below it, and where it cuts centre and side. */
export interface Parallel {
  /** From the centre to the side, darts closed. */
  readonly line: Path;
  /** Where it cuts the centre seam, run downward from the waist. */
  readonly centre: PathPlace;
  /** Where it cuts the side, run downward from the waist. */
  readonly side: PathPlace;
}

/** The parallel below a panel's closed waist; nothing where it does not run from the centre to the side. */
export function parallelBelow(panel: Panel, by: number): Parallel | undefined {
  const flat = flatDarts(panel);
  const centre = reversePath(panel.edges.rise);
  const side = closedOver(panel.edges.side, flat);
  const below = lengthened(offsetPath(panel.closedWaist, -by), by + 60);
  const atCentre = meetingOf(below, centre);
  const atSide = meetingOf(below, side);
  if (!atCentre || !atSide) return undefined;
  const [, tail] = splitPath(below, atCentre.on);
  const onTail = nearestPlace(tail, atSide.at);
  const [kept] = splitPath(tail, onTail);
  if (kept.length === 0 || pathLength(kept) < 5) return undefined;
  return { line: smoothed(pinned(kept, atCentre.at, atSide.at)), centre: atCentre.other, side: atSide.other };
}

/** A parallel is drawn anew through places so far apart, none nearer to its ends, in mm. */
const DRAWN_THROUGH = 14;

/** A parallel as one fair line: where a waist turns sharply at its end, its parallel would be crowded with short curves. */
function smoothed(path: Path): Path {
  const long = pathLength(path);
  const count = Math.floor(long / DRAWN_THROUGH);
  if (count < 3) return path;
  const points = Array.from({ length: count + 1 }, (_, i) =>
    i === 0 ? startOf(path) : i === count ? endOf(path) : placeAtLength(path, (long * i) / count).at,
  );
  return splineThrough(points, startDirection(path), endDirection(path));
}

/** A path with its very ends put on two places that it reaches but for rounding. */
function pinned(path: Path, start: Point, end: Point): Path {
  return path.map((c, i) => ({
    ...c,
    ...(i === 0 ? { p0: start } : {}),
    ...(i === path.length - 1 ? { p3: end } : {}),
  }));
}

/** A dart is left out of a waist that is cut down to within so much of its point, in mm. */
const LEAST_DART = 8;

/**
 * A panel whose waist is cut down parallel, its darts closed first and their stumps kept; nothing where the cut does
 * not run from the centre to the side above the hip (docs/trade/style.md).
 */
export function waistCutDown(panel: Panel, by: number): Panel | undefined {
  const cut = parallelBelow(panel, by);
  if (!cut || cut.side.index >= panel.joints.sideHip) return undefined;
  return withTop(panel, cut, by);
}

function withTop(panel: Panel, cut: Parallel, by: number): Panel | undefined {
  const all = flatDarts(panel);
  const stays = panel.darts.map((d) => d.length - by > LEAST_DART);
  const centreDown = reversePath(panel.edges.rise);
  const rise = reversePath(splitPath(centreDown, cut.centre)[1]);
  const side = splitPath(panel.edges.side, cut.side)[1];
  const flat = all.filter((_, i) => stays[i]);
  // Where a dart is cut off whole, what lay sideward of it goes back to where it lay on the paper.
  const [start, end] = [endOf(rise), startOf(side)];
  const closedEnd = closeOver(end, flat, flat.length);
  const line0 = stays.every(Boolean) ? pinned(cut.line, start, closedEnd) : relaid(cut.line, start, closedEnd);
  const cuts = flat.map((d, k): PathPlace | undefined => {
    const apex = closeOver(d.apex, flat, k);
    const source = panel.darts.filter((_, i) => stays[i])[k];
    if (!source) return undefined;
    const mouth = closeOver(source.centreLeg, flat, k);
    const hit = crossLine(line0, mouth, unit(subtract(apex, mouth)))[0];
    return hit && { index: hit.index, t: hit.t };
  });
  if (cuts.some((c) => c === undefined)) return undefined;
  const opened = openWaist({ path: line0, cuts: cuts as PathPlace[] }, flat);
  const up = unit(subtract(closedEnd, closeOver(endAlong(side, 20), flat, flat.length)));
  return {
    ...panel,
    edges: { ...panel.edges, waist: opened.edge, side, rise },
    joints: {
      ...panel.joints,
      sideHip: panel.joints.sideHip - cut.side.index,
      sideCrotch: panel.joints.sideCrotch - cut.side.index,
      sideKnee: panel.joints.sideKnee - cut.side.index,
      curveStart: Math.min(panel.joints.curveStart, rise.length),
    },
    points: { ...panel.points, centreWaist: start, sideWaist: end },
    darts: opened.darts,
    waistSections: opened.sections,
    closedWaist: line0,
    closedSideUp: up,
  };
}

const endAlong = (path: Path, length: number): Point => placeAtLength(path, length).at;

/** A line carried to new ends by a turn and a stretch. */
function relaid(path: Path, start: Point, end: Point): Path {
  const [a, b] = [startOf(path), endOf(path)];
  const [u, v] = [subtract(b, a), subtract(end, start)];
  const n = u.x * u.x + u.y * u.y;
  const [re, im] = [(v.x * u.x + v.y * u.y) / n, (v.y * u.x - v.x * u.y) / n];
  return mapPath(path, (p) => {
    const w = subtract(p, a);
    return { x: start.x + re * w.x - im * w.y, y: start.y + im * w.x + re * w.y };
  });
}
