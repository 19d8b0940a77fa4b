import { describe, expect, it } from 'vitest';
import { laidDown, remember } from './numeric/remember.js';

describe('a function that remembers', () => {
  const counted = (
    most: number,
  ): { readonly of: (x: number, y?: number) => { sum: number }; readonly asked: number[] } => {
    const asked: number[] = [];
    const work = (x: number, y?: number): { sum: number } => {
      asked.push(x);
      return { sum: x + (y ?? 0) };
    };
    return { of: remember(work, (x, y) => [x, y ?? NaN], most), asked };
  };

  it('gives its last answers again, what is left open being a figure of its own', () => {
    const { of, asked } = counted(4);
    expect(of(1, 2)).toBe(of(1, 2));
    expect(of(1)).toBe(of(1));
    expect(of(1)).not.toBe(of(1, 0));
    expect([of(1, 2).sum, of(1).sum]).toEqual([3, 1]);
    expect(asked).toEqual([1, 1, 1]);
    expect(of(0)).not.toBe(of(-0));
  });

  it('lets no figure be forgotten', () => {
    const { a, ...rest } = { a: 1, b: 2 };
    // @ts-expect-error: b was not laid down.
    expect(laidDown([a], rest)).toEqual([1, 2]);
    expect(laidDown([a], {})).toEqual([1]);
  });

  it('forgets the oldest where it has been asked for more than it keeps', () => {
    const { of, asked } = counted(2);
    for (const x of [1, 2, 3, 2, 3, 1, 3]) expect(of(x).sum).toBe(x);
    expect(asked).toEqual([1, 2, 3, 1]);
  });
});
