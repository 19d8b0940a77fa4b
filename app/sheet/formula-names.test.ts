import { describe, expect, it } from 'vitest';
import { completions, nameAt } from './formula-names.js';

describe('completing names', () => {
  const names = ['hip', 'hipDepth', 'hipEase', 'front.hipWidth', 'thigh'];
  it('finds the name that is being written at the caret', () => {
    expect(nameAt('hip/4 + front.hi', 16)).toEqual({ from: 8, part: 'front.hi' });
    expect(nameAt('hip/4 + ', 8)).toEqual({ from: 8, part: '' });
    expect(nameAt('thi/4', 3)).toEqual({ from: 0, part: 'thi' });
    expect(nameAt('3 cm', 4).part).toBe('');
    expect(nameAt('hip/4 + 1/4 in', 14).part).toBe('');
    expect(nameAt('hip/4 + in', 10)).toEqual({ from: 8, part: 'in' });
  });
  it('offers what begins with it first, then what has it within, and nothing for a whole name', () => {
    expect(completions(names, 'hip')).toEqual(['hip', 'hipDepth', 'hipEase', 'front.hipWidth']);
    expect(completions(names, 'HIPW')).toEqual(['front.hipWidth']);
    expect(completions(names, 'thigh')).toEqual([]);
    expect(completions(names, '')).toEqual([]);
    expect(completions(names, 'zz')).toEqual([]);
  });
});
