import { distance, pathLength, point } from '../geometry/index.js';
import { good, refused, type Outcome } from '../refusal/index.js';
import { inseamSeam, type Inseam } from './leg.js';
import type { DrawnPanel, PanelState } from './panel-round.js';
import { refusePanel } from './panel-setting.js';

/**
 * How much shorter than the front inseam the back inseam is aimed at, above the knee, where it is stretched on in
 * sewing.
 */
export const INSEAM_STRETCH = 3;
/** Settled where the crotch point moves by less than this, in mm. */
const SETTLED = 0.006;

/** The inseam of a panel that has settled, or the refusal. */
function drawInseam({ setting }: PanelState, { crotchPoint, leg }: DrawnPanel, lower: number): Outcome<Inseam> {
  const { parameters: p, levels } = setting;
  const from = point(crotchPoint.x, crotchPoint.y + lower);
  const end = { knee: leg.inseamKnee, hem: leg.inseamHem, kneeOnPiece: leg.kneeOnPiece };
  const hollow = p.inseamHollow ?? p.inseamHollowShare * distance(from, end.knee);
  const thigh = p.thighWidth === undefined ? undefined : point(leg.crease + p.thighWidth / 2, levels.thighLevel);
  const inseam = inseamSeam({ crotchPoint: from, end, hollow: setting.plumbLeg ? 0 : hollow, thigh });
  if (inseam) return good(inseam);
  return refused(refusePanel(setting, 'inseamBends', ['kneeWidth', 'hemWidth', 'inseamHollowShare', 'extension']));
}

/** The least by which a back inseam with a stated drop is the shorter one, in mm. */
const STATED_STRETCH = 0.5;
/** So often the back crotch point is moved toward an inseam that walks. */
const INSEAM_ROUNDS = 6;

/** Both inseams; the back's crotch point is moved until it is sewn to the front, where no drop is stated. */
export function drawInseams(
  [front, back]: readonly [PanelState, PanelState],
  drawn: readonly [DrawnPanel, DrawnPanel],
  trueSeams: boolean,
): Outcome<readonly [Inseam, Inseam]> {
  const ahead = drawInseam(front, drawn[0], 0);
  if (!ahead.ok) return ahead;
  const { byHand, parameters, mostMoved, inseamStretch } = back.setting;
  const held = byHand.has('crotchDrop');
  // A drop that the method states is kept, and stretched on; only a back inseam that is the longer one is still
  // shortened.
  const stated = parameters.crotchDrop !== 0;
  const wanted = pathLength(ahead.value.upper) - (stated ? Math.min(STATED_STRETCH, inseamStretch) : inseamStretch);
  let lower = 0;
  for (let round = 0; ; round++) {
    const behind = drawInseam(back, drawn[1], lower);
    if (!behind.ok) return behind;
    const over = pathLength(behind.value.upper) - wanted;
    const next = Math.min(mostMoved, Math.max(stated ? 0 : -mostMoved, lower + over));
    if (!trueSeams || held || Math.abs(next - lower) < SETTLED || round === INSEAM_ROUNDS) {
      back.shift = { ...back.shift, crotchPoint: lower };
      return good([ahead.value, behind.value]);
    }
    lower = next;
  }
}
