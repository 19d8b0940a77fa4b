import { isGiven, isMeasured, type Body, type MeasurementId } from '../measure/index.js';
import { ASSUMED, ASSUMED_IDS, type Assumed, type AssumedId } from './assumed.js';
import { formOf, type Sought } from './build.js';
import { figuresFrom, LEG_LEVELS, type Heights } from './figures.js';
import { sliceAt, valueIn, type Form } from './form.js';
import { surfaceAlong, tapeRoundLeg, tapeRoundTrunk, tapeUnder, type MiddleTape } from './tape.js';

/** A measurement beside what a tape reads on the body that was made, in mm. */
export interface Residual {
  readonly id: MeasurementId;
  readonly measured: number;
  readonly tape: number;
}

/** A body made from measurements: a solid with the tapes that were laid round it. Lengths in mm. */
export interface SolidBody {
  readonly form: Form;
  readonly heights: Heights;
  /** How far centre front and centre back waist lie above the side waist. */
  readonly tilt: { readonly front: number; readonly back: number };
  /** The tape under the crotch from waist to waist, front first, as z and y. */
  readonly under: MiddleTape;
  /** How far along it, from the front waist, the inseams meet, and whether the rises say so. */
  readonly crotchAt: number;
  /** Every measurement that the body was made to, with what it reads. */
  readonly residuals: readonly Residual[];
  /** What stands in for what was not measured, with its figure. */
  readonly assumed: Assumed;
  readonly assumedIds: readonly AssumedId[];
  /** Measurements that are estimates. */
  readonly estimated: readonly MeasurementId[];
  /** True where both rises and both tilts of the waist were measured: only then rise, seat and balance can be spoken of. */
  readonly risesKnown: boolean;
}

/** How finely a body is made: places of a tape round half a section, rounds until it reads right, and of the rise. */
export interface Fineness {
  readonly rays: number;
  readonly rounds: number;
  readonly underRounds: number;
  /** A rise is met from here, in mm. */
  readonly met: number;
}

/** To sew on: tapes within a tenth of a millimetre. */
const TO_SEW_ON: Fineness = { rays: 64, rounds: 5, underRounds: 9, met: 0.2 };

/** To be drawn while figures are typed: within a few millimetres. */
export const TO_DRAW: Fineness = { rays: 10, rounds: 2, underRounds: 6, met: 4 };

/** The angle round the body at which a waist that is tilted lies how high over the side. */
const tiltAt =
  (front: number, back: number) =>
  (angle: number): number => {
    const share = Math.sin(angle) ** 2;
    return (angle > 0 ? front : back) * share;
  };

/**
 * The solid of a body (docs/trade/body.md): superelliptic sections whose tapes read what was measured, legs and trunk
 * joined smoothly, the curve under the crotch as long as the rises. `set` puts a maker's figure in the place of what is
 * assumed; nothing that was measured is changed by it. Throws as figuresFrom does.
 */
export function bodyFrom(body: Body, set: Partial<Assumed> = {}, fineness = TO_SEW_ON): SolidBody {
  const { rays, rounds, underRounds, met } = fineness;
  const figures = figuresFrom(body);
  const { girths, heights, crotchDepth, hipDepth } = figures;
  const rise = body.get('crotchLength');
  const riseGiven = isGiven(rise) ? rise.mm : undefined;
  const [frontRise, backRise] = [body.get('frontRise'), body.get('backRise')];
  const tilts = { front: body.get('frontWaistHeight')?.mm, back: body.get('backWaistHeight')?.mm };
  const assumed: Record<AssumedId, number> = Object.fromEntries(
    ASSUMED_IDS.map((id) => [id, set[id] ?? ASSUMED[id].usual]),
  ) as Record<AssumedId, number>;
  assumed.frontTilt = tilts.front ?? assumed.frontTilt;
  assumed.backTilt = tilts.back ?? assumed.backTilt;
  const sought: Sought = {
    trunk: { waist: 1, highHip: 1, hip: 1 },
    leg: { thigh: 1, midThigh: 1, knee: 1, calf: 1, ankle: 1 },
    bottom: heights.crotch,
  };
  const most = 0.4 * Math.max(girths.waist, girths.hip) + 100;

  const tilt = { front: assumed.frontTilt, back: assumed.backTilt };
  const waistLevel = tiltAt(tilt.front, tilt.back);
  const tapes = (form: Form): Partial<Record<MeasurementId, number>> => ({
    waist: tapeRoundTrunk(form, (angle) => heights.waist + waistLevel(angle), most, rays),
    ...(girths.highHip === undefined ? {} : { highHip: tapeRoundTrunk(form, () => heights.highHip, most, rays) }),
    hip: tapeRoundTrunk(form, () => heights.hip, most, rays),
    thigh: tapeRoundLeg(form, heights.crotch, most, rays),
    midThigh: tapeRoundLeg(form, heights.midThigh, most, rays),
    knee: tapeRoundLeg(form, heights.knee, most, rays),
    calf: tapeRoundLeg(form, heights.calf, most, rays),
    ankle: tapeRoundLeg(form, heights.ankle, most, rays),
  });
  const laidUnder = (form: Form): MiddleTape =>
    tapeUnder(form, heights.hip, heights.waist + tilt.front, heights.waist + tilt.back, most + hipDepth, rays);
  const lowest = (form: Form): number =>
    heights.hip - surfaceAlong((t) => valueIn(sliceAt(form, heights.hip - t), 0, 0), crotchDepth);

  const settle = (times: number): Form => {
    for (let i = 0; i < times; i++) {
      const form = formOf(figures, assumed, sought);
      const read = tapes(form);
      for (const level of ['waist', 'highHip', 'hip'] as const) {
        const wanted = girths[level];
        if (wanted !== undefined && read[level]) sought.trunk[level] *= wanted / read[level];
      }
      for (const level of LEG_LEVELS) if (read[level]) sought.leg[level] *= girths[level] / read[level];
      sought.bottom += heights.crotch - lowest(form);
    }
    return formOf(figures, assumed, sought);
  };

  let form = settle(rounds);
  if (riseGiven !== undefined) {
    // How square it closes underneath first, then how hollow it is behind, then how deep the hip is.
    for (const id of ['under', 'hollow', 'hipDeep'] as const) {
      if (set[id] !== undefined) continue;
      let { least, most: high } = ASSUMED[id];
      for (let i = 0; i < underRounds; i++) {
        const { long } = laidUnder(form);
        if (Math.abs(long - riseGiven) < met) break;
        // More hollow is shorter; squarer and deeper are longer.
        if (long < riseGiven === (id !== 'hollow')) least = assumed[id];
        else high = assumed[id];
        assumed[id] = (least + high) / 2;
        form = settle(Math.min(2, rounds));
      }
    }
    form = settle(rounds);
  }
  const under = laidUnder(form);
  const read = tapes(form);
  const residual = (id: MeasurementId, tape: number): Residual[] => {
    const known = body.get(id);
    return isMeasured(known) && known ? [{ id, measured: known.mm, tape }] : [];
  };
  const share = isGiven(frontRise) && isGiven(backRise) ? frontRise.mm / (frontRise.mm + backRise.mm) : undefined;
  return {
    form,
    heights,
    tilt,
    under,
    crotchAt: share === undefined ? lowestAlong(under) : share * under.long,
    residuals: [
      ...(Object.entries(read) as [MeasurementId, number][]).flatMap(([id, tape]) => residual(id, tape)),
      ...(riseGiven === undefined ? [] : [{ id: 'crotchLength' as const, measured: riseGiven, tape: under.long }]),
      ...residual('crotchDepth', heights.waist - lowest(form)),
    ],
    assumed,
    assumedIds: ASSUMED_IDS.filter((id) =>
      id === 'frontTilt'
        ? tilts.front === undefined
        : id === 'backTilt'
          ? tilts.back === undefined
          : id !== 'under' || riseGiven === undefined,
    ),
    estimated: (['hipDepth', 'kneeDepth', ...LEG_LEVELS] as const).filter((id) => !isMeasured(body.get(id))),
    risesKnown: share !== undefined && tilts.front !== undefined && tilts.back !== undefined,
  };
}

/** How far along a tape its lowest place lies. */
function lowestAlong({ places }: MiddleTape): number {
  let [along, least, at] = [0, Infinity, 0];
  for (const [i, [z, y]] of places.entries()) {
    const before = places[i - 1];
    if (before) along += Math.hypot(z - before[0], y - before[1]);
    if (y < least) [least, at] = [y, along];
  }
  return at;
}
