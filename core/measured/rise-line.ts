import type { Panel } from '../draft/index.js';
import { DEGREES, placesOf, type Place } from './line-places.js';

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
