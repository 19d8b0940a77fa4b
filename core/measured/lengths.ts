import { pathLength } from '../geometry/index.js';
import type { Panel } from '../draft/index.js';

/** The three stretches of a panel's side seam, in mm. */
export interface SideStretches {
  readonly waistToHip: number;
  readonly hipToKnee: number;
  readonly kneeToHem: number;
}

/**
 * Side seam lengths between waist, hip, knee and hem. Where the hem lies above the knee, hip to hem counts as hip to
 * knee.
 */
export function sideStretches(panel: Panel): SideStretches {
  const {
    edges: { side },
    joints: { sideHip, sideKnee },
  } = panel;
  return {
    waistToHip: pathLength(side.slice(0, sideHip)),
    hipToKnee: pathLength(side.slice(sideHip, sideKnee)),
    kneeToHem: pathLength(side.slice(sideKnee)),
  };
}
