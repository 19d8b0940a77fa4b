import { wrap, type Remote } from 'comlink';

/** Something that is done in a worker: what comes of it, and the way to stop it. Stopped, it comes to nothing. */
export interface Job<T> {
  readonly answer: Promise<T>;
  readonly stop: () => void;
}

/** A worker at hand: it is asked for one thing after another until it is stopped. */
export interface Hand<W> {
  /** Asks for something; rejects where the worker cannot be loaded or breaks down, so that nothing waits for ever. */
  readonly ask: <T>(call: (remote: Remote<W>) => Promise<T>) => Promise<T>;
  readonly stop: () => void;
}

/** Takes a worker in hand; `what` says in a sentence what it does: “The print could not be made”. */
export function takeHand<W>(make: () => Worker, what: string): Hand<W> {
  const worker = make();
  const remote = wrap<W>(worker);
  const broken = new Promise<never>((_, fail) => {
    worker.onerror = (event) => {
      event.preventDefault();
      worker.terminate();
      fail(new Error(`${what}: ${event.message || 'the part of Upstride that does it could not be loaded'}`));
    };
    worker.onmessageerror = () => {
      fail(new Error(`${what}: its answer could not be read`));
    };
  });
  // Told to whoever asks; a hand that nobody asks breaks in silence.
  broken.catch(() => undefined);
  return {
    ask: (call) => Promise.race([call(remote), broken]),
    stop: () => {
      worker.terminate();
    },
  };
}

/** Runs one thing in a worker of its own, which ends with it. */
export function runJob<W, T>(make: () => Worker, what: string, call: (remote: Remote<W>) => Promise<T>): Job<T> {
  const hand = takeHand<W>(make, what);
  return { answer: hand.ask(call).finally(hand.stop), stop: hand.stop };
}
