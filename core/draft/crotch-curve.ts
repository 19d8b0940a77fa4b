import {
  along,
  cubic,
  curvatureAt,
  distance,
  hollowOf,
  evenBend,
  meetLines,
  point,
  subtract,
  unit,
  type BendGive,
  type BendLimits,
  type BendWish,
  type EvenBend,
  type Point,
} from '../geometry/index.js';
import type { PanelName } from '../method/index.js';
import type { SeatLine } from './seat-line.js';

/** The measure of a rise (docs/trade/curves.md), in mm for an adult. */
const LEAST_RADIUS = { front: 25, back: 35 } as const;
const START_RADIUS = { front: 60, back: 80 } as const;
const FLAT_RADIUS = 300;
/** A rise never runs quite straight, but for one that cannot be drawn else: it may be all but straight at its ends. */
const MOST_RADIUS = 800;
const ALL_BUT_STRAIGHT = 10_000;
const START_UP = 40;
const START_DOWN = 60;
/** Before the bend may run flat for longer, it may begin this much further down than else. */
const LOWER = 1.5;
/** What gives way: the lean, in radians, and the extension, in mm. */
const MOST_LEAN = Math.PI / 180;
const MOST_END = 8;
/** How dear it is to miss the hollow and to move the start, per square millimetre; a hollow set by hand is dearer. */
const HOLLOW_DEAR = 1;
const HOLLOW_HELD = 40;
const START_DEAR = 0.006;
const START_HELD = 10;

const DIAGONAL: Point = { x: Math.SQRT1_2, y: -Math.SQRT1_2 };

/** The limits of a rise for a panel; `size` shrinks its lengths for a child (1 for an adult). */
export const riseLimits = (name: PanelName, size: number): BendLimits => ({
  leastRadius: LEAST_RADIUS[name] * size,
  startRadius: START_RADIUS[name] * size,
  mostRadius: MOST_RADIUS,
  flatRadius: FLAT_RADIUS * size,
  flatStart: 0.35,
  flatEnd: 0.4,
  spread: 0.2,
  peakFrom: 0.2,
  peakTo: 0.8,
});

/** What a crotch curve has to meet. Lengths in mm. */
export interface RiseWish {
  readonly name: PanelName;
  readonly size: number;
  readonly seat: SeatLine;
  readonly corner: Point;
  readonly crotchPoint: Point;
  /** How far the sheet has the crotch point below the crotch line, before any truing. */
  readonly drop: number;
  /** Direction in which the inseam leaves the crotch point, downward. */
  readonly inseamLeaving: Point;
  /** The hollow as a share of the diagonal. */
  readonly depth: number;
  /** What a hand has set and may not give way. */
  readonly held: { readonly hollow: boolean; readonly start: boolean; readonly lean: boolean; readonly end: boolean };
}

/** A crotch curve with its straight, and the diagonal of which the hollow is a share. */
export interface CrotchCurve {
  readonly bend: EvenBend;
  /** From the corner to the chord between the sheet's curve start and the crotch point, in mm. */
  readonly diagonal: number;
  /** The hollow asked for, in mm. */
  readonly asked: number;
}

/** From the corner along the diagonal to the chord between curve start and crotch point, in mm. */
export function diagonalOf(corner: Point, start: Point, crotchPoint: Point): number {
  const meeting = meetLines(corner, DIAGONAL, start, unit(subtract(crotchPoint, start)));
  return meeting && meeting.alongFirst > 0 ? meeting.alongFirst : 0.4 * distance(start, crotchPoint);
}

/**
 * The crotch curve (docs/trade/curves.md): from the straight centre line in one fair bend through, or as near as is
 * fair to, the hollow to the crotch point, square to the inseam there. What gives way, each dearer than the one before:
 * hollow, start, lean, extension. Nothing where no such curve is found.
 */
export function crotchCurve(wish: RiseWish): CrotchCurve | undefined {
  const { seat, corner, crotchPoint, size, held } = wish;
  const leaving = unit(wish.inseamLeaving);
  const diagonal = diagonalOf(corner, seat.curveStart, point(crotchPoint.x, corner.y + wish.drop));
  const asked = wish.depth * diagonal;
  const above = distance(seat.waistEnd, seat.curveStart);
  const limits = riseLimits(wish.name, size);
  const common = {
    start: seat.curveStart,
    leaving: seat.down,
    pivot: seat.tiltPoint,
    end: crotchPoint,
    arriving: point(leaving.y, -leaving.x),
    outward: point(1, 0),
    corner,
    diagonal: DIAGONAL,
    hollow: asked,
  };
  const give = {
    through: held.hollow ? HOLLOW_HELD : HOLLOW_DEAR,
    start: held.start ? START_HELD : START_DEAR,
    startUp: Math.max(0, Math.min(START_UP * size, above - 10)),
    startDown: START_DOWN * size,
    lean: 0,
    end: 0,
  };
  const lean = held.lean ? 0 : MOST_LEAN;
  const end = held.end ? 0 : MOST_END * size;
  const bend = evenBend({ ...common, limits, give }) ?? riseBend(wish.name, size, common, { ...give, lean, end });
  return bend && { bend, diagonal, asked };
}

/** What a bend of a rise is held to, and what may give way. */
interface Allowed {
  readonly limits: BendLimits;
  readonly give: BendGive;
}

/**
 * What a rise may be drawn by, the fairest first (docs/trade/curves.md): its measure; all but straight at its ends;
 * flat for longer; looser. What may give way is the same throughout, but for the start.
 */
function allowances(name: PanelName, size: number, give: BendGive): readonly Allowed[] {
  const limits = riseLimits(name, size);
  const straighter = { ...limits, mostRadius: ALL_BUT_STRAIGHT };
  return [
    { limits, give },
    { limits: straighter, give: { ...give, startDown: LOWER * give.startDown } },
    { limits: flatter(straighter), give },
    { limits: loosened(straighter, size), give: { ...give, startDown: 2 * give.startDown } },
  ];
}

/** What a bend of a rise has to meet, whatever it is held to. */
export type RiseBendWish = Omit<BendWish, 'limits' | 'give'>;

/**
 * The fair bend of a rise, or the nearest to one that its ends admit, at last one plain cubic. Nothing where even that
 * would turn back.
 */
export function riseBend(name: PanelName, size: number, wish: RiseBendWish, give: BendGive): EvenBend | undefined {
  for (const allowed of allowances(name, size, give)) {
    const bend = evenBend({ ...wish, ...allowed });
    if (bend) return bend;
  }
  return plainBend(wish, size);
}

/**
 * The fairest bend of a rise that passes its hollow within `within` mm; where none does, the one that comes nearest.
 * Nothing where there is no fair bend at all.
 */
export function riseBendThrough(
  name: PanelName,
  size: number,
  wish: RiseBendWish,
  give: BendGive,
  within: number,
): EvenBend | undefined {
  const off = ({ hollow }: EvenBend): number => Math.abs(hollow - wish.hollow);
  let nearest: EvenBend | undefined;
  for (const allowed of allowances(name, size, give)) {
    const bend = evenBend({ ...wish, ...allowed });
    if (bend && off(bend) <= within) return bend;
    if (bend && (!nearest || off(bend) < off(nearest))) nearest = bend;
  }
  return nearest;
}

/** No crotch curve at all is tighter than this, in mm; a child’s in proportion. */
const LEAST = 12.2;
const LEAST_OF_CHILD = 5;
/** Handles of the plain curve, as a share of the way to where its end directions meet. */
const PLAIN_HANDLE = 0.6;

/** For figures that admit no fair curve at all: one plain cubic between its ends; nothing where it would turn back. */
function plainBend({ start, leaving, end, arriving, corner }: PlainWish, size: number): EvenBend | undefined {
  const apex = meetLines(start, leaving, end, arriving);
  if (!apex || apex.alongFirst <= 1 || apex.alongSecond >= -1) return undefined;
  const curve = cubic(
    start,
    along(start, leaving, PLAIN_HANDLE * apex.alongFirst),
    along(end, arriving, PLAIN_HANDLE * apex.alongSecond),
    end,
  );
  const sharpest = Math.max(...Array.from({ length: 33 }, (_, i) => Math.abs(curvatureAt(curve, i / 32))));
  if (sharpest > 1 / (size < 1 ? LEAST_OF_CHILD : LEAST)) return undefined;
  const hollow = hollowOf(curve, corner) ?? 0;
  return { path: [curve], start, leaving, end, hollow, startMoved: 0, leaned: 0, endMoved: 0 };
}

interface PlainWish {
  readonly start: Point;
  readonly leaving: Point;
  readonly end: Point;
  readonly arriving: Point;
  readonly corner: Point;
}

/** The limits for a rise that has to run flat for long: what it keeps are its radii. */
const flatter = (limits: BendLimits): BendLimits => ({
  ...limits,
  flatRadius: limits.flatRadius * 4,
  flatStart: 0.5,
  flatEnd: 0.55,
  spread: 0.15,
  peakFrom: 0.1,
  peakTo: 0.9,
});

/** The limits for a figure that no fair rise can meet: it is drawn as near to one as may be, and the checks say so. */
const loosened = (limits: BendLimits, size: number): BendLimits => ({
  ...limits,
  leastRadius: Math.max(LEAST * size, limits.leastRadius * 0.5),
  startRadius: limits.startRadius * 0.5,
  flatRadius: limits.flatRadius * 4,
  flatStart: 0.5,
  flatEnd: 0.5,
  spread: 0.08,
  peakFrom: 0.05,
  peakTo: 0.95,
});
