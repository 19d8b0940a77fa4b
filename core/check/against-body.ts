import { cross, crossLine, cubicLength, pathLength, point, subtract } from '../geometry/index.js';
import { edgeLengths, type Block, type Panel } from '../draft/index.js';
import { hipWidthOf } from '../measured/index.js';
import { measurementLabel, type MeasurementId } from '../measure/index.js';
import type { FitClass, Worked } from '../method/index.js';
import type { Unit } from '../units/index.js';
import { riseCharacter } from './rise-character.js';
import { verdictOf, type About, type Check, type CheckId, type Measure, type Verdict } from './check.js';
import { legGirthAt } from './girths.js';
import { beside, classByExtensions, classesByThigh, sameClass, type ExtensionClass } from './fit-class.js';

const WAIST_OVER = 6;
/** How far, in mm, a rise may lie from the body's to either side. */
export const RISE_BAND = 6;
/** How much longer than the body's a back rise may be, by class: room to sit, in mm. */
const SEAT_ROOM: Partial<Record<FitClass['id'], number>> = {
  'close-relaxed': 9,
  regular: 12,
  loose: 15,
  'skirt-like': 15,
};
const WHOLE_RISE_BAND = 10;
const HEM_OVER_HEEL = 10;
/** What of the hip an open pull-on waist must pass over: a seat gives a little. */
const PULL_ON_SHARE = 0.94;

const EXTENSION_LABELS = { close: 'Close', regular: 'Regular', loose: 'Loose', 'skirt-like': 'Skirt-like' } as const;

const both = (edge: 'waist' | 'side' | 'hem' | 'inseam' | 'rise'): About['edges'] => [
  ['front', edge],
  ['back', edge],
];

/** How much further than the centre line a piece reaches on the hip line, in mm: what its rise has left the line by. */
const riseGain = ({ points: { centreHip, centreWaist }, centreDown }: Panel): number =>
  Math.max(0, -cross(centreDown, subtract(centreHip, centreWaist)));

/** By how much a piece is narrower than its hip width on the hip line, in mm. */
const leanLoss = (panel: Panel): number => Math.max(0, panel.parameters.hipWidth - hipWidthOf(panel));

interface Figured {
  readonly id: CheckId;
  readonly label: string;
  readonly value: number;
  readonly low: number;
  readonly high: number;
  readonly compares: string;
  readonly restsOnEstimate?: boolean;
  readonly about: About;
}

const figured = (f: Figured): Check => ({
  restsOnEstimate: false,
  ...f,
  against: 'body',
  kind: 'length',
  verdict: verdictOf(f.value, f.low, f.high),
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

/** The depth of a band that is cut separately and counts in the body's figures, in mm. */
function bandOf({ choices, ledger }: Worked): number {
  return choices['bandCounts'] === 'yes' ? Number(ledger.get('bandDepth')?.value ?? 0) : 0;
}

function riseCheck(worked: Worked, id: 'frontRise' | 'backRise' | 'wholeRise', net: number): Check {
  const bands = bandOf(worked) * (id === 'wholeRise' ? 2 : 1);
  const value = net + bands;
  const measure: MeasurementId = id === 'wholeRise' ? 'crotchLength' : id;
  const label = id === 'wholeRise' ? 'Whole rise' : measurementLabel(measure);
  const known = worked.body.get(measure);
  const band = id === 'wholeRise' ? WHOLE_RISE_BAND : RISE_BAND;
  const about: About = {
    edges: id === 'wholeRise' ? both('rise') : [[id === 'frontRise' ? 'front' : 'back', 'rise']],
  };
  const wants = measurementLabel(measure).toLowerCase();
  const compares =
    bands > 0
      ? `The seam along the rise and the depth of the band with the ${wants} of the body.`
      : `The seam along the rise with the ${wants} of the body.`;
  if (known?.source !== 'measured') {
    return {
      id,
      label,
      against: 'body',
      kind: 'length',
      value,
      low: undefined,
      high: undefined,
      verdict: 'unknown',
      compares,
      wants,
      restsOnEstimate: false,
      about,
    };
  }
  const room = id === 'backRise' ? (SEAT_ROOM[worked.fitClass.id] ?? band) : band;
  return figured({ id, label, value, low: known.mm - band, high: known.mm + room, compares, about });
}

/** Where a fly ends on the front: the length of the rise from the waist to the hip line, in mm. */
function openingLength(front: Panel): number {
  const { rise } = front.edges;
  const [hit] = crossLine(rise, point(0, front.levels.hipLevel), point(1, 0)).slice(-1);
  if (!hit) return 0;
  const above = rise.slice(hit.index + 1);
  const cut = rise[hit.index];
  return pathLength(above) + (cut ? cubicLength(cut, hit.t, 1) : 0);
}

/** A fly that ends at the hip line must let the waist pass over the hip (docs/trade/truing.md). */
function openingCheck(block: Block, waist: number, hip: number): Check {
  return figured({
    id: 'opening',
    label: 'Opening',
    value: waist + 2 * openingLength(block.front),
    low: hip,
    high: Infinity,
    compares: 'The waist with twice the length of an opening down to the hip line, with the hip that it must pass.',
    about: { edges: both('waist') },
  });
}

/** In where the draft is of the class meant, near where it is of the one beside it; a pull-on goes by its thigh. */
function classVerdict(
  by: ExtensionClass,
  byThigh: readonly FitClass[],
  chosen: FitClass,
  pullOn: boolean,
  thighShare: number,
): Verdict {
  // A knit's extensions say nothing of how it fits: its thigh does.
  if (chosen.byShare) {
    return thighShare >= (chosen.thighLeast ?? 0) && thighShare <= chosen.thighEase[1] ? 'in' : 'near';
  }
  if (pullOn) {
    if (byThigh.some((c) => c.id === chosen.id)) return 'in';
    return byThigh.some((c) => beside(c.id, chosen.id)) ? 'near' : 'out';
  }
  if (sameClass(by, chosen.id)) return 'in';
  return beside(by, chosen.id) ? 'near' : 'out';
}

function classCheck(
  worked: Worked,
  block: Block,
  chosen: FitClass,
  thighShare: number,
  thighEstimated: boolean,
): Check {
  const by = classByExtensions({
    frontExtension: block.front.parameters.extension,
    backExtension: block.back.parameters.extension,
    frontHipWidth: block.front.parameters.hipWidth,
    backHipWidth: block.back.parameters.hipWidth,
    hip: worked.body.get('hip')?.mm ?? NaN,
  });
  const byThigh = classesByThigh(thighShare);
  const agree = byThigh.some((c) => sameClass(by, c.id));
  const byLabel = EXTENSION_LABELS[by];
  const thighWords = byThigh[0]?.label.toLowerCase() ?? (thighShare < 0 ? 'tighter than any class' : 'between classes');
  return {
    id: 'fitClass',
    label: 'Fit class',
    against: 'body',
    kind: 'word',
    value: agree ? byLabel : `${byLabel}; by the thigh ${thighWords}`,
    low: undefined,
    high: undefined,
    verdict: classVerdict(by, byThigh, chosen, worked.pullOn, thighShare),
    compares: `The fit that the extensions and the thigh ease give with the one meant: ${chosen.label.toLowerCase()}.`,
    restsOnEstimate: thighEstimated,
    about: { edges: [], level: 'crotchLevel' },
  };
}

/** A thigh estimated from a pair's hip is no ground for a verdict: the pair's own is checked instead. */
function thighCheck(worked: Worked, f: Figured): Check {
  const check = figured(f);
  if (worked.sheet.id !== FINISHED_PAIR || worked.body.get('thigh')?.source === 'measured') return check;
  return { ...check, low: undefined, high: undefined, verdict: 'unknown', wants: 'thigh', restsOnEstimate: false };
}

/** The sheet by which a finished pair is copied. */
const FINISHED_PAIR = 'finished-pair';
/** How far a copy may be from its pair, in mm. */
const PAIR_BAND = 5;

/** A copy held against the pair that it was taken from, as far as the pair was measured. */
function pairCheck(worked: Worked, { front, back }: Block): Check[] {
  if (worked.sheet.id !== FINISHED_PAIR) return [];
  const measured = (id: MeasurementId): number | undefined => {
    const known = worked.body.get(id);
    return known?.source === 'measured' ? known.mm : undefined;
  };
  const setting = (name: string): number => Number(worked.ledger.get(name)?.value ?? 0);
  const rows: readonly (readonly [string, number | undefined, number])[] = [
    ['frontThigh', measured('pairFrontThigh'), front.crotchWidth],
    ['thigh', measured('pairThigh'), front.crotchWidth + back.crotchWidth],
    ['hip', measured('hip'), 2 * (front.parameters.hipWidth + back.parameters.hipWidth) - setting('hipEase')],
    [
      'waist',
      measured('waist'),
      2 * (pathLength(front.closedWaist) + pathLength(back.closedWaist)) - setting('waistEase'),
    ],
  ];
  const measures = rows.flatMap(([id, wanted, value]): Measure[] =>
    wanted === undefined
      ? []
      : [{ id, panel: undefined, value, low: wanted - PAIR_BAND, high: wanted + PAIR_BAND, unit: 'mm' }],
  );
  const off = ({ value, low = value, high = value }: Measure): number => value - (low + high) / 2;
  const worst = [...measures].sort((a, b) => Math.abs(off(b)) - Math.abs(off(a)))[0];
  if (!worst) return [];
  return [
    {
      ...figured({
        id: 'pair',
        label: 'The pair',
        value: off(worst),
        low: -PAIR_BAND,
        high: PAIR_BAND,
        compares: 'Front thigh, thigh, hip and waist with those of the pair; the largest difference.',
        about: { edges: [], level: 'crotchLevel' },
      }),
      measures,
    },
  ];
}

/** How much over the leg a short hem is, in mm. */
const HEM_OVER_LEG = 20;

/** The hem with what it passes over and sits on: the heel below the knee, the leg itself above it. */
function hemCheck(worked: Worked, { levels, front }: Block, value: number): Check {
  const mm = (id: MeasurementId): number => worked.body.get(id)?.mm ?? NaN;
  const estimated = (id: MeasurementId): boolean => worked.body.get(id)?.source === 'estimate';
  const knit = worked.fitClass.byShare;
  const stretch = knit ? 1 + worked.stretch : 1;
  const about: About = { edges: both('hem') };
  if (front.kneeOnPiece) {
    const compares = knit
      ? 'The hem, stretched as the cloth will, with what it must pass over: the heel and 1 cm.'
      : 'The hem with what it must pass over: the heel and 1 cm.';
    const low = (mm('heel') + HEM_OVER_HEEL) / stretch;
    return figured({
      id: 'hem',
      label: 'Hem',
      value,
      low,
      high: Infinity,
      compares,
      restsOnEstimate: estimated('heel'),
      about,
    });
  }
  return figured({
    id: 'hem',
    label: 'Hem',
    value,
    low: (legGirthAt(worked, levels, levels.hemLevel) + HEM_OVER_LEG) / stretch,
    high: Infinity,
    compares: 'The hem with the leg that it sits on, and 2 cm.',
    restsOnEstimate: estimated('thigh') || estimated('knee'),
    about,
  });
}

/** The checks of a draft against the body it is for (docs/trade/truing.md), as far as four measurements go and beyond. */
export function checkAgainstBody(worked: Worked, block: Block, unit: Unit = 'cm'): Check[] {
  const mm = (id: MeasurementId): number => worked.body.get(id)?.mm ?? NaN;
  const estimated = (id: MeasurementId): boolean => worked.body.get(id)?.source === 'estimate';
  const byHand = (setting: string): number | undefined => {
    const line = worked.ledger.get(setting);
    return line?.source === 'hand' && typeof line.value === 'number' ? line.value : undefined;
  };
  const ofSheet = (setting: string): number | undefined => {
    const value = worked.ledger.get(setting)?.value;
    return typeof value === 'number' ? value : undefined;
  };
  const chosen = worked.fitClass;
  const { front, back } = block;
  const waist = 2 * (pathLength(front.closedWaist) + pathLength(back.closedWaist));
  const waistWanted = mm('waist') + (ofSheet('waistEase') ?? 0);
  const [least, most] = chosen.hipEase;
  const hipShare = chosen.byShare ? mm('hip') : 1;
  const hip = 2 * (hipWidthOf(front) + hipWidthOf(back));
  // Where the rise has left the centre line above the hip, the piece is wider there than it was laid off.
  const gain = 2 * (riseGain(front) + riseGain(back));
  const withGain = (ease: number | undefined): number | undefined => (ease === undefined ? undefined : ease + gain);
  const hipBand: readonly [number, number] = [least * hipShare, most * hipShare];
  const [lowHip, highHip] = easeBand(hipBand, withGain(byHand('hipEase')), withGain(ofSheet('hipEase')));
  // A hip quarter that stands on the crotch line is narrower on the hip line by what the centre leans there.
  const lost = worked.sheet.straightSide ? 2 * (leanLoss(front) + leanLoss(back)) : 0;
  const hipEase = [lowHip - lost, highHip] as const;
  const thigh = mm('thigh');
  const thighEase = easeBand(
    [(chosen.thighLeast ?? chosen.thighEase[0]) * thigh, chosen.thighEase[1] * thigh],
    byHand('thighEase'),
    ofSheet('thighEase'),
  );
  const crotchWidths = front.crotchWidth + back.crotchWidth;
  const [f, b] = [edgeLengths(front), edgeLengths(back)];
  return [
    worked.pullOn
      ? figured({
          id: 'waist',
          label: 'Opening',
          value: waist,
          low: PULL_ON_SHARE * mm('hip'),
          high: Infinity,
          compares: 'The open waist of a pull-on with the hip that it must pass over; a seat gives a little.',
          about: { edges: both('waist') },
        })
      : figured({
          id: 'waist',
          label: 'Waist',
          value: waist,
          low: waistWanted,
          high: waistWanted + WAIST_OVER,
          compares: 'The finished waist, darts closed, with the waist and its ease.',
          about: { edges: both('waist') },
        }),
    figured({
      id: 'hip',
      label: 'Hip',
      value: hip,
      low: mm('hip') + hipEase[0],
      high: mm('hip') + hipEase[1],
      compares: 'The finished girth on the hip line, square to the centre lines, with the hip and its ease.',
      about: { edges: [], level: 'hipLevel' },
    }),
    thighCheck(worked, {
      id: 'thigh',
      label: 'Thigh',
      value: crotchWidths,
      low: thigh + thighEase[0],
      high: thigh + thighEase[1],
      compares: 'Both crotch widths, side to crotch point, with the thigh and its ease.',
      restsOnEstimate: estimated('thigh'),
      about: { edges: [], level: 'crotchLevel' },
    }),
    riseCheck(worked, 'frontRise', f.rise),
    riseCheck(worked, 'backRise', b.rise),
    riseCheck(worked, 'wholeRise', f.rise + b.rise),
    hemCheck(worked, block, f.hem + b.hem),
    ...pairCheck(worked, block),
    ...(worked.pullOn ? [] : [openingCheck(block, waist, mm('hip'))]),
    classCheck(worked, block, chosen, crotchWidths / thigh - 1, estimated('thigh')),
    riseCharacter(block, unit),
  ];
}
