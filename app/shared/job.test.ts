import { expose } from 'comlink';
import { describe, expect, it, vi } from 'vitest';
import { runJob, takeHand } from './job.js';

/** A worker in this thread: what it is posted goes through a channel to what it exposes. */
class Here {
  static terminated = 0;
  onerror: ((event: { message: string; preventDefault: () => void }) => void) | undefined;
  onmessageerror: (() => void) | undefined;
  readonly #channel = new MessageChannel();
  constructor(does: object) {
    this.#channel.port1.start();
    expose(does, this.#channel.port2);
  }
  postMessage(message: unknown, transfer: Transferable[] = []): void {
    this.#channel.port1.postMessage(message, transfer);
  }
  addEventListener(name: string, then: EventListener): void {
    this.#channel.port1.addEventListener(name, then);
  }
  removeEventListener(name: string, then: EventListener): void {
    this.#channel.port1.removeEventListener(name, then);
  }
  terminate(): void {
    Here.terminated += 1;
    this.#channel.port1.close();
  }
}

const adder = { add: (a: number, b: number) => a + b, slow: () => new Promise<number>(() => undefined) };
type Adder = typeof adder;
const make = (): Worker => new Here(adder) as unknown as Worker;

describe('a job in a worker', () => {
  it('comes to its answer, and its worker ends with it', async () => {
    const before = Here.terminated;
    expect(await runJob<Adder, number>(make, 'Adding failed', (remote) => remote.add(2, 3)).answer).toBe(5);
    expect(Here.terminated).toBe(before + 1);
  });

  it('is stopped, and comes to nothing', async () => {
    const then = vi.fn();
    const job = runJob<Adder, number>(make, 'Adding failed', (remote) => remote.slow());
    job.answer.then(then, then);
    job.stop();
    await new Promise((later) => setTimeout(later, 20));
    expect(then).not.toHaveBeenCalled();
  });

  it('that cannot be loaded says so, and so does every further thing that is asked', async () => {
    let worker: Here | undefined;
    const hand = takeHand<Adder>(() => (worker = new Here(adder)) as unknown as Worker, 'Adding failed');
    const asked = hand.ask((remote) => remote.slow());
    worker?.onerror?.({ message: '', preventDefault: () => undefined });
    await expect(asked).rejects.toThrow('Adding failed: the part of Upstride that does it could not be loaded');
    await expect(hand.ask((remote) => remote.slow())).rejects.toThrow('Adding failed');
  });

  it('answers one thing after another while it is in hand', async () => {
    const hand = takeHand<Adder>(make, 'Adding failed');
    expect([await hand.ask((r) => r.add(1, 1)), await hand.ask((r) => r.add(2, 2))]).toEqual([2, 4]);
    hand.stop();
  });
});
