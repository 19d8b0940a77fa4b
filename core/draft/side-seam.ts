import {
  axisDown,
  graphPath,
  GraphCurve,
  line,
  point,
  laidDown,
  remember,
  type Path,
  type Point,
  type Sum,
} from '../geometry/index.js';
import { bendWindow, EVENNESS, evenBendInto, runsThrough, type LegEnd } from './leg.js';

/** What a side seam runs through. Lengths in mm, panel coordinates. */
export interface SideWish {
  readonly waist: Point;
  readonly hip: Point;
  readonly crotchLevel: number;
  /** x at the crotch line, where the sheet sets an inset; an outcome otherwise. */
  readonly insetX: number | undefined;
  /** The inset is that of a side that was drawn before, and is to stay. */
  readonly insetHeld?: boolean;
  /** Where the sheet states a width at the thigh line: its corner. */
  readonly thigh: Point | undefined;
  readonly end: LegEnd;
  /** The side falls plumb from the hip down: a skirt's leg. */
  readonly plumb: boolean;
}

/** The side seam in its three stretches, each run downward. */
export interface SideSeam {
  readonly waistToHip: Path;
  readonly hipToKnee: Path;
  readonly kneeToHem: Path;
  /** How many curves of hip to knee lie above the crotch line. */
  readonly hipToCrotch: number;
  readonly crotch: Point;
  /** Direction and bend at the crotch line, for a short leg to go on from: dx/dy and its change per 100 mm. */
  readonly atCrotch: { readonly slope: number; readonly bend: number };
}

/** The side leans no more than this at the waist (docs/trade/curves.md), less a little for what is drawn. */
const MOST_LEAN = Math.tan((14.6 * Math.PI) / 180);
/** On the hip line it stands plumb within this; how dear that is. */
const OFF_PLUMB = Math.tan((1.6 * Math.PI) / 180);
const PLUMB_DEAR = 1500;
/**
 * The side may lie this far outside the straight from hip to knee from a quarter of the way on, and this far inside.
 */
const OUTSIDE = 0.4;
const INSIDE = 6.7;
/** An inset keeps at least this share. */
const LEAST_INSET = 0.62;
/** How dear it is to pass a limit that cannot be kept, and to miss an inset or a thigh, per square millimetre. */
const PASSED = 20;
const INSET_DEAR = 0.02;
const INSET_HELD = 2;
/** An inset gives this much more than the other limits where none can be kept. */
const INSET_GIVES = 4;
/** Where it tapers by more than this, in mm, it is fullest within this of the hip line, in units of 100 mm. */
const TAPERS = 4;
const FULLEST = 0.11;
const THIGH_DEAR = 0.15;

/** A straight side: one vertical from which the leg is laid off. */
export function straightSide(wish: SideWish): SideSeam {
  const { waist, hip, end } = wish;
  const crotch = point(
    hip.x + ((end.knee.x - hip.x) * (wish.crotchLevel - hip.y)) / (end.knee.y - hip.y),
    wish.crotchLevel,
  );
  return {
    waistToHip: [line(waist, hip)],
    hipToKnee: [line(hip, crotch), line(crotch, end.knee)],
    kneeToHem: end.kneeOnPiece ? [line(end.knee, end.hem)] : [],
    hipToCrotch: 1,
    crotch,
    atCrotch: { slope: (end.knee.x - hip.x) / (end.knee.y - hip.y), bend: 0 },
  };
}

/** All that a side depends on. */
function figuresOf(wish: SideWish): number[] {
  const { waist, hip, crotchLevel, insetX, insetHeld, thigh, end, plumb, ...rest } = wish;
  const { knee, hem, kneeOnPiece, ...restOfEnd } = end;
  const given = [waist.x, waist.y, hip.x, hip.y, crotchLevel, knee.x, knee.y, hem.x, hem.y];
  const set = [insetX ?? NaN, Number(insetHeld ?? false), thigh?.x ?? NaN, thigh?.y ?? NaN];
  return laidDown([...given, ...set, Number(kneeOnPiece), Number(plumb)], rest, restOfEnd);
}

/** As many sides are remembered: all rounds in which both of a draft settle, and some more. */
const REMEMBERED = 48;

/**
 * The side seam (docs/trade/curves.md): from waist to hip it turns one way and stands plumb on the hip line; below it
 * runs in to a quarter of the way to the knee, lies straight or a little hollow from there, and bends evenly into the
 * lower leg over 20 cm about the knee. The curve whose bend varies least; nothing where there is none.
 */
export const sideSeam = remember(foundSide, figuresOf, REMEMBERED);

function foundSide(wish: SideWish): SideSeam | undefined {
  const { waist, hip, end } = wish;
  const height = hip.y - waist.y;
  const taper = waist.x - hip.x;
  const crotch = wish.crotchLevel - hip.y;
  const knee = end.knee.y - hip.y;
  const kneeX = end.knee.x - hip.x;
  const quarter = crotch + (knee - crotch) / 4;
  const { from: bendFrom, tail } = bendWindow(knee, quarter, end.hem.y - end.knee.y);
  const thighU = wish.thigh ? wish.thigh.y - hip.y : undefined;
  const inner = [crotch / 2, crotch, (crotch + quarter) / 2, quarter];
  const middle =
    bendFrom - quarter > 50 ? [(quarter + bendFrom) / 2, bendFrom] : bendFrom > quarter + 1 ? [bendFrom] : [];
  const nodes = [
    -height,
    (-2 * height) / 3,
    -height / 3,
    0,
    ...inner,
    ...middle,
    (bendFrom + knee) / 2,
    knee,
    knee + tail / 2,
    knee + tail,
  ];
  const HIP = 3;
  const CROTCH = HIP + 2;
  const QUARTER = HIP + 4;
  const BEND = QUARTER + middle.length;
  const KNEE = BEND + 2;
  const END = KNEE + 2;
  const curve = new GraphCurve(nodes, HIP, 0, 1);
  const slack = curve.slack(0);
  const way = taper >= 0 ? 1 : -1;
  const chord = kneeX / knee;
  const inward = chord >= 0 ? 1 : -1;
  const hem = { u: end.hem.y - hip.y, v: end.hem.x - hip.x };
  const bend = (hem.v - kneeX) / (hem.u - knee) - chord >= 0 ? 1 : -1;

  curve.exactly([[curve.place(0), 1]], taper);
  if (wish.plumb) {
    curve.exactly([[curve.slope(HIP), 1]], 0);
    for (let i = HIP; i <= END; i++) curve.exactly([[curve.bend(i), 1]], 0);
  } else {
    curve.exactly([[curve.place(KNEE), 1]], kneeX);
    runsThrough(curve, END, nodes, hem);
    if (inward < 0 && taper > 0.5) curve.exactly([[curve.bend(HIP), 1]], 0);
  }
  curve.atLeast([[slack, 1]], 0);
  curve.dear(slack, 0, PASSED);
  const within = (sum: Sum, low: number, high: number): void => {
    curve.atLeast([...sum, [slack, 1]], low);
    curve.atMost([...sum, [slack, -1]], high);
  };
  for (let i = 0; i <= HIP; i++) curve.atLeast([[curve.bend(i), way]], 0);
  curve.atMost(
    [
      [curve.slope(0), -way * 100],
      [slack, -1],
    ],
    100 * MOST_LEAN,
  );
  if (!wish.plumb) {
    curve.dear(curve.slope(HIP), 0, PLUMB_DEAR);
    curve.atLeast([[curve.slope(HIP), 1]], -OFF_PLUMB);
    curve.atMost([[curve.slope(HIP), 1]], OFF_PLUMB);
    if (taper > TAPERS) {
      for (const side of [1, -1]) {
        curve.atLeast(
          [
            [curve.bend(HIP), FULLEST],
            [curve.slope(HIP), side],
          ],
          0,
        );
      }
    }
    evenBendInto(curve, { from: BEND, end: END, nodes, bend, signed: BEND > QUARTER, evenness: EVENNESS.side, slack });
    const insetOut = wish.insetX !== undefined && wish.insetX < hip.x - 1;
    for (let i = insetOut ? CROTCH : HIP + 1; i < QUARTER; i++) curve.atLeast([[curve.bend(i), inward]], 0);
    if (inward < 0) {
      for (let i = HIP + 1; i <= KNEE; i++) curve.atMost([[curve.slope(i), 1]], 0);
      for (let i = QUARTER + 1; i <= BEND; i++) curve.atLeast([[curve.bend(i), bend]], 0);
    } else {
      for (let i = QUARTER + 1; i <= (bend < 0 ? BEND : BEND - 1); i++) curve.atMost([[curve.bend(i), 1]], 0);
    }
    const from = curve.place(QUARTER);
    for (const share of bend < 0 ? [0, 0.15, 0.3, 0.45, 0.6] : [0, 0.2, 0.4, 0.6, 0.8]) {
      const u = quarter + (knee - quarter) * share;
      const place = curve.placeOver(u);
      within([[place, 1]], chord * u - OUTSIDE, chord * u + INSIDE);
      if (share === 0) continue;
      // From the quarter's place itself: straight or hollow.
      const straight = kneeX * share;
      within(
        [
          [place, 1],
          [from, share - 1],
        ],
        straight - OUTSIDE,
        straight + INSIDE,
      );
    }
  }
  if (wish.insetX !== undefined) {
    const asked = wish.insetX - hip.x;
    const at = curve.place(CROTCH);
    curve.dear(at, asked, wish.insetHeld ? INSET_HELD : INSET_DEAR);
    if (asked > 1) {
      curve.atLeast(
        [
          [at, 1],
          [slack, INSET_GIVES],
        ],
        LEAST_INSET * asked,
      );
    }
  }
  if (thighU !== undefined && thighU > 0 && thighU < knee) {
    curve.dear(curve.placeOver(thighU), (wish.thigh?.x ?? 0) - hip.x, THIGH_DEAR);
  }
  const solved = curve.solve();
  if (!solved) return undefined;
  const path = graphPath(solved, axisDown(hip.x, hip.y));
  const last = path[END - 1];
  return {
    waistToHip: path.slice(0, HIP),
    hipToKnee: path.slice(HIP, KNEE),
    kneeToHem: !end.kneeOnPiece ? [] : [...path.slice(KNEE, END), ...(last ? [line(last.p3, end.hem)] : [])],
    hipToCrotch: CROTCH - HIP,
    crotch: point(hip.x + solved.value(curve.place(CROTCH)), wish.crotchLevel),
    atCrotch: { slope: solved.value(curve.slope(CROTCH)), bend: solved.value(curve.bend(CROTCH)) },
  };
}
