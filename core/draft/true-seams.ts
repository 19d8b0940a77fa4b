import { pathLength } from '../geometry/index.js';
import { good, type Outcome } from '../refusal/index.js';
import { drawSeams, UNMOVED, type PanelSeams, type Shift } from './draw-panel.js';
import type { PanelSetting } from './panel-setting.js';

/** How much shorter than the front inseam the back inseam is aimed at, above the knee: it is stretched on in sewing. */
export const INSEAM_STRETCH = 3;
const ROUNDS = 12;
const CLOSE_ENOUGH = 0.01;

/** Lengths, in mm, of the stretches that are sewn together. */
export interface SeamStretches {
  readonly waistToHip: number;
  readonly hipToKnee: number;
  readonly inseamToKnee: number;
}

/** The lengths of a panel's seams above the knee. */
export const stretchesOf = (seams: PanelSeams): SeamStretches => ({
  waistToHip: pathLength(seams.waist.side.waistToHip),
  hipToKnee: pathLength(seams.waist.side.hipToKnee),
  inseamToKnee: pathLength(seams.inseam),
});

/**
 * Trues the back to the front (`trueSeams`, handbook 2, section 5): the back crotch point moves up or down and the
 * back side's hip and waist end move, each by at most `mostMoved`, until the side seams walk equal and the back inseam is
 * 3 mm shorter above the knee. A crotch drop or side lift set by hand is left alone.
 */
export function trueBack(back: PanelSetting, front: SeamStretches): Outcome<{ seams: PanelSeams; shift: Shift }> {
  const held = (value: number): number => Math.min(back.mostMoved, Math.max(-back.mostMoved, value));
  let shift: Shift = UNMOVED;
  for (let round = 0; ; round++) {
    const drawn = drawSeams(back, shift);
    if (!drawn.ok) return drawn;
    const now = stretchesOf(drawn.value);
    const next: Shift = {
      crotchPoint: back.byHand.has('crotchDrop')
        ? 0
        : held(shift.crotchPoint + now.inseamToKnee - (front.inseamToKnee - INSEAM_STRETCH)),
      sideHip: held(shift.sideHip + now.hipToKnee - front.hipToKnee),
      sideWaist: back.byHand.has('sideLift') ? 0 : held(shift.sideWaist + front.waistToHip - now.waistToHip),
    };
    const moved = Math.max(
      Math.abs(next.crotchPoint - shift.crotchPoint),
      Math.abs(next.sideHip - shift.sideHip),
      Math.abs(next.sideWaist - shift.sideWaist),
    );
    if (moved < CLOSE_ENOUGH || round === ROUNDS) return good({ seams: drawn.value, shift });
    shift = next;
  }
}
