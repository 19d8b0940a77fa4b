import type { DraftInput } from '../core/chain/index.js';
import { AVERAGE_BUILD } from '../core/measure/index.js';

/** A body of the table: what drafts are drawn on and looked at. Lengths in mm. */
export interface TableBody {
  readonly id: string;
  readonly input: Pick<DraftInput, 'measured' | 'figure' | 'build'>;
}

const body = (
  id: string,
  figure: DraftInput['figure'],
  waist: number,
  hip: number,
  crotchDepth: number,
  inseam: number,
  build: Partial<DraftInput['build']> = {},
): TableBody => ({
  id,
  input: { measured: { waist, hip, crotchDepth, inseam }, figure, build: { ...AVERAGE_BUILD, ...build } },
});

/** Bodies from a child of five to a big stomach, all made up. */
export const BODIES: readonly TableBody[] = [
  body('middle woman', 'woman', 780, 1000, 272, 780),
  body('slim woman', 'woman', 640, 880, 255, 790),
  body('full woman', 'woman', 1020, 1220, 290, 760),
  body('man', 'man', 880, 1020, 270, 820),
  body('big stomach', 'man', 1180, 1140, 290, 780, { stomach: 'full' }),
  body('big short seat', 'woman', 860, 1160, 255, 740, { seat: 'full' }),
  body('flat seat', 'man', 860, 960, 262, 840, { seat: 'flat' }),
  body('tall', 'woman', 760, 1040, 300, 910),
  body('child of five', 'child', 550, 600, 185, 460),
  body('child of twelve', 'child', 640, 780, 235, 690),
];
