import { describe, expect, it } from 'vitest';
import { chalkChoiceOf } from './chalk-choice.js';

describe('what a maker chooses of chalk sheets', () => {
  it('takes the tape of their unit, and the house’s way for what an older visit did not know', () => {
    const before = { line: 'net', back: 'front', in: '1/4', cm: '0.5' } as const;
    expect(chalkChoiceOf(before, 'in')).toEqual({
      line: 'net',
      back: 'front',
      points: 'numbers',
      levels: 'waist',
      tape: '1/4',
    });
    expect(chalkChoiceOf({ ...before, points: 'letters', levels: 'hem' }, 'mm')).toMatchObject({
      points: 'letters',
      levels: 'hem',
      tape: '0.5',
    });
  });
});
