import { distance, pathLength } from '../geometry/index.js';
import type { Panel } from '../draft/index.js';

/** The three stretches of a panel's side seam, in mm. */
export interface SideStretches {
  readonly waistToHip: number;
  readonly hipToKnee: number;
  readonly kneeToHem: number;
}

/** Side seam lengths between waist, hip, knee and hem. Where the hem lies above the knee, hip to hem counts as hip to knee. */
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

/** Width of a panel on the hip line, in mm: from the side square to the centre line. */
export function hipWidthOf(panel: Panel): number {
  return distance(panel.points.sideHip, panel.points.centreHip);
}
