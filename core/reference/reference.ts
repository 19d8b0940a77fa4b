import { EDGE_NAMES } from '../draft/index.js';
import {
  add,
  mapPath,
  pathBetween,
  pathLength,
  pathOfCurves,
  point,
  turn,
  type Path,
  type Point,
} from '../geometry/index.js';
import type { PanelName } from '../method/index.js';

/** What a stretch of an outline may be: a seam of the piece, a leg of a dart, or nothing that is compared. */
export const STRETCH_NAMES = [...EDGE_NAMES, 'dart', 'none'] as const;

/** The name of a stretch. */
export type StretchName = (typeof STRETCH_NAMES)[number];

/**
 * Where a stretch begins, as a share of the shape's length from its start, and what it is; it ends where the next
 * begins.
 */
export interface StretchMark {
  readonly at: number;
  readonly name: StretchName;
}

/** A line of a file from outside, open or closed, in the file's own units with y down. */
export interface ReferenceShape {
  /** What the file calls the layer or group that it lies on. */
  readonly layer: string;
  readonly closed: boolean;
  /** The piece whose outline it is, if it is one's. */
  readonly piece: PanelName | 'none';
  /** Its curves as numbers: x and y of its start, then of the other three control points of each cubic. */
  readonly curves: readonly number[];
  /** In their order along the shape; the first stretch of an open shape begins at 0. */
  readonly marks: readonly StretchMark[];
}

/**
 * How the lines of one piece are laid on the draft's: scaled, turned over or not, turned, and carried from one point to
 * another.
 */
export interface ReferencePlace {
  /** A point of the file, in its units. */
  readonly from: Point;
  /** Where it comes to lie on the panel, in mm. */
  readonly to: Point;
  /** Radians, clockwise as seen with y down. */
  readonly turn: number;
  readonly mirrored: boolean;
}

/** What was not read from a file, and how often it was met. */
export interface LeftOut {
  readonly what: string;
  readonly count: number;
}

/** An outline from outside, laid under a draft. */
export interface Reference {
  /** The name of its file. */
  readonly name: string;
  readonly date: string;
  readonly mmPerUnit: number;
  /** Whether the file says its unit, the likeliest was taken, or a maker gave a known length. */
  readonly unitFrom: 'file' | 'guess' | 'maker';
  readonly shapes: readonly ReferenceShape[];
  readonly places: Readonly<Record<PanelName, ReferencePlace>>;
  readonly leftOut: readonly LeftOut[];
}

const paths = new WeakMap<ReferenceShape['curves'], Path>();

/** The path of a shape, in the file's units. */
export function pathOfShape({ curves }: Pick<ReferenceShape, 'curves'>): Path {
  let path = paths.get(curves);
  if (!path) {
    path = pathOfCurves(curves);
    paths.set(curves, path);
  }
  return path;
}

/** Carries a point of the file onto the panel: file units in, mm out. */
export function carryPoint({ from, to, turn: angle, mirrored }: ReferencePlace, mmPerUnit: number, p: Point): Point {
  const x = (p.x - from.x) * mmPerUnit;
  return add(turn(point(mirrored ? -x : x, (p.y - from.y) * mmPerUnit), angle), to);
}

/** A stretch of a shape laid on the panel: where it begins and ends along the shape, in mm, and its line. */
export interface Stretch {
  readonly name: StretchName;
  readonly from: number;
  readonly to: number;
  readonly path: Path;
}

/** A shape laid on the panel. Panel coordinates, mm. */
export interface LaidShape {
  /** Its number among the shapes of the reference. */
  readonly index: number;
  readonly closed: boolean;
  readonly path: Path;
  readonly length: number;
  readonly stretches: readonly Stretch[];
}

/** The stretches of a line by its marks, each with its own part of it. `length` is the whole line's, in mm. */
export function stretchesOf(path: Path, length: number, closed: boolean, marks: readonly StretchMark[]): Stretch[] {
  return marks.map(({ at, name }, i): Stretch => {
    const from = at * length;
    if (closed && marks.length === 1) {
      const round = [...pathBetween(path, from, length), ...(from > 0 ? pathBetween(path, 0, from) : [])];
      return { name, from, to: from, path: round };
    }
    const next = marks[i + 1] ?? (closed ? marks[0] : undefined);
    const to = (next?.at ?? 1) * length;
    return { name, from, to, path: pathBetween(path, from, to) };
  });
}

/** A shape laid where a place says, with its stretches. */
export function laidShape(
  { shapes, mmPerUnit }: Pick<Reference, 'shapes' | 'mmPerUnit'>,
  index: number,
  place: ReferencePlace,
): LaidShape | undefined {
  const shape = shapes[index];
  if (!shape) return undefined;
  const path = mapPath(pathOfShape(shape), (p) => carryPoint(place, mmPerUnit, p));
  const length = pathLength(path);
  return { index, closed: shape.closed, path, length, stretches: stretchesOf(path, length, shape.closed, shape.marks) };
}

/** The shapes that are a piece's outline, laid on it. */
export const laidOutline = (reference: Reference, panel: PanelName): LaidShape[] =>
  reference.shapes.flatMap((shape, i) =>
    shape.piece === panel ? (laidShape(reference, i, reference.places[panel]) ?? []) : [],
  );
