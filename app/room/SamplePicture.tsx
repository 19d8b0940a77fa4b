import { computeDraft, EMPTY_INPUT } from '../../core/chain/index.js';
import { PiecePicture } from '../shared/PiecePicture.js';

const SAMPLE = computeDraft({ ...EMPTY_INPUT, measured: { waist: 780, hip: 1000, crotchDepth: 272, inseam: 780 } });

/** A pair drawn from the middle of the range, real like any other. */
export function SamplePicture() {
  return SAMPLE.ok ? <PiecePicture block={SAMPLE.value.block} label="A front and a back piece" weight={2} /> : null;
}
