import {
  along,
  angleBetween,
  axisBetween,
  cross,
  directionAt,
  distance,
  GraphCurve,
  graphPath,
  line,
  mapPath,
  meetLines,
  mirror,
  onAxis,
  pathBetweenPlaces,
  pointAt,
  quarterTurn,
  scale,
  subtract,
  turn,
  unit,
  velocityAt,
  type Cubic,
  type Figure,
  type Path,
  type PathPlace,
  type Point,
  type SolvedGraph,
  type Sum,
} from '../geometry/index.js';
import type { PanelName } from '../method/index.js';
import type { Dart } from './panel.js';

/** A dart before the waist is laid over it. */
export interface FlatDart {
  readonly apex: Point;
  /** Unit direction of its middle line, apex to waist. */
  readonly up: Point;
  /** Angle between the legs, radians. */
  readonly angle: number;
}

/** The share of a step along the chord of a closed waist, and of one across it, that goes down. */
export interface ChordDown {
  readonly u: number;
  readonly v: number;
}

/** Which way is down for a closed waist as it lies. */
export function chordDown(closed: Path): ChordDown {
  const first = closed[0];
  const last = closed[closed.length - 1];
  if (!first || !last) return { u: 0, v: -1 };
  const axis = axisBetween(first.p0, last.p3);
  return { u: axis.direction.y, v: axis.across.y };
}

/** What a waist line runs between: its ends, and the directions down the seams that it is square to. */
export interface WaistEnds {
  readonly panel: PanelName;
  readonly centreWaist: Point;
  readonly centreDown: Point;
  readonly sideWaist: Point;
  readonly sideDown: Point;
  /**
   * Off square at the side, radians, so that front and back run level into one another; where it is left open the curve
   * takes what it likes best. Positive turns the line up toward the side.
   */
  readonly offSquare: number | undefined;
  /** By how much more or less it may be; nothing where a piece that was altered keeps the waist it has. */
  readonly offSquareWithin?: number;
  /** Which way is down as seen from its chord, where a cut has swung the whole waist: as it was before. */
  readonly down?: ChordDown;
}

/** The waist over closed darts, and where the darts cut it. */
export interface ClosedWaist {
  readonly path: Path;
  /** Where each dart cuts it, from the centre. */
  readonly cuts: readonly PathPlace[];
  /** Direction of the side seam upward once the darts are closed. */
  readonly sideUp: Point;
  /** How far it is off square at the side, radians. */
  readonly offSquare: number;
}

/** The waist opened again for cutting. */
export interface OpenWaist {
  readonly edge: Path;
  readonly sections: readonly Path[];
  readonly darts: readonly Dart[];
}

/** Carries a point sideward of the first `count` darts to where it lies once those are closed. */
function close(p: Point, darts: readonly FlatDart[], count: number): Point {
  let q = p;
  for (let i = count - 1; i >= 0; i--) {
    const d = darts[i];
    if (d) q = turn(q, d.angle, d.apex);
  }
  return q;
}

/** The reverse of `close`. */
function open(p: Point, darts: readonly FlatDart[], count: number): Point {
  let q = p;
  for (let i = 0; i < count; i++) {
    const d = darts[i];
    if (d) q = turn(q, -d.angle, d.apex);
  }
  return q;
}

/** Where a path crosses the ray from `from` through `through` (Newton's method on the span that it crosses). */
function crossingPlace(path: Path, from: Point, through: Point): PathPlace {
  const ray = subtract(through, from);
  const off = (p: Point): number => cross(ray, subtract(p, from));
  let index = path.findIndex((c) => off(c.p0) * off(c.p3) <= 0);
  if (index === -1)
    index = Math.abs(off(path[0]?.p0 ?? from)) < Math.abs(off(path[path.length - 1]?.p3 ?? from)) ? 0 : path.length - 1;
  const c = path[index] as Cubic;
  let t = 0.5;
  for (let i = 0; i < 12; i++) {
    const step = off(pointAt(c, t)) / cross(ray, velocityAt(c, t));
    t = Math.min(1, Math.max(0, t - step));
    if (Math.abs(step) < 1e-12) break;
  }
  return { index, t };
}

/** The tip between the legs: the waist on the centre's side, folded back over the leg, meets the dart's fold there. */
function peakOf(apex: Point, centreLeg: Point, sideLeg: Point, waistward: Point): Point {
  const legUp = unit(subtract(centreLeg, apex));
  const folded = subtract(mirror(along(centreLeg, waistward, 1), centreLeg, legUp), centreLeg);
  const foldUp = unit(subtract(scale({ x: centreLeg.x + sideLeg.x, y: centreLeg.y + sideLeg.y }, 0.5), apex));
  const meeting = meetLines(apex, foldUp, centreLeg, folded);
  return meeting?.at ?? along(apex, foldUp, distance(apex, centreLeg));
}

/** How far a waist may lie off its chord, in mm, or this share of the arc of its whole turn. */
const OFF_CHORD = { front: 5.6, back: 7.6 } as const;
const OFF_ARC = 1.15;
/** Behind no point lies more than this under the lower of its two ends, in mm. */
const SAG = 4.4;
/** What turns the other way is kept to this much of an end, in mm, and to this turn. */
const END_RUN = 20;
const END_TURN = Math.tan((7 * Math.PI) / 180);
const END_TURN_PLAIN = Math.tan((13 * Math.PI) / 180);
/** How far off square a waist may be at the side, and how dear that is; radians. */
const MOST_OFF_SQUARE = (3.6 * Math.PI) / 180;
const OFF_SQUARE_DEAR = 3;
/** How dear it is to be off what makes front and back run level. */
const PAIR_DEAR = 3000;
/** Front and back together may be off level at the side by twice this, radians. */
export const PAIR_OFF = (0.85 * Math.PI) / 180;
const PASSED = 1000;
/** Where a limit has to be passed, the turn at the centre gives so many times more than the rest: no horn stands at the side. */
const CENTRE_GIVES = 8;
/** A waist that passes a limit by less than this, in mm, is not tried the other way. */
const PASSES = 0.05;
/** A waist rises square from a chord no more steeply than this. */
const STEEPEST = 1.2;

/** A waist found, by how much it passes a limit, and how dear it is. */
interface BentWaist {
  readonly solved: SolvedGraph;
  readonly passed: number;
  readonly cost: number;
}

interface WaistFrame {
  readonly ends: WaistEnds;
  readonly darted: boolean;
  readonly long: number;
  readonly nodes: readonly number[];
  readonly first: number;
  /** Slope that is square to the side. */
  readonly last: number;
  /** Share of v that is downward on the piece, and of u. */
  readonly downV: number;
  readonly downU: number;
}

/** The fair waist that bends one way, up (+) or down (-) as seen from its chord; nothing where there is none. */
function bentWaist(frame: WaistFrame, way: 1 | -1): BentWaist | undefined {
  const { ends, nodes, long, first, last, darted } = frame;
  const count = nodes.length - 1;
  const curve = new GraphCurve(nodes, 0, 0, 2);
  const [slack, offSquare] = [curve.slack(0), curve.slack(1)];
  // Slopes are tangents: a degree off square is worth more of them where the line stands steeply to its chord.
  const tangent = 1 + last * last;
  curve.exactly([[curve.slope(0), 1]], first);
  curve.exactly([[curve.place(count), 1]], 0);
  curve.exactly(
    [
      [curve.slope(count), 1],
      [offSquare, -tangent],
    ],
    last,
  );
  curve.atLeast([[slack, 1]], 0);
  curve.dear(slack, 0, PASSED);
  const given = (figure: Figure, by: number, from: Figure | undefined, most: number, gives = 1): void => {
    const sum: Sum = from
      ? [
          [figure, by],
          [from, -by],
          [slack, gives],
        ]
      : [
          [figure, by],
          [slack, gives],
        ];
    curve.atLeast(sum, -most);
  };
  const pairs = ends.offSquare ?? 0;
  const room = ends.offSquare === undefined ? MOST_OFF_SQUARE : (ends.offSquareWithin ?? 0);
  curve.dear(offSquare, pairs, ends.offSquare === undefined ? OFF_SQUARE_DEAR : PAIR_DEAR);
  curve.atLeast([[offSquare, 1]], pairs - room);
  curve.atMost([[offSquare, 1]], pairs + room);
  for (let i = 2; i <= count - 2; i++) curve.atLeast([[curve.bend(i), way]], 0);
  // What an end turns the other way, slope against slope.
  const most = 100 * (darted ? END_TURN : END_TURN_PLAIN);
  for (const at of [0, count - 2]) {
    for (const [from, to] of [
      [at, at + 1],
      [at + 1, at + 2],
      [at, at + 2],
    ] as const) {
      given(curve.slope(to), way * 100, curve.slope(from), most, at === 0 ? CENTRE_GIVES : 1);
    }
  }
  const arc = (OFF_ARC * long * Math.abs(Math.atan(last) - Math.atan(first))) / 8;
  const off = Math.max(OFF_CHORD[ends.panel], arc);
  const lower = Math.max(0, frame.downU * long);
  for (let i = 1; i < count; i++) {
    const place = curve.place(i);
    given(place, 1, undefined, off);
    given(place, -1, undefined, off);
  }
  if (ends.panel === 'back') {
    for (let i = 1; i < 2 * count; i++) {
      const u = ((nodes[i >> 1] as number) + (nodes[(i + 1) >> 1] as number)) / 2;
      curve.atLeast(
        [
          [curve.placeOver(u), -frame.downV],
          [slack, 1],
        ],
        u * frame.downU - lower - SAG,
      );
    }
  }
  const solved = curve.solve();
  if (!solved) return undefined;
  return {
    solved,
    passed: solved.value(slack),
    cost: solved.variation + PASSED * solved.value(slack) ** 2 + OFF_SQUARE_DEAR * solved.value(offSquare) ** 2,
  };
}

/**
 * One smooth waist line over the closed darts (docs/trade/curves.md): square to the centre line, bending one way and
 * evenly, and running level into the neighbouring panel at the side.
 */
export function closedWaist(ends: WaistEnds, darts: readonly FlatDart[]): ClosedWaist {
  const { centreWaist: from, sideWaist } = ends;
  const n = darts.length;
  const closedEnd = close(sideWaist, darts, n);
  const closedDown = subtract(close(along(sideWaist, ends.sideDown, 1), darts, n), closedEnd);
  const axis = axisBetween(from, closedEnd);
  const long = distance(from, closedEnd);
  const slopeOf = (d: Point): number => {
    const { u, v } = onAxis({ ...axis, origin: { x: 0, y: 0 } }, d);
    const slope = v / Math.max(u, 1e-3);
    return Math.min(STEEPEST, Math.max(-STEEPEST, slope));
  };
  const run = Math.min(END_RUN, long / 6);
  const inner = long - 2 * run;
  const nodes = [
    0,
    run / 2,
    run,
    run + inner / 4,
    run + inner / 2,
    run + (3 * inner) / 4,
    long - run,
    long - run / 2,
    long,
  ];
  const frame: WaistFrame = {
    ends,
    darted: n > 0,
    long,
    nodes,
    first: slopeOf(quarterTurn(ends.centreDown)),
    last: slopeOf(quarterTurn(closedDown)),
    downV: ends.down?.v ?? axis.across.y,
    downU: ends.down?.u ?? axis.direction.y,
  };
  // The way in which squareness at both ends turns it; the other where that would pass a limit.
  const way = frame.last >= frame.first ? 1 : -1;
  const natural = bentWaist(frame, way);
  const other = natural && natural.passed < PASSES ? undefined : bentWaist(frame, way === 1 ? -1 : 1);
  const best = other && (!natural || other.cost < natural.cost) ? other : natural;
  const path = best ? graphPath(best.solved, axis) : [line(from, closedEnd)];
  // Closed, both legs lie on the centre leg: half the dart's angle toward the centre from its middle line.
  const cuts = darts.map((d, k) =>
    crossingPlace(path, close(d.apex, darts, k), close(turn(along(d.apex, d.up, 100), d.angle / 2, d.apex), darts, k)),
  );
  const arriving = directionAt(path[path.length - 1] as Cubic, 1);
  const sideUp = scale(closedDown, -1);
  return { path, cuts, sideUp, offSquare: Math.PI / 2 - angleBetween(arriving, sideUp) };
}

const at = (path: Path, { index, t }: PathPlace): Point => pointAt(path[index] as Cubic, t);

/** The length of each dart's legs under a closed waist, in mm. */
export const legsUnder = ({ path, cuts }: ClosedWaist, darts: readonly FlatDart[]): number[] =>
  cuts.map((place, k) => distance(close(darts[k]?.apex ?? at(path, place), darts, k), at(path, place)));

/** True where the darts stand side by side within the waist, none at its very ends. */
export function standApart({ path, cuts }: ClosedWaist): boolean {
  const last = path[path.length - 1]?.p3;
  const first = path[0]?.p0;
  if (!first || !last) return false;
  const long = distance(first, last);
  const places = [...cuts.map((cut) => distance(first, at(path, cut))), long];
  return places.every((here, k) => here - (k === 0 ? 0 : (places[k - 1] as number)) >= 0.01 * long);
}

/** Opens a closed waist again: sections between the darts, legs of equal length, the mouths peaked. */
export function openWaist({ path, cuts }: ClosedWaist, flat: readonly FlatDart[]): OpenWaist {
  const start: PathPlace = { index: 0, t: 0 };
  const end: PathPlace = { index: path.length - 1, t: 1 };
  const bounds = [start, ...cuts, end];
  const sections = bounds.slice(0, -1).map((place, k): Path => {
    return mapPath(pathBetweenPlaces(path, place, bounds[k + 1] ?? end), (p) => open(p, flat, k));
  });
  const darts = flat.map((d, k): Dart => {
    const here = at(path, cuts[k] ?? start);
    const centreLeg = open(here, flat, k);
    const sideLeg = open(here, flat, k + 1);
    const before = sections[k]?.[(sections[k]?.length ?? 1) - 1];
    const toCentre = before ? scale(directionAt(before, 1), -1) : unit(subtract(at(path, start), centreLeg));
    return {
      apex: d.apex,
      centreLeg,
      sideLeg,
      peak: peakOf(d.apex, centreLeg, sideLeg, toCentre),
      intake: distance(centreLeg, sideLeg),
      length: distance(d.apex, centreLeg),
    };
  });
  const edge = sections.flatMap((section, k): Path => {
    const d = darts[k];
    return d ? [...section, line(d.centreLeg, d.peak), line(d.peak, d.sideLeg)] : section;
  });
  return { edge, sections, darts };
}
