import { placeAlong, type DistanceGrid, type SolidBody } from '../body/index.js';
import { particlesOf } from './assembly.js';
import type { Draped } from './drape.js';
import type { FitFigures } from './fit-figures.js';
import { gapOf, pressureOf, strainOf } from './maps.js';

/** Where a figure is taken, in mm from the levels of the body. */
const ZONE = {
  thigh: { from: 10, to: 140 },
  hip: 40,
  seat: { aboveCrotch: 40, belowWaist: 50, wide: 70 },
  crotch: { far: 100, below: 30 },
  /** Of half the waist: in front, at the side and behind. */
  front: [0, 0.2],
  side: [0.4, 0.6],
  behind: [0.8, 1],
  heldFront: [0, 1 / 3],
  heldBehind: [2 / 3, 1],
} as const;

/** One triangle as a figure sees it: which part, where its middle lies in mm, and how much it counts. */
interface Seen {
  readonly part: number;
  readonly x: number;
  readonly y: number;
  readonly z: number;
  readonly area: number;
}

/** The figures of a garment that hangs on a body. */
export function fitFigures(draped: Draped, body: SolidBody, grid: DistanceGrid): FitFigures {
  const { assembly, at, holding, above } = draped;
  const { heights, tilt } = body;
  const { corners, area } = assembly.triangles;
  const strain = strainOf(draped);
  const gap = gapOf(draped, grid);
  const pressure = pressureOf(draped);
  const mm = (p: number, k: number): number => 1000 * (at[3 * p + k] as number);
  const corner = (t: number, k: number): number => corners[3 * t + k] as number;
  const seen: Seen[] = Array.from(area, (a, t) => {
    const middle = (k: number): number => (mm(corner(t, 0), k) + mm(corner(t, 1), k) + mm(corner(t, 2), k)) / 3;
    return { part: assembly.meshOf[t] as number, x: middle(0), y: middle(1), z: middle(2), area: a };
  });
  /** The mean of something over the triangles of a zone, by area. */
  const meanOver = (zone: (s: Seen) => boolean, of: (t: number) => number): number => {
    let [sum, whole] = [0, 0];
    for (const [t, s] of seen.entries()) {
      if (!zone(s)) continue;
      sum += s.area * of(t);
      whole += s.area;
    }
    return whole > 0 ? sum / whole : 0;
  };
  const stretched = (of: Float64Array) => (t: number) => 100 * Math.max(0, of[t] as number);
  const [front, back] = [0, 1];
  const thigh = ({ y }: Seen): boolean => y < heights.crotch - ZONE.thigh.from && y > heights.crotch - ZONE.thigh.to;
  const hip = ({ y }: Seen): boolean => Math.abs(y - heights.hip) < ZONE.hip;
  const seat = ({ part, x, y }: Seen): boolean =>
    part === back &&
    x < ZONE.seat.wide &&
    y > heights.crotch + ZONE.seat.aboveCrotch &&
    y < heights.waist - ZONE.seat.belowWaist;
  const crotch = crotchParticle(draped);
  const atCrotch =
    (of: number) =>
    ({ part, x, y, z }: Seen): boolean =>
      part === of &&
      y > heights.crotch - ZONE.crotch.below &&
      Math.hypot(x, y - heights.crotch, z - mm(crotch, 2)) < ZONE.crotch.far;
  const askew = (t: number): number => 100 * Math.abs(strain.shear[t] as number);
  const { waist } = assembly;
  const along = ([from, to]: readonly [number, number]): number[] =>
    waist.flatMap((_, i) => (i >= Math.floor(from * waist.length) && i < Math.ceil(to * waist.length) ? [i] : []));
  const gapAlong = (share: readonly [number, number]): number => {
    const run = along(share);
    return run.reduce((sum, i) => sum + (gap[waist[i] as number] as number), 0) / run.length;
  };
  const held = (share: readonly [number, number]): number =>
    2 * along(share).reduce((sum, i) => sum + Math.max(0, holding[i] as number), 0);
  const [first, last] = [waist[0] as number, waist[waist.length - 1] as number];
  const hem = particlesOf(assembly, 'hem');
  const [pinZ] = placeAlong(body.under, body.crotchAt);
  return {
    thighAcross: meanOver((s) => s.part === front && thigh(s), stretched(strain.weft)),
    hipAcross: meanOver(hip, stretched(strain.weft)),
    thighPress: meanOver(thigh, (t) => [0, 1, 2].reduce((sum, k) => sum + (pressure[corner(t, k)] as number), 0) / 3),
    gapBehind: gapAlong(ZONE.behind),
    gapSide: gapAlong(ZONE.side),
    gapFront: gapAlong(ZONE.front),
    waistBehind: mm(last, 1) - heights.waist - above - tilt.back,
    waistFront: mm(first, 1) - heights.waist - above - tilt.front,
    holdBehind: held(ZONE.heldBehind),
    holdFront: held(ZONE.heldFront),
    seatAlong: meanOver(seat, stretched(strain.warp)),
    dragBehind: meanOver(atCrotch(back), askew),
    dragFront: meanOver(atCrotch(front), askew),
    crotchForward: mm(crotch, 2) - pinZ,
    crotchBelow: heights.crotch - mm(crotch, 1),
    hemForward: hem.reduce((sum, p) => sum + mm(p, 2), 0) / Math.max(1, hem.length),
  };
}

/** The particle in which the inseams and the rises meet. */
function crotchParticle({ assembly }: Draped): number {
  const inseam = new Set(particlesOf(assembly, 'inseam'));
  return particlesOf(assembly, 'rise').find((p) => inseam.has(p)) ?? 0;
}
