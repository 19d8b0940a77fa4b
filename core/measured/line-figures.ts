import type { Block, Panel } from '../draft/index.js';
import {
  angleBetween,
  cross,
  dot,
  endDirection,
  quarterTurn,
  startDirection,
  subtract,
  unit,
  type Cubic,
  type Path,
  type Point,
} from '../geometry/index.js';

/** A place on a line with its direction and bend, run in one direction. */
interface Place {
  readonly x: number;
  readonly y: number;
  /** Direction of travel, radians, without jumps. */
  readonly angle: number;
  /** Signed curvature, 1/mm. */
  readonly k: number;
  /** Running length, mm. */
  readonly s: number;
}

const DEGREES = 180 / Math.PI;
const STEPS = 6;

function placesOf(path: Path): Place[] {
  const out: Place[] = [];
  let s = 0;
  let last: Place | undefined;
  for (const c of path) {
    for (let i = last ? 1 : 0; i <= STEPS; i++) {
      const place = placeAt(c, i / STEPS, last, s);
      s = place.s;
      last = place;
      out.push(place);
    }
  }
  return out;
}

/** Written out in plain numbers: every line of both panels is measured in each recompute. */
function placeAt({ p0, p1, p2, p3 }: Cubic, t: number, last: Place | undefined, run: number): Place {
  const u = 1 - t;
  const [a, b, c, d] = [u * u * u, 3 * u * u * t, 3 * u * t * t, t * t * t];
  const x = a * p0.x + b * p1.x + c * p2.x + d * p3.x;
  const y = a * p0.y + b * p1.y + c * p2.y + d * p3.y;
  const [e, f, g] = [3 * u * u, 6 * u * t, 3 * t * t];
  const dx = e * (p1.x - p0.x) + f * (p2.x - p1.x) + g * (p3.x - p2.x);
  const dy = e * (p1.y - p0.y) + f * (p2.y - p1.y) + g * (p3.y - p2.y);
  const ddx = 6 * (u * (p2.x - 2 * p1.x + p0.x) + t * (p3.x - 2 * p2.x + p1.x));
  const ddy = 6 * (u * (p2.y - 2 * p1.y + p0.y) + t * (p3.y - 2 * p2.y + p1.y));
  const speed = Math.sqrt(dx * dx + dy * dy);
  let angle = Math.atan2(dy, dx);
  if (last) angle += 2 * Math.PI * Math.round((last.angle - angle) / (2 * Math.PI));
  return {
    x,
    y,
    angle,
    k: speed > 1e-9 ? (dx * ddy - dy * ddx) / (speed * speed * speed) : 0,
    s: last ? run + Math.sqrt((x - last.x) ** 2 + (y - last.y) ** 2) : 0,
  };
}

/** What an eye sees of a rise, from where it leaves the straight to the crotch point. Lengths and radii in mm. */
export interface RiseFigures {
  /** How far it turns back, in degrees, all together. */
  readonly turnsBack: number;
  /** Radius where it leaves the straight. */
  readonly start: number;
  readonly tightest: number;
  /** Where it is tightest, from the crotch point. */
  readonly tightestAt: number;
  /** The shortest run that has half of the turn, as a share of the curve. */
  readonly spread: number;
  /** Where its bend is greatest, as a share from the start; how far it rises again elsewhere, as a share of that. */
  readonly peakAt: number;
  readonly again: number;
  /** The longest flat run at the crotch point and elsewhere, as shares. */
  readonly flatEnd: number;
  readonly flatElsewhere: number;
}

/** A bend of a larger radius, in mm, counts as straight. */
const STRAIGHT = 3000;
/** So near its beginning, in mm, a curve leaves the straight. */
const LEAVES = 3;

/** The figures of a rise; `flat` is the radius, in mm, from which a run counts as flat. */
export function riseFigures({ edges: { rise }, joints }: Panel, flat: number): RiseFigures {
  const up = placesOf(rise.slice(0, joints.curveStart));
  const whole = up[up.length - 1]?.s ?? 0;
  const bent = up.length - 1 - [...up].reverse().findIndex((p) => Math.abs(p.k) > 1 / STRAIGHT);
  const curve = up.slice(0, Math.min(up.length, bent + 2));
  const first = curve[0];
  const last = curve[curve.length - 1];
  if (!first || !last) throw new Error('A rise without a curve has no figures');
  const long = last.s || 1;
  const turn = last.angle - first.angle;
  const way = Math.sign(turn) || 1;
  let [back, tightest, tightestAt, shortest] = [0, 0, 0, Infinity];
  let peak = first;
  for (const [i, p] of curve.entries()) {
    const before = curve[i - 1];
    if (before) back += Math.max(0, -way * (p.angle - before.angle));
    if (Math.abs(p.k) > tightest) [tightest, tightestAt] = [Math.abs(p.k), p.s];
    if (way * p.k > way * peak.k) peak = p;
  }
  for (let i = 0, j = 0; i < curve.length; i++) {
    const from = curve[i] as Place;
    while (j < curve.length - 1 && Math.abs((curve[j] as Place).angle - from.angle) < Math.abs(turn) / 2) j++;
    const to = curve[j] as Place;
    if (Math.abs(to.angle - from.angle) < Math.abs(turn) / 2) break;
    shortest = Math.min(shortest, to.s - from.s);
  }
  const start = Math.max(...curve.filter((p) => long - p.s < LEAVES).map((p) => way * p.k), 1e-9);
  let [run, flatEnd, flatElsewhere] = [0, 0, 0];
  let atEnd = true;
  for (const [i, p] of curve.entries()) {
    if (way * p.k >= 1 / flat) {
      atEnd = false;
      run = 0;
      continue;
    }
    run += i === 0 ? 0 : p.s - (curve[i - 1] as Place).s;
    if (atEnd) flatEnd = run;
    else flatElsewhere = Math.max(flatElsewhere, run);
  }
  return {
    turnsBack: back * DEGREES,
    start: 1 / start,
    tightest: tightest === 0 ? Infinity : 1 / tightest,
    tightestAt,
    spread: shortest / long,
    peakAt: (long - peak.s) / long,
    again: againOf(curve, peak, way),
    flatEnd: flatEnd / long,
    flatElsewhere: whole === 0 ? 0 : flatElsewhere / long,
  };
}

/** How far the bend rises again on either side of its peak, as a share of the peak. */
function againOf(curve: readonly Place[], peak: Place, way: number): number {
  const at = curve.indexOf(peak);
  const most = way * peak.k;
  if (!(most > 0)) return 0;
  let again = 0;
  for (const side of [curve.slice(at), curve.slice(0, at + 1).reverse()]) {
    let low = most;
    for (const p of side) {
      low = Math.min(low, way * p.k);
      again = Math.max(again, way * p.k - low);
    }
  }
  return again / most;
}

/** What an eye sees of a side seam. Lengths in mm, angles in degrees; nothing where the piece has no such stretch. */
export interface SideFigures {
  readonly plumb: number;
  readonly lean: number;
  readonly turnsBack: number;
  readonly taper: number;
  /** How far from the hip line it is fullest. */
  readonly fullest: number;
  /** How far it lies outside and inside the straight from hip to knee, from a quarter of the way on. */
  readonly outside: number | undefined;
  readonly hollow: number | undefined;
}

/** The figures of a side seam. */
export function sideFigures({ edges: { side }, points: p, levels, kneeOnPiece }: Panel): SideFigures {
  const run = placesOf(side);
  const top = run[0] as Place;
  const taper = p.sideWaist.x - p.sideHip.x;
  const way = taper >= 0 ? 1 : -1;
  let hip = top;
  const above: Place[] = [];
  let [turned, other] = [0, 0];
  let [outside, inside] = [-Infinity, -Infinity];
  const quarter = levels.crotchLevel + (levels.kneeLevel - levels.crotchLevel) / 4;
  // A leg that only goes out below the hip is fuller there by its shape.
  const lowest = p.sideKnee.x < p.sideHip.x ? p.sideHip.y : levels.crotchLevel;
  const chord = (p.sideKnee.x - p.sideHip.x) / (p.sideKnee.y - p.sideHip.y);
  const square = 1 / Math.sqrt(1 + chord * chord);
  for (const [i, q] of run.entries()) {
    const before = run[i - 1];
    if (Math.abs(q.y - p.sideHip.y) < Math.abs(hip.y - p.sideHip.y)) hip = q;
    if (before && q.y <= p.sideHip.y + 0.01) {
      const step = way * (q.angle - before.angle);
      if (step < 0) turned -= step;
      else other += step;
    }
    if (q.y <= lowest) above.push(q);
    if (kneeOnPiece && q.y >= quarter && q.y <= p.sideKnee.y) {
      const off = (q.x - p.sideHip.x - chord * (q.y - p.sideHip.y)) * square;
      outside = Math.max(outside, -off);
      inside = Math.max(inside, off);
    }
  }
  // Of a plumb run, which is equally full all along, the place nearest to the hip.
  const outermost = Math.min(...above.map((q) => q.x)) + 0.1;
  const upright = (angle: number): number => Math.abs(90 - angle * DEGREES);
  return {
    plumb: upright(hip.angle),
    lean: upright(top.angle),
    turnsBack: Math.min(turned, other) * DEGREES,
    taper,
    fullest: Math.min(...above.filter((q) => q.x <= outermost).map((q) => Math.abs(q.y - p.sideHip.y))),
    outside: kneeOnPiece ? outside : undefined,
    hollow: kneeOnPiece ? inside : undefined,
  };
}

/** How front and back side lie on one another from the hip up: the difference of tapers and the most they are apart, in mm. */
export function sidePair({ front, back }: Block): { readonly tapers: number; readonly lie: number } {
  const upper = (panel: Panel): { run: Place[]; hip: Point } => ({
    run: placesOf(panel.edges.side.slice(0, panel.joints.sideHip)),
    hip: panel.points.sideHip,
  });
  const [f, b] = [upper(front), upper(back)];
  const at = ({ run, hip }: typeof f, up: number): number => {
    const i = run.findIndex((p) => hip.y - p.y <= up);
    const [below, above] = [run[i], run[i - 1]];
    if (!below) return 0;
    if (!above) return below.x - hip.x;
    const share = (hip.y - below.y - up) / (above.y - below.y || 1);
    return below.x - hip.x + share * (above.x - below.x);
  };
  const height = Math.min(f.hip.y - (f.run[0]?.y ?? 0), b.hip.y - (b.run[0]?.y ?? 0));
  let lie = 0;
  for (let i = 1; i <= 12; i++) lie = Math.max(lie, Math.abs(at(f, (height * i) / 12) - at(b, (height * i) / 12)));
  const taper = (panel: Panel): number => panel.points.sideWaist.x - panel.points.sideHip.x;
  return { tapers: Math.abs(taper(front) - taper(back)), lie };
}

/** The bend into the lower leg: this far above and below the knee line, in mm. */
const ABOVE_KNEE = 120;
const BELOW_KNEE = 80;
/** A turn of less than this, in degrees, is no bend. */
const NO_TURN = 0.3;

/** The curves of a seam that reach between two levels. */
const reaching = (path: Path, from: number, to: number): Path =>
  path.filter(({ p0, p3 }) => Math.max(p0.y, p3.y) >= from && Math.min(p0.y, p3.y) <= to);

/**
 * How even the bend about the knee is: its least radius over the radius of the arc that makes the same turn evenly. Nothing
 * where the piece has no knee or does not turn there.
 */
export function kneeEvenness(panel: Panel, edge: 'side' | 'inseam'): number | undefined {
  if (!panel.kneeOnPiece) return undefined;
  const { kneeLevel } = panel.levels;
  const [from, to] = [kneeLevel - ABOVE_KNEE, kneeLevel + BELOW_KNEE];
  const run = placesOf(reaching(panel.edges[edge], from, to)).filter((p) => p.y >= from && p.y <= to);
  const [first, last] = [run[0], run[run.length - 1]];
  if (!first || !last) return undefined;
  const turn = Math.abs(last.angle - first.angle);
  if (turn * DEGREES < NO_TURN) return undefined;
  const sharpest = run.reduce((most, p) => Math.max(most, Math.abs(p.k)), 0);
  return turn / (ABOVE_KNEE + BELOW_KNEE) / sharpest;
}

/** The tightest radius of an inseam above the bend about the knee, in mm; nothing on a leg without a knee, or where it is quite straight. */
export function inseamTightest(panel: Panel): number | undefined {
  if (!panel.kneeOnPiece) return undefined;
  const bend = panel.levels.kneeLevel - ABOVE_KNEE;
  const run = placesOf(reaching(panel.edges.inseam, -Infinity, bend)).filter((p) => p.y < bend);
  const sharpest = run.reduce((most, p) => Math.max(most, Math.abs(p.k)), 0);
  return sharpest === 0 ? undefined : 1 / sharpest;
}

/** What an eye sees of a waist with its darts closed. Lengths in mm, angles in degrees. */
export interface WaistFigures {
  /** Off square at the centre, and at the side (positive where it turns up). */
  readonly centre: number;
  readonly side: number;
  readonly offChord: number;
  /** What squareness at both ends lets it lie off its chord: the height of an even arc of that turn. */
  readonly arc: number;
  /** What turns the other way: in the middle, and at an end. */
  readonly middle: number;
  readonly ends: number;
  /** How far it hangs under the lower of its two ends. */
  readonly sag: number;
}

/** How much of a waist's end may turn the other way, in mm. */
const END = 20.5;

/**
 * How far a cut has swung the top of a panel from how it was drafted, in radians: what centre line and side have both
 * turned by at the waist; 0 where only one of them has, or each its own way.
 */
export function swingOf(panel: Panel, drafted: Panel): number {
  const turned = (a: Point, b: Point): number => Math.atan2(cross(a, b), dot(a, b));
  const centre = turned(drafted.centreDown, panel.centreDown);
  const side = turned(drafted.closedSideUp, panel.closedSideUp);
  if (centre * side <= 0) return 0;
  return Math.abs(centre) < Math.abs(side) ? centre : side;
}

/** A middle that turns by less than this, in radians, shows no way of its own. */
const ALL_BUT_STRAIGHT = 0.3 / DEGREES;

/** What a line turns against a way, in radians: in its middle, the more of what its two ends do, and in all. */
function turnedBack(run: readonly Place[], way: number): { middle: number; ends: number; whole: number } {
  const long = (run[run.length - 1] as Place).s;
  let [first, middle, last] = [0, 0, 0];
  for (const [i, p] of run.entries()) {
    const before = run[i - 1];
    if (!before) continue;
    const wrong = Math.max(0, -way * (p.angle - before.angle));
    if (p.s <= END) first += wrong;
    else if (p.s >= long - END) last += wrong;
    else middle += wrong;
  }
  return { middle, ends: Math.max(first, last), whole: first + middle + last };
}

/** The figures of a waist; its sag as it lies once what swung it, in radians, is turned back. */
export function waistFigures(panel: Panel, swing = 0): WaistFigures {
  const { closedWaist, closedSideUp, centreDown } = panel;
  const run = placesOf(closedWaist);
  const [a, b] = [run[0] as Place, run[run.length - 1] as Place];
  const chord = unit(subtract(b, a));
  const long = Math.hypot(b.x - a.x, b.y - a.y);
  const down = (p: Point): number => p.y * Math.cos(swing) - p.x * Math.sin(swing);
  let [offChord, lowest] = [0, -Infinity];
  for (const p of run) {
    offChord = Math.max(offChord, Math.abs(cross(chord, subtract(p, a))));
    lowest = Math.max(lowest, down(p));
  }
  const [one, other] = [turnedBack(run, 1), turnedBack(run, -1)];
  // It bends the way of its middle; where that is all but straight, the way in which it turns back less.
  const straight = Math.max(one.middle, other.middle) < ALL_BUT_STRAIGHT;
  const { middle, ends } = (straight ? one.whole <= other.whole : one.middle <= other.middle) ? one : other;
  const side = 90 - angleBetween(endDirection(closedWaist), closedSideUp) * DEGREES;
  const squareSide = quarterTurn({ x: -closedSideUp.x, y: -closedSideUp.y });
  const square = Math.atan2(cross(quarterTurn(centreDown), squareSide), dot(quarterTurn(centreDown), squareSide));
  return {
    centre: angleBetween(startDirection(closedWaist), quarterTurn(centreDown)) * DEGREES,
    side,
    offChord,
    arc: (long * Math.abs(square)) / 8,
    middle: middle * DEGREES,
    ends: ends * DEGREES,
    sag: lowest - Math.max(down(a), down(b)),
  };
}
