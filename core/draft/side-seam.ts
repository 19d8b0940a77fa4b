import { splineDown, type Path, type Point } from '../geometry/index.js';
import { lowerLeg, lowerLegDirection, type Leg } from './leg.js';

/** The side seam in its three stretches, each run downward. */
export interface SideSeam {
  readonly waistToHip: Path;
  readonly hipToKnee: Path;
  readonly kneeToHem: Path;
}

/**
 * The side seam (handbook 2, section 7): convex from waist to hip, running in from hip to knee with no corner at
 * hip, crotch line or knee (a spline of continuous curvature), straight below the knee.
 */
export function sideSeam(waist: Point, hip: Point, crotch: Point, leg: Leg): SideSeam {
  const direction = lowerLegDirection(leg.sideKnee, leg.sideHem, leg.kneeOnPiece);
  const curve = splineDown([waist, hip, crotch, leg.sideKnee], direction.x / direction.y);
  return {
    waistToHip: curve.slice(0, 1),
    hipToKnee: curve.slice(1),
    kneeToHem: lowerLeg(leg.sideKnee, leg.sideHem, leg.kneeOnPiece),
  };
}
