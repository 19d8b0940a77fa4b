import { bodyFrom, type SolidBody } from '../core/body/index.js';
import { computeDraft, EMPTY_INPUT, type DraftInput } from '../core/chain/index.js';
import { garmentOf, type Garment } from '../core/garment/index.js';
import { figuresOf } from '../core/measured/index.js';
import { completeBody, type Measured } from '../core/measure/index.js';
import type { AlterationWork } from '../core/alter/index.js';
import { SHEETS } from '../core/shipped/index.js';
import type { Levels } from '../core/method/index.js';

/** A body with measured rises, a draft of it by a method, and the ways in which it is spoilt. */
export interface Worn {
  readonly method: string;
  readonly body: SolidBody;
  readonly drafts: Readonly<Record<Misfit | 'good', Garment>>;
}

/** A fault planted in a good draft: a body that wants 40 mm more thigh, and so on. */
export type Misfit = 'thighTight' | 'extensionShort' | 'waistWide' | 'backRiseShort';

const at = (line: keyof Levels | 'waistLine', by = 0): { line: keyof Levels | 'waistLine'; by: number } => ({
  line,
  by,
});

/** The faults, as one would make them on paper. */
export const MISFITS: Readonly<Record<Misfit, AlterationWork>> = {
  thighTight: {
    kind: 'seam',
    panel: 'both',
    seam: 'side',
    by: -20,
    from: at('crotchLevel'),
    to: at('kneeLevel', -120),
    runOut: 60,
  },
  extensionShort: { kind: 'crotchPoint', panel: 'back', out: -25, down: 0, recentre: false },
  waistWide: {
    kind: 'seam',
    panel: 'both',
    seam: 'side',
    by: 10,
    from: at('waistLine'),
    to: at('waistLine', 10),
    runOut: 120,
  },
  backRiseShort: {
    kind: 'wedge',
    panel: 'back',
    by: -25,
    from: { edge: 'rise', level: at('hipLevel') },
    hinge: { edge: 'side', level: at('hipLevel') },
  },
};

/** Three bodies of the bench, in mm: their rises are what a good draft of theirs has, less what it has over. */
export const BODIES: readonly Measured[] = [
  { waist: 780, hip: 1000, crotchDepth: 272, inseam: 780, thigh: 600, hipDepth: 200 },
  { waist: 900, hip: 1020, crotchDepth: 280, inseam: 810, thigh: 590, hipDepth: 205 },
  { waist: 840, hip: 1120, crotchDepth: 285, inseam: 760, thigh: 680, hipDepth: 210 },
];
export const METHODS = ['quarter-and-half', 'close', 'front-first'] as const;

/** The rises of a body are so much less than those of its draft, in mm. */
const OVER = 8;

/**
 * A draft of a body by a method, good and with each fault; the body with rises that the good draft fits, its waist half
 * as high behind as the draft's: the other half is what the slant of the seat line takes.
 */
export function wornBy(measured: Measured, method: string): Worn {
  const sheet = SHEETS.find((s) => s.id === method);
  if (!sheet) throw new Error(method);
  const garment = (works: readonly AlterationWork[]): { garment: Garment; rises: Measured } => {
    const alterations = works.map((work, i) => ({ id: `a${i}`, on: true, note: '', work }));
    const input: DraftInput = { ...EMPTY_INPUT, sheet, measured, alterations };
    const outcome = computeDraft(input);
    if (!outcome.ok) throw new Error(JSON.stringify(outcome.refusals));
    const { block } = outcome.value;
    const { frontRise, backRise, seatHeight } = figuresOf(block);
    const side = block.levels.crotchLevel - Math.min(...block.back.edges.side.flatMap((c) => [c.p0.y, c.p3.y]));
    return {
      garment: garmentOf(block),
      rises: {
        frontRise: frontRise - OVER,
        backRise: backRise - OVER,
        backWaistHeight: (seatHeight - side) / 2,
        frontWaistHeight: 0,
      },
    };
  };
  const good = garment([]);
  const spoilt = Object.entries(MISFITS).map(([name, work]) => [name, garment([work]).garment] as const);
  return {
    method,
    body: bodyFrom(completeBody({ ...measured, ...good.rises }, 'unknown')),
    drafts: { good: good.garment, ...Object.fromEntries(spoilt) } as Worn['drafts'],
  };
}
