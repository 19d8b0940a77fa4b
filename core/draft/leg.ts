import {
  add,
  along,
  cubic,
  distance,
  dot,
  line,
  point,
  quarterTurn,
  subtract,
  unit,
  type Path,
  type Point,
} from '../geometry/index.js';
import type { Levels, PanelParameters } from '../method/index.js';

/** The corners of the leg below the crotch. */
export interface Leg {
  readonly crease: number;
  readonly sideKnee: Point;
  readonly inseamKnee: Point;
  readonly sideHem: Point;
  readonly inseamHem: Point;
  readonly kneeOnPiece: boolean;
}

/** A leg whose hem comes closer to the knee line than this, in mm, has no knee of its own. */
const LEAST_LOWER_LEG = 20;

/**
 * Crease and corners: the crease halves the crotch width (less `creaseShift`), knee and hem lie half on each side
 * of it, or are laid off from a straight side. Where the hem lies above the knee line, the hem corners stand for the
 * knee corners.
 */
export function legOf(p: PanelParameters, levels: Levels, sideCrotchX: number, straightSide = false): Leg {
  const crease = (sideCrotchX + p.hipWidth + p.extension) / 2 - p.creaseShift;
  const kneeOnPiece = levels.hemLevel >= levels.kneeLevel + LEAST_LOWER_LEG;
  const corner = (width: number, half: -1 | 1, level: number): Point =>
    straightSide ? point(-p.sideOut + (half === 1 ? width : 0), level) : point(crease + (half * width) / 2, level);
  const sideHem = corner(p.hemWidth, -1, levels.hemLevel);
  const inseamHem = corner(p.hemWidth, 1, levels.hemLevel);
  return {
    crease,
    sideHem,
    inseamHem,
    sideKnee: kneeOnPiece ? corner(p.kneeWidth, -1, levels.kneeLevel) : sideHem,
    inseamKnee: kneeOnPiece ? corner(p.kneeWidth, 1, levels.kneeLevel) : inseamHem,
    kneeOnPiece,
  };
}

/** The unit direction in which a leg edge leaves its knee corner: straight to the hem, or plumb without a knee. */
export const lowerLegDirection = (knee: Point, hem: Point, kneeOnPiece: boolean): Point =>
  kneeOnPiece ? unit(subtract(hem, knee)) : point(0, 1);

/** The straight edge from knee to hem; nothing where the hem lies above the knee line. */
export const lowerLeg = (knee: Point, hem: Point, kneeOnPiece: boolean): Path => (kneeOnPiece ? [line(knee, hem)] : []);

const HANDLE_AT_CROTCH = 0.33;
const HANDLE_AT_KNEE = 0.38;
const LEAST_HANDLE = 0.12;

/** The greatest distance from the chord of a cubic whose inner control points stand `h1` and `h2` off it. */
function sagitta(h1: number, h2: number): number {
  let most = 0;
  for (let i = 1; i < 24; i++) {
    const t = i / 24;
    most = Math.max(most, 3 * t * (1 - t) * ((1 - t) * h1 + t * h2));
  }
  return most;
}

/**
 * The inseam from the crotch point to the knee (handbook 2, section 7): one cubic that bows inward by `hollow` mm
 * off its chord and runs into the lower leg without a corner. Where the leg's direction alone bows it more than
 * asked, the handle at the knee is shortened as far as it may be.
 */
export function upperInseam(crotchPoint: Point, leg: Leg, hollow: number): Path {
  const knee = leg.inseamKnee;
  const chord = distance(crotchPoint, knee);
  const u = unit(subtract(knee, crotchPoint));
  const inward = quarterTurn(u);
  const end = lowerLegDirection(knee, leg.inseamHem, leg.kneeOnPiece);
  const lean = -dot(end, inward);
  let reach = HANDLE_AT_KNEE * chord;
  if (lean > 0) reach = Math.max(LEAST_HANDLE * chord, Math.min(reach, (2.2 * hollow) / lean));
  const h2 = lean * reach;
  let low = 0;
  let high = 2.25 * Math.max(hollow, 0) + Math.abs(h2);
  if (sagitta(0, h2) >= hollow) high = 0;
  for (let i = 0; i < 30 && high - low > 1e-6; i++) {
    const middle = (low + high) / 2;
    if (sagitta(middle, h2) < hollow) low = middle;
    else high = middle;
  }
  const p1 = add(along(crotchPoint, u, HANDLE_AT_CROTCH * chord), along(point(0, 0), inward, high));
  return [cubic(crotchPoint, p1, along(knee, end, -reach), knee)];
}
