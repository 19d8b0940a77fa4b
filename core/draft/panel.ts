import {
  enclosedArea,
  flatten,
  isClosed,
  isFinitePoint,
  selfCrossing,
  type Path,
  type Point,
} from '../geometry/index.js';
import type { Levels, PanelName, PanelParameters } from '../method/index.js';

/** The edges of a panel, in the order in which the outline runs: from centre waist over the side, round to the rise. */
export const EDGE_NAMES = ['waist', 'side', 'hem', 'inseam', 'rise'] as const;

/** The name of an edge. The side is also called the outseam. */
export type EdgeName = (typeof EDGE_NAMES)[number];

/** A waist dart, open as on paper. Lengths in mm. */
export interface Dart {
  readonly apex: Point;
  /** Where the dart's leg toward the centre meets the waist. */
  readonly centreLeg: Point;
  /** Where the leg toward the side meets the waist. */
  readonly sideLeg: Point;
  /** The tip of the waist edge between the legs: the folded dart meets the waist line there. */
  readonly peak: Point;
  readonly intake: number;
  readonly length: number;
}

/** The named places on a panel. */
export interface PanelPoints {
  readonly centreWaist: Point;
  readonly sideWaist: Point;
  readonly sideHip: Point;
  /** Square to the centre line from the side hip point: the hip width runs between the two. */
  readonly centreHip: Point;
  readonly sideCrotch: Point;
  /** Knee corners; where the hem lies above the knee line these are the hem corners. */
  readonly sideKnee: Point;
  readonly inseamKnee: Point;
  readonly sideHem: Point;
  readonly inseamHem: Point;
  readonly crotchPoint: Point;
  /** Where the straight centre line ends and the crotch curve begins. */
  readonly curveStart: Point;
  /** Where centre frame line and crotch line meet. */
  readonly corner: Point;
  /** Where the crotch curve crosses the diagonal from the corner. */
  readonly hollow: Point;
  /** The point on the centre frame line about which the seat line tilts. */
  readonly tiltPoint: Point;
}

/** What the drafting moved on its own, in mm, beside the parameters, which stay as the sheet says. */
export interface Settled {
  /** Crotch point moved down (+) or up (-) to true the inseam. */
  readonly crotchPoint: number;
  /** Side hip point moved down (+) or up (-) to true the side. */
  readonly sideHip: number;
  /** Side waist end moved up (+) or down (-) to true the side. */
  readonly sideWaist: number;
  /** Dart count and intake as the waist plan took them. */
  readonly dartCount: number;
  readonly dartIntake: number;
  /** Further in at centre waist, by the waist plan; out where it is negative. */
  readonly centreIn: number;
  /** Added to the waist width by the waist plan: moved over from the other panel, or left in the waist. */
  readonly waistMore: number;
  /** How much higher (+) or lower than the sheet says the crotch curve begins. */
  readonly curveStart: number;
  /** How much more (+) or less than asked the hollow is. */
  readonly hollow: number;
}

/** How many curves of an edge, in the order of the outline, lie before each of its joints. */
export interface Joints {
  readonly sideHip: number;
  readonly sideCrotch: number;
  /** The number of all curves of the side where the hem lies above the knee. */
  readonly sideKnee: number;
  readonly inseamKnee: number;
  readonly curveStart: number;
}

/** How the lines of a panel are drawn, whenever they are drawn anew. */
export interface Manner {
  /** What lengths of a fair curve shrink by: 1 for an adult, hip over 90 cm for a child. */
  readonly size: number;
  /** The side is one straight vertical from which the leg's widths are laid off. */
  readonly straightSide: boolean;
  /** The leg falls plumb from hip and crotch point. */
  readonly plumbLeg: boolean;
}

/** What a panel was drawn from: the parameters of a sheet. An outline that is taken over as it lies has none. */
export type PanelSource =
  { readonly from: 'sheet'; readonly parameters: PanelParameters } | { readonly from: 'outline' };

/** One drafted panel on its stitching line: net, in panel coordinates, mm. */
export interface Panel {
  readonly name: PanelName;
  readonly source: PanelSource;
  readonly manner: Manner;
  readonly settled: Settled;
  /** The levels of this piece: the frame's, moved where an alteration has lengthened or shortened it. */
  readonly levels: Levels;
  readonly edges: Readonly<Record<EdgeName, Path>>;
  readonly joints: Joints;
  readonly points: PanelPoints;
  readonly darts: readonly Dart[];
  /** The waist between the darts, in pieces from the centre to the side, darts open. */
  readonly waistSections: readonly Path[];
  /** The waist with the darts closed, one curve from the centre to the side. */
  readonly closedWaist: Path;
  /** Direction of the side seam at the waist (upward) once the darts are closed. */
  readonly closedSideUp: Point;
  /** x of the crease line. */
  readonly crease: number;
  /** Tilt of the centre line from the vertical, radians; positive leans in at the waist. */
  readonly seatAngle: number;
  /** Unit direction of the centre line from the waist down. */
  readonly centreDown: Point;
  /** Side seam to crotch point along the crotch line, in mm. */
  readonly crotchWidth: number;
  /** The hollow drawn, in mm along the diagonal. */
  readonly hollow: number;
  /** The diagonal from the corner to the chord, of which `depth` is a share, in mm. */
  readonly diagonal: number;
  /** False where the hem lies above the knee line. */
  readonly kneeOnPiece: boolean;
}

/** The sheet's parameters that a panel was drawn from; nothing for an outline taken over as it lies. */
export const parametersOf = ({ source }: Pick<Panel, 'source'>): PanelParameters | undefined =>
  source.from === 'sheet' ? source.parameters : undefined;

/** The closed net outline, waist first (dart mouths peaked), as one path. */
export function outlineOf({ edges }: Pick<Panel, 'edges'>): Path {
  let outline = outlines.get(edges);
  if (!outline) {
    outline = EDGE_NAMES.flatMap((name) => edges[name]);
    outlines.set(edges, outline);
  }
  return outline;
}

const outlines = new WeakMap<Panel['edges'], Path>();
const soundness = new WeakMap<Panel['edges'], boolean>();

/**
 * True where a panel's outline is finite, closed, the right side up, and neither crosses nor touches itself. Looked at
 * once for each set of edges.
 */
export function isSound(panel: Panel): boolean {
  let sound = soundness.get(panel.edges);
  if (sound === undefined) {
    const path = outlineOf(panel);
    const points = flatten(path, 0.2);
    sound =
      points.every(isFinitePoint) &&
      isClosed(path, 1e-4) &&
      enclosedArea(path) < 0 &&
      selfCrossing(points) === undefined;
    soundness.set(panel.edges, sound);
  }
  return sound;
}
