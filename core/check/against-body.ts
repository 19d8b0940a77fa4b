import type { Block } from '../draft/index.js';
import type { MeasurementId } from '../measure/index.js';
import { leanLoss, riseGain, type Figures } from '../measured/index.js';
import type { Worked } from '../method/index.js';
import { judged, type About, type Check, type Judged } from './check.js';
import { classCheck } from './class-check.js';
import { legGirthAt } from './girths.js';
import { copiesPair, pairCheck } from './pair.js';
import { riseCharacter, riseChecks, seatHeightCheck } from './rises.js';

const WAIST_OVER = 6;
const HEM_OVER_HEEL = 10;
/** How much over the leg a short hem is, in mm. */
const HEM_OVER_LEG = 20;
/** What of the hip an open pull-on waist must pass over: a seat gives a little. */
const PULL_ON_SHARE = 0.94;

const both = (edge: 'waist' | 'hem'): About => ({
  edges: [
    ['front', edge],
    ['back', edge],
  ],
});

/**
 * A band of ease, in mm: the class's, or one as wide about an ease given by hand. The ease that a sheet has by
 * itself, its makers' own, always lies within the band.
 */
function easeBand(
  [low, high]: readonly [number, number],
  byHand: number | undefined,
  bySheet: number | undefined,
): readonly [number, number] {
  if (byHand !== undefined) {
    const half = Number.isFinite(high) ? (high - low) / 2 : low;
    return [byHand - half, byHand + half];
  }
  return bySheet === undefined ? [low, high] : [Math.min(low, bySheet), Math.max(high, bySheet)];
}

const mmOf = ({ body }: Worked, id: MeasurementId): number => body.get(id)?.mm ?? NaN;
const isEstimated = ({ body }: Worked, id: MeasurementId): boolean => body.get(id)?.source === 'estimate';

function easeByHand({ ledger }: Worked, setting: string): number | undefined {
  const line = ledger.get(setting);
  return line?.source === 'hand' && typeof line.value === 'number' ? line.value : undefined;
}

function easeOfSheet({ ledger }: Worked, setting: string): number | undefined {
  const value = ledger.get(setting)?.value;
  return typeof value === 'number' ? value : undefined;
}

/** The finished waist with the waist and its ease; a pull-on's open waist with the hip that it passes over. */
function waistCheck(worked: Worked, { waist: value }: Figures): Check {
  const waist: Pick<Judged, 'id' | 'against' | 'value' | 'about'> = {
    id: 'waist',
    against: 'body',
    value,
    about: both('waist'),
  };
  if (worked.pullOn) {
    const low = PULL_ON_SHARE * mmOf(worked, 'hip');
    return judged({ ...waist, low, high: Infinity, compares: { of: 'pullOnWaist' } });
  }
  const low = mmOf(worked, 'waist') + (easeOfSheet(worked, 'waistEase') ?? 0);
  return judged({ ...waist, low, high: low + WAIST_OVER, compares: { of: 'waist' } });
}

function hipCheck(worked: Worked, { front, back }: Block, { hip: value }: Figures): Check {
  const { fitClass, sheet } = worked;
  const hip = mmOf(worked, 'hip');
  const [least, most] = fitClass.hipEase;
  const share = fitClass.byShare ? hip : 1;
  // Where the rise has left the centre line above the hip, the piece is wider there than it was laid off.
  const gain = 2 * (riseGain(front) + riseGain(back));
  const withGain = (ease: number | undefined): number | undefined => (ease === undefined ? undefined : ease + gain);
  const [low, high] = easeBand(
    [least * share, most * share],
    withGain(easeByHand(worked, 'hipEase')),
    withGain(easeOfSheet(worked, 'hipEase')),
  );
  // A hip quarter that stands on the crotch line is narrower on the hip line by what the centre leans there.
  const lost = sheet.straightSide ? 2 * (leanLoss(front) + leanLoss(back)) : 0;
  return judged({
    id: 'hip',
    against: 'body',
    value,
    low: hip + low - lost,
    high: hip + high,
    compares: { of: 'hip' },
    about: { edges: [], level: 'hipLevel' },
  });
}

/** A thigh estimated from a pair's hip is no ground for a verdict: the pair's own is checked instead. */
function thighCheck(worked: Worked, { thigh: value }: Figures): Check {
  const { fitClass, body } = worked;
  const thigh = mmOf(worked, 'thigh');
  const [low, high] = easeBand(
    [(fitClass.thighLeast ?? fitClass.thighEase[0]) * thigh, fitClass.thighEase[1] * thigh],
    easeByHand(worked, 'thighEase'),
    easeOfSheet(worked, 'thighEase'),
  );
  const check = judged({
    id: 'thigh',
    against: 'body',
    value,
    low: thigh + low,
    high: thigh + high,
    compares: { of: 'thigh' },
    restsOnEstimate: isEstimated(worked, 'thigh'),
    about: { edges: [], level: 'crotchLevel' },
  });
  if (!copiesPair(worked) || body.get('thigh')?.source === 'measured') return check;
  return { ...check, low: undefined, high: undefined, verdict: 'unknown', wants: 'thigh', restsOnEstimate: false };
}

/** The hem with what it passes over and sits on: the heel below the knee, the leg itself above it. */
function hemCheck(worked: Worked, { levels, front }: Block, { hem: value }: Figures): Check {
  const knit = worked.fitClass.byShare;
  const stretch = knit ? 1 + worked.stretch : 1;
  const hem: Pick<Judged, 'id' | 'against' | 'value' | 'high' | 'about'> = {
    id: 'hem',
    against: 'body',
    value,
    high: Infinity,
    about: both('hem'),
  };
  if (front.kneeOnPiece) {
    return judged({
      ...hem,
      low: (mmOf(worked, 'heel') + HEM_OVER_HEEL) / stretch,
      compares: { of: knit ? 'hemStretched' : 'hem' },
      restsOnEstimate: isEstimated(worked, 'heel'),
    });
  }
  return judged({
    ...hem,
    low: (legGirthAt(worked, levels, levels.hemLevel) + HEM_OVER_LEG) / stretch,
    compares: { of: 'shortHem' },
    restsOnEstimate: isEstimated(worked, 'thigh') || isEstimated(worked, 'knee'),
  });
}

/** A fly that ends at the hip line must let the waist pass over the hip (docs/trade/truing.md). */
const openingCheck = (worked: Worked, { opening: value }: Figures): Check =>
  judged({
    id: 'opening',
    against: 'body',
    value,
    low: mmOf(worked, 'hip'),
    high: Infinity,
    compares: { of: 'opening' },
    about: both('waist'),
  });

/**
 * The checks of a draft against the body it is for (docs/trade/truing.md), as far as four measurements go and beyond.
 */
export const checkAgainstBody = (worked: Worked, block: Block, figures: Figures): Check[] => [
  waistCheck(worked, figures),
  hipCheck(worked, block, figures),
  thighCheck(worked, figures),
  ...riseChecks(worked, figures),
  ...seatHeightCheck(worked, figures),
  hemCheck(worked, block, figures),
  ...pairCheck(worked, block, figures),
  ...(worked.pullOn ? [] : [openingCheck(worked, figures)]),
  ...classCheck(worked, block, figures.thigh),
  riseCharacter(block, figures),
];
