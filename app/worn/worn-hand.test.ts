import { describe, expect, it, vi } from 'vitest';
import { FRONT } from './look.js';
import { handOver, lastOnly } from './worn-hand.js';

/** What the worker answers, call by call, and whether it was sent away. */
let answers: Promise<unknown>[] = [];
const stop = vi.fn();
vi.mock('comlink', () => ({ transfer: (of: unknown) => of }));
vi.mock('../shared/job.js', () => ({ takeHand: () => ({ ask: () => answers.shift(), stop }) }));

const canvas = { transferControlToOffscreen: () => ({}) } as unknown as HTMLCanvasElement;

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

describe('a canvas that is given away', () => {
  it('is not taken where the page cannot give it, the machine draws nothing in space, or the worker does not load', async () => {
    expect(await handOver({} as HTMLCanvasElement, vi.fn())).toBeUndefined();
    for (const answer of [Promise.resolve(false), Promise.reject(new Error('not loaded'))]) {
      stop.mockClear();
      answers = [answer];
      expect(await handOver(canvas, vi.fn())).toBeUndefined();
      expect(stop).toHaveBeenCalledOnce();
    }
  });

  it('says so where what draws on it breaks down later', async () => {
    answers = [Promise.resolve(true), Promise.reject(new Error('broken'))];
    const broken = vi.fn();
    const hand = await handOver(canvas, broken);
    hand?.draw(FRONT, undefined, [10, 10], 1);
    await vi.waitFor(() => {
      expect(broken).toHaveBeenCalledOnce();
    });
  });
});
