import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { FAULTS } from './faults.js';

describe('the planted faults', () => {
  it('each have a place of their own in the file they name, so that none is lost when code moves', () => {
    const places = FAULTS.map(({ id, file, was }) => [id, readFileSync(file, 'utf8').split(was).length - 1]);
    expect(places.filter(([, times]) => times !== 1)).toEqual([]);
    expect(new Set(FAULTS.map(({ id }) => id)).size).toBe(FAULTS.length);
  });
});
