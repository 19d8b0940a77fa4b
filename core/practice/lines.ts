import type { Draft } from '../chain/index.js';
import {
  cubic,
  curvatureAt,
  distance,
  nearestPlace,
  pathBetweenPlaces,
  pathLength,
  pointAt,
  pointAtPlace,
  placeAtLength,
  reversePath,
  type Cubic,
  type Path,
  type Point,
} from '../geometry/index.js';
import type { PanelName } from '../method/index.js';
import { stepsOf } from '../steps/index.js';
import { formatLength, tapeFor, type Unit } from '../units/index.js';

/** A point to be placed on the board. Panel coordinates, mm. */
export interface PointTask {
  readonly id: string;
  readonly step: string;
  readonly panel: PanelName;
  readonly label: string;
  readonly at: Point;
  /** Where truing finds it, and how far it goes down, in mm. */
  readonly lowered?: { readonly from: Point; readonly by: number };
}

/** A curve to be drawn between two points that are there, and the master's line between them. Panel coordinates, mm. */
export interface CurveTask {
  readonly id: string;
  readonly step: string;
  readonly panel: PanelName;
  readonly label: string;
  readonly from: Point;
  readonly to: Point;
  readonly master: Path;
}

/** What a point or a line that was drawn is: right, near or off, in a sentence; by how much, in mm. */
export interface JudgedLine {
  readonly verdict: 'right' | 'near' | 'wrong';
  readonly said: string;
  readonly off: number;
}

/** A point may lie so far off and be right, or near, in mm. */
const POINT_RIGHT = 3;
const POINT_NEAR = 12;
/** A line may run so far off and be right, or near, in mm. */
const LINE_RIGHT = 4;
const LINE_NEAR = 10;
/** So many places of a line are looked at. */
const PLACES = 60;
/** What a line bends less than in one run is no bend: two degrees in the master's line, five in a learner's. */
const COUNTED = (2 * Math.PI) / 180;
const COUNTED_DRAWN = (5 * Math.PI) / 180;

/** The points of a draft's steps that a learner places, in the order of the work. */
export function pointTasks(draft: Draft, unit: Unit): PointTask[] {
  return stepsOf(draft, unit).flatMap(({ id: step, panel, points }) =>
    panel
      ? points
          .filter(({ label }) => PLACED.has(label))
          .map(({ label, at }): PointTask => ({ id: `${panel}.${label}`, step, panel, label, at }))
      : [],
  );
}

/** What is placed by its figures alone; all else follows from a line that is drawn. */
const PLACED: ReadonlySet<string> = new Set([
  'crotch point',
  'centre waist',
  'side waist',
  'side hem',
  'inseam hem',
  'hip point',
]);

/** A point that truing moves by less than this, in mm, is not asked: it would be right where it was. */
const MOVED = 3.5;

/** The points of the back that truing lowers: from where they were `laid` off to where both seams walk. */
export function loweredTasks(laid: Draft, trued: Draft): PointTask[] {
  return (['crotchPoint', 'sideWaist'] as const).flatMap((point): PointTask[] => {
    const [from, at] = [laid.block.back.points[point], trued.block.back.points[point]];
    const by = at.y - from.y;
    if (by < MOVED) return [];
    const label = point === 'crotchPoint' ? 'crotch point' : 'side waist';
    return [
      {
        id: `back.${label} lowered`,
        step: 'settled',
        panel: 'back',
        label: `back’s ${label}`,
        at,
        lowered: { from, by },
      },
    ];
  });
}

const CURVES = [
  ['curve', 'rise', 'crotch curve', 'curveStart', 'crotchPoint'],
  ['inseam', 'inseam', 'inseam from crotch to knee', 'crotchPoint', 'inseamKnee'],
  ['side', 'side', 'side from hip to knee', 'sideHip', 'sideKnee'],
] as const;

/** The curves of a draft that a learner draws, in the order of the work. */
export function curveTasks(draft: Draft, unit: Unit): CurveTask[] {
  return stepsOf(draft, unit).flatMap(({ id: step, panel: name }) => {
    const which = CURVES.find(([id]) => step === `${name ?? ''}.${id}`);
    if (!name || !which) return [];
    const [, edge, label, start, end] = which;
    const panel = draft.block[name];
    if (!panel.kneeOnPiece && end !== 'crotchPoint') return [];
    const [from, to] = [panel.points[start], panel.points[end]];
    const path = panel.edges[edge];
    const [a, b] = [nearestPlace(path, from), nearestPlace(path, to)];
    const backward = a.index > b.index || (a.index === b.index && a.t > b.t);
    const master = backward ? reversePath(pathBetweenPlaces(path, b, a)) : pathBetweenPlaces(path, a, b);
    return [{ id: `${name}.${edge}`, step, panel: name, label: `${name} ${label}`, from, to, master }];
  });
}

const far = (mm: number, unit: Unit): string => formatLength(Math.abs(mm), tapeFor(unit));

/** A point that was placed, held against where it belongs: by how much, and which way it has to go. */
export function judgePoint({ label, at }: PointTask, placed: Point, unit: Unit): JudgedLine {
  const off = distance(at, placed);
  if (off <= POINT_RIGHT) return { verdict: 'right', off, said: `The ${label} is where it belongs.` };
  const ways = [
    ...(Math.abs(placed.y - at.y) > 1 ? [`${far(placed.y - at.y, unit)} too ${placed.y > at.y ? 'low' : 'high'}`] : []),
    ...(Math.abs(placed.x - at.x) > 1
      ? [`${far(placed.x - at.x, unit)} too far to the ${placed.x > at.x ? 'centre' : 'side'}`]
      : []),
  ];
  const said = `The ${label} is ${ways.join(' and ')}.`;
  return { verdict: off <= POINT_NEAR ? 'near' : 'wrong', off, said };
}

/** The curve that two handles draw between two points. */
export const drawnCurve = (from: Point, first: Point, second: Point, to: Point): Cubic =>
  cubic(from, first, second, to);

const shares = Array.from({ length: PLACES + 1 }, (_, i) => i / PLACES);

/** How a line bends at even places along it, in 1/mm. */
function bendsOf(path: Path, whole: number): number[] {
  return shares.map((share) => {
    const { index, t } = placeAtLength(path, share * whole);
    const c = path[index];
    return c ? curvatureAt(c, t) : 0;
  });
}

/** How often a line turns from bending one way to bending the other; a run that bends less than is counted is none. */
function turnsOf(bends: readonly number[], whole: number, counted: number): number {
  const runs: number[] = [];
  for (const bend of bends) {
    const turned = (bend * whole) / PLACES;
    const last = runs.at(-1);
    if (last !== undefined && Math.sign(last) === Math.sign(turned)) runs[runs.length - 1] = last + turned;
    else runs.push(turned);
  }
  const signs = runs.filter((run) => Math.abs(run) > counted).map(Math.sign);
  return signs.filter((sign, i) => i > 0 && sign !== signs[i - 1]).length;
}

/** The most that a line bends over a twelfth of its length, in 1/mm. */
function tightestOf(bends: readonly number[]): number {
  const over = Math.round(PLACES / 12);
  return Math.max(
    ...bends.slice(over).map((_, i) => bends.slice(i, i + over).reduce((sum, bend) => sum + Math.abs(bend), 0) / over),
  );
}

/** The place of a line of points that is nearest to a point, and how far that is, in mm. */
function nearestOn(points: readonly Point[], p: Point): { readonly at: Point; readonly distance: number } {
  let best = { at: p, distance: Infinity };
  for (const [i, b] of points.entries()) {
    const a = points[i - 1];
    if (!a) continue;
    const [dx, dy] = [b.x - a.x, b.y - a.y];
    const along = Math.min(1, Math.max(0, ((p.x - a.x) * dx + (p.y - a.y) * dy) / (dx * dx + dy * dy || 1)));
    const at = { x: a.x + along * dx, y: a.y + along * dy };
    const away = distance(at, p);
    if (away < best.distance) best = { at, distance: away };
  }
  return best;
}

const PART_OF_LINE = [
  'at its beginning',
  'in the first half',
  'in the middle',
  'in the second half',
  'at its end',
] as const;

/** The tightest bend may be so many times the master's. */
const TIGHT = 2.2;

/**
 * A curve that was drawn, held against the master's line: how far it runs from it at most (both ways), whether it bends to
 * and fro more than that does, and whether it has a bend far tighter.
 */
export function judgeCurve({ label, master }: CurveTask, drawn: Cubic, unit: Unit): JudgedLine {
  const path: Path = [drawn];
  const whole = pathLength(master);
  const theirLine = shares.map((share) => pointAtPlace(master, placeAtLength(master, share * whole)));
  const myLine = shares.map((share) => pointAt(drawn, share));
  let off = 0;
  let at = 0;
  let side = 0;
  for (const [i, p] of theirLine.entries()) {
    const near = nearestOn(myLine, p);
    if (near.distance <= off) continue;
    off = near.distance;
    at = i / PLACES;
    side = p.y - near.at.y;
  }
  for (const p of myLine) off = Math.max(off, nearestOn(theirLine, p).distance);
  const length = pathLength(path);
  const [mine, theirs] = [bendsOf(path, length), bendsOf(master, whole)];
  const [turns, wanted] = [turnsOf(mine, length, COUNTED_DRAWN), turnsOf(theirs, whole, COUNTED)];
  const faults = [
    ...(turns > wanted ? ['It bends to and fro where it should run one way.'] : []),
    ...(turns <= wanted && tightestOf(mine) > TIGHT * tightestOf(theirs) + COUNTED / length
      ? ['It has a corner: one place bends far more than the rest.']
      : []),
  ];
  if (off <= LINE_RIGHT && faults.length === 0) {
    return {
      verdict: 'right',
      off,
      said: `The ${label} runs within ${far(off, unit)} of the master’s line, and is fair.`,
    };
  }
  const where = PART_OF_LINE[Math.min(4, Math.floor(at * 5))] ?? '';
  const way = Math.abs(side) > 1 ? (side > 0 ? ', too high there' : ', too low there') : '';
  const run = `The ${label} runs up to ${far(off, unit)} off, most ${where}${way}.`;
  return { verdict: off <= LINE_NEAR ? 'near' : 'wrong', off, said: [run, ...faults].join(' ') };
}
