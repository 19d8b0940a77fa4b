import type { RiseShape } from '../alter/index.js';
import type { Block, Panel } from '../draft/index.js';
import {
  along,
  directionAtPlace,
  distance,
  dot,
  enclosedArea,
  flatten,
  goldenLeast,
  line,
  mapPath,
  pathLength,
  placeAtLength,
  quarterTurn,
  reversePath,
  smoothStep,
  startDirection,
  subtract,
  turn,
  type Path,
  type Point,
} from '../geometry/index.js';
import type { PanelName } from '../method/index.js';
import { formatLength, tapeFor, type Unit } from '../units/index.js';
import { calmed, type SmoothTrace } from './smooth-trace.js';

/** A rigid way from panel coordinates to the joined rises and back. */
interface Way {
  readonly there: (p: Point) => Point;
  readonly back: (p: Point) => Point;
}

/** Both rises joined at the inseam: crotch point at the origin, running on there; front to the left, y down. */
export interface JoinedRises {
  /** From the waist in front to the waist behind. */
  readonly path: Path;
  readonly front: Path;
  readonly back: Path;
  readonly ways: Readonly<Record<PanelName, Way>>;
}

/** Turns a panel so that its rise leaves the crotch point level; `mirrored` puts the front's to the left. */
function wayOf(panel: Panel): Way {
  const { crotchPoint } = panel.points;
  const leaving = startDirection(panel.edges.rise);
  // Back: the rise leaves to the right (+x) once it is mirrored; front: to the left as it is.
  const mirrored = panel.name === 'back';
  const level = Math.atan2(leaving.y, -leaving.x);
  return {
    there: (p) => {
      const q = turn(subtract(p, crotchPoint), level);
      return mirrored ? { x: -q.x, y: q.y } : q;
    },
    back: (p) => {
      const q = turn(mirrored ? { x: -p.x, y: p.y } : p, -level);
      return { x: q.x + crotchPoint.x, y: q.y + crotchPoint.y };
    },
  };
}

/** Front and back rise as they lie when the inseam is sewn (docs/trade/truing.md). */
export function joinedRises(block: Block): JoinedRises {
  const ways = { front: wayOf(block.front), back: wayOf(block.back) };
  const front = reversePath(mapPath(block.front.edges.rise, ways.front.there));
  const back = mapPath(block.back.edges.rise, ways.back.there);
  return { path: [...front, ...back], front, back, ways };
}

/**
 * How a trace and a rise differ at one place: `off` is how far the body reaches beyond the seam, in mm; below nothing
 * the seam stands away.
 */
export interface Gap {
  /** From the crotch point along the seam, in mm. */
  readonly at: number;
  readonly seam: Point;
  readonly body: Point;
  readonly off: number;
}

/** How one rise compares with the body's. */
export interface RiseGaps {
  readonly gaps: readonly Gap[];
  /** The place of the largest difference. */
  readonly worst: Gap;
  /** Area between seam and body, in mm². */
  readonly area: number;
}

/** A trace laid on the joined rises, aligned at the crotch point. */
export interface LaidTrace {
  readonly joined: JoinedRises;
  /** The trace as it lies, from front to back. */
  readonly trace: Path;
  readonly front: RiseGaps;
  readonly back: RiseGaps;
}

const STEP = 10;
const MOST_TURN = 0.45;
const SPOTS = 14;

interface Polyline {
  readonly points: readonly Point[];
}

function nearestOn({ points }: Polyline, p: Point): Point {
  let best = points[0] ?? p;
  let least = Infinity;
  for (let i = 1; i < points.length; i++) {
    const [a, b] = [points[i - 1] as Point, points[i] as Point];
    const d = subtract(b, a);
    const t = Math.min(1, Math.max(0, dot(subtract(p, a), d) / (dot(d, d) || 1)));
    const q = along(a, d, t);
    const off = distance(p, q);
    if (off < least) [least, best] = [off, q];
  }
  return best;
}

/** Gaps along a rise that runs from the crotch point up; the body lies on the side of `inward`. */
function gapsAlong(rise: Path, body: Polyline, hand: 1 | -1, upTo: number): Gap[] {
  const total = Math.min(pathLength(rise), upTo);
  const count = Math.max(6, Math.round(total / STEP));
  return Array.from({ length: count + 1 }, (_, i) => {
    const at = (total * i) / count;
    const place = placeAtLength(rise, at);
    const d = directionAtPlace(rise, place);
    const nearest = nearestOn(body, place.at);
    // Away from the body, which sits between the two rises.
    const out = quarterTurn(d);
    const off = dot(subtract(nearest, place.at), { x: out.x * hand, y: out.y * hand });
    return { at, seam: place.at, body: nearest, off };
  });
}

function compared(rise: Path, body: Polyline, hand: 1 | -1, upTo: number): RiseGaps {
  const gaps = gapsAlong(rise, body, hand, upTo);
  const worst = gaps.reduce((w, g) => (Math.abs(g.off) > Math.abs(w.off) ? g : w));
  const ring: Path = gaps.flatMap((g, i) => {
    const next = gaps[i + 1];
    return next
      ? [line(g.seam, next.seam), line(next.seam, next.body), line(next.body, g.body), line(g.body, g.seam)]
      : [];
  });
  const area = gaps.slice(0, -1).reduce((sum, _, i) => sum + Math.abs(enclosedArea(ring.slice(4 * i, 4 * i + 4))), 0);
  return { gaps, worst, area };
}

/**
 * The turn about the crotch point by which a trace lies nearest to the joined rises, as far as both reach (golden
 * section on the mean square).
 */
function bestTurn(joined: JoinedRises, { path, toInseam, total }: SmoothTrace): number {
  const points = flatten(path, 2);
  const front = pathLength(joined.front);
  const from = Math.max(0, front - toInseam);
  const to = Math.min(pathLength(joined.path), front + total - toInseam);
  const spots = Array.from(
    { length: SPOTS },
    (_, i) => placeAtLength(joined.path, from + ((to - from) * (i + 0.5)) / SPOTS).at,
  );
  const cost = (angle: number): number => {
    const body = { points: points.map((p) => turn(p, angle)) };
    return spots.reduce((sum, p) => sum + distance(p, nearestOn(body, p)) ** 2, 0);
  };
  return goldenLeast(cost, -MOST_TURN, MOST_TURN, 16);
}

/**
 * Lays a trace on the joined rises: crotch point on crotch point, turned to lie nearest, compared as far as both reach.
 */
export function layTrace(block: Block, trace: SmoothTrace): LaidTrace {
  const joined = joinedRises(block);
  const angle = bestTurn(joined, trace);
  const laid = mapPath(trace.path, (p) => turn(p, angle));
  const body = { points: flatten(laid, 0.2) };
  const [inFront, behind] = [trace.toInseam, trace.total - trace.toInseam];
  return {
    joined,
    trace: laid,
    front: compared(reversePath(joined.front), body, -1, inFront),
    back: compared(joined.back, body, 1, behind),
  };
}

/** A difference under this, in mm, is none: a flexible ruler is no finer. */
export const SHAPE_BAND = 5;

/** What a comparison says, in words: “The back seam stands 14 mm inside the body 6 cm above the crotch: scoop it.” */
export function sayGaps(panel: PanelName, { worst }: Pick<RiseGaps, 'worst'>, unit: Unit): string {
  const far =
    unit === 'in' ? formatLength(Math.abs(worst.off), tapeFor(unit)) : `${Math.round(Math.abs(worst.off))} mm`;
  if (Math.abs(worst.off) <= SHAPE_BAND) return `The ${panel} seam follows the body to ${far}.`;
  const where = `${formatLength(worst.at, tapeFor(unit))} above the crotch`;
  return worst.off > 0
    ? `The ${panel} seam stands ${far} inside the body ${where}: scoop it.`
    : `The ${panel} seam stands ${far} away from the body ${where}: fill it.`;
}

const SHAPE_POINTS = 96;
/** Every so many points one is kept for the seam to be drawn through. */
const KEPT = 8;
/** How often the moved points are averaged with their neighbours, so that the seam is drawn with one sweep. */
const PASSES = 40;
/** How much of the rise, from the waist down, is left as it is: a trace seldom reaches it truly. */
const RUN_OUT = 0.35;
/**
 * The seam leaves the inseam square and bends one way: near the crotch it may hang no lower than this radius, in mm,
 * lets it.
 */
const FLATTEST = 1200;

/**
 * The rise that takes the body's shape: the seam moved toward the trace, by no more than `limit` mm anywhere, running
 * out to nothing at the waist, square to the inseam, its length kept at the waist. As an alteration of one panel.
 */
export function takeShape(block: Block, laid: LaidTrace, panel: PanelName, limit: number): RiseShape {
  const { ways, back, front } = laid.joined;
  const rise = panel === 'back' ? back : reversePath(front);
  const hand = panel === 'back' ? 1 : -1;
  const body = { points: flatten(laid.trace, 0.2) };
  const total = pathLength(rise);
  const { crotchPoint } = block[panel].points;
  const moved = Array.from({ length: SHAPE_POINTS + 1 }, (_, i): Point => {
    const at = (total * i) / SHAPE_POINTS;
    const place = placeAtLength(rise, at);
    const d = directionAtPlace(rise, place);
    const out = { x: quarterTurn(d).x * hand, y: quarterTurn(d).y * hand };
    const off = dot(subtract(nearestOn(body, place.at), place.at), out);
    const fade = smoothStep((total - at) / (RUN_OUT * total)) * smoothStep(at / 40);
    const p = along(place.at, out, Math.min(limit, Math.max(-limit, off)) * fade);
    return { x: p.x, y: Math.min(p.y, -(p.x * p.x) / (2 * FLATTEST)) };
  });
  const points = calmed(moved, PASSES)
    .filter((_, i) => i % KEPT === 0)
    .map((p) => subtract(ways[panel].back(p), crotchPoint));
  return { kind: 'rise', panel, points, blend: 0.2, keepLength: true };
}
