import { cubic, pointAt, type Cubic } from './cubic.js';
import { along, cross, distance, dot, meetLines, subtract, unit, type Point } from './point.js';

/** What a smooth curve through a hollow point has to meet; lengths in mm, directions of length 1. */
export interface HollowWish {
  readonly start: Point;
  /** Direction in which the curve leaves the start. */
  readonly leaving: Point;
  readonly end: Point;
  /** Direction in which the curve arrives at the end. */
  readonly arriving: Point;
  /** The corner from which the hollow is measured. */
  readonly corner: Point;
  /** The hollow as a share (0 to 1) of the diagonal from the corner to the chord start-end. */
  readonly depth: number;
  /** No radius of the curve may be smaller than this, in mm. */
  readonly leastRadius: number;
}

/** The curve found, the hollow it has (mm, and as a share of the diagonal) and what kept it from the wish. */
export interface HollowCurve {
  readonly curve: Cubic;
  readonly hollow: number;
  readonly depth: number;
  readonly diagonal: number;
  readonly limitedBy: 'none' | 'radius' | 'shape';
}

const DIAGONAL: Point = { x: Math.SQRT1_2, y: -Math.SQRT1_2 };
const STEPS = 32;
const SCAN = 20;

interface Candidate {
  readonly curve: Cubic;
  readonly unevenness: number;
  readonly fitsShape: boolean;
  readonly fitsRadius: boolean;
}

/**
 * Integral of (dκ/ds)² ds, made free of size by the chord's length cubed, and the greatest curvature.
 * Written out in plain numbers: it is the innermost loop of every recompute.
 */
function measureBend({ p0, p1, p2, p3 }: Cubic, chord: number): { unevenness: number; sharpest: number } {
  const ax = p1.x - p0.x;
  const ay = p1.y - p0.y;
  const bx = p2.x - p1.x;
  const by = p2.y - p1.y;
  const cx = p3.x - p2.x;
  const cy = p3.y - p2.y;
  const jx = 6 * (cx - 2 * bx + ax);
  const jy = 6 * (cy - 2 * by + ay);
  let unevenness = 0;
  let sharpest = 0;
  for (let i = 0; i <= STEPS; i++) {
    const t = i / STEPS;
    const s = 1 - t;
    const vx = 3 * (s * s * ax + 2 * s * t * bx + t * t * cx);
    const vy = 3 * (s * s * ay + 2 * s * t * by + t * t * cy);
    const qx = 6 * (s * (bx - ax) + t * (cx - bx));
    const qy = 6 * (s * (by - ay) + t * (cy - by));
    const square = vx * vx + vy * vy;
    const speed = Math.sqrt(square);
    const bend = vx * qy - vy * qx;
    const curvature = Math.abs(bend) / (square * speed);
    const change = (vx * jy - vy * jx - (3 * bend * (vx * qx + vy * qy)) / square) / (square * square);
    if (curvature > sharpest) sharpest = curvature;
    unevenness += change * change * speed * (i === 0 || i === STEPS ? 0.5 : 1);
  }
  return { unevenness: (unevenness / STEPS) * chord * chord * chord, sharpest };
}

/** The two tangents meet at an apex; the handles may not pass it, or the curve would turn back on itself. */
interface Frame {
  readonly wish: HollowWish;
  readonly chord: number;
  readonly toApex: number;
  readonly fromApex: number;
}

function candidateAt(frame: Frame, target: Point, t: number): Candidate | undefined {
  const { start, end, leaving, arriving, leastRadius } = frame.wish;
  const s = 1 - t;
  const b1 = 3 * s * s * t;
  const b2 = 3 * s * t * t;
  const nearStart = s * s * s + b1;
  const nearEnd = b2 + t * t * t;
  const rest = {
    x: target.x - start.x * nearStart - end.x * nearEnd,
    y: target.y - start.y * nearStart - end.y * nearEnd,
  };
  const det = cross(leaving, arriving);
  const alpha = cross(rest, arriving) / det / b1;
  const beta = cross(rest, leaving) / det / b2;
  if (!(alpha > 0.01 * frame.chord && beta > 0.01 * frame.chord)) return undefined;
  const curve = cubic(start, along(start, leaving, alpha), along(end, arriving, -beta), end);
  const { unevenness, sharpest } = measureBend(curve, frame.chord);
  return {
    curve,
    unevenness,
    fitsShape: alpha <= frame.toApex && beta <= frame.fromApex,
    fitsRadius: sharpest <= 0.98 / leastRadius,
  };
}

/**
 * Of all cubics with the wished ends and tangents through `target`, the one whose curvature varies least.
 * For a given parameter at the target both handle lengths follow from two linear equations, so the family
 * has one dimension and is searched by steps, then by golden section.
 */
function evenest(frame: Frame, target: Point): Candidate | undefined {
  const score = (t: number): { value: number; found: Candidate | undefined } => {
    const found = candidateAt(frame, target, t);
    return { found, value: found && found.fitsShape && found.fitsRadius ? found.unevenness : Infinity };
  };
  let best = { t: 0.5, value: Infinity, found: undefined as Candidate | undefined };
  for (let i = 1; i < SCAN; i++) {
    const t = i / SCAN;
    const s = score(t);
    if (s.value < best.value) best = { t, ...s };
  }
  if (!best.found) return undefined;
  const golden = (Math.sqrt(5) - 1) / 2;
  let low = best.t - 1 / SCAN;
  let high = best.t + 1 / SCAN;
  let a = high - golden * (high - low);
  let b = low + golden * (high - low);
  let sa = score(a);
  let sb = score(b);
  for (let i = 0; i < 14; i++) {
    if (sa.value < best.value) best = { t: a, ...sa };
    if (sb.value < best.value) best = { t: b, ...sb };
    if (sa.value <= sb.value) {
      high = b;
      [b, sb] = [a, sa];
      a = high - golden * (high - low);
      sa = score(a);
    } else {
      low = a;
      [a, sa] = [b, sb];
      b = low + golden * (high - low);
      sb = score(b);
    }
  }
  return best.found;
}

/** Which limit stands in the way at a hollow that cannot be met. */
function limitAt(frame: Frame, target: Point): 'radius' | 'shape' {
  for (let i = 1; i < SCAN; i++) {
    const c = candidateAt(frame, target, i / SCAN);
    if (c?.fitsShape) return 'radius';
  }
  return 'shape';
}

/**
 * The smooth curve from `start` to `end` through the hollow point (handbook 2, section 7): tangent at both
 * ends, curvature of one sign, no radius under `leastRadius`, and of all such cubics the one whose curvature
 * varies least (the minimum variation criterion). Where the hollow asked for cannot be met so, the nearest
 * that can is used and `limitedBy` says which limit it was. Nothing where the ends admit no such curve at all.
 */
export function hollowCurve(wish: HollowWish): HollowCurve | undefined {
  const { start, end, leaving, arriving, corner } = wish;
  const apex = meetLines(start, leaving, end, arriving);
  const chord = distance(start, end);
  if (!apex || chord < 1 || apex.alongFirst <= 0 || apex.alongSecond >= 0) return undefined;
  const reach = meetLines(corner, DIAGONAL, start, unit(subtract(end, start)));
  if (!reach || reach.alongFirst <= 0) return undefined;
  const diagonal = reach.alongFirst;
  const frame: Frame = { wish, chord, toApex: apex.alongFirst, fromApex: -apex.alongSecond };
  const at = (depth: number): Point => along(corner, DIAGONAL, depth * diagonal);
  const answer = (depth: number, found: Candidate, limitedBy: HollowCurve['limitedBy']): HollowCurve => ({
    curve: found.curve,
    hollow: depth * diagonal,
    depth,
    diagonal,
    limitedBy,
  });

  const wanted = evenest(frame, at(wish.depth));
  if (wanted) return answer(wish.depth, wanted, 'none');

  const limitedBy = limitAt(frame, at(wish.depth));
  let near: { depth: number; found: Candidate } | undefined;
  for (let i = 1; i < 40; i++) {
    const depth = i / 40;
    if (near && Math.abs(depth - wish.depth) >= Math.abs(near.depth - wish.depth)) continue;
    const found = evenest(frame, at(depth));
    if (found) near = { depth, found };
  }
  if (!near) return undefined;
  let good = near.depth;
  let bad = wish.depth;
  for (let i = 0; i < 12; i++) {
    const middle = (good + bad) / 2;
    const found = evenest(frame, at(middle));
    if (found) {
      good = middle;
      near = { depth: middle, found };
    } else bad = middle;
  }
  return answer(near.depth, near.found, limitedBy);
}

/**
 * Of all cubics with the given ends and tangents that pass through a point, the one whose curvature varies least; its
 * curvature keeps one sign and no radius is under `leastRadius`. Nothing where there is none.
 */
export function evenCurveThrough(
  ends: Pick<HollowWish, 'start' | 'leaving' | 'end' | 'arriving' | 'leastRadius'>,
  through: Point,
): Cubic | undefined {
  const { start, end, leaving, arriving } = ends;
  const apex = meetLines(start, leaving, end, arriving);
  const chord = distance(start, end);
  if (!apex || chord < 1 || apex.alongFirst <= 0 || apex.alongSecond >= 0) return undefined;
  const wish: HollowWish = { ...ends, corner: apex.at, depth: 0 };
  return evenest({ wish, chord, toApex: apex.alongFirst, fromApex: -apex.alongSecond }, through)?.curve;
}

/** Where a curve crosses the 45° diagonal from a corner: the hollow in mm, or nothing where it does not. */
export function hollowOf(c: Cubic, corner: Point): number | undefined {
  const off = (t: number): number => cross(DIAGONAL, subtract(pointAt(c, t), corner));
  let low = 0;
  let high = 1;
  if (off(low) * off(high) > 0) return undefined;
  for (let i = 0; i < 60; i++) {
    const middle = (low + high) / 2;
    if (off(low) * off(middle) <= 0) high = middle;
    else low = middle;
  }
  return dot(subtract(pointAt(c, low), corner), DIAGONAL);
}
