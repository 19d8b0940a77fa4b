import {
  along,
  angleBetween,
  contains,
  crossLine,
  directionAt,
  distance,
  endOf,
  flatten,
  hollowOf,
  mapPath,
  meetLines,
  pathLength,
  pathOfCurves,
  placeAtLength,
  point,
  reversePath,
  scale,
  splitPath,
  startDirection,
  startOf,
  subtract,
  turn,
  unit,
  type Cubic,
  type Path,
  type LineCrossing,
  type PathPlace,
  type Point,
} from '../geometry/index.js';
import { PANEL_NAMES, type Levels, type PanelName, type Worked } from '../method/index.js';
import { good, refusal, refused, type Outcome, type Refusal } from '../refusal/index.js';
import type { Block } from './block.js';
import { isSound, outlineOf, type Dart, type EdgeName, type Panel } from './panel.js';
import { waistOf, withDarts, type LaidDart } from './adopted-waist.js';

/**
 * A piece of a pattern that was taken over as it lies: its edges as numbers (a start, then three points a curve), in mm
 * with y down and the centre toward larger x. They run as an outline does: the waist from the centre to the side in its
 * sections between the darts, the side down, the hem, the inseam up, the rise from the crotch point up.
 */
export interface AdoptedPiece {
  readonly waist: readonly (readonly number[])[];
  readonly side: readonly number[];
  readonly hem: readonly number[];
  readonly inseam: readonly number[];
  readonly rise: readonly number[];
  /** The apex of the dart between each two sections of the waist. */
  readonly apexes: readonly Point[];
}

/** A pattern that was adopted as the block: a front, a back, and what was laid into it by hand. */
export interface AdoptedPattern {
  /** The file and the size that it came from, as its maker calls them. */
  readonly name: string;
  readonly date: string;
  readonly front: AdoptedPiece;
  readonly back: AdoptedPiece;
  /** How far the hip line lies above the crotch line, and the knee line below it, in mm; the body's where not given. */
  readonly hipAbove?: number | undefined;
  readonly kneeBelow?: number | undefined;
  /** How far the crease lies from halfway between side and inseam at the hem, toward the inseam, in mm. */
  readonly creaseOff?: number | undefined;
  /** The same of the back, where it lies otherwise. */
  readonly creaseOffBack?: number | undefined;
  readonly darts?: readonly LaidDart[] | undefined;
}

/** A hem nearer to the knee line than this, in mm, has no knee above it. */
const KNEE_ROOM = 20;
/** A rise is straight from the waist as long as it turns by less than this, in radians. */
const STRAIGHT = 0.035;
/** How closely the straight is followed, in mm. */
const STEP = 2;
/** The hip line is at least so far above the crotch line and below the waist, in mm. */
const LEAST_GAP = 10;

/** The edges of a piece as lines. */
type Edges = Readonly<Record<Exclude<EdgeName, 'waist'>, Path>> & { readonly waist: readonly Path[] };

const edgesOf = (piece: AdoptedPiece, move: (p: Point) => Point): Edges => {
  const of = (curves: readonly number[]): Path => mapPath(pathOfCurves(curves), move);
  return {
    waist: piece.waist.map(of),
    side: of(piece.side),
    hem: of(piece.hem),
    inseam: of(piece.inseam),
    rise: of(piece.rise),
  };
};

/** The first place where an edge crosses a level. */
const crossing = (path: Path, y: number): LineCrossing | undefined => crossLine(path, point(0, y), point(1, 0))[0];

/** A path cut where it crosses levels, in the order in which it does; nothing where it does not reach one. */
function cutAt(path: Path, levels: readonly number[]): readonly Path[] | undefined {
  const parts: Path[] = [];
  let rest = path;
  for (const y of levels) {
    const place = crossing(rest, y);
    if (!place) return undefined;
    const [before, after] = splitPath(rest, place);
    parts.push(before);
    rest = after;
  }
  return [...parts, rest];
}

/** How far a rise, run down from the waist, goes straight, in mm. */
function straightOf(down: Path): number {
  const first = startDirection(down);
  const whole = pathLength(down);
  for (let s = STEP; s < whole; s += STEP) {
    const { index, t } = placeAtLength(down, s);
    if (angleBetween(directionAt(down[index] as Cubic, t), first) > STRAIGHT) return s - STEP;
  }
  return whole;
}

/** Where a rise runs past the diagonal of its corner, in mm; 0 where it does not. */
const hollowAt = (rise: Path, corner: Point): number => rise.flatMap((c) => hollowOf(c, corner) ?? [])[0] ?? 0;

/** The levels of an adopted pattern: crotch and hem as its front has them, hip and knee as laid in, else the body's. */
function levelsOf(pattern: AdoptedPattern, front: Edges, worked: Worked): Levels {
  const body = worked.full?.levels ?? worked.levels;
  const crotchLevel = startOf(front.rise).y;
  const hemLevel = endOf(front.side).y;
  const hipAbove = pattern.hipAbove ?? body.crotchLevel - body.hipLevel;
  const kneeBelow = pattern.kneeBelow ?? body.kneeLevel - body.crotchLevel;
  return {
    hipLevel: Math.min(crotchLevel - LEAST_GAP, Math.max(LEAST_GAP, crotchLevel - hipAbove)),
    crotchLevel,
    thighLevel: crotchLevel + body.thighLevel - body.crotchLevel,
    kneeLevel: crotchLevel + kneeBelow,
    hemLevel,
  };
}

const refuse = (panel: PanelName, code: 'adoptedEdge' | 'adoptedLevel' | 'adoptedCrosses' | 'adoptedDart'): Refusal =>
  refusal('pattern', code, { panel });

const SETTLED: Panel['settled'] = {
  crotchPoint: 0,
  sideHip: 0,
  sideWaist: 0,
  dartCount: 0,
  dartIntake: 0,
  centreIn: 0,
  waistMore: 0,
  curveStart: 0,
  hollow: 0,
};

/** Where the hip lies on a side: on its level, or as far above the hem along the seam as on the piece it is sewn to. */
function hipOnSide(side: Path, hipLevel: number, aboveHem: number | undefined): PathPlace | undefined {
  const place = crossing(side, hipLevel);
  if (!place || aboveHem === undefined) return place;
  const at = pathLength(side) - aboveHem;
  return at > LEAST_GAP ? placeAtLength(side, at) : place;
}

function panelOf(
  name: PanelName,
  piece: AdoptedPiece,
  edges: Edges,
  move: (p: Point) => Point,
  {
    levels,
    aboveHem,
    creaseOff,
    size,
    darts,
  }: {
    readonly levels: Levels;
    /** How far above the hem the hip of the piece that it is sewn to lies, along the seam. */
    readonly aboveHem: number | undefined;
    readonly creaseOff: number;
    readonly size: number;
    readonly darts: readonly LaidDart[];
  },
): Outcome<Panel> {
  const kneeOnPiece = levels.kneeLevel < levels.hemLevel - KNEE_ROOM;
  const down = reversePath(edges.rise);
  const knee = kneeOnPiece ? [levels.kneeLevel] : [];
  const hip = hipOnSide(edges.side, levels.hipLevel, aboveHem);
  const [waistToHip, underHip] = hip ? splitPath(edges.side, hip) : [[], []];
  const below = cutAt(underHip, [levels.crotchLevel, ...knee]);
  const inseam = cutAt(reversePath(edges.inseam), knee);
  const onRise = crossing(down, levels.hipLevel);
  if (waistToHip.length === 0 || !below || !inseam || !onRise) return refused(refuse(name, 'adoptedLevel'));
  const [hipToCrotch = [], toKnee = [], toHem = []] = below;
  const [inseamDown = [], inseamShin = []] = inseam;
  const [centre, curve] = splitPath(down, placeAtLength(down, straightOf(down)));
  const crotchPoint = startOf(edges.rise);
  const centreWaist = endOf(edges.rise);
  const curveStart = centre.length > 0 ? endOf(centre) : centreWaist;
  const sideHip = startOf(hipToCrotch);
  const sideCrotch = toKnee.length > 0 ? startOf(toKnee) : endOf(hipToCrotch);
  const [sideHem, inseamHem] = [endOf(edges.side), startOf(edges.inseam)];
  const centreDown = startDirection(down);
  const cut = withDarts({ sections: edges.waist, apexes: piece.apexes.map(move) }, darts);
  if (!cut) return refused(refuse(name, 'adoptedDart'));
  const waist = waistOf(cut);
  const hipOnCentre = onRise.index < centre.length;
  const frameX = onRise.at.x;
  const corner = point(frameX, levels.crotchLevel);
  const hollow = hollowAt(edges.rise, corner);
  const square = meetLines(sideHip, point(-centreDown.y, centreDown.x), centreWaist, centreDown)?.at;
  const chord = meetLines(corner, point(1, -1), curveStart, subtract(crotchPoint, curveStart))?.at;
  const panel: Panel = {
    name,
    source: { from: 'outline' },
    manner: { size, straightSide: false, plumbLeg: false },
    settled: SETTLED,
    levels,
    edges: {
      waist: waist.edge,
      side: [...waistToHip, ...hipToCrotch, ...toKnee, ...toHem],
      hem: edges.hem,
      inseam: reversePath([...inseamDown, ...inseamShin]),
      rise: reversePath([...centre, ...curve]),
    },
    joints: {
      sideHip: waistToHip.length,
      sideCrotch: waistToHip.length + hipToCrotch.length,
      sideKnee: waistToHip.length + hipToCrotch.length + toKnee.length,
      inseamKnee: inseamShin.length,
      curveStart: curve.length,
    },
    points: {
      centreWaist,
      sideWaist: startOf(edges.side),
      sideHip,
      centreHip: hipOnCentre && square ? square : point(frameX, levels.hipLevel),
      sideCrotch,
      sideKnee: kneeOnPiece ? startOf(toHem) : sideHem,
      inseamKnee: kneeOnPiece ? startOf(inseamShin) : inseamHem,
      sideHem,
      inseamHem,
      crotchPoint,
      curveStart,
      corner,
      hollow: along(corner, unit(point(1, -1)), hollow),
      tiltPoint: point(frameX, levels.hipLevel),
    },
    darts: waist.darts,
    waistSections: waist.waistSections,
    closedWaist: waist.closedWaist,
    closedSideUp: turn(scale(startDirection(edges.side), -1), waist.turned, { x: 0, y: 0 }),
    crease: (sideHem.x + inseamHem.x) / 2 + creaseOff,
    seatAngle: Math.atan2(centreDown.x, centreDown.y),
    centreDown,
    crotchWidth: crotchPoint.x - sideCrotch.x,
    hollow,
    diagonal: chord ? distance(corner, chord) : 0,
    kneeOnPiece,
  };
  if (!isSound(panel) || !dartsWithin(panel)) return refused(refuse(name, 'adoptedCrosses'));
  return good(panel);
}

function dartsWithin(panel: Panel): boolean {
  if (panel.darts.length === 0) return true;
  const outline = flatten(outlineOf(panel), 1);
  return panel.darts.every(({ apex }: Dart) => contains(outline, apex));
}

/** How a piece is carried so that its side stands at the frame's side line and its hem at `hem`. */
function carriedTo(piece: AdoptedPiece, hipX: number, hem: number): (p: Point) => Point {
  const down = hem - endOf(pathOfCurves(piece.side)).y;
  return (p) => point(p.x - hipX, p.y + down);
}

/**
 * Both panels of a pattern that was adopted as it lies (docs/trade/truing.md): carried into the frame, so that the waist
 * line lies at the front's side waist and both sides begin on the side line, and cut at its levels. Levels that were not
 * laid in are the body's, counted from the pattern's crotch point. What is no trouser piece is refused.
 */
export function drawAdopted(pattern: AdoptedPattern, worked: Worked): Outcome<Block> {
  const stay = (p: Point): Point => p;
  for (const name of PANEL_NAMES) {
    const piece = pattern[name];
    const paths = [...piece.waist, piece.side, piece.hem, piece.inseam, piece.rise].map(pathOfCurves);
    if (paths.some((p) => p.length === 0) || piece.waist.length !== piece.apexes.length + 1) {
      return refused(refuse(name, 'adoptedEdge'));
    }
  }
  const lying = edgesOf(pattern.front, stay);
  const top = startOf(lying.side).y;
  const hem = endOf(lying.side).y - top;
  const atTop = edgesOf(pattern.front, (p) => point(p.x, p.y - top));
  const levels = levelsOf(pattern, atTop, worked);
  const panels: Panel[] = [];
  let aboveHem: number | undefined;
  for (const name of PANEL_NAMES) {
    const piece = pattern[name];
    const unmoved = edgesOf(piece, carriedTo(piece, 0, hem));
    const hip = hipOnSide(unmoved.side, levels.hipLevel, aboveHem);
    if (!hip) return refused(refuse(name, 'adoptedLevel'));
    const hipX = endOf(splitPath(unmoved.side, hip)[0]).x;
    const move = carriedTo(piece, hipX, hem);
    const panel = panelOf(name, piece, edgesOf(piece, move), move, {
      levels,
      aboveHem,
      creaseOff: (name === 'back' ? pattern.creaseOffBack : undefined) ?? pattern.creaseOff ?? 0,
      size: worked.size,
      darts: (pattern.darts ?? []).filter((d) => d.panel === name),
    });
    if (!panel.ok) return panel;
    panels.push(panel.value);
    // The hip of the other piece is where it is sewn to this one's, the seams walked from the hem.
    const { edges, joints } = panel.value;
    aboveHem = pathLength(edges.side.slice(joints.sideHip));
  }
  const [front, back] = panels as [Panel, Panel];
  return good({ levels, front, back });
}
