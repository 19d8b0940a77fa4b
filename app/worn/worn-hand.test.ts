import { describe, expect, it } from 'vitest';
import { lastOnly } from './worn-hand.js';

describe('what is asked for one at a time', () => {
  it('does the first and the last of what is asked meanwhile, and nothing between', async () => {
    const done: number[] = [];
    const free: (() => void)[] = [];
    const ask = lastOnly(async (n: number): Promise<number> => {
      done.push(n);
      await new Promise<void>((go) => free.push(go));
      return 10 * n;
    });
    const answers = [1, 2, 3, 4].map((n) => ask(n));
    expect(done).toEqual([1]);
    free.shift()?.();
    expect(await answers[0]).toBe(10);
    await new Promise((go) => setTimeout(go));
    expect(done).toEqual([1, 4]);
    free.shift()?.();
    expect(await Promise.all(answers)).toEqual([10, undefined, undefined, 40]);
  });

  it('goes on after one that failed, and says so to who asked', async () => {
    const ask = lastOnly((n: number) => (n === 1 ? Promise.reject(new Error('broken')) : Promise.resolve(n)));
    await expect(ask(1)).rejects.toThrow('broken');
    expect(await ask(2)).toBe(2);
  });
});
