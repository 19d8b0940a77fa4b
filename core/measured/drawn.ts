import type { Block, Panel } from '../draft/index.js';
import {
  crossLine,
  distance,
  dot,
  meetLines,
  nearestPlace,
  pathLength,
  point,
  subtract,
  unit,
  type Path,
  type Point,
} from '../geometry/index.js';
import {
  OPTIONAL_PARAMETERS,
  PANEL_NAMES,
  PANEL_PARAMETERS,
  PARAMETER_NAMES,
  type DartPlace,
  type PanelName,
  type ParameterName,
  type Worked,
} from '../method/index.js';

/** Every parameter of a panel as it lies on the piece: mm, shares, counts; nothing where the piece has none. */
export type DrawnParameters = Readonly<Partial<Record<ParameterName, number>>> & {
  /** The hollow in mm along the diagonal. */
  readonly hollow: number;
};

/** The x at which an edge crosses a level; nothing where it does not. */
const crossingX = (edge: Path, y: number): number | undefined => crossLine(edge, point(0, y), point(1, 0))[0]?.at.x;

/** How far a path bows off the straight between its ends, toward the side of `inward` (mm). */
function bowOf(path: Path, from: Point, to: Point, inward: -1 | 1): number {
  const d = unit(subtract(to, from));
  let most = 0;
  for (const c of path) {
    for (let i = 0; i <= 16; i++) {
      const t = i / 16;
      const s = 1 - t;
      const at = point(
        s * s * s * c.p0.x + 3 * s * s * t * c.p1.x + 3 * s * t * t * c.p2.x + t * t * t * c.p3.x,
        s * s * s * c.p0.y + 3 * s * s * t * c.p1.y + 3 * s * t * t * c.p2.y + t * t * t * c.p3.y,
      );
      const off = subtract(at, from);
      most = Math.max(most, inward * dot(off, { x: d.y, y: -d.x }));
    }
  }
  return most;
}

/** Where the straight centre line passes through the centre frame line, above the crotch line in mm. */
function tiltOf({ points, centreDown, levels }: Panel): number | undefined {
  const meeting = meetLines(points.centreWaist, centreDown, points.corner, point(0, 1));
  return meeting && Math.abs(centreDown.x) > 1e-4 ? levels.crotchLevel - meeting.at.y : undefined;
}

/**
 * The parameters of a panel measured on its outline (docs/trade/parameters.md): what is shown beside a sheet's figure.
 * Distances across count from the frame lines: x = 0 at the side, the corner's x at the centre.
 */
export function drawnParameters(panel: Panel): DrawnParameters {
  const { edges, points: p, levels, darts, closedWaist, crease } = panel;
  const sideCrotch = crossingX(edges.side, levels.crotchLevel) ?? p.sideCrotch.x;
  const thigh = [crossingX(edges.side, levels.thighLevel), crossingX(edges.inseam, levels.thighLevel)] as const;
  const knee = panel.kneeOnPiece
    ? ([crossingX(edges.side, levels.kneeLevel), crossingX(edges.inseam, levels.kneeLevel)] as const)
    : ([undefined, undefined] as const);
  const upper = edges.inseam.slice(panel.joints.inseamKnee);
  const hollowMm = panel.kneeOnPiece ? bowOf(upper, p.crotchPoint, p.inseamKnee, -1) : undefined;
  const diagonal = meetLines(
    p.corner,
    { x: Math.SQRT1_2, y: -Math.SQRT1_2 },
    p.curveStart,
    unit(subtract(p.crotchPoint, p.curveStart)),
  )?.alongFirst;
  const hollow = distance(p.hollow, p.corner);
  const first = darts[0];
  const mean = (of: (d: (typeof darts)[number]) => number): number =>
    darts.length === 0 ? 0 : darts.reduce((sum, d) => sum + of(d), 0) / darts.length;
  const width = ([a, b]: readonly [number | undefined, number | undefined]): number | undefined =>
    a === undefined || b === undefined ? undefined : b - a;
  const found: Partial<Record<ParameterName, number | undefined>> = {
    hipWidth: distance(p.sideHip, p.centreHip),
    sideOut: 0 - p.sideHip.x,
    sideInset: sideCrotch,
    extension: p.crotchPoint.x - p.corner.x,
    crotchDrop: p.crotchPoint.y - p.corner.y,
    depth: diagonal !== undefined && diagonal > 0 ? hollow / diagonal : undefined,
    centreIn: p.corner.x - p.centreWaist.x,
    centreLift: 0 - p.centreWaist.y,
    tiltFrom: tiltOf(panel),
    curveRise: p.corner.y - p.curveStart.y,
    sideLift: 0 - p.sideWaist.y,
    waistWidth: pathLength(closedWaist),
    dartCount: darts.length,
    dartIntake: mean((d) => distance(d.centreLeg, d.sideLeg)),
    dartLength: mean((d) => (distance(d.apex, d.centreLeg) + distance(d.apex, d.sideLeg)) / 2),
    dartAt: first && nearestPlace(panel.waistSections[0] ?? edges.waist, first.centreLeg).length,
    creaseShift: (sideCrotch + p.crotchPoint.x) / 2 - crease,
    kneeWidth: width(knee),
    hemWidth: Math.abs(p.inseamHem.x - p.sideHem.x),
    inseamHollow: hollowMm,
    inseamHollowShare: hollowMm === undefined ? undefined : hollowMm / distance(p.crotchPoint, p.inseamKnee),
    thighWidth: width(thigh),
    crotchWidth: p.crotchPoint.x - sideCrotch,
  };
  return { ...Object.fromEntries(Object.entries(found).filter(([, value]) => value !== undefined)), hollow };
}

/** A parameter that is not drawn as the sheet says: both figures and the reason. Lengths in mm. */
export interface DrawnOtherwise {
  readonly panel: PanelName;
  readonly parameter: ParameterName;
  readonly sheet: number;
  readonly drawn: number;
  readonly why: string;
}

const WHY: Partial<Record<ParameterName, string>> = {
  hipWidth:
    'Measured square to the centre line on the piece: the rise has left the line there already, or the hip is not kept.',
  sideOut: 'The side stands where the hip keeps its width, measured square to the leaning centre line.',
  sideInset: 'The side at the crotch line is what a fair seam from hip to knee has there.',
  extension: 'Moved so that the crotch width comes out, or no fair rise reaches the crotch point.',
  crotchDrop: 'Moved so that the back inseam is sewn to the front.',
  depth: 'The nearest that a fair rise has.',
  centreIn: 'The centre takes what of the surplus of hip over waist has no room elsewhere, or leans for a fair rise.',
  centreLift: 'The centre leans out and lifts over the stomach.',
  curveRise: 'The curve begins where it leaves the straight gently.',
  sideLift: 'Moved so that both side seams are of one length.',
  waistWidth: 'Waist is moved between the panels so that both sides taper alike, or what nothing can take stays in it.',
  dartCount: 'The waist plan over both panels.',
  dartIntake: 'The waist plan over both panels.',
  dartLength: 'Without a dart there is no length of it.',
  kneeWidth: 'The leg falls plumb from hip and crotch point.',
  hemWidth: 'The leg falls plumb from hip and crotch point.',
  inseamHollow: 'The nearest that a fair inseam has.',
  inseamHollowShare: 'The nearest that a fair inseam has.',
  thighWidth: 'The nearest that fair seams have.',
  creaseShift: 'The crease is laid off from the side line, or the leg falls plumb.',
};
const ALTERED = 'Altered.';
const ADOPTED = 'As the adopted pattern has it.';
/** Figures that differ by less than this are drawn as the sheet says: mm, or a share. */
const SAME = { length: 0.5, share: 0.0035, count: 0.5, place: Infinity } as const;
/** Where a line's centre line stands plumb it passes through no point of its own. */
const NEVER: ReadonlySet<ParameterName> = new Set(['tiltFrom', 'dartAt']);

/**
 * Every parameter that lies otherwise on the piece than its sheet says, with the reason. `drafted` is the block before
 * alterations: what they changed is told as altered.
 */
export function drawnOtherwise(worked: Worked, block: Block, drafted: Block): DrawnOtherwise[] {
  return PANEL_NAMES.flatMap((name) => {
    const drawn = drawnParameters(block[name]);
    const before = block[name] === drafted[name] ? drawn : drawnParameters(drafted[name]);
    return PARAMETER_NAMES.flatMap((parameter): DrawnOtherwise[] => {
      const sheet: number | DartPlace | undefined = worked[name][parameter];
      const is = drawn[parameter];
      if (typeof sheet !== 'number' || is === undefined || NEVER.has(parameter)) return [];
      if (OPTIONAL_PARAMETERS.has(parameter) && worked[name][parameter] === undefined) return [];
      const asked =
        parameter === 'dartIntake' || parameter === 'dartLength' ? (worked[name].dartCount === 0 ? 0 : sheet) : sheet;
      if (Math.abs(is - asked) <= SAME[PANEL_PARAMETERS[parameter].kind]) return [];
      const altered = Math.abs(is - (before[parameter] ?? is)) > SAME[PANEL_PARAMETERS[parameter].kind];
      const own = block[name].source.from === 'outline' ? ADOPTED : (WHY[parameter] ?? '');
      return [{ panel: name, parameter, sheet: asked, drawn: is, why: altered ? ALTERED : own }];
    });
  });
}
