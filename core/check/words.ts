import { measurementLabel } from '../measure/index.js';
import { fitClassById, type FitClassId } from '../method/index.js';
import { sayGaps } from '../trace/index.js';
import { formatAngle, formatLength, tapeFor, type Unit } from '../units/index.js';
import type { CHECK_IDS } from './check.js';
import { type Check, type CheckId } from './check.js';
import type { Comparison, PlainComparison } from './comparison.js';
import type { Finding, LineKind } from './finding.js';
import type { ExtensionClass } from './fit-class.js';
import type { Measure } from './measure.js';

const LABELS: Readonly<Record<(typeof CHECK_IDS)[number], string>> = {
  waist: 'Waist',
  hip: 'Hip',
  thigh: 'Thigh',
  frontRise: measurementLabel('frontRise'),
  backRise: measurementLabel('backRise'),
  wholeRise: 'Whole rise',
  seatHeight: measurementLabel('seatHeight'),
  hem: 'Hem',
  midThigh: measurementLabel('midThigh'),
  knee: measurementLabel('knee'),
  calf: measurementLabel('calf'),
  highHip: measurementLabel('highHip'),
  inseamWalk: 'Inseam walk',
  inseamWalkBelow: 'Below knee',
  sideWalk: 'Side walk',
  legWalk: 'Leg to leg',
  waistRun: 'Waist run',
  crotchJoin: 'Crotch join',
  frontRiseLine: 'Front rise line',
  backRiseLine: 'Back rise line',
  sideLine: 'Side line',
  kneeLine: 'Knee line',
  waistLine: 'Waist line',
  thighLine: 'Thigh line',
  pair: 'The pair',
  darts: 'Darts',
  outline: 'Outline',
  fitClass: 'Fit class',
  opening: 'Opening',
  riseCharacter: 'Character',
  riseShape: 'Rise shape',
  crease: 'Crease',
};

const isNamed = (id: CheckId): id is (typeof CHECK_IDS)[number] => Object.hasOwn(LABELS, id);

/** What a check is called; one at a height by that height, in the reader's unit. */
export function checkLabel({ id, compares }: Pick<Check, 'id' | 'compares'>, unit: Unit): string {
  if (compares.of === 'pullOnWaist') return LABELS.opening;
  if (compares.of === 'height') return `At ${formatLength(compares.above, tapeFor(unit))}`;
  return isNamed(id) ? LABELS[id] : id;
}

const PLAIN: Readonly<Record<PlainComparison, string>> = {
  pullOnWaist: 'The open waist of a pull-on with the hip that it must pass over; a seat gives a little.',
  waist: 'The finished waist, darts closed, with the waist and its ease.',
  hip: 'The finished girth on the hip line, square to the centre lines, with the hip and its ease.',
  thigh: 'Both crotch widths, side to crotch point, with the thigh and its ease.',
  hem: 'The hem with what it must pass over: the heel and 1 cm.',
  hemStretched: 'The hem, stretched as the cloth will, with what it must pass over: the heel and 1 cm.',
  shortHem: 'The hem with the leg that it sits on, and 2 cm.',
  opening: 'The waist with twice the length of an opening down to the hip line, with the hip that it must pass.',
  pair: 'Front thigh, thigh, hip and waist with those of the pair; the largest difference.',
  character: 'How the length of the rises is spread: near the corner of centre and crotch line, or sloping across it.',
  thighLine: 'Both panels across a hand below the crotch line with the leg there and the ease of the thigh.',
  highHip: 'The finished girth at the high hip, darts closed, with the high hip and an ease between waist and hip.',
  inseamWalk: 'How much shorter the back inseam is than the front, crotch point to knee: it is stretched on.',
  inseamWalkEqual: 'Front and back inseam above the knee, cut to one length.',
  inseamWalkStated:
    'How much shorter the back inseam is than the front, crotch point to knee: the drop that the method states is stretched on.',
  inseamWalkBelow: 'Front and back inseam from knee to hem.',
  sideWalk: 'Front and back side seam: waist to hip, hip to knee, knee to hem; the largest difference.',
  legWalk: 'Each rise of the left leg with the one of the right that it is sewn to; the larger difference.',
  waistRun: 'The waist is square at the centres, level across the sides and unbroken over closed darts.',
  crotchJoin: 'Front and back rise run into one another at the inseam.',
  darts: 'Dart legs are equal, points lie above the hip line, and no intake is over 4 cm.',
  outline: 'Each outline is closed and does not cross itself.',
  riseLine: 'How the rise bends: gently off the straight, one peak, its turn spread, nothing flat for long.',
  sideLine:
    'The side: plumb and fullest on the hip line, front and back alike above it, straight or a little hollow over the thigh.',
  kneeLine: 'How evenly side and inseam bend into the lower leg.',
  waistLine: 'The waist with its darts closed: one even bend, square at its ends, no horn and no sag.',
};

const classLabel = (id: FitClassId): string => (fitClassById(id)?.label ?? id).toLowerCase();

/** The sum of a rise that is wanted longer than the body’s by the crotch ease. */
function riseSum({ ease, body }: Extract<Comparison, { of: 'rise' }>, unit: Unit): string {
  if (ease === 0) return '';
  const show = (mm: number): string => formatLength(mm, tapeFor(unit));
  const sum = body === undefined ? show(ease) : `${show(body)} + ${show(ease)} = ${show(body + ease)}`;
  return ` and the crotch ease: ${sum}`;
}

function sayComparison(c: Comparison, unit: Unit): string {
  switch (c.of) {
    case 'rise':
      return `The seam along the rise ${c.band ? 'and the depth of the band ' : ''}with the ${measurementLabel(c.with).toLowerCase()} of the body${riseSum(c, unit)}.`;
    case 'fitClass':
      return `The fit that the extensions and the thigh ease give with the one meant: ${classLabel(c.meant)}.`;
    case 'girth':
      return `Both panels across at the ${measurementLabel(c.with).toLowerCase()} with the girth of the body there.`;
    case 'thighTaken':
      return `Both panels across ${formatLength(c.below, tapeFor(unit))} below the crotch line, where the thigh was taken, with the thigh and its ease.`;
    case 'seatHeight':
      return `How high centre back stands above the crotch line${c.band ? ', with the depth of the band,' : ''} with the seat height of the body, up to the crotch ease of ${formatLength(c.ease, tapeFor(unit))} and the room to sit over it.`;
    case 'height':
      return `The finished girth ${formatLength(c.above, tapeFor(unit))} above the crotch line, darts closed, with the body's there and its ease.`;
    case 'crease':
      return `How far the crease lies off the middle of the crotch width; it ${c.halved ? 'halves knee and hem' : 'does not halve knee and hem, so the leg swings'}.`;
    case 'riseShape':
      return `The joined rises with the trace of the body. ${sayGaps('front', c.front, unit)} ${sayGaps('back', c.back, unit)}`;
    default:
      return PLAIN[c.of];
  }
}

/** What a check compares with what, and where the piece has no figure for it, why. */
export const sayCompares = ({ compares, notReached }: Pick<Check, 'compares' | 'notReached'>, unit: Unit): string =>
  `${sayComparison(compares, unit)}${notReached ? ' The piece does not reach there, so there is no figure.' : ''}`;

const percent = (share: number): string => `${Math.round(share * 100)} %`;

/** A length on the piece: whole millimetres, or what the tape has in inches. */
const onPiece = (mm: number, unit: Unit): string =>
  unit === 'in' ? formatLength(mm, tapeFor(unit)) : `${Math.round(mm)} mm`;

type Fault = (m: Measure, say: (mm: number) => string) => string;

/** What is the matter with a line, by the measure that it misses. */
const FAULTS: Readonly<Record<LineKind, Readonly<Record<string, Fault>>>> = {
  rise: {
    turnsBack: ({ value }) => `Turns back by ${formatAngle(value)}`,
    start: ({ value }, say) => `Leaves the straight suddenly: radius ${say(value)}`,
    tightest: ({ value, at }, say) => `Tightest ${say(value)}, ${say(at ?? 0)} from the crotch point`,
    spread: ({ value }) => `Half of the turn within ${percent(value)} of the curve`,
    peakAt: ({ value }) => `Fullest bend at ${percent(value)} of the way`,
    again: () => 'The bend rises twice',
    flatEnd: ({ value }) => `Flat for ${percent(value)} at the crotch point`,
    flatElsewhere: ({ value }) => `Flat for ${percent(value)} of the curve`,
  },
  side: {
    plumb: ({ value }) => `leans ${formatAngle(value)} on the hip line`,
    lean: ({ value }) => `leans ${formatAngle(value)} at the waist`,
    turnsBack: ({ value }) => `turns back by ${formatAngle(value)} above the hip`,
    fullest: ({ value }, say) => `is fullest ${say(value)} off the hip line`,
    outside: ({ value }, say) => `bows ${say(value)} outside the straight over the thigh`,
    hollow: ({ value }, say) => `is hollow by ${say(value)} over the thigh`,
    tapers: ({ value }, say) => `Tapers differ by ${say(value)}`,
    lie: ({ value }, say) => `Laid on one another ${say(value)} apart`,
  },
  knee: {
    sideEven: ({ value }) => `side turns in an elbow at the knee: ${percent(value)} of an even bend`,
    inseamEven: ({ value }) => `inseam turns in an elbow at the knee: ${percent(value)} of an even bend`,
    inseamTightest: ({ value }, say) => `inseam bends to a radius of ${say(value)}`,
  },
  waist: {
    centre: ({ value }) => `is off square at the centre by ${formatAngle(value)}`,
    side: ({ value }) => `is off square at the side by ${formatAngle(value)}`,
    offChord: ({ value }, say) => `lies ${say(value)} off the straight`,
    middle: () => 'bends both ways',
    ends: ({ value }) => `turns back by ${formatAngle(value)} at an end`,
    sag: ({ value }, say) => `hangs ${say(value)} under its ends`,
  },
};

function sayLine(line: LineKind, worst: Measure | undefined, unit: Unit): string {
  if (!worst) return 'Fair';
  const said = FAULTS[line][worst.id]?.(worst, (mm) => onPiece(mm, unit)) ?? worst.id;
  // A rise is one piece's own; what is about both has no piece to name.
  if (line === 'rise' || worst.panel === undefined) return said;
  return `${worst.panel === 'front' ? 'Front' : 'Back'} ${said}`;
}

const EXTENSION_LABELS: Readonly<Record<ExtensionClass, string>> = {
  close: 'Close',
  regular: 'Regular',
  loose: 'Loose',
  'skirt-like': 'Skirt-like',
};
const BY_THIGH = { tighter: 'tighter than any class', between: 'between classes' } as const;
const IN_FRONT = { deep: 'Deep front', even: 'Even front', flat: 'Flat front' } as const;
const BEHIND = { L: 'an L behind', J: 'a J behind', between: 'between J and L behind' } as const;

/** What a check found, in words, in the reader's unit. */
export function sayFinding(finding: Finding, unit: Unit): string {
  switch (finding.of) {
    case 'line':
      return sayLine(finding.line, finding.worst, unit);
    case 'fitClass': {
      const { byExtensions, byThigh } = finding;
      const label = EXTENSION_LABELS[byExtensions];
      if (byThigh === undefined) return label;
      return `${label}; by the thigh ${byThigh === 'tighter' || byThigh === 'between' ? BY_THIGH[byThigh] : classLabel(byThigh)}`;
    }
    case 'outline':
      return finding.sound ? 'Closed' : 'Broken or crossing';
    case 'character': {
      const { front, back, backLonger } = finding;
      const by = formatLength(Math.abs(backLonger), tapeFor(unit));
      return `${IN_FRONT[front]}, ${BEHIND[back]}; back ${by} ${backLonger < 0 ? 'shorter' : 'longer'}`;
    }
  }
}

/** A check's value for a file: a figure as it is, a finding in words. */
export const plainValue = ({ value }: Pick<Check, 'value'>, unit: Unit): number | string | undefined =>
  typeof value === 'object' ? sayFinding(value, unit) : value;
