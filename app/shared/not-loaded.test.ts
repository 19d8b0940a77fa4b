import { describe, expect, it } from 'vitest';
import { isNotLoaded } from './not-loaded.js';

describe('a part of the program that could not be fetched', () => {
  it('is known by its script and by its styles, in the words of each browser', () => {
    for (const error of [
      new TypeError('Failed to fetch dynamically imported module: http://localhost/assets/CutStation.js'),
      new TypeError('error loading dynamically imported module'),
      new TypeError('Importing a module script failed.'),
      new Error('Unable to preload CSS for /assets/CutStation.css'),
    ])
      expect([error.message, isNotLoaded(error)]).toEqual([error.message, true]);
  });

  it('is no fault of the program itself', () => {
    for (const error of [new TypeError('x is not a function'), new Error('The module of the lay broke'), 'module'])
      expect(isNotLoaded(error)).toBe(false);
  });
});
