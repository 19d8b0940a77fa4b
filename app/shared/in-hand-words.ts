import { layersOf, type ClothData } from '../../core/cloth/index.js';
import { formatLength, tapeFor, type Unit } from '../../core/units/index.js';

/**
 * Whether there is enough of a cloth for a lay so long (mm, of one layer), in words, all its layers counted; nothing where
 * it is not said how much there is.
 */
export function inHandWords(length: number, cloth: ClothData, unit: Unit): string | undefined {
  const { inHand } = cloth;
  if (inHand === undefined) return undefined;
  const over = inHand - length * layersOf(cloth);
  const said = (mm: number): string => formatLength(mm, tapeFor(unit));
  return over < 0
    ? `There are ${said(inHand)} of cloth: ${said(-over)} too little.`
    : `There are ${said(inHand)} of cloth: enough, ${said(over)} are left.`;
}
