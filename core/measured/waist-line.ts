import { swingBetween, type Panel, type WaistSeams } from '../draft/index.js';
import {
  angleBetween,
  cross,
  dot,
  endDirection,
  quarterTurn,
  startDirection,
  subtract,
  unit,
  type Point,
} from '../geometry/index.js';
import { DEGREES, placesOf, type Place } from './line-places.js';

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

/** How far a cut has swung the top of a panel from how it was drafted, in radians (`swingBetween`). */
export function swingOf(panel: Panel, drafted: Panel): number {
  const seams = ({ centreDown, closedSideUp }: Panel): WaistSeams => ({ centre: centreDown, side: closedSideUp });
  return swingBetween(seams(drafted), seams(panel));
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
