import { layersOf, type ClothData } from '../../core/cloth/index.js';
import { clothWords, toBuy } from '../../core/lay/index.js';
import { formatLength, tapeFor, type Unit } from '../../core/units/index.js';

/**
 * How much cloth a lay of several bodies takes, in words: `12.40 m of cloth 140 cm wide for 7 of 8 bodies`. Through layers
 * every body has so many garments, and so much of the lay is bought. `length` in mm, of one layer.
 */
export function laidWords(length: number, bodies: number, of: number, cloth: ClothData, unit: Unit): string {
  const layers = layersOf(cloth);
  const each = layers > 1 ? `${layers} garments through ${layers} layers for each of ${bodies}` : `for ${bodies}`;
  return `${clothWords(toBuy(length * layers, unit), unit)} of cloth ${formatLength(cloth.width, tapeFor(unit))} wide${layers > 1 ? ',' : ''} ${each} of ${of} bodies`;
}
