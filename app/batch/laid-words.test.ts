import { describe, expect, it } from 'vitest';
import { houseCloth } from '../../core/cloth/index.js';
import { laidWords } from './laid-words.js';

const cloth = { ...houseCloth('shell', 'cm'), width: 1400 };

describe('the lay of a crew in words', () => {
  it('is bought as shops cut it, for those that are laid of all', () => {
    expect(laidWords(12_360, 7, 8, cloth, 'cm')).toBe('12.40 m of cloth 140.0 cm wide for 7 of 8 bodies');
    expect(laidWords(914.4, 1, 1, { ...cloth, width: 1524 }, 'in')).toBe('1 yd of cloth 60 in wide for 1 of 1 bodies');
  });

  it('through layers is so many garments for each, and all layers are bought', () => {
    expect(laidWords(12_360, 7, 8, { ...cloth, layers: 3 }, 'cm')).toBe(
      '37.10 m of cloth 140.0 cm wide, 3 garments through 3 layers for each of 7 of 8 bodies',
    );
  });
});
