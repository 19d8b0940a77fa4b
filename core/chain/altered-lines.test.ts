import { describe, expect, it } from 'vitest';
import { alteredLines } from '../../bench/altered-lines.js';

describe('an everyday alteration on any body by any method', () => {
  it.each([
    ['wedge', 0.96],
    ['close', 0.85],
    ['tilt', 0.9],
    ['crotchPoint', 0.92],
    ['across', 0.93],
    ['scoop', 0.75],
    // Of a skirt's leg that falls plumb the side cannot be moved at one place alone: its check says so.
    ['side', 0.88],
    ['inseam', 0.9],
  ] as const)('of the kind %s leaves every line as fair as it found it, or is named by its check', (kind, least) => {
    const { done, refused, spoilt, unseen } = alteredLines(kind, 60, 21);
    expect(refused).toBeLessThanOrEqual(2);
    expect((done - spoilt) / done).toBeGreaterThan(least);
    // What is all but straight before a scooped curve counts as curve to the judge, and as straight to the check.
    expect(unseen).toBeLessThanOrEqual(kind === 'scoop' ? 3 : 1);
  });
});
