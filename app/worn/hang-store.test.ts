import { beforeEach, describe, expect, it, vi } from 'vitest';
import type { BodyTold, Hung, Wearing } from '../../core/sew/index.js';
import type { HangOrder } from '../workers/toile.worker.js';
import type { DraftInput } from '../../core/chain/index.js';
import type { Style } from '../../core/style/index.js';
import type { Unit } from '../../core/units/index.js';
import { hang, keyOf, orderFor, stopHanging, useHanging, wearerOf } from './hang-store.js';

/** The jobs that were begun: how each is told, answered and stopped. */
interface Begun {
  readonly tell: (wearing: Wearing) => void;
  readonly answer: (drawn: boolean) => void;
  readonly fail: (fault: Error) => void;
  stopped: boolean;
}
const begun: Begun[] = [];

vi.mock('comlink', () => ({ proxy: <T>(of: T): T => of }));
vi.mock('../shared/job.js', () => ({
  runJob: (
    _make: unknown,
    _what: string,
    call: (at: { hang: (order: unknown, tell: Begun['tell']) => Promise<boolean> }) => Promise<boolean>,
  ) => {
    let begin: Begun | undefined;
    const answer = call({
      hang: (_order, tell) =>
        new Promise((done, failed) => {
          begin = { tell, answer: done, fail: failed, stopped: false };
          begun.push(begin);
        }),
    });
    return {
      answer,
      stop: () => {
        if (begin) begin.stopped = true;
      },
    };
  },
}));

const order = (name: string, cloth = 'calico'): HangOrder =>
  ({ input: { name }, wearer: { measured: { waist: 780 } }, assumed: {}, cloth }) as unknown as HangOrder;
const body = { sound: true } as BodyTold;
const so = { parts: [] } as unknown as Hung;
const hanging = (of: HangOrder) => useHanging.getState().hangings[keyOf(of)];
const settled = (): Promise<void> => new Promise((done) => setTimeout(done, 0));

beforeEach(() => {
  stopHanging();
  begun.length = 0;
  useHanging.setState({ hangings: {}, last: undefined });
});

describe('what is hung', () => {
  it('is told as it goes on: the body once, what hangs when it is new, and that it is done', async () => {
    const one = order('one');
    hang(one);
    expect(hanging(one)).toMatchObject({ share: 0, done: false });
    begun[0]?.tell({ share: 0, body });
    begun[0]?.tell({ share: 0.4, so });
    begun[0]?.tell({ share: 0.5 });
    // What was told before stays: nothing is told twice.
    expect(hanging(one)).toEqual({ share: 0.5, body, so, done: false, failed: undefined });
    expect(useHanging.getState().last).toEqual({ wearer: wearerOf(one), body });
    begun[0]?.answer(true);
    await settled();
    expect(hanging(one)).toMatchObject({ share: 1, done: true, so });
  });

  it('is hung once, however often it is asked for', async () => {
    const one = order('one');
    hang(one);
    hang(one);
    expect(begun).toHaveLength(1);
    begun[0]?.answer(true);
    await settled();
    hang(one);
    expect(begun).toHaveLength(1);
    // In another cloth it is another.
    hang(order('one', 'denim'));
    expect(begun).toHaveLength(2);
  });

  it('is let go at a stop: what hangs so far stays, what does not hang yet is as if it had not been asked for', () => {
    const [early, late] = [order('early'), order('late')];
    hang(early);
    hang(late);
    begun[1]?.tell({ share: 0.3, so });
    stopHanging();
    expect(begun.map((b) => b.stopped)).toEqual([true, true]);
    expect(hanging(early)).toBeUndefined();
    expect(hanging(late)).toMatchObject({ so, done: false });
    // And it can be asked for again.
    hang(early);
    expect(begun).toHaveLength(3);
  });

  it('says in a sentence why it could not be', async () => {
    const [undrawn, broken] = [order('undrawn'), order('broken')];
    hang(undrawn);
    hang(broken);
    begun[0]?.answer(false);
    begun[1]?.fail(new Error('The virtual toile could not be sewn: no memory'));
    await settled();
    expect(hanging(undrawn)?.failed).toBe('This draft cannot be drawn, so it cannot be sewn.');
    expect(hanging(broken)?.failed).toBe('The virtual toile could not be sewn: no memory.');
  });

  it('is remembered, the last six of them', async () => {
    const orders = Array.from({ length: 8 }, (_, i) => order(`draft ${i}`));
    for (const one of orders) hang(one);
    for (const b of begun) b.answer(true);
    await settled();
    expect(Object.keys(useHanging.getState().hangings)).toHaveLength(6);
    expect(hanging(orders[7] as HangOrder)?.done).toBe(true);
    expect(hanging(orders[0] as HangOrder)).toBeUndefined();
  });
});

describe('what an order is remembered by', () => {
  const input = { measured: { waist: 780 } } as unknown as DraftInput;
  const key = (style: Style, unit: Unit): string => keyOf(orderFor({ input, style, unit }, input, {}, 'calico'));

  it('is the same whatever is sewn onto the garment, and in whatever unit it is read', () => {
    expect(key([{ id: 'patchPocket', values: {} }], 'in')).toBe(key([], 'cm'));
  });

  it('is another where the style shapes leg or waist, with the house figures of the unit', () => {
    const dropped: Style = [{ id: 'waistDrop', values: {} }];
    expect(key(dropped, 'cm')).not.toBe(key([], 'cm'));
    expect(key(dropped, 'in')).not.toBe(key(dropped, 'cm'));
  });
});
