import { describe, expect, it } from 'vitest';
import { sewnAgainst, type SpecLine } from './index.js';

const LINES: readonly SpecLine[] = [
  { id: 'hip', label: 'Hip', how: '', mm: 1040, tolerance: 10 },
  { id: 'hem', label: 'Hem', how: '', mm: 440, tolerance: 5 },
];

describe('a sewn garment held against its spec', () => {
  it('is out where it is off by more than the tolerance, either way, and within at its very edge', () => {
    const [hip, hem] = sewnAgainst(LINES, { hip: 1050, hem: 434 });
    expect(hip).toMatchObject({ off: 10, out: false });
    expect(hem).toMatchObject({ off: -6, out: true });
    expect(sewnAgainst(LINES, { hip: 1029 })[0]).toMatchObject({ off: -11, out: true });
    expect(sewnAgainst(LINES, { hip: 1030 })[0]?.out).toBe(false);
  });

  it('says nothing of what was not measured', () => {
    expect(sewnAgainst(LINES, {})).toEqual([]);
    expect(sewnAgainst(LINES, { hem: 440, pocket: 12 }).map((p) => p.id)).toEqual(['hem']);
  });
});
