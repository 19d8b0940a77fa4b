import {
  EDGE_NAMES,
  parametersOf,
  type Dart,
  type EdgeName,
  type Manner,
  type Panel,
  type WaistSeams,
} from '../draft/index.js';
import {
  angleBetween,
  crossLine,
  cubicLength,
  endDirection,
  pathLength,
  placeAtLength,
  point,
  scale,
  startDirection,
  startOf,
  type Cubic,
  type Path,
  type Point,
} from '../geometry/index.js';
import type { Levels, PanelName } from '../method/index.js';
import { endNear, RUNS_UP, type LevelPlace, type SeamPlace } from './place.js';

/** The stretches of the outline between named points, in the order in which it runs. */
export const RUNS = [
  'waist',
  'waistToHip',
  'hipToCrotch',
  'sideThigh',
  'sideShin',
  'hem',
  'inseamShin',
  'inseamThigh',
  'crotchCurve',
  'centre',
] as const;

/** The name of a stretch. */
export type RunName = (typeof RUNS)[number];

/** Which edge a stretch belongs to. */
export const EDGE_OF: Record<RunName, EdgeName> = {
  waist: 'waist',
  waistToHip: 'side',
  hipToCrotch: 'side',
  sideThigh: 'side',
  sideShin: 'side',
  hem: 'hem',
  inseamShin: 'inseam',
  inseamThigh: 'inseam',
  crotchCurve: 'rise',
  centre: 'rise',
};

/** The stretches of each edge, in the order of the outline. */
const RUNS_OF = Object.fromEntries(
  EDGE_NAMES.map((edge) => [edge, RUNS.filter((run) => EDGE_OF[run] === edge)]),
) as unknown as Record<EdgeName, readonly RunName[]>;

/** A dart as it lies on the paper. */
export type PaperDart = Pick<Dart, 'apex' | 'centreLeg' | 'sideLeg'>;

/** How an alteration would be done on paper, in panel coordinates. */
export interface Mark {
  readonly alteration: string;
  readonly kind: 'cut' | 'hinge' | 'wedge' | 'seam';
  /** A cut's two ends, a hinge, the corners of a wedge, or a seam as it was. */
  readonly points: readonly Point[];
  readonly path: Path;
}

/** Where a crotch curve was scooped to, and square to it into the piece. */
export interface Scooped {
  readonly at: Point;
  readonly inward: Point;
}

/** A panel while it is altered: cut and moved exactly, not yet redrawn. Lengths in mm, panel coordinates. */
export interface Paper {
  readonly name: PanelName;
  readonly runs: Readonly<Record<RunName, Path>>;
  readonly darts: readonly PaperDart[];
  readonly levels: Levels;
  readonly kneeOnPiece: boolean;
  readonly manner: Manner;
  /** The sheet states the width at the thigh line: side and inseam pass through it. */
  readonly statesThigh: boolean;
  /** Points that are carried along but lie on no seam. */
  readonly corner: Point;
  readonly tiltPoint: Point;
  readonly centreHip: Point;
  /** The crease, as a point at the crotch line. */
  readonly crease: Point;
  /** How far the waist is off square at the side, radians: so that front and back run level into one another. */
  readonly offSquare: number;
  /** How centre line and side left the waist as drafted: a cut swings both. */
  readonly draftedSeams: WaistSeams;
  /** How far the waist was lowered at the centre only, to nothing at its middle, in mm. */
  readonly dip: number;
  /** The waist must be drawn anew. */
  readonly newWaist: boolean;
  /** The hem is no straight line any more: it must be drawn square to the side and run into what it was. */
  readonly newHem: boolean;
  /** The hem has a shape of its own: a pattern that was adopted. */
  readonly shapedHem: boolean;
  /** What cuts have taken from the hip width, in mm: it is given back at the side when the piece is drawn. */
  readonly owed: number;
  /** What folds have left as jogs in the edges from which they took something, in mm: a jog is no cloth. */
  readonly jogs: ReadonlyMap<EdgeName, number>;
  /** Edges that were bent without being broken: they are drawn anew by their measure. */
  readonly bent: ReadonlySet<EdgeName>;
  /** Edges whose shape was asked for: they stay as they were moved, and only breaks in them are smoothed. */
  readonly shaped: ReadonlySet<EdgeName>;
  /** Places on the crotch curve to which it was scooped, the last one last. */
  readonly scooped: readonly Scooped[];
  /** The rise is as long as its new shape makes it; otherwise what was cut keeps its length. */
  readonly riseFree: boolean;
  /** How the alterations so far would be done on paper. */
  readonly marks: readonly Mark[];
}

/** Lays a drafted panel out for alteration. */
export function paperOf(panel: Panel): Paper {
  const { edges, joints, darts } = panel;
  const { side, inseam, rise } = edges;
  return {
    name: panel.name,
    runs: {
      waist: edges.waist,
      waistToHip: side.slice(0, joints.sideHip),
      hipToCrotch: side.slice(joints.sideHip, joints.sideCrotch),
      sideThigh: side.slice(joints.sideCrotch, joints.sideKnee),
      sideShin: side.slice(joints.sideKnee),
      hem: edges.hem,
      inseamShin: inseam.slice(0, joints.inseamKnee),
      inseamThigh: inseam.slice(joints.inseamKnee),
      crotchCurve: rise.slice(0, joints.curveStart),
      centre: rise.slice(joints.curveStart),
    },
    darts,
    levels: panel.levels,
    kneeOnPiece: panel.kneeOnPiece,
    manner: panel.manner,
    statesThigh: parametersOf(panel)?.thighWidth !== undefined,
    corner: panel.points.corner,
    tiltPoint: panel.points.tiltPoint,
    centreHip: panel.points.centreHip,
    crease: point(panel.crease, panel.levels.crotchLevel),
    offSquare: Math.PI / 2 - angleBetween(endDirection(panel.closedWaist), panel.closedSideUp),
    draftedSeams: { centre: panel.centreDown, side: startDirection(side) },
    dip: 0,
    newWaist: false,
    newHem: false,
    shapedHem: panel.source.from === 'outline',
    owed: 0,
    jogs: new Map(),
    bent: new Set(),
    shaped: new Set(),
    scooped: [],
    riseFree: false,
    marks: [],
  };
}

/** The names with more names among them. */
export const including = (edges: ReadonlySet<EdgeName>, ...more: readonly EdgeName[]): ReadonlySet<EdgeName> =>
  new Set([...edges, ...more]);

/** An edge of the paper, in the direction of the outline. */
export function edgeOf({ runs }: Pick<Paper, 'runs'>, edge: EdgeName): Path {
  const [first, ...rest] = RUNS_OF[edge];
  return first ? runs[first].concat(...rest.map((run) => runs[run])) : [];
}

/** The whole outline. */
export const ringOf = (paper: Paper): Path => EDGE_NAMES.flatMap((edge) => edgeOf(paper, edge));

/** Where a run begins: the named point at its upper end in the order of the outline. */
export function startOfRun(paper: Paper, run: RunName): Point {
  for (let i = RUNS.indexOf(run); i < RUNS.length; i++) {
    const first = paper.runs[RUNS[i] as RunName][0];
    if (first) return first.p0;
  }
  return ringOf(paper)[0]?.p0 ?? paper.corner;
}

/** Direction down the centre line at the waist. */
export const centreDownOf = (paper: Paper): Point => scale(endDirection(edgeOf(paper, 'rise')), -1);

/** Direction down the side seam at the waist. */
export const sideDownOf = (paper: Paper): Point => startDirection(edgeOf(paper, 'side'));

/** The y of a level on this piece, in mm below the waist line. */
export const levelOf = ({ levels }: Pick<Paper, 'levels'>, { line, by }: LevelPlace): number =>
  (line === 'waistLine' ? 0 : levels[line]) + by;

/** A place on the outline: which stretch, which curve of it, at which parameter. */
export interface RingPlace {
  readonly run: RunName;
  readonly index: number;
  readonly t: number;
  readonly at: Point;
}

/** A place given by its length along an edge in the direction of the outline. */
function placeOnEdge(paper: Paper, edge: EdgeName, length: number): RingPlace | undefined {
  const path = edgeOf(paper, edge);
  if (path.length === 0) return undefined;
  const { index, t, at } = placeAtLength(path, length);
  return inRun(paper, edge, index, t, at);
}

function inRun(paper: Paper, edge: EdgeName, index: number, t: number, at: Point): RingPlace | undefined {
  let before = 0;
  for (const run of RUNS) {
    if (EDGE_OF[run] !== edge) continue;
    const count = paper.runs[run].length;
    if (index < before + count) return { run, index: index - before, t, at };
    before += count;
  }
  return undefined;
}

/** Where a seam place lies on this piece; nothing where the seam does not reach the level, nor nearly. */
export function placeOf(paper: Paper, place: SeamPlace): RingPlace | undefined {
  const path = edgeOf(paper, place.edge);
  if ('share' in place) {
    const share = RUNS_UP.has(place.edge) ? 1 - place.share : place.share;
    return placeOnEdge(paper, place.edge, Math.min(1, Math.max(0, share)) * pathLength(path));
  }
  const y = levelOf(paper, place.level);
  const [hit] = crossLine(path, point(0, y), point(1, 0));
  if (hit) return inRun(paper, place.edge, hit.index, hit.t, hit.at);
  const end = endNear(path, y);
  return end && placeOnEdge(paper, place.edge, end === startOf(path) ? 0 : pathLength(path));
}

/**
 * The length along an edge, in the direction of the outline, at which it first crosses a level; nothing where it does
 * not.
 */
export function lengthAtLevel(path: Path, y: number): number | undefined {
  const [hit] = crossLine(path, point(0, y), point(1, 0));
  if (!hit) return undefined;
  const c = path[hit.index] as Cubic;
  return pathLength(path.slice(0, hit.index)) + cubicLength(c, 0, hit.t);
}

/** The paper with an edge drawn anew; `joints` are the counts of curves before each of its inner named points. */
export function withEdge(paper: Paper, edge: EdgeName, path: Path, joints: readonly number[]): Paper {
  const names = RUNS_OF[edge];
  const bounds = [0, ...joints, path.length];
  const drawn = Object.fromEntries(names.map((run, i) => [run, path.slice(bounds[i], bounds[i + 1])]));
  return { ...paper, runs: { ...paper.runs, ...drawn } };
}

/** The counts of curves before each inner named point of an edge. */
export function jointsOf(paper: Paper, edge: EdgeName): number[] {
  let count = 0;
  return RUNS_OF[edge].slice(0, -1).map((run) => (count += paper.runs[run].length));
}
