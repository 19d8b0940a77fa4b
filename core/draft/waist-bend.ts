import { GraphCurve, type Figure, type Point, type SolvedGraph, type Sum } from '../geometry/index.js';
import type { PanelName } from '../method/index.js';

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
  /** How far the line dips at the centre below where it would end, in mm, running out to nothing at its middle. */
  readonly dip?: number;
  /** How far a cut has swung the whole waist, in radians: down is then down as it was before. */
  readonly swung?: number;
}

/** How far a waist may lie off its chord, in mm, or this share of the arc of its whole turn. */
const OFF_CHORD = { front: 5.6, back: 7.6 } as const;
const OFF_ARC = 1.15;
/** Behind no point lies more than this under the lower of its two ends, in mm. */
const SAG = 4.4;
/** What turns the other way is kept to this much of an end, in mm, and to this turn. */
export const END_RUN = 20;
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
/**
 * Where a limit has to be passed, the turn at the centre gives so many times more than the rest: no horn stands at the
 * side.
 */
const CENTRE_GIVES = 8;

/** A waist found, by how much it passes a limit, and how dear it is. */
export interface BentWaist {
  readonly solved: SolvedGraph;
  readonly passed: number;
  readonly cost: number;
}

/** A waist seen from its chord: where its nodes lie along it, the slopes at its ends, and which way is down. */
export interface WaistFrame {
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
export function bentWaist(frame: WaistFrame, way: 1 | -1): BentWaist | undefined {
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
