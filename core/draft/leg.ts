import {
  axisBetween,
  axisDown,
  distance,
  graphPath,
  GraphCurve,
  line,
  onAxis,
  point,
  type Figure,
  type Path,
  type Point,
} from '../geometry/index.js';
import type { Levels, PanelParameters } from '../method/index.js';

/** The corners of the leg below the crotch. */
export interface Leg {
  readonly crease: number;
  readonly sideKnee: Point;
  readonly inseamKnee: Point;
  readonly sideHem: Point;
  readonly inseamHem: Point;
  readonly kneeOnPiece: boolean;
}

/** Where a seam of the leg ends: its knee corner and its hem corner. */
export interface LegEnd {
  readonly knee: Point;
  readonly hem: Point;
  readonly kneeOnPiece: boolean;
}

/** A leg whose hem comes closer to the knee line than this, in mm, has no knee of its own. */
const LEAST_LOWER_LEG = 20;
/** The bend about the knee: how far above and below the knee line it runs at most, in mm (docs/trade/curves.md). */
const BEND_ABOVE = 128;
const BEND_BELOW = 80;
/** Along a slanting inseam the same 80 mm down are less. */
const BEND_BELOW_ALONG = 72;
/** It is nowhere tighter than this share of the arc that would make the same turn evenly. */
export const EVENNESS = { side: 0.67, inseam: 0.74 } as const;
/** No radius of an inseam is under this off the knee's bend, in units of 1 per 100 mm. */
const INSEAM_BEND = 100 / 330;
/** A limit that cannot be kept is passed as little as can be: weight per square millimetre. */
const PASSED = 20;
/** What a millimetre of slack gives a bend, in 1 per 100 mm. */
const GIVES = 0.004;
/** Where along the way from crotch point to knee an inseam is as hollow as asked. */
const DEEPEST = 0.42;
/** It is deepest above this share of the way. */
const LOWER_THIRD = 0.65;
const HOLLOW_DEAR = 0.3;
/** How dear it is for a short leg to begin with another bend than the full leg has. */
const GOES_ON = 4;
const THIGH_DEAR = 0.15;

/** True where a leg has a knee of its own. */
export const hasKnee = (levels: Levels): boolean => levels.hemLevel >= levels.kneeLevel + LEAST_LOWER_LEG;

/**
 * Crease and corners: the crease halves the crotch width between side and crotch point (less `creaseShift`), knee and
 * hem lie half on each side of it, or are laid off from the side line at `sideX`. Where the hem lies above the knee
 * line, the hem corners stand for the knee corners.
 */
export function legOf(
  p: PanelParameters,
  levels: Levels,
  sideCrotchX: number,
  crotchX: number,
  sideX: number | undefined,
): Leg {
  const crease = (sideCrotchX + crotchX) / 2 - p.creaseShift;
  const kneeOnPiece = hasKnee(levels);
  const corner = (width: number, half: -1 | 1, level: number): Point =>
    sideX !== undefined ? point(sideX + (half === 1 ? width : 0), level) : point(crease + (half * width) / 2, level);
  const sideHem = corner(p.hemWidth, -1, levels.hemLevel);
  const inseamHem = corner(p.hemWidth, 1, levels.hemLevel);
  return {
    crease,
    sideHem,
    inseamHem,
    sideKnee: kneeOnPiece ? corner(p.kneeWidth, -1, levels.kneeLevel) : sideHem,
    inseamKnee: kneeOnPiece ? corner(p.kneeWidth, 1, levels.kneeLevel) : inseamHem,
    kneeOnPiece,
  };
}

/** The corners of a leg that falls plumb from the hip at `sideX` and the crotch point at `crotchX`. */
export function plumbLeg(p: PanelParameters, levels: Levels, sideX: number, crotchX: number): Leg {
  const kneeOnPiece = hasKnee(levels);
  const upper = kneeOnPiece ? levels.kneeLevel : levels.hemLevel;
  return {
    crease: (sideX + crotchX) / 2 - p.creaseShift,
    sideKnee: point(sideX, upper),
    inseamKnee: point(crotchX, upper),
    sideHem: point(sideX, levels.hemLevel),
    inseamHem: point(crotchX, levels.hemLevel),
    kneeOnPiece,
  };
}

/** Where the bend about the knee begins, and how far below the knee it runs; lengths along the seam in mm. */
export function bendWindow(
  knee: number,
  least: number,
  lower: number,
  below = BEND_BELOW,
): { from: number; tail: number } {
  return { from: Math.max(least, knee - BEND_ABOVE), tail: Math.min(below, 0.6 * lower) };
}

/** Asks that a curve run on from its end straight through the hem corner. */
export function runsThrough(
  curve: GraphCurve,
  end: number,
  nodes: readonly number[],
  hem: { readonly u: number; readonly v: number },
): void {
  curve.exactly(
    [
      [curve.place(end), 1],
      [curve.slope(end), hem.u - (nodes[end] as number)],
    ],
    hem.v,
  );
}

/** The nodes of a bend into the lower leg: where it begins and where it ends, and which way it turns. */
interface KneeBend {
  readonly from: number;
  readonly end: number;
  readonly nodes: readonly number[];
  readonly bend: 1 | -1;
  /** Whether the bend turns its way from its very beginning, or may begin with what comes before. */
  readonly signed: boolean;
  /** It is nowhere tighter than this share of the even arc. */
  readonly evenness: number;
  /** What is passed where the bend cannot be even. */
  readonly slack: Figure;
}

/** Asks that the bend about the knee turn one way, and nowhere more tightly than its `evenness` allows. */
export function evenBendInto(curve: GraphCurve, { from, end, nodes, bend, signed, evenness, slack }: KneeBend): void {
  const run = ((nodes[end] as number) - (nodes[from] as number)) / 100;
  const share = bend / (run * evenness);
  for (let i = from; i <= end; i++) {
    if (i > from || signed) {
      curve.atLeast(
        [
          [curve.bend(i), bend],
          [slack, GIVES],
        ],
        0,
      );
    }
    curve.atLeast(
      [
        [curve.slope(end), share],
        [curve.slope(from), -share],
        [curve.bend(i), -bend],
        [slack, GIVES],
      ],
      -0.0002,
    );
  }
}

/** The inseam above the knee and below it, each run downward, and how it leaves the crotch point. */
export interface Inseam {
  readonly upper: Path;
  readonly lower: Path;
  /** Slope dx/dy at the crotch point. */
  readonly leaving: Point;
}

/** What an inseam runs between. */
export interface InseamWish {
  readonly crotchPoint: Point;
  readonly end: LegEnd;
  /** How far it bows inward, in mm. */
  readonly hollow: number;
  /** Its corner at the thigh line, where the sheet states a width there. */
  readonly thigh: Point | undefined;
}

/**
 * The inseam (docs/trade/curves.md): hollow from the crotch point to the knee, deepest in the upper or middle third,
 * with no tight bend, running evenly into the straight lower leg about the knee. Nothing where there is none.
 */
export function inseamSeam({ crotchPoint, end, hollow, thigh }: InseamWish): Inseam | undefined {
  const axis = axisBetween(crotchPoint, end.knee);
  const long = distance(crotchPoint, end.knee);
  const hem = onAxis(axis, end.hem);
  const { from: bendFrom, tail } = bendWindow(long, 0.45 * long, hem.u - long, BEND_BELOW_ALONG);
  const upper = [0, bendFrom / 4, bendFrom / 2, (3 * bendFrom) / 4, bendFrom];
  const nodes = [...upper, (bendFrom + long) / 2, long, long + tail / 2, long + tail];
  const BEND = 4;
  const KNEE = BEND + 2;
  const END = KNEE + 2;
  const curve = new GraphCurve(nodes, 0, 0, 1);
  const slack = curve.slack(0);
  curve.exactly([[curve.place(KNEE), 1]], 0);
  runsThrough(curve, END, nodes, hem);
  curve.atLeast([[slack, 1]], 0);
  curve.dear(slack, 0, PASSED);
  const bend = hem.v <= 0 ? -1 : 1;
  evenBendInto(curve, { from: BEND, end: END, nodes, bend, signed: true, evenness: EVENNESS.inseam, slack });
  for (let i = 0; i <= (bend < 0 ? BEND : BEND - 1); i++) {
    curve.atMost([[curve.bend(i), 1]], 0);
    curve.atLeast(
      [
        [curve.bend(i), 100],
        [slack, 1],
      ],
      -100 * INSEAM_BEND,
    );
  }
  curve.atMost(
    [
      [curve.slopeOver(LOWER_THIRD * long), 100],
      [slack, -0.1],
    ],
    0,
  );
  curve.dear(curve.placeOver(DEEPEST * long), hollow, HOLLOW_DEAR);
  if (thigh) {
    const { u, v } = onAxis(axis, thigh);
    if (u > 0 && u < long) curve.dear(curve.placeOver(u), v, THIGH_DEAR);
  }
  const solved = curve.solve();
  if (!solved) return undefined;
  const path = graphPath(solved, axis);
  const first = path[0];
  const last = path[END - 1];
  if (!first || !last) return undefined;
  return {
    upper: path.slice(0, KNEE),
    lower: end.kneeOnPiece ? [...path.slice(KNEE, END), line(last.p3, end.hem)] : [],
    leaving: point(first.p1.x - first.p0.x, first.p1.y - first.p0.y),
  };
}

/**
 * How a seam of a short leg begins: place, slope dx/dy and, where it goes on from a seam above, its bend per 100 mm.
 */
export interface LegStart {
  readonly at: Point;
  readonly slope: number;
  readonly bend: number | undefined;
}

/**
 * A seam of a leg that is not as long as the body's, from the crotch line down: it goes on as the full leg's does there
 * and turns below. Above the knee it ends in the hem corner; nothing where no such curve is found.
 */
export function cutLeg(start: LegStart, end: LegEnd, crotchToKnee: number): { upper: Path; lower: Path } | undefined {
  const axis = axisDown(start.at.x, start.at.y);
  const knee = end.knee.y - start.at.y;
  const hem = { u: end.hem.y - start.at.y, v: end.hem.x - start.at.x };
  const body = (nodes: readonly number[]): GraphCurve => {
    const curve = new GraphCurve(nodes, 0, 0, 1);
    curve.exactly([[curve.slope(0), 1]], start.slope);
    if (start.bend !== undefined) curve.dear(curve.bend(0), start.bend, GOES_ON);
    return curve;
  };
  if (!end.kneeOnPiece) {
    const spans = Math.max(2, Math.min(6, Math.round((6 * hem.u) / Math.max(60, crotchToKnee))));
    const nodes = Array.from({ length: spans + 1 }, (_, i) => (hem.u * i) / spans);
    const curve = body(nodes);
    curve.exactly([[curve.place(spans), 1]], hem.v);
    const solved = curve.solve();
    return solved && { upper: graphPath(solved, axis), lower: [] };
  }
  const { from, tail } = bendWindow(knee, knee / 3, hem.u - knee);
  const nodes = [0, from / 4, from / 2, (3 * from) / 4, from, (from + knee) / 2, knee, knee + tail / 2, knee + tail];
  const curve = body(nodes);
  const kneeX = end.knee.x - start.at.x;
  curve.exactly([[curve.place(6), 1]], kneeX);
  runsThrough(curve, 8, nodes, hem);
  const slack = curve.slack(0);
  curve.atLeast([[slack, 1]], 0);
  curve.dear(slack, 0, PASSED);
  const bend = (hem.v - kneeX) / (hem.u - knee) - kneeX / knee >= 0 ? 1 : -1;
  evenBendInto(curve, { from: 4, end: 8, nodes, bend, signed: false, evenness: EVENNESS.inseam, slack });
  const solved = curve.solve();
  const path = solved && graphPath(solved, axis);
  const last = path?.[7];
  return path && last && { upper: path.slice(0, 6), lower: [...path.slice(6, 8), line(last.p3, end.hem)] };
}

/** True where the leg is not as long as the body's: it is cut from the full leg at the crotch line. */
export const isCut = (levels: Levels, full: Levels): boolean =>
  Math.abs(levels.hemLevel - full.hemLevel) > 0.01 || hasKnee(levels) !== hasKnee(full);
