import type { Block, Panel } from '../draft/index.js';
import type { Point } from '../geometry/index.js';
import { DEGREES, placesOf, type Place } from './line-places.js';

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

/**
 * How front and back side lie on one another from the hip up: the difference of tapers and the most they are apart, in
 * mm.
 */
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
  const height = Math.min(f.hip.y - (f.run[0]?.y ?? NaN), b.hip.y - (b.run[0]?.y ?? NaN));
  let lie = 0;
  for (let i = 1; i <= 12; i++) lie = Math.max(lie, Math.abs(at(f, (height * i) / 12) - at(b, (height * i) / 12)));
  const taper = (panel: Panel): number => panel.points.sideWaist.x - panel.points.sideHip.x;
  return { tapers: Math.abs(taper(front) - taper(back)), lie };
}
