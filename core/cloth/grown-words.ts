import { shrinkageOf, type Cloths } from './cloth.js';

const percent = (share: number): string => `${Number((share * 100).toFixed(1))} %`;

/** What a label says after the method where the pieces were grown for a shell that shrinks; nothing where it does not. */
export function grownWords(cloths: Cloths | undefined): string {
  const { length, width } = shrinkageOf(cloths, 'shell');
  return length === 0 && width === 0 ? '' : `; grown for shrinkage of ${percent(length)} × ${percent(width)}`;
}
