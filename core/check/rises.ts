import { hollowShare, type Figures } from '../measured/index.js';
import { isGiven, type MeasurementId } from '../measure/index.js';
import type { Block } from '../draft/index.js';
import type { FitClass, Worked } from '../method/index.js';
import { judged, unjudged, type About, type Check } from './check.js';
import type { Finding } from './finding.js';

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

/**
 * How high centre back stands above the crotch line with the seat height of the body, where that was taken: at least
 * the body's, at most the crotch ease and the room to sit over it (docs/trade/truing.md).
 */
export function seatHeightCheck(worked: Worked, figures: Figures): Check[] {
  const known = worked.body.get('seatHeight');
  if (!known) return [];
  const band = bandIn(worked, 'backRise');
  const ease = Math.max(0, Number(worked.ledger.get('crotchEase')?.value ?? 0));
  return [
    judged({
      id: 'seatHeight',
      against: 'body',
      value: figures.seatHeight + band,
      low: known.mm - RISE_BAND,
      high: known.mm + ease + (SEAT_ROOM[worked.fitClass.id] ?? RISE_BAND),
      compares: { of: 'seatHeight', band: band > 0, ease },
      about: { edges: [['back', 'rise']] },
    }),
  ];
}

const BOTH_RISES: About = {
  edges: [
    ['front', 'rise'],
    ['back', 'rise'],
  ],
};

/** What of the body each rise is held against, and about what it is. */
const RISES = {
  frontRise: { measure: 'frontRise', about: { edges: [['front', 'rise']] } },
  backRise: { measure: 'backRise', about: { edges: [['back', 'rise']] } },
  wholeRise: { measure: 'crotchLength', about: BOTH_RISES },
} as const satisfies Readonly<Record<string, { measure: MeasurementId; about: About }>>;

/** The name of a rise that is checked. */
export type RiseId = keyof typeof RISES;

/** True of the checks of a rise. */
export const isRise = (id: string): id is RiseId => Object.hasOwn(RISES, id);

/** The depth of a band that is cut separately and counts in the body's figures, in mm; twice for the whole rise. */
export function bandIn({ choices, ledger }: Worked, id: RiseId): number {
  if (choices['bandCounts'] !== 'yes') return 0;
  const depth = Number(ledger.get('bandDepth')?.value ?? 0);
  return id === 'wholeRise' ? 2 * depth : depth;
}

/** What of the crotch ease a rise is wanted longer than the body's, in mm; twice for the whole rise. */
function easeIn({ choices, ledger }: Worked, id: RiseId): number {
  if (choices['riseTo'] !== 'ease') return 0;
  const ease = Number(ledger.get('crotchEase')?.value ?? 0);
  return id === 'wholeRise' ? 2 * ease : ease;
}

/**
 * How long the seam of a rise is wanted, in mm: the body's, with the crotch ease where that was chosen, less a counted
 * band.
 */
export function wantedRise(worked: Worked, id: 'frontRise' | 'backRise'): number | undefined {
  const known = worked.body.get(id);
  return isGiven(known) ? known.mm + easeIn(worked, id) - bandIn(worked, id) : undefined;
}

function riseCheck(worked: Worked, id: RiseId, figures: Figures): Check {
  const band = bandIn(worked, id);
  const value = figures[id] + band;
  const { measure, about } = RISES[id];
  const ease = easeIn(worked, id);
  const compares = { of: 'rise', with: measure, band: band > 0, ease, body: worked.body.get(measure)?.mm } as const;
  const known = worked.body.get(measure);
  if (!isGiven(known)) return unjudged({ id, against: 'body', value, compares, about }, measure);
  const wanted = known.mm + ease;
  const under = id === 'wholeRise' ? WHOLE_RISE_BAND : RISE_BAND;
  const over = id === 'backRise' ? (SEAT_ROOM[worked.fitClass.id] ?? under) : under;
  return judged({ id, against: 'body', value, low: wanted - under, high: wanted + over, compares, about });
}

/** The rises against the body's, as far as those were measured (docs/trade/truing.md). */
export const riseChecks = (worked: Worked, figures: Figures): Check[] =>
  (['frontRise', 'backRise', 'wholeRise'] as const).map((id) => riseCheck(worked, id, figures));

type CharacterFinding = Extract<Finding, { readonly of: 'character' }>;

/** A curve whose hollow is under this share of its diagonal hugs the corner, over the other it slopes. */
const HUGS = 0.47;
const SLOPES = 0.6;

/** What a rise is like by the shares of hollow in front and behind, and by how much its back is longer, in mm. */
export const characterOf = (inFront: number, behind: number, backLonger: number): CharacterFinding => ({
  of: 'character',
  front: inFront < HUGS ? 'deep' : inFront > SLOPES ? 'flat' : 'even',
  back: behind < HUGS ? 'L' : behind > SLOPES ? 'J' : 'between',
  backLonger,
});

/** How the rise is spread: flat or deep in front, J or L behind, and how far the two differ (docs/trade/truing.md). */
export function riseCharacter({ front, back }: Block, figures: Figures): Check {
  return {
    id: 'riseCharacter',
    against: 'body',
    kind: 'word',
    value: characterOf(hollowShare(front), hollowShare(back), figures.backRise - figures.frontRise),
    low: undefined,
    high: undefined,
    verdict: 'in',
    compares: { of: 'character' },
    restsOnEstimate: false,
    about: BOTH_RISES,
  };
}
