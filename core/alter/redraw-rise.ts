import { riseBend, riseBendThrough, riseLimits, type Panel } from '../draft/index.js';
import {
  along,
  cross,
  crossLine,
  distance,
  dot,
  endDirection,
  endOf,
  evenBend,
  hollowOf,
  line,
  pathLength,
  point,
  reversePath,
  scale,
  startDirection,
  startOf,
  subtract,
  turn,
  unit,
  type BendGive,
  type EvenBend,
  type Path,
  type Point,
} from '../geometry/index.js';
import { edgeOf, startOfRun, type Paper, type Scooped } from './paper.js';

/** The diagonal on which the hollow of a crotch curve is measured from its corner. */
export const DIAGONAL: Point = { x: Math.SQRT1_2, y: -Math.SQRT1_2 };
/**
 * How far up and down the centre line the curve may begin, in mm; how far the line may lean about its waist end,
 * radians.
 */
const UP = 60;
const DOWN = 110;
const LEAN = (3 * Math.PI) / 180;
/** What is dear: to miss the hollow, per square millimetre, and to move the start. */
const GIVE = { through: 1, start: 0.006, end: 0 };
/** A place to which it was scooped is dearer. */
const SCOOPED = { ...GIVE, through: 40 };
/**
 * How near, in mm, it has to pass where it was scooped to last, before it is drawn less fair; and where it was before.
 */
const THROUGH = 0.5;
const PASSES = 1;
/** Of the straight at least so much stays, in mm. */
const LEAST_STRAIGHT = 10;
/**
 * By how much a rise is longer for each millimetre of hollow, as a first guess; how far the hollow gives for the
 * length.
 */
const PER_HOLLOW = 0.7;
const HOLLOW_GIVES = 6;
const LENGTH_ROUNDS = 4;
/** A length that is met within this, in mm, is met. */
const AS_LONG = 0.002;
/** What a redrawn rise lost or gained, in mm, is given back at the waist, but no more than this. */
const MOST_BACK = 12;

/** Where a curve crosses the diagonal of the corner, in mm from it; nothing where it does not. */
export function hollowIn(curve: Path, corner: Point): number | undefined {
  for (const c of curve) {
    const hollow = hollowOf(c, corner);
    if (hollow !== undefined) return hollow;
  }
  return undefined;
}

/** The direction in which a rise leaves an inseam that arrives as told: at the angle at which they were drafted. */
function leavingInseam(arriving: Point, { edges: { inseam, rise } }: Panel): Point {
  const [was, left] = [endDirection(inseam), startDirection(rise)];
  return turn(arriving, Math.atan2(cross(was, left), dot(was, left)), ORIGIN);
}

const ORIGIN: Point = { x: 0, y: 0 };

/** True where a curve passes a place to which it was scooped. */
const passes = (curve: Path, { at, inward }: Scooped): boolean =>
  crossLine(curve, at, inward).some((hit) => Math.abs(hit.along) < PASSES);

/** A rise drawn anew, run up from the crotch point, with the count of curves below the straight. */
export interface RedrawnRise {
  readonly path: Path;
  readonly curveStart: number;
  /** Its waist end and the direction there are what they were. */
  readonly waistStands: boolean;
}

/** A bend with how much longer it would have to be, in mm. */
interface Tried {
  readonly bend: EvenBend;
  readonly short: number;
}

/**
 * The bend whose length is the one wanted, by a hollow a little deeper or shallower than told (secant steps from a
 * first guess); the nearest to it where the hollow would have to move too far.
 */
function asLong(draw: (hollow: number) => Tried | undefined, hollow: number): Tried | undefined {
  let [at, found] = [hollow, draw(hollow)];
  let slope = PER_HOLLOW;
  for (let round = 0; found && round < LENGTH_ROUNDS && Math.abs(found.short) > AS_LONG; round++) {
    const next = Math.min(hollow + HOLLOW_GIVES, Math.max(hollow - HOLLOW_GIVES, at - found.short / slope));
    const tried = next === at ? undefined : draw(next);
    if (!tried || Math.abs(tried.short) >= Math.abs(found.short)) break;
    slope = (tried.short - found.short) / (next - at);
    [at, found] = [next, tried];
  }
  return found;
}

/**
 * The rise of a paper drawn anew in one bend by the measure of a rise (docs/trade/curves.md): one straight from the
 * waist end to where the curve begins, from there through the hollow, or as near to it as is fair, to the crotch point,
 * square to the inseam as before. A curve that was only cut is as hollow as it was drafted, or as its length asks; one
 * that was bent as it was bent; one that was scooped passes where it was scooped to, as near as is fair. What was
 * broken by cuts keeps its length: what the hollow cannot give, the waist end gives along the straight. Nothing where
 * no bend is found that passes every place to which it was scooped, or the waist end would have to give too much.
 */
export function redrawnRise(paper: Paper, drafted: Panel): RedrawnRise | undefined {
  const through = paper.scooped[paper.scooped.length - 1];
  const rise = edgeOf(paper, 'rise');
  const waistEnd = endOf(rise);
  const begins = startOfRun(paper, 'centre');
  const straight = paper.runs.centre.length > 0 && distance(begins, waistEnd) > LEAST_STRAIGHT;
  const down = straight ? unit(subtract(begins, waistEnd)) : scale(endDirection(rise), -1);
  const above = straight ? distance(begins, waistEnd) : LEAST_STRAIGHT;
  const give: BendGive = {
    ...(through ? SCOOPED : GIVE),
    startUp: Math.min(UP, above - LEAST_STRAIGHT),
    startDown: DOWN,
    lean: LEAN,
  };
  const wish = {
    start: along(waistEnd, down, above),
    leaving: down,
    pivot: waistEnd,
    end: startOf(rise),
    arriving: scale(leavingInseam(endDirection(edgeOf(paper, 'inseam')), drafted), -1),
    outward: point(1, 0),
    corner: through?.at ?? paper.corner,
    diagonal: through?.inward ?? DIAGONAL,
  };
  const wanted = pathLength(rise) - (paper.jogs.get('rise') ?? 0);
  const draw = (hollow: number): Tried | undefined => {
    const [{ name }, { size }] = [paper, drafted.manner];
    const bend = through
      ? riseBendThrough(name, size, { ...wish, hollow }, { ...give, lean: 0 }, THROUGH)
      : (evenBend({ ...wish, hollow, limits: riseLimits(name, size), give: { ...give, lean: 0 } }) ??
        riseBend(name, size, { ...wish, hollow }, give));
    return bend && { bend, short: wanted - pathLength(bend.path) - distance(bend.start, waistEnd) };
  };
  const asBent = paper.bent.has('rise') ? hollowIn(paper.runs.crotchCurve, paper.corner) : undefined;
  const hollow = through ? 0 : (asBent ?? drafted.hollow);
  const tried = through || paper.riseFree ? draw(hollow) : asLong(draw, hollow);
  if (!tried) return undefined;
  const { bend } = tried;
  const back = paper.riseFree ? 0 : tried.short;
  if (Math.abs(back) > MOST_BACK) return undefined;
  const curve = reversePath(bend.path);
  if (!paper.scooped.slice(0, -1).every((s) => passes(curve, s))) return undefined;
  const end = Math.abs(back) < AS_LONG ? waistEnd : along(waistEnd, bend.leaving, -back);
  return {
    path: [...curve, line(bend.start, end)],
    curveStart: curve.length,
    waistStands: end === waistEnd && bend.leaned === 0,
  };
}
