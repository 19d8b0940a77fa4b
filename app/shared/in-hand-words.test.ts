import { describe, expect, it } from 'vitest';
import { houseCloth } from '../../core/cloth/index.js';
import { inHandWords } from './in-hand-words.js';

const cloth = { ...houseCloth('shell', 'cm'), width: 1400 };

describe('a lay', () => {
  it('is held against what there is in hand, parted among its layers', () => {
    expect(inHandWords(9000, cloth, 'cm')).toBeUndefined();
    const there = { ...cloth, inHand: 20_000 };
    expect(inHandWords(9000, there, 'cm')).toBe('There are 2000.0 cm of cloth: enough, 1100.0 cm are left.');
    expect(inHandWords(9000, { ...there, layers: 3 }, 'cm')).toBe('There are 2000.0 cm of cloth: 700.0 cm too little.');
  });
});
